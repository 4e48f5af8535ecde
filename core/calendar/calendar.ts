import type { CareStatus } from '../hair/care.ts';
import { plusDays } from '../time/dates.ts';
import type { KeyOf } from '../vocabulary.ts';

/** What stands on a calendar. */
export const CALENDAR_KINDS = {
  'wash-day': { label: 'wash day' },
  'check-in': { label: 'check-in' },
  care: { label: 'care' },
  appointment: { label: 'appointment' },
  announced: { label: 'announced' },
  bottle: { label: 'bottle' },
  retest: { label: 'to be run again' },
} as const;
export type CalendarKind = KeyOf<typeof CALENDAR_KINDS>;

/** How an entry stands today. */
export const CALENDAR_STATES = {
  done: { label: 'done' },
  due: { label: 'due' },
  missed: { label: 'missed' },
  ahead: { label: 'ahead' },
} as const;
export type CalendarState = KeyOf<typeof CALENDAR_STATES>;

/** One entry of a day. `id` stays the same when its date moves. Dates are local to its wearer, yyyy-mm-dd. */
export interface Entry {
  id: string;
  on: string;
  kind: CalendarKind;
  state: CalendarState;
  /** Whose, or what it is of. */
  of: string;
  /** What it is: the trial's question, a care kind's key, an event's key, a product's name. */
  what: string;
  /** Number of the wash day in its trial, or day worn of a check-in. */
  n: number | null;
  /** Where in Sabor it is seen to. */
  path: string;
}

export interface DayFacts {
  id: string;
  wearerName: string;
  /** Question of its trial, or its own name. */
  name: string;
  on: string;
  status: 'under way' | 'worn' | 'finished' | 'abandoned';
  /** The date of the finished hair, where it is known, and of the wear's end. */
  revealOn: string | null;
  endedOn: string | null;
  wearDays: number;
  /** Days worn that were looked at. */
  seen: readonly number[];
}

export interface TrialFacts {
  id: string;
  wearerName: string;
  question: string;
  washDays: number;
  washDaysDone: number;
  /** Days from wash to wash, and the date of the last one; null before the first. */
  every: number;
  lastOn: string | null;
}

const stateOf = (on: string, today: string): CalendarState =>
  on < today ? 'missed' : on === today ? 'due' : 'ahead';

/** A wash day, and the check-ins its wear asks for: a missed one is offered, not hidden; none after the wear ended. */
export function entriesOfDay(day: DayFacts, today: string): Entry[] {
  if (day.status === 'abandoned') return [];
  const of = day.wearerName;
  const path = `/wash-days/${day.id}`;
  const wash: Entry = {
    id: `wash-day-${day.id}`,
    on: day.on,
    kind: 'wash-day',
    state: day.status === 'under way' ? 'due' : 'done',
    of,
    what: day.name,
    n: null,
    path,
  };
  if (day.revealOn === null) return [wash];
  const { revealOn } = day;
  const looks = Array.from({ length: day.wearDays }, (_, i) => i + 1).flatMap((n): Entry[] => {
    const on = plusDays(revealOn, n - 1);
    const done = day.seen.includes(n);
    if (!done && day.endedOn !== null && on >= day.endedOn) return [];
    // What was missed of a wear that is over is past offering.
    if (!done && day.status === 'finished') return [];
    return [
      {
        id: `check-in-${day.id}-${n}`,
        on,
        kind: 'check-in',
        state: done ? 'done' : stateOf(on, today),
        of,
        what: day.name,
        n,
        path: `${path}/look/day-${n}`,
      },
    ];
  });
  return [wash, ...looks];
}

/** The wash days a trial under way still has, one every so many days from its last, none before today. */
export function entriesAhead(trial: TrialFacts, today: string): Entry[] {
  if (trial.lastOn === null) return [];
  const left = trial.washDays - trial.washDaysDone;
  let on = trial.lastOn;
  return Array.from({ length: Math.max(0, left) }, (_, i): Entry => {
    on = plusDays(on, Math.max(1, trial.every));
    if (on < today) on = today;
    return {
      id: `planned-${trial.id}-${trial.washDaysDone + i + 1}`,
      on,
      kind: 'wash-day',
      state: on === today ? 'due' : 'ahead',
      of: trial.wearerName,
      what: trial.question,
      n: trial.washDaysDone + i + 1,
      path: `/trials/${trial.id}`,
    };
  });
}

/** Care of a head on the day it is due; what is overdue stands on today. The wash itself is left to wash days. */
export const entriesOfCare = (
  wearer: { id: string; name: string },
  status: readonly CareStatus[],
  today: string,
): Entry[] =>
  status.flatMap(({ kind, dueOn, last }) =>
    kind === 'wash' || dueOn === null
      ? []
      : [
          {
            id: `care-${wearer.id}-${kind}-${last ?? 'never'}`,
            on: dueOn < today ? today : dueOn,
            kind: 'care' as const,
            state: dueOn < today ? ('missed' as const) : stateOf(dueOn, today),
            of: wearer.name,
            what: kind,
            n: null,
            path: `/heads/${wearer.id}?part=care`,
          },
        ],
  );
