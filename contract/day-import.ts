import { OUTCOMES, RATING_RANGE } from '@sabor/core/outcomes/outcomes';
import { DAY_COLUMNS, type DayColumn } from '@sabor/core/spreadsheet/columns';
import { DATE_ORDERS } from '@sabor/core/time/read-moment';
import * as v from 'valibot';
import { eachOnce, id, name, note, number, oneOf, pastMoment, whole } from './fields.ts';
import { StepInput } from './routine.ts';
import { WashDayChange } from './wash-day.ts';

/** Days of one file that go up in one request. */
export const DAYS_AT_ONCE = 400;
/** Widest file that is read. */
const MOST_COLUMNS = 200;

const { id: _own, ...step } = StepInput.entries;
const { temperatureC, humidity, shedHairs } = WashDayChange.entries;

/** A wash day that is past, worn and told by one row of a file. */
export const PastDay = v.pipe(
  v.object({
    line: whole('The line', 1, 10_000_000),
    wearerId: id,
    name: name('A wash day'),
    startedAt: pastMoment,
    finishedAt: pastMoment,
    steps: v.pipe(
      v.array(v.object(step)),
      v.minLength(1, 'A wash day has one step at least.'),
      v.maxLength(60, 'Sixty steps are the most a wash day can hold.'),
    ),
    temperatureC: temperatureC.wrapped,
    humidity: humidity.wrapped,
    shedHairs: shedHairs.wrapped,
    /** Of the whole head, on day 1. */
    ratings: v.pipe(
      v.array(
        v.object({
          outcome: oneOf(OUTCOMES, 'an outcome'),
          value: number('A rating', RATING_RANGE.lowest, RATING_RANGE.highest),
        }),
      ),
      eachOnce(({ outcome }) => outcome, 'Rate each outcome once.'),
    ),
    /** When its wear ended, and whether because it looked done; null where the file does not say. */
    ended: v.nullable(v.object({ at: pastMoment, looked: v.boolean('Say whether it looked done.') })),
    note,
  }),
  v.forward(
    v.partialCheck(
      [['startedAt'], ['finishedAt']],
      ({ startedAt, finishedAt }) => Date.parse(finishedAt) >= Date.parse(startedAt),
      'The hair cannot be finished before the wash began.',
    ),
    ['finishedAt'],
  ),
);
export type PastDay = v.InferOutput<typeof PastDay>;

/** How a file's columns were read; kept for the next file with the same headings. */
export const KeptReading = v.object({
  columns: v.pipe(
    v.array(v.nullable(oneOf(DAY_COLUMNS as Record<DayColumn, { label: string }>, 'what a column holds'))),
    v.maxLength(MOST_COLUMNS, 'Two hundred columns are the most that is read.'),
  ),
  order: v.nullable(oneOf(DATE_ORDERS, 'which comes first')),
  headId: v.nullable(id),
  routineId: v.nullable(id),
  timeOfDay: v.pipe(v.string(), v.regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Give the time of day as 18:00.')),
  finishedAfterHours: number('The hours to the finished hair', 0, 72),
  scale: v.object({
    from: number('The low end', -1000, 1000),
    to: number('The high end', -1000, 1000),
  }),
  only: v.pipe(v.string(), v.maxLength(120, 'Keep the word under 120 characters.')),
  meant: v.record(v.pipe(v.string(), v.maxLength(500, 'Keep a name under 500 characters.')), id),
});
export type KeptReading = v.InferOutput<typeof KeptReading>;

const headings = v.pipe(
  v.array(v.pipe(v.string(), v.maxLength(500, 'Keep a heading under 500 characters.'))),
  v.maxLength(MOST_COLUMNS, 'Two hundred columns are the most that is read.'),
);
const fileName = v.pipe(
  v.string(),
  v.nonEmpty('A file has a name.'),
  v.maxLength(255, 'Keep the file’s name under 255 characters.'),
);

/** Some of a file's wash days. `id` is the file's own, the same for all its parts. */
export const DaysInput = v.object({
  id,
  fileName,
  headings,
  reading: KeptReading,
  days: v.pipe(
    v.array(PastDay),
    v.minLength(1, 'Send one wash day at least.'),
    v.maxLength(DAYS_AT_ONCE, `Send ${DAYS_AT_ONCE} wash days at once at most.`),
  ),
});
export type DaysInput = v.InferInput<typeof DaysInput>;

/** What came of some of a file's wash days. */
export const DaysStored = v.strictObject({
  stored: v.number(),
  /** Wash days of that head that begin within an hour: there already, and left as they are. */
  known: v.number(),
  refused: v.array(v.strictObject({ line: v.number(), reason: v.string() })),
});
export type DaysStored = v.InferOutput<typeof DaysStored>;

/** A file that wash days came from. */
export const DayImport = v.strictObject({
  id,
  fileName: v.string(),
  headings: v.array(v.string()),
  reading: KeptReading,
  at: v.string(),
  takenBackAt: v.nullable(v.string()),
  /** Wash days of it that are there. */
  days: v.number(),
});
export type DayImport = v.InferOutput<typeof DayImport>;

/** What taking a file back did. `kept`: days that more was told of since, which stay. */
export const TakenBack = v.strictObject({ removed: v.number(), kept: v.number() });
export type TakenBack = v.InferOutput<typeof TakenBack>;
