import type { KeyOf } from '../vocabulary.ts';
import { AllocationError, type AllocationScheme, balancedComplete } from './allocation.ts';
import { blocksOf } from './blocks.ts';
import { closedWalk, walkLength } from './closed-walk.ts';

/** A design of a trial on one head: everything that sets it apart from the others. */
export interface DesignRow {
  label: string;
  says: string;
  good: string;
  costs: string;
  cannot: string;
  /** It tests on its own random order; it compares without one, and so describes; or it compares nothing and learns. */
  kind: 'tests' | 'describes' | 'learns';
  /** Left and right of one wash day are read for themselves, and can hold different arms. */
  halves: boolean;
  /** Fewest and most arms. */
  arms: readonly [number, number];
  /** What the place of each arm means, where it means anything. */
  places: readonly string[];
  /** Where two factors are crossed: the level (0 or 1) of each in each arm. Their main effects are then what is tested. */
  factors: readonly [readonly number[], readonly number[]] | null;
  /** The first day of wear it can be judged on. */
  firstDay: number;
  /** Wash days that belong together, where the order was drawn in blocks. */
  block: number | null;
  /** What a design that compares nothing is run for. */
  seeks: 'noise' | 'dose' | null;
  /** How its order is drawn: a sequence with one code a wash day. Throws an {@link AllocationError}. */
  lot: (arms: number, days: number) => AllocationScheme;
  /** The arms on the left and right half of a wash day with a code; the same arm twice for a whole head. */
  sides: (code: number) => { left: number; right: number };
  /** The code of a wash day with these arms on its halves. */
  codeOf: (left: number, right: number) => number;
  /** Fewest wash days to begin with. Source: methods.md 3, defaults. */
  usual: (arms: number) => number;
  /** The smallest p its statistic can reach on its own set of `size`, whatever the numbers; see `core/inference/reach.ts`. */
  smallestP: (arms: number, days: number, size: number) => number;
}

/** n over k. */
function choose(n: number, k: number): number {
  let ways = 1;
  for (let i = 1; i <= k; i++) ways = (ways * (n - k + i)) / i;
  return Math.round(ways);
}
const factorial = (n: number): number => (n < 2 ? 1 : n * factorial(n - 1));

/** The six ways of two of three arms on left and right, in the order of their codes. */
export const HALF_PAIRS: readonly (readonly [number, number])[] = [
  [0, 1],
  [1, 0],
  [1, 2],
  [2, 1],
  [2, 0],
  [0, 2],
];

/** A scheme that can draw one sequence only. */
const fixed = (arms: number, sequence: readonly number[]): AllocationScheme => ({
  arms,
  units: sequence.length,
  size: 1,
  sample: () => [...sequence],
  draw: () => [...sequence],
  *enumerate() {
    yield [...sequence];
  },
});

/** The three-arm half-head: every ordered pair of arms equally often. */
function halfThree(units: number): AllocationScheme {
  if (!Number.isInteger(units) || units < 6 || units % 6 !== 0) {
    const lower = Math.max(6, units - (units % 6));
    throw new AllocationError(
      `A half-head of three options goes in rounds of six wash days. Plan ${lower} or ${lower + 6}.`,
    );
  }
  return balancedComplete(6, units);
}

/** On whole heads the code is the arm. */
const ONE_ARM_A_DAY = {
  sides: (code: number) => ({ left: code, right: code }),
  codeOf: (left: number) => left,
};
/** On half-heads of two arms the code is the arm on the left; the other is on the right. */
const TWO_SIDES = {
  sides: (code: number) => ({ left: code, right: 1 - code }),
  codeOf: (left: number) => left,
};
/** One arm every day. */
const NO_LOT = {
  lot: (_: number, days: number) => fixed(1, new Array<number>(days).fill(0)),
  ...ONE_ARM_A_DAY,
  usual: () => 4,
  smallestP: () => 1,
};
/** Every sequence and its mirror image tie. */
const twoWays = (_: number, __: number, size: number) => 2 / size;

/**
 * The designs: what each is good for, what it costs and what it cannot do, and how it is drawn and read. A new one is a
 * row here and a word of the database's `design_key`; the power simulation, the verdict and the plan read this row.
 */
