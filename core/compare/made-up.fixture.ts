import { armsOfCode, DESIGNS, type Design } from '../trial/designs.ts';
import type { TrialPromise, TrialRecord } from './trial-record.ts';
import type { WashDayRecord } from './wash-day-record.ts';

const price = (usual: number) => ({ cost: { low: usual, usual, high: usual }, currency: 'EUR', gaps: [] });

/** A worn wash day, or half of one, with the same number in one zone on each followed day of wear. */
export function wornDay(
  position: number,
  arm: number,
  half: WashDayRecord['half'],
  days: readonly (number | null)[],
  to: Partial<WashDayRecord> = {},
): WashDayRecord {
  const checkIns = days.flatMap((value, i) =>
    value === null
      ? []
      : {
          stage: 'wear' as const,
          day: i + 1,
          ratings: [{ outcome: 'definition' as const, zoneId: half ?? 'crown', value }],
          curls: [],
        },
  );
  return {
    position,
    arm,
    half,
    checkIns,
    worn: checkIns,
    felt: [],
    effort: {},
    upkeep: {},
    holdTooLow: [],
    spoiled: null,
    wearEnd: 'washed-schedule',
    wearEndDay: null,
    minutes: { dry: null, handsOn: null },
    shed: null,
    cost: price(2),
    testedCost: price(1),
    ...to,
  };
}

/**
 * A made-up trial: `numbers` has a day-1 number for each wash day, or left and right of it; null is a side without one.
 * The sides' zones are called after them, the head's is the crown.
 */
export function madeUpTrial(
  design: Design,
  codes: readonly number[],
  numbers: readonly (number | null | readonly [number | null, number | null])[],
  promise: Partial<TrialPromise> = {},
  to: Partial<TrialRecord> = {},
): TrialRecord {
  const { halves } = DESIGNS[design];
  const arms = ['Anvil', 'Kelp', 'Quay', 'Dune', 'Fern', 'Moss'].slice(
    0,
    Math.max(DESIGNS[design].arms[0], ...(halves ? [] : codes.map((code) => code + 1))),
  );
  return {
    promise: {
      design,
      arms,
      plannedWashDays: codes.length,
      primary: 'definition',
      onDay: 1,
      wearDays: 5,
      line: 6,
      matters: 1,
      alpha: 0.05,
      weights: new Map((halves ? ['left', 'right'] : ['crown']).map((zone) => [zone, 1])),
      sides: new Map(halves ? [['left', 'left'] as const, ['right', 'right'] as const] : []),
      looks: 1,
      ...promise,
    },
    allocation: codes,
    ended: 'as planned',
    washDays: numbers.flatMap((value, position) => {
      const { left, right } = armsOfCode(design, codes[position]!);
      return Array.isArray(value)
        ? [wornDay(position, left, 'left', [value[0]]), wornDay(position, right, 'right', [value[1]])]
        : [wornDay(position, left, null, [value as number | null])];
    }),
    changed: [],
    abandoned: [],
    leftOut: [],
    openedEarly: false,
    ...to,
  };
}
