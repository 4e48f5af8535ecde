import { type Random, shuffled } from '../random.ts';
import { AllocationError } from './allocation.ts';

/**
 * A Williams square: rows are wearers, columns wash days; every arm stands in every column equally often and every arm
 * follows every other equally often. One square for an even number of arms, two (the second mirrored) for an odd one.
 * Source: E. J. Williams, Australian Journal of Scientific Research A 2 (1949) 149–168, the usual zig-zag construction.
 */
export function williamsSquare(arms: number): number[][] {
  if (!Number.isInteger(arms) || arms < 2 || arms > 12)
    throw new AllocationError('A Williams square is for two to twelve options.');
  const first = Array.from({ length: arms }, (_, j) => (j % 2 === 0 ? j / 2 : arms - (j + 1) / 2));
  const square = Array.from({ length: arms }, (_, row) => first.map((arm) => (arm + row) % arms));
  return arms % 2 === 0 ? square : [...square, ...square.map((row) => row.toReversed())];
}

/** A square with its rows in random order and its arms' names shuffled: a row each for so many wearers. */
export function williamsRows(arms: number, wearers: number, random: Random): number[][] {
  const square = williamsSquare(arms);
  if (!(wearers >= 1) || wearers % square.length !== 0)
    throw new AllocationError(
      `${arms} options take ${square.length} heads, or a multiple of that, so that every option stands everywhere equally often.`,
    );
  return Array.from({ length: wearers / square.length }, () => {
    const names = shuffled(
      Array.from({ length: arms }, (_, arm) => arm),
      random,
    );
    return shuffled(square, random).map((row) => row.map((arm) => names[arm]!));
  }).flat();
}
