import { CALENDAR_KINDS, CALENDAR_STATES } from '@sabor/core/calendar/calendar';
import * as v from 'valibot';
import { date, oneOf, whole } from './fields.ts';

/** Most days that are asked for at once. */
export const CALENDAR_DAYS = 400;

/** From one day to another, both included. */
export const CalendarSpan = v.pipe(
  v.object({ from: date, to: date }),
  v.forward(
    v.partialCheck([['from'], ['to']], ({ from, to }) => to >= from, 'The last day comes after the first.'),
    ['to'],
  ),
  v.forward(
    v.partialCheck(
      [['from'], ['to']],
      ({ from, to }) => (Date.parse(to) - Date.parse(from)) / 86_400_000 <= CALENDAR_DAYS,
      'A calendar shows 400 days at most. Ask for a shorter time.',
    ),
    ['to'],
  ),
);

/** The hour of the day's reminder in a calendar that is subscribed to; none where left out. */
export const CalendarFile = v.object({ remind: v.optional(whole('The hour', 0, 23)) });

/** The day an entry is moved to; null takes a trial's next wash day back to where its days from wash to wash put it. */
export const MoveInput = v.object({ on: v.nullable(date) });
export type MoveInput = v.InferInput<typeof MoveInput>;

/** Where an entry was before, to take it back, and where a wash day now is another gap than planned, which. */
export const Moved = v.strictObject({
  was: v.nullable(date),
  apart: v.nullable(v.strictObject({ days: v.number(), planned: v.number() })),
});
export type Moved = v.InferOutput<typeof Moved>;

export const CalendarEntry = v.strictObject({
  id: v.string(),
  on: date,
  kind: oneOf(CALENDAR_KINDS, 'a kind'),
  state: oneOf(CALENDAR_STATES, 'a state'),
  of: v.string(),
  what: v.string(),
  n: v.nullable(v.number()),
  path: v.string(),
  moves: v.boolean(),
});
export type CalendarEntry = v.InferOutput<typeof CalendarEntry>;
