import { OUTCOMES, type Outcome, RATING_RANGE } from '../outcomes/outcomes.ts';
import type { Role } from '../shelf/products.ts';
import { SLOTS, type Slot } from '../step/slots.ts';
import { unguarded } from '../table/formula-guard.ts';
import { readNumber } from '../table/read-number.ts';
import { DAY_MS } from '../time/day.ts';
import { type DateOrder, readMoment } from '../time/read-moment.ts';
import { momentsOf } from '../time/zones.ts';
import { DAY_COLUMNS, type DayColumn, type DayColumns } from './columns.ts';
import { nameBook, plainName } from './names.ts';
import { type ProductOfDay, type StepOfDay, stepsWith } from './steps-with.ts';

/** What Sabor knows that a row can name. */
export interface KnownToRows {
  heads: readonly { id: string; name: string; timeZone: string }[];
  routines: readonly { id: string; name: string; steps: readonly StepOfDay[] }[];
  products: readonly { id: string; name: string; line: string | null; roles: readonly Role[] }[];
}

/** How a file is to be read, beside what stands in it. */
export interface DayReading {
  columns: DayColumns;
  /** Null leaves dates that could be either way round out, each with its reason. */
  order: DateOrder | null;
  /** Head and routine of rows that name none. */
  headId: string | null;
  routineId: string | null;
  /** Time of day (hh:mm) of rows that tell none. */
  timeOfDay: string;
  /** Hours from the wash to the finished hair, for rows that do not tell when it was finished. */
  finishedAfterHours: number;
  /** The scale the file's ratings stand on; they are carried to 0 to 10 in proportion. */
  scale: { from: number; to: number };
  /** A word that a row must hold to be read at all; empty for every row. */
  only: string;
  /** Names of products that the shelf does not have, with the id of the product each means. */
  meant: Readonly<Record<string, string>>;
  /** Line in the file of the first row given. */
  firstLine: number;
  /** Milliseconds: no wash day lies after it. */
  now: number;
}

/** How a file is read where nothing is known of it. */
export const USUAL_READING = {
  order: null,
  headId: null,
  routineId: null,
  timeOfDay: '18:00',
  finishedAfterHours: 4,
  scale: { from: 0, to: 10 },
  only: '',
  meant: {},
} satisfies Partial<DayReading>;

/** A wash day as a row tells it. Moments are ISO 8601; ratings are of the whole head on day 1, on 0 to 10. */
export interface DayOfRow {
  line: number;
  wearerId: string;
  name: string;
  startedAt: string;
  finishedAt: string;
  steps: StepOfDay[];
  temperatureC: number | null;
  humidity: number | null;
  shedHairs: number | null;
  ratings: { outcome: Outcome; value: number }[];
  /** When its wear ended, and whether because it looked done; null where the row does not say. */
  ended: { at: string; looked: boolean } | null;
  note: string;
}

export interface ReadDays {
  taken: DayOfRow[];
  refused: { line: number; reason: string }[];
  /** Rows left out because they do not hold the word that was asked for. */
  leftOut: number;
  /** Names of products that nothing on the shelf goes by, with how many rows have them; the most named first. */
  unknown: { word: string; rows: number }[];
}

/** Products that stand in one cell. */
const BETWEEN = /[;+|\n]|,\s(?=\S)/;
/** Most of a note, in characters; what is over it cannot be stored. */
const NOTE_MOST = 4000;
const HOUR = 3_600_000;

/** A rating on the file's own scale, carried to 0 to 10; `turned`: its high end is little of the thing. */
function onOurScale(value: number, { from, to }: DayReading['scale'], turned: boolean, what: string): number {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  if (value < low || value > high)
    throw new RangeError(`${what}: ${value} is not on the scale from ${from} to ${to}.`);
  const share = (value - from) / (to - from);
  const { lowest, highest } = RATING_RANGE;
  const carried = lowest + (turned ? 1 - share : share) * (highest - lowest);
  return Math.round(carried * 10) / 10;
}

/**
 * Reads the rows of an own spreadsheet of wash days (cells as text, no heading): what can be used is taken, in the file's
 * order; every other row is told with its line and the reason. Names are matched whatever their case, accents and signs. A
 * product that the shelf does not have costs no row that has other steps: it is told in the day's note, and listed. Throws a
 * RangeError where the scale has no length.
 */