export const DESIGNS = {
  complete: {
    label: 'whole heads, complete',
    says: 'Every wash day one option; each option equally often, in any order.',
    good: 'Two options and twelve wash days, eight at the least; the strongest for so few.',
    costs: 'One wash day a reading, weeks for twelve.',
    cannot: 'Keep a trend and the options fully apart: one option may fall early by luck.',
    kind: 'tests',
    halves: false,
    arms: [2, 6],
    places: [],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: null,
    lot: balancedComplete,
    ...ONE_ARM_A_DAY,
    // From four arms on, three wash days each are needed before one arm apart from the others is found.
    usual: (arms) => Math.max(12, 3 * arms),
    // The widest gap knows who is highest and who lowest; the arms between may fall as they like.
    smallestP: (arms, days) =>
      (arms * (arms - 1)) / (choose(days, days / arms) * choose(days - days / arms, days / arms)),
  },
  blocks: {
    label: 'whole heads, blocks of four',
    says: 'Every four wash days hold each option twice, in any order.',
    good: 'Two options over twelve wash days or more, while season or hair drifts.',
    costs: 'Twelve wash days before it decides at .05.',
    cannot: 'Settle anything with eight wash days: its smallest p is then .056.',
    kind: 'tests',
    halves: false,
    arms: [2, 2],
    places: [],
    factors: null,
    firstDay: 1,
    block: 4,
    seeks: null,
    lot: (_, days) => blocksOf(4, days),
    ...ONE_ARM_A_DAY,
    usual: () => 12,
    smallestP: twoWays,
  },
  walk: {
    label: 'three to six options, each after each',
    says: 'Every option follows every other equally often.',
    good: 'Several options on one head when one may leave something behind for the next.',
    costs: 'Thirteen wash days for three or four options, more for five and six.',
    cannot: 'Give a narrow interval for any one pair: each option has few wash days.',
    kind: 'tests',
    halves: false,
    arms: [3, 6],
    places: [],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: null,
    lot: closedWalk,
    ...ONE_ARM_A_DAY,
    usual: (arms) => walkLength(arms, arms === 3 ? 2 : 1),
    // Renaming the arms gives the same walk.
    smallestP: (arms, _, size) => factorial(arms) / size,
  },
  half: {
    label: 'half-head, sides balanced',
    says: 'Both options on one wash day, left and right; each option on each side equally often.',
    good: 'Two stylers in the same air, sleep and hair state; side bias cancels.',
    costs: 'Two routines in one, and a head that may look uneven.',
    cannot: 'Test what does not stay on its side: cleansers, scalp, overall volume.',
    kind: 'tests',
    halves: true,
    arms: [2, 2],
    places: [],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: null,
    lot: balancedComplete,
    ...TWO_SIDES,
    usual: () => 10,
    smallestP: twoWays,
  },
  'half-three': {
    label: 'half-head, three options',
    says: 'Two of three options on each wash day: all six ways of left and right, shuffled.',
    good: 'Three stylers against each other within single wash days.',
    costs: 'Six wash days a round; each pair meets only twice in a round.',
    cannot: 'Give a narrow interval for any one pair: each pair meets on few wash days.',
    kind: 'tests',
    halves: true,
    arms: [3, 3],
    places: [],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: null,
    lot: (_, days) => halfThree(days),
    sides: (code) => {
      const [left, right] = HALF_PAIRS[code]!;
      return { left, right };
    },
    codeOf: (left, right) => HALF_PAIRS.findIndex(([l, r]) => l === left && r === right),
    usual: () => 12,
    // Of the six ordered pairs only those with both extremes weigh double; the others trade places in two kinds.
    smallestP: (_, days, size) => (6 * choose(days / 3, days / 6) ** 2) / size,
  },
  factorial: {
    label: 'two factors at once',
    says: 'Four options: each of two settings with each of two others.',
    good: 'Product and amount (or wetness, order) together, and whether one hangs on the other.',
    costs: 'Twelve wash days: eight cannot settle it. All of them count for both factors.',
    cannot: 'Say much about the two together unless the difference is large.',
    kind: 'tests',
    halves: false,
    arms: [4, 4],
    places: ['first way, first way', 'first way, second way', 'second way, first way', 'both second'],
    factors: [
      [0, 0, 1, 1],
      [0, 1, 0, 1],
    ],
    firstDay: 1,
    block: null,
    seeks: null,
    lot: balancedComplete,
    ...ONE_ARM_A_DAY,
    usual: () => 12,
    // Either factor may split the days this way, each level on either half.
    smallestP: (_, days) => 4 / choose(days, days / 2),
  },
  refresh: {
    label: 'refresh, one side',
    says: 'The same wash day all over; from day 2 one side is refreshed and the other left, sides drawn.',
    good: 'Whether a refresh earns its time, and what it does to the days after.',
    costs: 'Nothing more than a half-head: readings start on day 2.',
    cannot: 'Say anything of the wash-day product.',
    kind: 'tests',
    halves: true,
    arms: [2, 2],
    places: ['refreshed', 'left alone'],
    factors: null,
    firstDay: 2,
    block: null,
    seeks: null,
    lot: balancedComplete,
    ...TWO_SIDES,
    usual: () => 10,
    smallestP: twoWays,
  },
  'halves-same': {
    label: 'both halves the same',
    says: 'One routine on both sides, each side rated for itself.',
    good: 'Learning how far left and right differ by themselves, before a half-head trial.',
    costs: 'Four to six wash days that test no product.',
    cannot: 'Tell how one wash day differs from the next; it teaches half-head noise only.',
    kind: 'learns',
    halves: true,
    arms: [1, 1],
    places: [],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: 'noise',
    ...NO_LOT,
  },
  'repeat-same': {
    label: 'the same wash day, again',
    says: 'One routine, several wash days, nothing changed.',
    good: 'Learning how much wash days differ by themselves: what any trial must beat.',
    costs: 'Four to six wash days that test no product.',
    cannot: 'Compare anything.',
    kind: 'learns',
    halves: false,
    arms: [1, 1],
    places: [],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: 'noise',
    ...NO_LOT,
  },
  'dose-run-in': {
    label: 'find your amount',
    says: 'One product; after each wash day say too little, right or too much, and the next amount follows.',
    good: 'Finding a product’s amount on this head before it is judged.',
    costs: 'Three to six wash days.',
    cannot: 'Compare products: the amount changes on purpose.',
    kind: 'learns',
    halves: false,
    arms: [1, 1],
    places: [],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: 'dose',
    ...NO_LOT,
  },
  'before-after': {
    label: 'before and after',
    says: 'Baseline wash days first, then the change.',
    good: 'When nothing can be put back: a cut, a colour, a water filter.',
    costs: 'As many baseline days as days after.',
    cannot: 'Settle anything. Season, hair and expectation change as well; it describes only and gets no p.',
    kind: 'describes',
    halves: false,
    arms: [2, 2],
    places: ['before', 'after'],
    factors: null,
    firstDay: 1,
    block: null,
    seeks: null,
    lot: (_, days) =>
      fixed(
        2,
        Array.from({ length: days }, (__, i) => (i < Math.floor(days / 2) ? 0 : 1)),
      ),
    ...ONE_ARM_A_DAY,
    usual: () => 12,
    smallestP: () => 1,
  },
} as const satisfies Record<string, DesignRow>;
export type Design = KeyOf<typeof DESIGNS>;

