import { type Random, seededRandom, shuffled } from '../random.ts';
import { AllocationError, type AllocationScheme } from './allocation.ts';

function factorial(n: number): number {
  let product = 1;
  for (let i = 2; i <= n; i++) product *= i;
  return product;
}

/** Wash days of a closed walk that goes through every ordered pair of arms `times` times. */
export const walkLength = (arms: number, times: number): number => times * arms * (arms - 1) + 1;

/**
 * Three to six arms on one head: sequences in which every ordered pair of neighbours occurs equally often, a closed walk
 * over all ordered pairs of arms (an Eulerian circuit of the complete directed graph, every edge `times` times). Each
 * arm follows each other equally often, so what one leaves behind falls on all alike. All such sequences are equally
 * likely; longer ones also hold those that join shorter walks.
 * Counted by the BEST theorem (van Aardenne-Ehrenfest & de Bruijn 1951), drawn by a random spanning tree (Wilson 1996)
 * and random orders of leaving. Source: methods.md 3. Throws an {@link AllocationError} for a length that is no walk.
 */
export function closedWalk(arms: number, units: number): AllocationScheme {
  if (!Number.isInteger(arms) || arms < 3 || arms > 6)
    throw new AllocationError('A walk over all ordered pairs is for three to six options.');
  const pairs = arms * (arms - 1);
  const times = (units - 1) / pairs;
  if (!Number.isInteger(times) || times < 1) {
    const lower = Math.max(1, Math.floor(times));
    throw new AllocationError(
      `${arms} options, each after each other equally often, take ${walkLength(arms, lower)} or ${walkLength(arms, lower + 1)} wash days.`,
    );
  }
  const degree = times * (arms - 1);
  const trees = arms ** (arms - 2) * times ** (arms - 1);
  const size = Math.round(
    (arms * trees * factorial(degree) * factorial(degree - 1) ** (arms - 1)) / factorial(times) ** pairs,
  );
  const all = Array.from({ length: arms }, (_, arm) => arm);

  const sample = (random: Random): number[] => {
    const root = random.below(arms);
    const others = (from: number) => all.filter((arm) => arm !== from);
    // Wilson's algorithm: loop-erased walks to the root give a uniform tree; the tree's edge is each arm's last exit.
    const last = new Array<number>(arms).fill(-1);
    const joined = new Set([root]);
    for (const start of all) {
      for (let at = start; !joined.has(at); at = last[at]!) last[at] = others(at)[random.below(arms - 1)]!;
      for (let at = start; !joined.has(at); at = last[at]!) joined.add(at);
    }
    const exits = all.map((from) => {
      const free = others(from).flatMap((to) => new Array<number>(times).fill(to));
      if (from === root) return shuffled(free, random);
      free.splice(free.indexOf(last[from]!), 1);
      return [...shuffled(free, random), last[from]!];
    });
    const walk = [root];
    for (let at = root; walk.length < units; ) {
      at = exits[at]!.shift()!;
      walk.push(at);
    }
    return walk;
  };

  return {
    arms,
    units,
    size,
    sample,
    draw: (seed) => sample(seededRandom(seed)),
    *enumerate() {
      const left = all.map((from) => all.map((to) => (from === to ? 0 : times)));
      const walk: number[] = [];
      function* from(arm: number): Generator<number[]> {
        walk.push(arm);
        if (walk.length === units) yield walk.slice();
        else
          for (const to of all)
            if (left[arm]![to]! > 0) {
              left[arm]![to]!--;
              yield* from(to);
              left[arm]![to]!++;
            }
        walk.pop();
      }
      for (const start of all) yield* from(start);
    },
  };
}
