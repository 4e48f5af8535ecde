import { existsSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { CARDS, type CardKind } from '@sabor/core/photo/card/layout';
import { WAYS, type Way } from '@sabor/core/photo/guard';
import { measureWhole, type PictureMeasures } from '@sabor/core/photo/measure';
import { measureClose } from '@sabor/core/photo/measure-close';
import {
  CLOSE_MEASURES,
  PHOTO_MEASURES,
  type PhotoMeasure,
  WHOLE_MEASURES,
} from '@sabor/core/photo/measures';
import { NOTES, REFUSALS } from '@sabor/words/photo';
import Papa from 'papaparse';
import { decode, decodeMask, Unreadable } from './decode.ts';

const USE = `npm run measure -- FILE… [--way silhouette|colour] [--empty FILE] [--mask FILE] [--card stand|small]
       [--rule MM] [--json|--csv]
       npm run measure -- --near FILE… [--curl-width MM] [--mask FILE] [--rule MM] [--json|--csv]

Measures hair in pictures of a whole head before a lit wall, with Sabor's card in them, or with --near in pictures of hair
from near in soft light from the front, the small card on it: one row a picture.
  --way         silhouette (unless told otherwise): hair dark before a lit wall, or light before a dark one; colour: hair of
                one colour before a wall of another, a coloured sheet for instance.
  --mask FILE   a picture of the same size, light where there is no hair: skin, clothes. The card is left out by itself.
  --empty FILE  the same frame without a head.
  --rule MM     what the card's 100 mm rule really measures on your print; with --near the small card's 40 mm rule.
  --curl-width MM  the width of a curl hair from near is read by, 20 for straight hair; the same for all that is compared.

Ends with 0 where every picture gave a number, 1 where one gave none, 2 where the command is not understood.`;

/** Measures of a framing that need nobody's hand: curls are tagged on the page. */
const FRAMINGS: Readonly<Record<'whole' | 'near', readonly PhotoMeasure[]>> = {
  whole: WHOLE_MEASURES,
  near: CLOSE_MEASURES.filter((key) => !key.startsWith('curl-')),
};
const PLACES: Partial<Record<PhotoMeasure, number>> = { silhouette: 1, strays: 2 };

/** A picture's row, as it is written: its measures by their keys, and under what it was taken. */
export interface Row extends Partial<Record<PhotoMeasure, number | null>> {
  file: string;
  pxPerMm: number | null;
  thinnest: number | null;
  tilt: number | null;
  edgeMm: number | null;
  notes: string[];
}

const rounded = (value: number | null | undefined, places: number) =>
  value === null || value === undefined ? null : Number(value.toFixed(places));

const nothing = (file: string, measures: readonly PhotoMeasure[], note: string): Row => ({
  file,
  pxPerMm: null,
  ...Object.fromEntries(measures.map((key) => [key, null])),
  thinnest: null,
  tilt: null,
  edgeMm: null,
  notes: [note],
});

type Read = Pick<PictureMeasures, 'card' | 'taken' | 'readings' | 'notes'> & { thinnest?: number | null };

function rowOf(
  file: string,
  measures: readonly PhotoMeasure[],
  { card, taken, readings, thinnest, notes }: Read,
): Row {
  const refusals = new Set(measures.flatMap((key) => readings[key]?.why ?? []));
  return {
    file,
    pxPerMm: rounded(card?.pxPerMm, 3),
    ...Object.fromEntries(measures.map((key) => [key, rounded(readings[key]?.value, PLACES[key] ?? 3)])),
    thinnest: rounded(thinnest, 3),
    tilt: rounded(taken?.tilt, 1),
    edgeMm: rounded(taken?.edgeMm, 2),
    notes: [...[...refusals].map((why) => REFUSALS[why]), ...notes.map((note) => NOTES[note])],
  };
}

function table(rows: readonly Row[], measures: readonly PhotoMeasure[]): string {
  const head = [
    'file',
    'px/mm',
    ...measures.map((key) =>
      [PHOTO_MEASURES[key].label, PHOTO_MEASURES[key].unit].filter(Boolean).join(', '),
    ),
  ];
  const cells = rows.map((row) => [
    path.basename(row.file),
    row.pxPerMm?.toFixed(2) ?? '–',
    ...measures.map((key) => row[key]?.toFixed(Math.max(0, (PLACES[key] ?? 3) - 1)) ?? '–'),
  ]);
  const widths = head.map((title, i) => Math.max(title.length, ...cells.map((row) => row[i]!.length)));
  const line = (row: readonly string[]) =>
    row.map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!))).join('  ');
  return [
    line(head),
    ...cells.flatMap((row, i) => [line(row), ...rows[i]!.notes.map((note) => `  ${note}`)]),
  ].join('\n');
}

