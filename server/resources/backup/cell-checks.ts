import { BackupFolder } from '@sabor/contract/backup';
import { id, oneOf, timeZone } from '@sabor/contract/fields';
import { WishesInput } from '@sabor/contract/hair-file';
import { HairMeasureInput } from '@sabor/contract/hair-measure';
import { cardCorners, PhotographMeasuredInput } from '@sabor/contract/photograph';
import { AMENDABLE } from '@sabor/contract/promise';
import { RecipeInput } from '@sabor/contract/recipe';
import { STEP_PARTS, settings as stepSettings } from '@sabor/contract/routine';
import { SettingsChange } from '@sabor/contract/settings';
import { ArmSettings, fields as trialFields } from '@sabor/contract/trial';
import { Beside, VerdictContent, VerdictRests } from '@sabor/contract/verdict';
import { PHOTOGRAPH_LIMIT } from '@sabor/core/basin/photograph-size';
import { POROSITY_TESTS } from '@sabor/core/hair/porosity/tests';
import { GROUPS } from '@sabor/core/ingredients/facts';
import { PHOTO_REFUSALS } from '@sabor/core/photo/refusals';
import { STAKES } from '@sabor/core/shelf/products';
import { SETTING_KEYS } from '@sabor/core/step/settings';
import * as v from 'valibot';
import type { Column, Kind } from './shapes.ts';

/** A row as a backup holds it: texts from a CSV, JSON values from an older file. */
export type Row = Record<string, unknown>;

/** JSON in a cell, with its own text: 30.00 comes back as 30.00. */
export class RawJson {
  readonly text: string;
  readonly value: unknown;
  constructor(text: string) {
    this.text = text;
    this.value = JSON.parse(text);
  }
}

const plain = (value: unknown) => (value instanceof RawJson ? value.value : value);

/** A row as JSON text. */
export const rowText = (row: Row): string =>
  `{${Object.entries(row)
    .map(
      ([key, value]) =>
        `${JSON.stringify(key)}:${value instanceof RawJson ? value.text : JSON.stringify(value)}`,
    )
    .join(',')}}`;

const MONEY = v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'A currency is three letters.'));
const Planned = v.nullable(
  v.partial(
    v.object({
      ...stepSettings,
      part: v.picklist(Object.keys(STEP_PARTS) as (keyof typeof STEP_PARTS)[]),
      optional: v.boolean(),
      tolerance: v.number(),
      skipped: v.boolean(),
    }),
  ),
);
const Changes = v.array(
  v.object({
    setting: v.picklist([...Object.keys(AMENDABLE), ...SETTING_KEYS, 'told']),
    was: v.unknown(),
    becomes: v.unknown(),
  }),
);
const SETTINGS: Record<string, v.GenericSchema> = {
  preferences: SettingsChange,
  demo: v.picklist(['loaded', 'declined']),
  database: id,
  backups: BackupFolder,
};

/** What the wire's schemas ask of columns whose type alone does not say it. */
const CELLS: Record<string, v.GenericSchema> = {
  'wearer.time_zone': timeZone,
  'locality.time_zone': timeZone,
  'product.currency': v.nullable(MONEY),
  'wearer_wish.currency': v.nullable(MONEY),
  'step.dose': stepSettings.dose,
  'arm_step.dose': stepSettings.dose,
  'wash_step.dose': stepSettings.dose,
  'amendment.changes': Changes,
  'step.extra': stepSettings.extra,
  'wash_step.extra': stepSettings.extra,
  'wash_step.planned': Planned,
  'arm_step.settings': ArmSettings,
  'wash_tap.body': v.record(v.string(), v.unknown()),
  'hair_measure.result': HairMeasureInput.entries.result,
  'own_ingredient.group_key': v.nullable(v.picklist(Object.keys(GROUPS))),
  'recipe.parts': RecipeInput.entries.parts,
  'verdict_said.content': VerdictContent,
  'verdict_said.beside': v.array(Beside),
  'verdict_said.rests': v.object({
    figures: v.nullable(VerdictRests),
    stake: v.nullable(oneOf(STAKES, 'a stake')),
    edition: v.string(),
  }),
  'wearer_wish.words': WishesInput.entries.words,
  'trial.primary_outcome': trialFields.entries.primary,
  'photograph_measured.left_out': PhotographMeasuredInput.entries.leftOut,
  'photograph_measured.card': v.nullable(cardCorners),
  'photograph_measured.curls': PhotographMeasuredInput.entries.curls,
  'photograph_measured.parting': PhotographMeasuredInput.entries.parting,
  'photograph_measured.notes': PhotographMeasuredInput.entries.notes,
  'photograph_reading.why': v.nullable(v.picklist(PHOTO_REFUSALS)),
  'photograph.size': v.pipe(v.unknown(), v.transform(Number), v.minValue(1), v.maxValue(PHOTOGRAPH_LIMIT)),
};