/** A design's row, whichever it is. */
export const designOf = (design: Design): DesignRow => DESIGNS[design];

/** Most wash days a plan may hold. */
export const MOST_DAYS = 40;

const ARM_COUNTS = ['no', 'one option', 'two options', 'three options', 'four options'];

/**
 * How a design's order is drawn. Throws an {@link AllocationError} with a sentence where arms and days do not go together.
 */
export function schemeOf(design: Design, arms: number, days: number): AllocationScheme {
  const { label, arms: range, lot } = designOf(design);
  const [least, most] = range;
  if (arms < least || arms > most)
    throw new AllocationError(
      least === most
        ? `The design “${label}” has ${ARM_COUNTS[least]}.`
        : `The design “${label}” has ${least} to ${most} options.`,
    );
  if (!Number.isInteger(days) || days < 2 || days > MOST_DAYS)
    throw new AllocationError(`Plan from 2 to ${MOST_DAYS} wash days.`);
  return lot(arms, days);
}

/** The sentence against so many arms and wash days in a design, or null when its lot can be drawn. */
export function designProblem(design: Design, arms: number, days: number): string | null {
  try {
    schemeOf(design, arms, days);
    return null;
  } catch (error) {
    if (error instanceof AllocationError) return error.message;
    throw error;
  }
}

/** Numbers of wash days a design goes with, up to {@link MOST_DAYS}, fewest first. */
export function daysOffered(design: Design, arms: number): number[] {
  const days = Array.from({ length: MOST_DAYS - 1 }, (_, i) => i + 2);
  return days.filter((n) => designProblem(design, arms, n) === null);
}

/** The number of wash days to begin with. */
export function usualDays(design: Design, arms: number): number {
  const least = designOf(design).usual(arms);
  return daysOffered(design, arms).find((n) => n >= least) ?? least;
}

/** Whether a design sets arms beside each other. */
export const isCompared = (design: Design): boolean => designOf(design).kind !== 'learns';

/** Whether a design has a random order to test on; the others describe or learn. */
export const isTested = (design: Design): boolean => designOf(design).kind === 'tests';

/** Arms on the left and right half of a wash day with this code; the same arm twice for a whole head. */
export const armsOfCode = (design: Design, code: number): { left: number; right: number } =>
  designOf(design).sides(code);

/** The code of a wash day with these arms on its halves. */
export const codeOfArms = (design: Design, left: number, right: number): number =>
  designOf(design).codeOf(left, right);

/** Arms (0 or 1) of which one alone acts: the last; where two factors are crossed, the first factor's second level. */
export const oneActs = (design: Design, arms: number): number[] =>
  Array.from({ length: arms }, (_, arm) => designOf(design).factors?.[0][arm] ?? Number(arm === arms - 1));
