import type { Effort } from '../basin/effort.ts';
import { shrinkage } from '../hair/shrinkage.ts';
import { dayNumber, missingZones } from '../outcomes/day-number.ts';
import type { EventKind, WearEnd } from '../outcomes/events.ts';
import type { DayValue } from '../outcomes/good-days.ts';
import type { HoldTooLow } from '../outcomes/hold-test.ts';
import type { Stage } from '../outcomes/stages.ts';
import type { WashCost } from '../shelf/wash-cost.ts';
import type { FeltReading } from './felt-by-arm.ts';
import type { MainResult } from './main-result.ts';

/** One rated value at a check-in; a reading in words that is the main result stands beside the ratings. */
export interface Rating {
  outcome: MainResult;
  zoneId: string | null;
  value: number;
}

export interface CurlLength {
  curlId: string;
  restingMm: number;
  stretchedMm: number;
}

export interface CheckInRecord {
  stage: Stage;
  day: number | null;
  ratings: readonly Rating[];
  curls: readonly CurlLength[];
}

/** One finished wash day of a trial, or one half of it in a half-head design, with the wear that followed. */
export interface WashDayRecord {
  position: number;
  arm: number;
  /** The half it is, whose zones alone count; null for a whole head. */
  half: 'left' | 'right' | null;
  /** Check-ins that are judged, one a day worn. */
  checkIns: readonly CheckInRecord[];
  /** Those of days worn that longevity is read from, where a spoiled other half takes more out of the judging. */
  worn: readonly CheckInRecord[];
  felt: readonly FeltReading[];
  /** Effort and patience of a whole head's wash day. */
  effort: Readonly<Partial<Record<Effort, number>>>;
  /** Days on which something was done to it, or nothing was needed, by kind. */
  upkeep: Readonly<Partial<Record<EventKind, number>>>;
  holdTooLow: readonly HoldTooLow[];
  /** The day worn from which it is not judged, and what spoiled it; null where nothing did. */
  spoiled: { fromDay: number; kind: EventKind } | null;
  wearEnd: WearEnd | null;
  /** Day of wear on which it ended, 1 is the reveal's own date; null while it is worn. */
  wearEndDay: number | null;
  /** Minutes of a whole head's wash day by its steps' clocks: of drying, and of all that hands did; null where no clock went. */
  minutes: { dry: number | null; handsOn: number | null };
  /** Hairs shed on a whole head's wash day; null where nobody counted. */
  shed: number | null;
  cost: WashCost;
  testedCost: WashCost;
}

/** An outcome over the days of wear of one wash day, one number a day (zones collapsed by weight). */
export function outcomeByDay(
  { checkIns }: Pick<WashDayRecord, 'checkIns'>,
  outcome: MainResult,
  weights: ReadonlyMap<string, number>,
): DayValue[] {
  return checkIns
    .flatMap(({ stage, day, ratings }) => {
      if (stage !== 'wear' || day === null) return [];
      const value = dayNumber(
        ratings.filter((rating) => rating.outcome === outcome),
        weights,
      );
      return value === null ? [] : [{ day, value }];
    })
    .sort((a, b) => a.day - b.day);
}

/** An outcome's ratings on one day of wear. */
export const ratingsOn = (washDay: WashDayRecord, outcome: MainResult, onDay: number): readonly Rating[] =>
  washDay.checkIns
    .filter(({ stage, day }) => stage === 'wear' && day === onDay)
    .flatMap(({ ratings }) => ratings.filter((rating) => rating.outcome === outcome));

/** Promised zones left unrated on the day that is compared, for one outcome; all of them where there was no look. */
export function unratedZones(
  washDay: WashDayRecord,
  outcome: MainResult,
  weights: ReadonlyMap<string, number>,
  onDay: number,
): string[] {
  return missingZones(ratingsOn(washDay, outcome, onDay), weights);
}

/** Mean shrinkage (0…1) over the tagged curls by day of wear of one wash day. */
export function shrinkageByDay(washDay: WashDayRecord): DayValue[] {
  return washDay.checkIns
    .flatMap(({ stage, day, curls }) => {
      if (stage !== 'wear' || day === null || curls.length === 0) return [];
      const shares = curls.map((curl) => shrinkage(curl.stretchedMm, curl.restingMm));
      return [{ day, value: shares.reduce((a, b) => a + b, 0) / shares.length }];
    })
    .sort((a, b) => a.day - b.day);
}
