import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import { normals, seededRandom } from '../random.ts';
import { type BoardAsk, type BoardDay, type BoardTrial, type Fair, plainAsk } from './read.ts';
import type { Tested } from './tested.ts';

/** A fairness check that comes to the same for every outcome. */
export const fairAlike = (fair: Fair): BoardTrial['fair'] =>
  Object.fromEntries(Object.keys(OUTCOMES).map((key) => [key, fair])) as BoardTrial['fair'];

export const product = (key: string): Tested & { name: string } => ({
  kind: 'product',
  role: 'hold',
  key,
  productId: key,
  dose: { kind: 'exact', amount: 10, measure: 'g', per: 'head' },
  items: null,
  ways: null,
  name: key,
});

/** What a product truly gives, and how many days of it are good. */
export interface Truth {
  definition: number;
  frizz: number;
  /** Points of definition lost a day. */
  fade?: number;
}

/** A finished trial of two products in eight whole heads (or halves), by the truth and a seed. */
export function madeUp(
  id: string,
  [a, b]: readonly [string, string],
  truth: Readonly<Record<string, Truth>>,
  seed: number,
  to: Partial<BoardTrial> & { noise?: number; wearDays?: number; level?: number } = {},
): BoardTrial {
  const normal = normals(seededRandom(seed));
  const { noise = 0.3, wearDays = 5, halves = false } = to;
  const level = to.level ?? normal();
  const of = (position: number, half: BoardDay['half'], arm: number): BoardDay => {
    const { definition, frizz, fade = 0.8 } = truth[arm === 0 ? a : b]!;
    const luck = noise * normal();
    const rated: Partial<Record<Outcome, { day: number; value: number }[]>> = {
      definition: Array.from({ length: wearDays }, (_, i) => ({
        day: i + 1,
        value: definition + level + luck - fade * i,
      })),
      frizz: Array.from({ length: wearDays }, (_, i) => ({
        day: i + 1,
        value: frizz + level - luck + 0.3 * i,
      })),
    };
    return {
      washDayId: `${id} ${position}`,
      position,
      half,
      arm,
      on: `2026-0${1 + (seed % 9)}-1${position % 10}`,
      dewPointC: 3 * position,
      rated,
      worn: rated,
      washedOn: null,
      over: true,
      shrinkage: [{ day: 1, value: 40 }],
      minutesToDry: null,
      handsOn: half === null ? 30 + arm : null,
      costPerWash: arm === 0 ? 2 : 1,
      currency: 'EUR',
      felt: {},
    };
  };
  return {
    id,
    question: `${a} or ${b}?`,
    wearerId: 'w',
    blind: false,
    halves,
    block: null,
    fair: fairAlike('clean'),
    wearDays,
    endedOn: '2026-05-01',
    arms: [product(a), product(b)],
    days: Array.from({ length: 8 }, (_, position) => position).flatMap((position) =>
      halves
        ? [of(position, 'left', position % 2), of(position, 'right', 1 - (position % 2))]
        : [of(position, null, [0, 1, 1, 0, 1, 0, 0, 1][position]!)],
    ),
    ...to,
  };
}
export const TRUTH = {
  anvil: { definition: 5, frizz: 4 },
  kelp: { definition: 7.5, frizz: 3 },
  foam: { definition: 6, frizz: 5 },
};
/** A board asked for as it stands by default. */
export const asked = (trials: readonly BoardTrial[], to: Partial<BoardAsk> = {}): BoardAsk => ({
  ...plainAsk(trials, 'hold', { line: 5 }),
  ...to,
});
/** All three of them. */
export const ALL = ['anvil', 'kelp', 'foam'];
