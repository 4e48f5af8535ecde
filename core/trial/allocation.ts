import { type Random, seededRandom, shuffled } from '../random.ts';

/**
 * Which arm (its index, from 0) falls to which unit (wash day). A scheme draws one sequence and enumerates all it
 * could have drawn; the randomisation test uses that set and no other (methods.md 3).
 */
export interface AllocationScheme {
  readonly arms: number;
  readonly units: number;
  /** How many sequences the scheme could draw, each equally likely. */
  readonly size: number;
  draw(seed: number): number[];
  sample(random: Random): number[];
  enumerate(): Generator<number[]>;
}

/** Thrown for a scheme that cannot be drawn, with a sentence for the user. */
export class AllocationError extends RangeError {}

function factorial(n: number): number {
  let product = 1;
  for (let i = 2; i <= n; i++) product *= i;
  return product;
}

/** Every distinct order of a sorted sequence, in lexicographic order (Narayana Pandita's next permutation). */
function* permutations(sorted: readonly number[]): Generator<number[]> {
  const order = [...sorted];
  for (;;) {
    yield order.slice();
    let pivot = order.length - 2;
    while (pivot >= 0 && order[pivot]! >= order[pivot + 1]!) pivot--;
    if (pivot < 0) return;
    let swap = order.length - 1;
    while (order[swap]! <= order[pivot]!) swap--;
    [order[pivot], order[swap]] = [order[swap]!, order[pivot]!];
    for (let i = pivot + 1, j = order.length - 1; i < j; i++, j--)
      [order[i], order[j]] = [order[j]!, order[i]!];
  }
}

/**
 * Balanced complete randomisation: every arm on equally many units, all such sequences equally likely.
 * Throws an {@link AllocationError} with fewer than two arms, or units that the arms do not divide.
 * Source: methods.md 3; Fisher's randomisation as in The Design of Experiments (1935).
 */
export function balancedComplete(arms: number, units: number): AllocationScheme {
  if (!Number.isInteger(arms) || arms < 2)
    throw new AllocationError('A comparison needs at least two options.');
  if (!Number.isInteger(units) || units < arms)
    throw new AllocationError(`With ${arms} options, plan at least ${arms} wash days, one each.`);
  if (units % arms !== 0) {
    const lower = units - (units % arms);
    throw new AllocationError(
      `${units} wash days do not split evenly over ${arms} options. Plan ${lower} or ${lower + arms}.`,
    );
  }
  const each = units / arms;
  const sorted = Array.from({ length: units }, (_, i) => Math.floor(i / each));
  const sample = (random: Random) => shuffled(sorted, random);
  return {
    arms,
    units,
    size: Math.round(factorial(units) / factorial(each) ** arms),
    sample,
    draw: (seed) => sample(seededRandom(seed)),
    enumerate: () => permutations(sorted),
  };
}