export function readDays(
  rows: readonly (readonly string[])[],
  reading: DayReading,
  known: KnownToRows,
): ReadDays {
  if (!(Math.abs(reading.scale.to - reading.scale.from) > 0))
    throw new RangeError('The scale of the ratings needs two different ends.');
  const places = new Map<DayColumn, number[]>();
  reading.columns.forEach((kind, i) => {
    if (kind) places.set(kind, [...(places.get(kind) ?? []), i]);
  });
  const headOf = nameBook(known.heads.map(({ id, name }) => ({ id, names: [name, name.split(/\s/)[0]!] })));
  const routineOf = nameBook(known.routines.map(({ id, name }) => ({ id, names: [name] })));
  const productOf = nameBook(
    known.products.map(({ id, name, line }) => ({ id, names: line ? [name, `${line} ${name}`] : [name] })),
    reading.meant,
  );
  const [heads, routines, products] = [known.heads, known.routines, known.products].map(
    (all) => new Map((all as readonly { id: string }[]).map((one) => [one.id, one])),
  ) as [
    Map<string, KnownToRows['heads'][number]>,
    Map<string, KnownToRows['routines'][number]>,
    Map<string, KnownToRows['products'][number]>,
  ];
  const unknown = new Map<string, { word: string; rows: number }>();
  const taken: DayOfRow[] = [];
  const refused: ReadDays['refused'] = [];
  const seen = new Map<string, number>();

  const readRow = (row: readonly string[], line: number): DayOfRow => {
    const cells = (kind: DayColumn): string[] =>
      (places.get(kind) ?? []).map((i) => unguarded(row[i] ?? '').trim()).filter((cell) => cell !== '');
    const cell = (kind: DayColumn): string => cells(kind)[0] ?? '';
    const number = (kind: DayColumn): number | null => {
      const read = readNumber(cell(kind));
      if (read === undefined)
        throw new RangeError(`“${cell(kind)}” is no number (${DAY_COLUMNS[kind].label}).`);
      return read;
    };
    const within = (kind: DayColumn, least: number, most: number): number | null => {
      const value = number(kind);
      if (value !== null && (value < least || value > most))
        throw new RangeError(`${DAY_COLUMNS[kind].label}: ${value} is not between ${least} and ${most}.`);
      return value;
    };

    const headCell = cell('head');
    const headId = headCell === '' ? reading.headId : headOf(headCell);
    if (headId === 'several')
      throw new RangeError(`“${headCell}” could be more than one head. Give the full name.`);
    if (headId === null)
      throw new RangeError(
        headCell === '' ? 'The head is missing.' : `“${headCell}” is no head Sabor knows.`,
      );
    const head = heads.get(headId)!;

    /** The moment of a date that may have its time of day with it, or in a cell of its own. */
    const moment = (date: string, time: string): number => {
      const alone = readMoment(date, null, reading.order);
      const read = 'problem' in alone && alone.lacksTime ? readMoment(date, time, reading.order) : alone;
      if ('problem' in read) throw new RangeError(read.problem);
      const found = 'moment' in read ? read.moment : momentsOf(read.wall, head.timeZone)[0];
      if (found === undefined)
        throw new RangeError(
          'Clocks went forward over this hour: there was no such time where this head lives.',
        );
      return found;
    };
    const date = cell('moment') || cell('date');
    if (date === '') throw new RangeError('The date is missing.');
    const startedAt = moment(date, cell('time') || reading.timeOfDay);
    if (startedAt > reading.now) throw new RangeError('This wash day has not come yet.');
    const key = `${headId} ${startedAt}`;
    if (seen.has(key))
      throw new RangeError(`The same head and time as line ${seen.get(key)}; the first was taken.`);

    const finishCell = cell('finished');
    let finishedAt = startedAt + reading.finishedAfterHours * HOUR;
    if (finishCell !== '') {
      const whole = readMoment(finishCell, null, reading.order);
      const read = 'problem' in whole ? readMoment(date, finishCell, reading.order) : whole;
      if ('problem' in read) throw new RangeError(`“${finishCell}” is no time of day Sabor can read.`);
      finishedAt = 'moment' in read ? read.moment : (momentsOf(read.wall, head.timeZone)[0] ?? startedAt);
      // A time of day before the wash began is of the day after.
      if (finishedAt < startedAt && 'problem' in whole) finishedAt += DAY_MS;
      if (finishedAt < startedAt)
        throw new RangeError('The hair was finished before the wash began. Check both times.');
    }
    if (finishedAt > reading.now) throw new RangeError('The hair of this wash day is not finished yet.');

    const routineCell = cell('routine');
    const routineId = routineCell === '' ? reading.routineId : routineOf(routineCell);
    if (routineCell !== '' && (routineId === null || routineId === 'several'))
      throw new RangeError(`“${routineCell}” is no routine Sabor knows.`);

    const strange: string[] = [];
    const used: ProductOfDay[] = [];
    const take = (text: string, slot: Slot | null) => {
      for (const word of productOf(text) === null ? text.split(BETWEEN).map((part) => part.trim()) : [text]) {
        if (word === '') continue;
        const id = productOf(word);
        const product = id === null || id === 'several' ? undefined : products.get(id);
        if (product) used.push({ id: product.id, roles: product.roles, slot });
        else strange.push(word);
      }
    };
    for (const text of cells('products')) take(text, null);
    for (const slot of Object.keys(SLOTS) as Slot[])
      for (const text of cells(`product-${slot}`)) take(text, slot);
    // Told even where the row is not taken for it: saying what the word means brings the row in.
    for (const word of new Set(strange)) {
      const there = unknown.get(word.toLowerCase()) ?? { word, rows: 0 };
      there.rows++;
      unknown.set(word.toLowerCase(), there);
    }
    const steps = stepsWith(routineId === null ? [] : routines.get(routineId)!.steps, used);
    if (steps.length === 0)
      throw new RangeError(
        strange.length > 0
          ? `Nothing on the shelf goes by ${strange.map((word) => `“${word}”`).join(' or ')}, and no routine says the steps.`
          : 'It names no product, and no routine says the steps.',
      );
    if (steps.length > 60) throw new RangeError('Sixty steps are the most a wash day can hold.');

    const ratings = (Object.keys(OUTCOMES) as Outcome[]).flatMap((outcome) => {
      for (const turned of [false, true]) {
        const kind: DayColumn = `${turned ? 'turned' : 'rate'}-${outcome}`;
        const value = number(kind);
        if (value !== null)
          return [{ outcome, value: onOurScale(value, reading.scale, turned, OUTCOMES[outcome].label) }];
      }
      return [];
    });
    const fahrenheit = within('temperature-f', -49, 140);
    const temperatureC =
      fahrenheit === null
        ? within('temperature-c', -45, 60)
        : Math.round((((fahrenheit - 32) * 5) / 9) * 10) / 10;
    const looked = within('lasted-looks', 0, 60);
    const days = looked ?? within('lasted-other', 0, 60);
    const ended = days === null ? null : Math.max(finishedAt, startedAt + days * DAY_MS);
    const shed = within('shed', 0, 20_000);

    const note = [
      ...cells('note'),
      ...(strange.length > 0 ? [`Not on the shelf: ${strange.join(', ')}.`] : []),
    ].join('\n');
    if (note.length > NOTE_MOST) throw new RangeError(`The note is over ${NOTE_MOST} characters.`);
    seen.set(key, line);
    const name = cell('name') || (routineId === null ? 'Wash day' : routines.get(routineId)!.name);
    return {
      line,
      wearerId: headId,
      name: name.slice(0, 120),
      startedAt: new Date(startedAt).toISOString(),
      finishedAt: new Date(finishedAt).toISOString(),
      steps,
      temperatureC,
      humidity: within('humidity', 0, 100),
      shedHairs: shed === null ? null : Math.round(shed),
      ratings,
      ended:
        ended === null || ended > reading.now
          ? null
          : { at: new Date(ended).toISOString(), looked: looked !== null },
      note,
    };
  };

  const only = plainName(reading.only);
  let leftOut = 0;
  rows.forEach((row, i) => {
    if (row.every((cell) => cell.trim() === '')) return;
    if (only !== '' && !row.some((cell) => plainName(cell).includes(only))) {
      leftOut++;
      return;
    }
    const line = reading.firstLine + i;
    try {
      taken.push(readRow(row, line));
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      refused.push({ line, reason: error.message });
    }
  });
  return { taken, refused, leftOut, unknown: [...unknown.values()].sort((a, b) => b.rows - a.rows) };
}
