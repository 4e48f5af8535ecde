import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import { SLOTS, type Slot } from '../step/slots.ts';
import type { KeyOf } from '../vocabulary.ts';

/** What a column of an own spreadsheet of wash days can hold, beside products of one step and ratings. */
const FACTS = {
  moment: { label: 'date and time' },
  date: { label: 'date' },
  time: { label: 'time of day' },
  head: { label: 'head' },
  name: { label: 'what it was called' },
  routine: { label: 'routine' },
  products: { label: 'products, each by its role', many: true },
  finished: { label: 'time the hair was finished' },
  'temperature-c': { label: 'temperature, °C', of: 'temperature' },
  'temperature-f': { label: 'temperature, °F', of: 'temperature' },
  humidity: { label: 'relative humidity, %' },
  'lasted-looks': { label: 'days until it looked done', of: 'lasted' },
  'lasted-other': { label: 'days until it was washed', of: 'lasted' },
  shed: { label: 'hairs shed' },
  note: { label: 'note', many: true },
} as const;

/** A column's kind: one of the facts, the products of one step, or a rating, as it is or turned round. */
export type DayColumn = KeyOf<typeof FACTS> | `product-${Slot}` | `rate-${Outcome}` | `turned-${Outcome}`;
/** One entry a column; null where a column is left alone. */
export type DayColumns = (DayColumn | null)[];

interface Column {
  label: string;
  /** Columns of one `of` cannot stand together. */
  of?: string;
  /** May come more than once. */
  many?: boolean;
}

const slotsWithProduct = (Object.keys(SLOTS) as Slot[]).filter((slot) => SLOTS[slot].product);
const outcomes = Object.keys(OUTCOMES) as Outcome[];

/** Every kind of column, in the order in which it is offered. */
export const DAY_COLUMNS = {
  ...FACTS,
  ...Object.fromEntries(
    slotsWithProduct.map((slot) => [
      `product-${slot}`,
      { label: `${SLOTS[slot].label} (product)`, many: true },
    ]),
  ),
  ...Object.fromEntries(
    outcomes.flatMap((outcome) => {
      const label = `${OUTCOMES[outcome].label.toLowerCase()} rating`;
      return [
        [`rate-${outcome}`, { label, of: outcome }],
        [`turned-${outcome}`, { label: `${label}, turned round`, of: outcome }],
      ];
    }),
  ),
} as Readonly<Record<DayColumn, Column>>;

/** What columns of a kind exclude each other by. */
const kindOf = (kind: DayColumn): string => DAY_COLUMNS[kind].of ?? kind;

/** Headings that tell what a column holds, first that fits; none is a source but common practice. */
const HINTS: readonly [RegExp, DayColumn][] = [
  [/^(date.*time|time ?stamp|when|moment)$/, 'moment'],
  [/^(wash ?(day )?)?dates?$|^day$|^datum$|^fecha$/, 'date'],
  [/^(start(ed)?( time)?|time( of day)?|began|hour|uhrzeit|hora)$/, 'time'],
  [/^(finished|done|ready|dry at|finish(ed)? (at|time))$/, 'finished'],
  [/^(head|wearer|who|person|client|model|whose)$/, 'head'],
  [/routine|regimen/, 'routine'],
  [/^(name|title|wash ?day|style|called)$/, 'name'],
  [/humid|^rh\b/, 'humidity'],
  [/temp.*(°?f\b|fahrenheit)/, 'temperature-f'],
  [/temp/, 'temperature-c'],
  [/(lasted|days? (worn|good|held)|longevity|wear days)/, 'lasted-looks'],
  [/shed/, 'shed'],
  [/frizz.*(control|free)|(no|low|little) frizz/, 'turned-frizz'],
  [/frizz/, 'rate-frizz'],
  [/defin|clump/, 'rate-definition'],
  [/volume|body/, 'rate-volume'],
  [/shin|gloss/, 'rate-shine'],
  [/soft/, 'rate-softness'],
  [/^hold( rating)?$|hold \(/, 'rate-hold'],
  [/itch/, 'turned-scalp'],
  [/scalp (comfort|feel)/, 'rate-scalp'],
  [/pre-?(poo|wash)/, 'product-pre-wash'],
  [/shampoo|cleans|co-?wash|clarif/, 'product-cleanse'],
  [/treatment|protein|bond/, 'product-treat'],
  [/leave-?in/, 'product-leave-in'],
  [/conditioner|mask|deep/, 'product-condition'],
  [/cream|oil|butter/, 'product-emollient'],
  [/gel|mousse|foam|custard|jelly|styler/, 'product-hold'],
  [/refresh/, 'product-refresh'],
  [/product/, 'products'],
  [/note|comment|remark|verdict|thought/, 'note'],
];

/** A first reading of the headings: each kind once, but for what may come more than once. A lone date column may hold both. */
export function guessDayColumns(header: readonly string[]): DayColumns {
  const taken = new Set<string>();
  const columns = header.map((heading): DayColumn | null => {
    const plain = heading.trim().toLowerCase().replaceAll('_', ' ');
    if (plain === '') return null;
    const found = HINTS.find(([hint, kind]) => hint.test(plain) && !taken.has(kindOf(kind)))?.[1] ?? null;
    if (found && !DAY_COLUMNS[found].many) taken.add(kindOf(found));
    return found;
  });
  return columns.map((kind) => (kind === 'date' && taken.has('moment') ? null : kind));
}

/** Puts a kind to a column; a column that excludes it is left alone from then on. */
export const withColumn = (columns: DayColumns, at: number, kind: DayColumn | null): DayColumns =>
  columns.map((old, i) => {
    if (i === at) return kind;
    const clash = kind && old && !DAY_COLUMNS[kind].many && kindOf(old) === kindOf(kind);
    return clash ? null : old;
  });

/** Whether any column tells the day. */
export const tellsDate = (columns: DayColumns): boolean =>
  columns.includes('moment') || columns.includes('date');

/** Scales that ratings are kept on, narrowest first. Common practice, no source. */
const SCALES = [
  { from: 1, to: 5 },
  { from: 0, to: 5 },
  { from: 0, to: 10 },
  { from: 0, to: 100 },
] as const;

/** A first reading of the scale that ratings stand on: the narrowest that holds them all; 0 to 10 for none. */
export function guessScale(values: readonly number[]): { from: number; to: number } {
  const usual = { from: 0, to: 10 };
  if (values.length === 0) return usual;
  const held = SCALES.find(({ from, to }) => values.every((value) => value >= from && value <= to));
  return { ...(held ?? usual) };
}

/** Whether a column holds ratings. */
export const isRated = (kind: DayColumn | null): boolean =>
  kind !== null && (kind.startsWith('rate-') || kind.startsWith('turned-'));
