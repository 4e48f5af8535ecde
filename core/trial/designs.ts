import type { KeyOf } from '../vocabulary.ts';
import { AllocationError, type AllocationScheme, balancedComplete } from './allocation.ts';
import { blocksOf } from './blocks.ts';
import { closedWalk, walkLength } from './closed-walk.ts';

/**
 * The designs of a trial on one head: what each is good for, what it costs and what it cannot do. `halves`: left and
 * right of one wash day are read for themselves, and can hold different arms. `arms`: how many. `rests`: what its test, if any, rests on.
 */
export const DESIGNS = {
  complete: {
    label: 'whole heads, complete',
    says: 'Every wash day one arm; each arm equally often, in any order.',
    good: 'Two arms and twelve wash days, eight at the least; the strongest for so few.',
    costs: 'One wash day a reading, weeks for twelve.',
    cannot: 'Keep a trend and the arms fully apart: one arm may fall early by luck.',
    halves: false,
    arms: [2, 6],
  },
  blocks: {
    label: 'whole heads, blocks of four',
    says: 'Every four wash days hold each arm twice, in any order.',
    good: 'Two arms over twelve wash days or more, while season or hair drifts.',
    costs: 'Twelve wash days before it decides at .05.',
    cannot: 'Settle anything with eight wash days: its smallest p is then .056.',
    halves: false,
    arms: [2, 2],
  },
  walk: {
    label: 'three to six arms, each after each',
    says: 'Every arm follows every other equally often.',
    good: 'Several arms on one head when one may leave something behind for the next.',
    costs: 'Thirteen wash days for three or four arms, more for five and six.',
    cannot: 'Give a narrow interval for any one pair: each arm has few wash days.',
    halves: false,
    arms: [3, 6],
  },
  half: {
    label: 'half-head, sides balanced',
    says: 'Both arms on one wash day, left and right; each arm on each side equally often.',
    good: 'Two stylers in the same air, sleep and hair state; side bias cancels.',
    costs: 'Two routines in one, and a head that may look uneven.',
    cannot: 'Test what does not stay on its side: cleansers, scalp, overall volume.',
    halves: true,
    arms: [2, 2],
  },
  'half-three': {
    label: 'half-head, three arms',
    says: 'Two of three arms on each wash day: all six ways of left and right, shuffled.',
    good: 'Three stylers against each other within single wash days.',
    costs: 'Six wash days a round; each pair meets only twice in a round.',
    cannot: 'Give a narrow interval for any one pair: each pair meets on few wash days.',
    halves: true,
    arms: [3, 3],
  },
  factorial: {
    label: 'two factors at once',
    says: 'Four arms: each of two settings with each of two others.',
    good: 'Product and dose (or wetness, order) together, and whether one hangs on the other.',
    costs: 'Twelve wash days: eight cannot settle it. All of them count for both factors.',
    cannot: 'Say much about the two together unless the difference is large.',
    halves: false,
    arms: [4, 4],
  },
  refresh: {
    label: 'refresh, one side',
    says: 'The same wash day all over; from day 2 one side is refreshed and the other left, sides drawn.',
    good: 'Whether a refresh earns its time, and what it does to the days after.',
    costs: 'Nothing more than a half-head: readings start on day 2.',
    cannot: 'Say anything of the wash-day product.',
    halves: true,
    arms: [2, 2],
  },
  'halves-same': {
    label: 'both halves the same',
    says: 'One routine on both sides, each side rated for itself.',
    good: 'Learning how far left and right differ by themselves, before a half-head trial.',
    costs: 'Four to six wash days that test no product.',
    cannot: 'Tell how one wash day differs from the next; it teaches half-head noise only.',
    halves: true,
    arms: [1, 1],
  },
  'repeat-same': {
    label: 'the same wash day, again',
    says: 'One routine, several wash days, nothing changed.',
    good: 'Learning how much wash days differ by themselves: what any trial must beat.',
    costs: 'Four to six wash days that test no product.',
    cannot: 'Compare anything.',
    halves: false,
    arms: [1, 1],
  },
  'dose-run-in': {
    label: 'dose run-in',
    says: 'One product; after each wash day say too little, right or too much, and the next dose follows.',
    good: 'Finding a product’s dose on this head before it is judged.',
    costs: 'Three to six wash days.',
    cannot: 'Compare products: the dose changes on purpose.',
    halves: false,
    arms: [1, 1],
  },
  'before-after': {
    label: 'before and after',
    says: 'Baseline wash days first, then the change.',
    good: 'When nothing can be put back: a cut, a colour, a water filter.',
    costs: 'As many baseline days as days after.',
    cannot: 'Settle anything. Season, hair and expectation change as well; it describes only and gets no p.',
    halves: false,
    arms: [2, 2],
  },
} as const satisfies Record<
  string,
  {
    label: string;
    says: string;
    good: string;
    costs: string;
    cannot: string;
    halves: boolean;
    arms: readonly [number, number];
  }