/** The same for rows whose cells must go together. */
const ROWS: Record<string, (row: Row) => string | null> = {
  setting: ({ key, value }) => {
    const schema = SETTINGS[String(key)];
    if (!schema || !Object.hasOwn(SETTINGS, String(key))) return `Sabor knows no setting “${key}”.`;
    return v.is(schema, plain(value)) ? null : `the setting “${key}” is not one Sabor can use.`;
  },
  hair_test: ({ kind, outcome }) => {
    if (outcome === null || outcome === undefined || !Object.hasOwn(POROSITY_TESTS, String(kind)))
      return null;
    const { outcomes } = POROSITY_TESTS[kind as keyof typeof POROSITY_TESTS];
    return Object.hasOwn(outcomes, String(outcome)) ? null : `“${outcome}” is no outcome of this test.`;
  },
};

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
const DATE = /^\d{4}-\d\d-\d\d$/;
const inTime = (text: string) => {
  const at = Date.parse(text);
  return at >= Date.UTC(1900, 0, 1) && at <= Date.UTC(2200, 0, 1);
};

/** What each kind takes, as the text of a CSV or the value of JSON. */
const KINDS: Record<Exclude<Kind, 'file'>, { what: string; fits: (value: unknown) => boolean }> = {
  string: { what: 'a text', fits: (value) => typeof value === 'string' && !value.includes('\0') },
  uuid: { what: 'an id', fits: (value) => typeof value === 'string' && UUID.test(value) },
  integer: { what: 'a whole number', fits: (value) => /^-?\d{1,15}$/.test(String(value)) },
  number: {
    what: 'a number',
    fits: (value) => /^-?\d+(\.\d+)?(e[-+]?\d+)?$/i.test(String(value)) && Math.abs(Number(value)) < 1e15,
  },
  boolean: {
    what: 'true or false',
    fits: (value) => value === true || value === false || value === 'true' || value === 'false',
  },
  date: {
    what: 'a date (yyyy-mm-dd)',
    fits: (value) => typeof value === 'string' && DATE.test(value) && inTime(`${value}T00:00:00Z`),
  },
  datetime: {
    what: 'a moment (yyyy-mm-ddThh:mm:ssZ)',
    fits: (value) =>
      typeof value === 'string' &&
      /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d:\d\d(\.\d+)?(Z|[+-]\d\d(:?\d\d)?)$/.test(value) &&
      inTime(value),
  },
  object: {
    what: 'an object',
    fits: (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
  },
  array: { what: 'a list', fits: Array.isArray },
  any: { what: 'a value', fits: () => true },
};

/** What is wrong with a row of a table, in words; null when it can be stored. */
export function rowProblem(table: string, columns: readonly Column[], row: Row): string | null {
  for (const { name, kind, required, words } of columns) {
    if (!Object.hasOwn(row, name)) continue;
    const value = plain(row[name]);
    if (kind === 'file') continue;
    if (value === null) {
      if (required) return `“${name}” is missing.`;
      continue;
    }
    const { what, fits } = KINDS[kind];
    if (!fits(value)) return `“${name}” is not ${what}.`;
    if (words && !words.includes(String(value)))
      return `“${name}” is “${String(value).slice(0, 40)}”, which Sabor does not know.`;
    const check = CELLS[`${table}.${name}`];
    if (check) {
      const told = v.safeParse(check, value);
      if (!told.success) return `“${name}”: ${told.issues[0].message}`;
    }
  }
  return Object.hasOwn(ROWS, table) ? ROWS[table]!(row) : null;
}
