import { DAY_MS } from '@sabor/core/time/day';
import { localToday } from '@sabor/core/time/today';
import { type KeyOf, keysOf, type Vocabulary } from '@sabor/core/vocabulary';
import * as v from 'valibot';

/** Client-made id (UUID; version 7 where Sabor makes it). */
export const id = v.pipe(
  v.string('This is not an id Sabor knows.'),
  v.uuid('This is not an id Sabor knows.'),
);

/** A name that must be there. `what` begins its sentence: "A product". */
export const name = (what: string) =>
  v.pipe(
    v.string(`${what} needs a name.`),
    v.trim(),
    v.nonEmpty(`${what} needs a name.`),
    v.maxLength(120, 'Keep the name under 120 characters.'),
  );

export const note = v.pipe(
  v.string('A note is text.'),
  v.maxLength(4000, 'Keep the note under 4,000 characters.'),
);

/** A number with a sentence for every way it can be wrong. */
export const number = (what: string, lowest: number, highest: number) =>
  v.pipe(
    v.number(`${what} must be a number.`),
    v.finite(`${what} must be a number.`),
    v.minValue(lowest, `${what} cannot be under ${lowest}.`),
    // Said only when it is needed: telling a number by a language's rules is slow, and there are a hundred of these.
    v.maxValue(highest, () => `${what} cannot be over ${highest.toLocaleString('en')}.`),
  );

function knownTimeZone(zone: string): boolean {
  try {
    Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** An IANA time zone. */
export const timeZone = v.pipe(
  v.string('Give a time zone, such as Europe/Paris.'),
  v.check(knownTimeZone, 'Sabor does not know this time zone.'),
);

/** A number that must be more than nothing. */
export const positive = (what: string, highest: number) =>
  v.pipe(number(what, 0, highest), v.gtValue(0, `${what} must be more than 0.`));

export const whole = (what: string, lowest: number, highest: number) =>
  v.pipe(number(what, lowest, highest), v.integer(`${what} must be a whole number.`));

/** A key of a vocabulary. */
export const oneOf = <V extends Vocabulary>(vocabulary: V, what: string) =>
  v.picklist(keysOf(vocabulary) as [KeyOf<V>, ...KeyOf<V>[]], `Choose ${what} from the list.`);

/** Years that a date or moment may lie in. */
const YEARS = { first: 1900, last: 2199 };

function isDate(text: string): boolean {
  if (!(Number(text.slice(0, 4)) >= YEARS.first)) return false;
  const parsed = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(parsed.getTime()) && parsed.toISOString().startsWith(text);
}

export const date = v.pipe(
  v.string('Give a date.'),
  v.regex(/^\d{4}-\d{2}-\d{2}$/, 'Give a date as year, month and day.'),
  v.check(isDate, 'There is no such day.'),
  v.check((text) => !(Number(text.slice(0, 4)) > YEARS.last), 'This date is too far ahead. Check the year.'),
);

/** A date that has come: today at the latest. */
export const pastDate = v.pipe(
  date,
  v.check((text) => text <= localToday(), 'This date is in the future. Give today or earlier.'),
);

/** A date that has come, or an appointment within a year and a bit. */
export const nearDate = v.pipe(
  date,
  v.check(
    (text) => text <= localToday(new Date(Date.now() + 400 * DAY_MS)),
    'This date is more than a year ahead. Check the year.',
  ),
);

/** Date, time, an offset of fourteen hours at most. Source: RFC 3339, 5.6; widest offset in force: UTC+14 (tz database). */
const MOMENT =
  /^\d{4}-\d\d-\d\dT([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-](0\d|1[0-3]):[0-5]\d|[+-]14:00)$/;

/** A moment with its offset, ISO 8601. */
export const moment = v.pipe(
  v.string('Give a time.'),
  v.check((text) => MOMENT.test(text) && isDate(text.slice(0, 10)), 'Give a date and time.'),
  v.check(
    (text) => !(Number(text.slice(0, 4)) > YEARS.last),
    'This time is in the future. Give now or earlier.',
  ),
);

/** Lists in which nothing may stand twice, told apart by `key`. */
export const eachOnce = <T>(key: (item: T) => unknown, message: string) =>
  v.check<T[], string>((items) => new Set(items.map(key)).size === items.length, message);

/** A moment that has come, allowing two minutes for clocks that differ. */
export const pastMoment = v.pipe(
  moment,
  v.check(
    // What is no moment has its own sentence.
    (text) => !(Date.parse(text) > Date.now() + 120_000),
    'This time is in the future. Give now or earlier.',
  ),
);

/** What a schema of input makes of its fields once stored: nothing is left out any more. */
type Stored<E> = { [K in keyof E]: E[K] extends v.OptionalSchema<infer S, infer _> ? S : E[K] };

/** The fields of an input as answers carry them: what could be left out when it was sent is there. */
export const asStored = <E extends v.ObjectEntries>(entries: E) =>
  Object.fromEntries(
    Object.entries(entries).map(([key, schema]) => [
      key,
      schema.type === 'optional' ? (schema as v.OptionalSchema<v.GenericSchema, undefined>).wrapped : schema,
    ]),
  ) as Stored<E>;

/** What every record of its own carries beside what was entered. */
export const kept = { archivedAt: v.nullable(v.string()), version: v.number() };
