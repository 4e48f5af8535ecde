import { plusDays } from '../time/dates.ts';
import type { CareStatus } from './care.ts';
import type { CareKind } from './care-kinds.ts';
import type { HairEventKind } from './history.ts';

/**
 * What an event does to a trial: `during` when it falls among its wash days, `settles` the days after it in which hair
 * is not yet itself. Common practice, no source, but for colour: what a rinse shows says little in the first washes
 * after colouring (trade.md). `plain`: falls into any trial without harm.
 */
export const EVENT_RULES: Partial<
  Record<HairEventKind, { settles: number; during: 'breaks' | 'weakens'; says: string }>
> = {
  bleach: {
    settles: 28,
    during: 'breaks',
    says: 'changes porosity for good: the hair before and after is not one hair',
  },
  relaxer: {
    settles: 28,
    during: 'breaks',
    says: 'changes the curl for good: the hair before and after is not one hair',
  },
  colour: {
    settles: 14,
    during: 'breaks',
    says: 'lifts porosity, and colour in the rinse water proves little at first',
  },
  heat: { settles: 10, during: 'breaks', says: 'straightened curls need a few washes to revert' },
  'blow-out': {
    settles: 10,
    during: 'breaks',
    says: 'silicones and heat: clarify, and let the curls revert',
  },
  'big-cut': { settles: 0, during: 'breaks', says: 'takes the tagged curls and their lengths with it' },
  trim: { settles: 0, during: 'weakens', says: 'shortens the tagged curls: measure them again' },
  'braids-in': { settles: 0, during: 'breaks', says: 'braided hair cannot run a wash day' },
  'braids-out': { settles: 7, during: 'weakens', says: 'wash, clarify and let the roots settle' },
  'protein-intense': { settles: 7, during: 'weakens', says: 'stiffens the hair for a while' },
  bond: { settles: 7, during: 'weakens', says: 'builds up until it is clarified' },
  swim: { settles: 2, during: 'weakens', says: 'salt or chlorine dries the lengths' },
  'tight-style': {
    settles: 3,
    during: 'weakens',
    says: 'pulls at the roots and leaves its bend in the lengths',
  },
  show: {
    settles: 0,
    during: 'weakens',
    says: 'the hair may be styled for it: wash so that it falls on a day worn as planned, or end the wear before it',
  },
  health: { settles: 30, during: 'weakens', says: 'illness and hormones change shedding and feel' },
};

/** Care that changes the hair enough to be planned around a trial, and what to do about it. */
const CARE_RULES: Partial<Record<CareKind, string>> = {
  trim: 'have it before the first wash day, or put it off until the last',
  'protein-intense': 'have it a week before the first wash day, or put it off until the last',
};

/** What a trial would meet: an event on its day, or care on the day it is due; `says`: what that does, or what to do. */
export type Collision = { on: string; severity: 'breaks' | 'weakens'; says: string } & (
  | {
      /** An event before the trial has settled from `settled` (yyyy-mm-dd) on; null where it falls into the trial. */
      event: HairEventKind;
      settled: string | null;
    }
  | { due: CareKind }
);

/** The dates a trial would take from `from`: one wash day after the other, each worn to its last day. */
export function trialSpan(from: string, washDays: number, wearDays: number): { from: string; to: string } {
  return { from, to: plusDays(from, washDays * wearDays) };
}

/**
 * What a trial over these dates (yyyy-mm-dd, inclusive) would collide with: hair that has not settled, appointments
 * among its wash days, care that falls due. Worst first, then by date.
 */
export function collisions(
  span: { from: string; to: string },
  events: readonly { kind: HairEventKind; on: string }[],
  care: readonly Pick<CareStatus, 'kind' | 'dueOn'>[],
): Collision[] {
  const found = events.flatMap(({ kind, on }): Collision[] => {
    const rule = EVENT_RULES[kind];
    if (!rule) return [];
    const settled = plusDays(on, rule.settles);
    if (on < span.from)
      return settled > span.from ? [{ on, severity: 'weakens', event: kind, settled, says: rule.says }] : [];
    return on <= span.to ? [{ on, severity: rule.during, event: kind, settled: null, says: rule.says }] : [];
  });
  const due = care.flatMap(({ kind, dueOn }): Collision[] => {
    const advice = CARE_RULES[kind];
    if (!advice || dueOn === null || dueOn > span.to) return [];
    return [{ on: dueOn, severity: 'weakens', due: kind, says: advice }];
  });
  return [...found, ...due].sort(
    (a, b) => Number(b.severity === 'breaks') - Number(a.severity === 'breaks') || a.on.localeCompare(b.on),
  );
}