>;
export type Design = KeyOf<typeof DESIGNS>;

/** The six ways of two of three arms on left and right, in the order of their codes. */
export const HALF_PAIRS: readonly (readonly [number, number])[] = [
  [0, 1],
  [1, 0],
  [1, 2],
  [2, 1],
  [2, 0],
  [0, 2],
];

/** Most wash days a plan may hold. */
export const MOST_DAYS = 40;

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
      `A three-arm half-head goes in rounds of six wash days. Plan ${lower} or ${lower + 6}.`,
    );
  }
  return balancedComplete(6, units);
}

/**
 * How a design's lot is drawn: a sequence with one code a wash day. The code is the arm; in half-heads of two arms the
 * arm on the left (the other is on the right), of three arms the place in {@link HALF_PAIRS}.
 * Throws an {@link AllocationError} with a sentence where arms and days do not go together.
 */
export function schemeOf(design: Design, arms: number, days: number): AllocationScheme {
  const { label, arms: range } = DESIGNS[design];
  const [least, most] = range;
  if (arms < least || arms > most)
    throw new AllocationError(
      least === most
        ? `The design “${label}” has ${['no', 'one arm', 'two arms', 'three arms', 'four arms'][least]}.`
        : `The design “${label}” has ${least} to ${most} arms.`,
    );
  if (!Number.isInteger(days) || days < 2 || days > MOST_DAYS)
    throw new AllocationError(`Plan from 2 to ${MOST_DAYS} wash days.`);
  switch (design) {
    case 'blocks':
      return blocksOf(4, days);
    case 'walk':
      return closedWalk(arms, days);
    case 'half-three':
      return halfThree(days);
    case 'half':
    case 'refresh':
    case 'complete':
    case 'factorial':
      return balancedComplete(arms, days);
    case 'halves-same':
    case 'repeat-same':
    case 'dose-run-in':
      return fixed(1, new Array<number>(days).fill(0));
    case 'before-after':
      return fixed(
        2,
        Array.from({ length: days }, (_, i) => (i < Math.floor(days / 2) ? 0 : 1)),
      );
  }
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

/** Fewest wash days a design begins with. Source: methods.md 3, defaults. */
function leastUsual(design: Design, arms: number): number {
  if (DESIGNS[design].arms[1] === 1) return 4;
  switch (design) {
    case 'walk':
      return walkLength(arms, arms === 3 ? 2 : 1);
    case 'half':
    case 'refresh':
      return 10;
    case 'complete':
      // From four arms on, three wash days each are needed before one arm apart from the others is found.
      return Math.max(12, 3 * arms);
    default:
      return 12;
  }
}

/** The number of wash days to begin with. */
export function usualDays(design: Design, arms: number): number {
  const least = leastUsual(design, arms);
  return daysOffered(design, arms).find((n) => n >= least) ?? least;
}

/** Whether a design can ever decide; the others describe. */
export const isComparison = (design: Design): boolean => DESIGNS[design].arms[1] > 1;

/** Arms on the left and right half of a wash day with this code; the same arm twice for a whole head. */
export function armsOfCode(design: Design, code: number): { left: number; right: number } {
  if (design === 'half' || design === 'refresh') return { left: code, right: 1 - code };
  if (design === 'half-three') {
    const [left, right] = HALF_PAIRS[code]!;
    return { left, right };
  }
  return { left: code, right: code };
}

/** The code of a wash day with these arms on its halves. */
export function codeOfArms(design: Design, left: number, right: number): number {
  return design === 'half-three' ? HALF_PAIRS.findIndex(([l, r]) => l === left && r === right) : left;
}