const parsed = (args: readonly string[]) =>
  parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      empty: { type: 'string' },
      way: { type: 'string' },
      mask: { type: 'string' },
      card: { type: 'string', default: 'stand' },
      rule: { type: 'string' },
      near: { type: 'boolean' },
      'curl-width': { type: 'string' },
      json: { type: 'boolean' },
      csv: { type: 'boolean' },
      help: { type: 'boolean' },
    },
  });

/** Measures files as the command line asks; gives what is printed and the exit code. */
export async function measureFiles(args: readonly string[]): Promise<{ out: string; code: 0 | 1 | 2 }> {
  const wrong = (why: string) => ({ out: `${why}\n\n${USE}`, code: 2 as const });
  let given: ReturnType<typeof parsed>;
  try {
    given = parsed(args);
  } catch (error) {
    return wrong((error as Error).message.split('. To specify')[0]!);
  }
  const { values, positionals: files } = given;
  if (values.help) return { out: USE, code: 0 };
  if (files.length === 0) return wrong('Name a picture to measure.');
  if (!(values.card in CARDS)) return wrong(`There is no card called ${values.card}.`);
  const asNumber = (text: string | undefined) =>
    text === undefined ? undefined : Number(text.replace(',', '.'));
  const rule = asNumber(values.rule);
  const printed = CARDS[values.near ? 'small' : (values.card as CardKind)].rule.length;
  if (rule !== undefined && !(rule > printed / 2 && rule < printed * 1.5))
    return wrong(`--rule is in millimetres, near ${printed}.`);
  const curlWidth = asNumber(values['curl-width']);
  if (curlWidth !== undefined && !(curlWidth >= 1 && curlWidth <= 100))
    return wrong('--curl-width is in millimetres, from 1 to 100.');
  if (values.way !== undefined && !Object.hasOwn(WAYS, values.way))
    return wrong(`There is no way called ${values.way}.`);
  if (values.near && (values.empty || values.way)) return wrong('--empty and --way are for a whole head.');
  if (!values.near && curlWidth !== undefined) return wrong('--curl-width goes with --near.');
  if (values.json && values.csv) return wrong('Choose --json or --csv.');
  for (const file of [values.mask, values.empty])
    if (file && !existsSync(file)) return wrong(`There is no file ${file}.`);
  const measures = FRAMINGS[values.near ? 'near' : 'whole'];
  const rows: Row[] = [];
  for (const file of files) {
    try {
      const picture = await decode(file);
      const masked = values.mask ? await decodeMask(values.mask, picture) : undefined;
      const empty = values.empty ? await decode(values.empty) : undefined;
      const asked = { ...(rule ? { ruleMm: rule } : {}), ...(masked ? { masked } : {}) };
      const read = values.near
        ? measureClose(picture, { ...asked, ...(curlWidth ? { curlWidth } : {}) })
        : measureWhole(picture, {
            ...asked,
            kind: values.card as CardKind,
            ...(values.way ? { way: values.way as Way } : {}),
            ...(empty ? { empty } : {}),
          });
      rows.push(rowOf(file, measures, read));
    } catch (error) {
      if (!(error instanceof Unreadable)) throw error;
      rows.push(nothing(file, measures, error.message));
    }
  }
  const code = rows.every((row) => measures.some((key) => row[key] !== null)) ? 0 : 1;
  const out = values.json
    ? JSON.stringify(rows, null, 2)
    : values.csv
      ? Papa.unparse(rows.map(({ notes, ...row }) => ({ ...row, notes: notes.join(' ') })))
      : table(rows, measures);
  return { out, code };
}

if (process.argv[1]?.endsWith(path.join('measure', 'run.ts'))) {
  const { out, code } = await measureFiles(process.argv.slice(2));
  console.log(out);
  process.exitCode = code;
}
