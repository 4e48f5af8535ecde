import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { mainResult } from '@sabor/core/compare/main-result';
import { slipOfTrial } from '@sabor/core/fairness/slip';
import { BOM } from '@sabor/core/table/formula-guard';
import { runsOfTrial } from '@sabor/reading/fairness-runs';
import { toTrialRecord } from '@sabor/reading/trial-record';
import { disclosureOf } from '@sabor/words/report/trial-report';
import { plainVoice } from '@sabor/words/voice';
import Papa from 'papaparse';
import type { Db } from '../../db/pool.ts';
import { Refusal } from '../../http/problems.ts';
import { readSources } from '../board/store.ts';
import { readProductLabels, readTrial } from '../trials/read.ts';
import { COLUMNS, readingsCsv } from '../trials/readings.ts';
import { type Field, type Table, tablesOf } from './tables.ts';

/** The scripts that compute a main result again. */
export const scripts = (): PackedFile[] =>
  ['recompute.py', 'recompute.R'].map((path) => ({
    path,
    bytes: readFileSync(new URL(`./${path}`, import.meta.url)),
  }));

/** What the columns of the readings hold. */
const READINGS: Readonly<Record<(typeof COLUMNS)[number], [Field['type'], string]>> = {
  wash_day: ['integer', 'the wash day, from 1'],
  abandoned: ['string', 'yes where the wash day was given up and its place came again'],
  date: ['date', 'the wearer’s own date of the wash'],
  arm: ['string', 'the option, by its name; both with | between where it was on both halves'],
  temperature_c: ['number', 'air temperature at the wash, °C'],
  humidity_percent: ['number', 'relative humidity, %'],
  wind_m_s: ['number', 'wind, m/s'],
  dew_point_c: ['number', 'dew point, °C'],
  stage: ['string', 'when it was read: a step, a stage, or worn'],
  day_of_wear: ['integer', 'day of wear, the wash itself being 1'],
  at: ['string', 'the moment it was told'],
  outcome: ['string', 'what was read'],
  zone: ['string', 'where on the head'],
  curl: ['string', 'which tagged curl'],
  value: ['number', 'the reading'],
  unit: ['string', 'its unit or scale'],
  word: ['string', 'the word that was told, or the reason there is no value'],
  product: ['string', 'the product it is about'],
  amount: ['string', 'the amount of it'],
  tool: ['string', 'the tool'],
};

/** A table as it lies in a package. */
export const csvOf = ({ fields, rows }: Table): string =>
  `${Papa.unparse({ fields: fields.map(({ name }) => name), data: rows as unknown[][] }).trimEnd()}\r\n`;

function readme(
  trial: TrialDetail,
  tables: readonly Pick<Table, 'name' | 'says' | 'fields'>[],
  disclosure: string,
): string {
  const book = tables.map(({ name, says, fields }) =>
    [`data/${name}.csv`, `  ${says}`, ...fields.map((field) => `  ${field.name}: ${field.says}`)].join('\n'),
  );
  return `${trial.question}

A finished wash-day trial, as one package: what was promised, the order that was drawn, every reading, what was changed
on the way, and the fairness check. One head; nothing here says who.

${disclosure}

To compute the main result again:
  python3 recompute.py     (Python 3.8, nothing else)
  Rscript recompute.R      (base R, nothing else)
Both read data/ beside them and print p next to the one that Sabor gives. Intervals are computed by Sabor alone.

datapackage.json describes every column for other programs (Frictionless Data Package 1). Files are CSV in UTF-8, with
a mark (') in front of any text that a spreadsheet could take for a formula. An empty cell is: not told.

No licence is given with it: the readings belong to the tester and the wearer.

Codebook

${book.join('\n\n')}
`.replaceAll('\n', '\r\n');
}

/** A file of a package. */
export interface PackedFile {
  path: string;
  bytes: Buffer;
}

/**
 * A finished trial as a Frictionless data package with scripts that compute its main result again. Throws a Refusal while it
 * is not over, its key is shut, or its outcomes have not been shown.
 */
export async function trialPackage(db: Db, id: string): Promise<PackedFile[]> {
  const trial = await readTrial(db, id);
  if (trial.endedAt === null || trial.masked || trial.outcomesShownAt === null)
    throw new Refusal(
      409,
      trial.endedAt === null
        ? 'A trial leaves as a package once it is over: until then its order is sealed.'
        : trial.masked
          ? 'Open its key first: a package names the options.'
          : 'Judge its fairness first: a package holds the outcomes.',
    );
  const sources = await readSources(db, trial.wearerId);
  const labels = await readProductLabels(db);
  const voice = plainVoice((product) => labels.get(product)?.name ?? 'a removed product');
  const record = toTrialRecord(trial, sources.shelf, sources.wearer);
  const { like } = mainResult(trial.primary);
  const items = slipOfTrial(runsOfTrial({ ...sources, trial }), trial.arms, like, trial.overrules);
  const tables = tablesOf(trial, record, items, voice);
  const readings = {
    name: 'readings',
    says: 'Every reading, one a row, with the option and the air of its wash day.',
    fields: COLUMNS.map((name): Field => ({ name, type: READINGS[name][0], says: READINGS[name][1] })),
    // Readers of the standard take a byte order mark for a part of the first column’s name.
    csv: readingsCsv(trial, sources.wearer, (product) => labels.get(product)).replace(BOM, ''),
  };
  const sheets = [...tables.map((table) => ({ ...table, csv: csvOf(table) })), readings].map((sheet) => ({
    ...sheet,
    bytes: Buffer.from(sheet.csv),
  }));
  const disclosure = disclosureOf({ trial, products: sources.shelf });
  const descriptor = {
    name: 'sabor-trial',
    title: trial.question,
    description: disclosure,
    profile: 'tabular-data-package',
    created: trial.endedAt,
    // No licence is given: Open Definition’s name for that.
    licenses: [{ name: 'other-closed', title: 'No licence is given' }],
    resources: sheets.map(({ name, says, fields, bytes }) => ({
      name,
      path: `data/${name}.csv`,
      description: says,
      profile: 'tabular-data-resource',
      format: 'csv',
      mediatype: 'text/csv',
      encoding: 'utf-8',
      bytes: bytes.length,
      hash: `sha256:${createHash('sha256').update(bytes).digest('hex')}`,
      schema: {
        fields: fields.map((field) => ({ name: field.name, type: field.type, description: field.says })),
        missingValues: [''],
      },
    })),
  };
  return [
    { path: 'README.txt', bytes: Buffer.from(readme(trial, sheets, disclosure)) },
    { path: 'datapackage.json', bytes: Buffer.from(`${JSON.stringify(descriptor, null, 2)}\n`) },
    ...scripts(),
    ...sheets.map(({ name, bytes }) => ({ path: `data/${name}.csv`, bytes })),
  ];
}
