import { cutIn, mostlyCut } from '../compare/wear.ts';
import { restrictedMean, turnbull } from '../inference/turnbull.ts';
import { mean } from '../middle.ts';
import type { Outcome } from '../outcomes/outcomes.ts';
import { type BoardDay, endsOf } from './read.ts';

/** By what all of a head's wash days can be gathered, beside the products. */
export const WAY_KINDS = {
  technique: { label: 'How the hold was put in' },
  drying: { label: 'How it was dried' },
  style: { label: 'Which style was meant' },
  night: { label: 'What it slept in' },
} as const;
export type WayKind = keyof typeof WAY_KINDS;

/** A worn wash day, or one half of it, of a trial or by itself, with how it was done. */
export interface WornDay
  extends Pick<BoardDay, 'washDayId' | 'half' | 'on' | 'dewPointC' | 'rated' | 'worn' | 'washedOn' | 'over'> {
  /** Days of wear that were planned. */
  wearDays: number;
  ways: Readonly<Record<WayKind, string | null>>;
}

/** What a head's wash days of one way came to: not a trial. */
export interface ByWay {
  way: string;
  washDays: number;
  /** Mean of the outcome on the day it is read on, and from how many wash days. */
  value: number | null;
  read: number;
  /** Dew points of those days with an air: the least, mean and most, in °C. */
  air: { low: number; mean: number; high: number } | null;
  /** Each day's number against its dew point. */
  dots: { dewPointC: number; value: number }[];
  /** Wears cut short while still good. */
  cut: number;
  /** Mean good days and what the check-ins leave open; null where over half of the wears were cut short. */
  lasting: { low: number; middle: number; high: number } | null;
}

/**
 * All wash days of a head gathered by one way they were done, of trials and by themselves: who did what on which day was chosen
 * and not drawn, so this is a question and no answer. Good days are counted by `outcome` from `line`, to the fewest days that
 * any of these wears was planned for. Source: methods.md 6 and 9.
 */
export function byWay(
  days: readonly WornDay[],
  kind: WayKind,
  { outcome, onDay, line }: { outcome: Outcome; onDay: number; line: number },
): { upTo: number; ways: ByWay[] } {
  const own = days.flatMap((day) => {
    const way = day.ways[kind];
    return way === null ? [] : [{ ...day, way }];
  });
  const upTo = own.length === 0 ? 0 : Math.min(...own.map(({ wearDays }) => wearDays));
  const ways = [...new Set(own.map(({ way }) => way))].sort().map((way): ByWay => {
    const here = own.filter((day) => day.way === way);
    const numbers = here.flatMap(({ rated, dewPointC }) => {
      const value = rated[outcome]?.find(({ day }) => day === onDay)?.value;
      return value === undefined || Number.isNaN(value) ? [] : [{ value, dewPointC }];
    });
    const airs = numbers.flatMap(({ dewPointC }) => dewPointC ?? []);
    const ends = endsOf({ days: here }, outcome, line, upTo).flatMap((end) => end ?? []);
    return {
      way,
      washDays: new Set(here.map(({ washDayId }) => washDayId)).size,
      value: mean(numbers.map(({ value }) => value)),
      read: numbers.length,
      air: airs.length === 0 ? null : { low: Math.min(...airs), mean: mean(airs)!, high: Math.max(...airs) },
      dots: numbers.flatMap(({ value, dewPointC }) => (dewPointC === null ? [] : [{ value, dewPointC }])),
      cut: cutIn(ends, upTo),
      lasting: ends.length === 0 || mostlyCut(ends, upTo) ? null : restrictedMean(turnbull(ends), upTo),
    };
  });
  return { upTo, ways: ways.toSorted((a, b) => b.washDays - a.washDays) };
}
