import { existsSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { CARDS, type CardKind } from '@sabor/core/photo/card/layout';
import { measureWhole, type PictureMeasures } from '@sabor/core/photo/measure';
import { PHOTO_MEASURES, WHOLE_MEASURES } from '@sabor/core/photo/measures';
import { NOTES, REFUSALS } from '@sabor/words/photo';
import Papa from 'papaparse';
import { decode, decodeMask, Unreadable } from './decode.ts';

const USE = `npm run measure -- FILE… [--empty FILE] [--mask FILE] [--card stand|small] [--rule MM] [--json|--csv]

Measures hair in pictures of a whole head before a lit wall, with Sabor's card in them: one row a picture.
  --mask FILE   a picture of the same size, light where there is no hair: skin, clothes. The card is left out by itself.
  --empty FILE  the same frame without a head.
  --rule MM     what the card's 100 mm rule really measures on your print.

Ends with 0 where every picture gave a number, 1 where one gave none, 2 where the command is not understood.`;

/** A picture's row, as it is written. */
export interface Row {
  file: string;
  pxPerMm: number | null;
  halo: number | null;
  silhouette: number | null;
  strays: number | null;
  thinnest: number | null;
  tilt: number | null;
  edgeMm: number | null;
  notes: string[];
}

const rounded = (value: number | null | undefined, places: number) =>
  value === null || value === undefined ? null : Number(value.toFixed(places));

function rowOf(file: string, { card, taken, readings, thinnest, notes }: PictureMeasures): Row {
  const refusals = new Set(WHOLE_MEASURES.flatMap((key) => readings[key]?.why ?? []));
  return {
    file,
    pxPerMm: rounded(card?.pxPerMm, 3),
    halo: rounded(readings.halo?.value, 3),
    silhouette: rounded(readings.silhouette?.value, 1),
    strays: rounded(readings.strays?.value, 2),
    thinnest: rounded(thinnest, 3),
    tilt: rounded(taken?.tilt, 1),
    edgeMm: rounded(taken?.edgeMm, 2),
    notes: [...[...refusals].map((why) => REFUSALS[why]), ...notes.map((note) => NOTES[note])],
  };
}

const nothing = (file: string, note: string): Row => ({
  file,
  pxPerMm: null,
  halo: null,
  silhouette: null,
  strays: null,
  thinnest: null,
  tilt: null,
  edgeMm: null,
  notes: [note],
});

function table(rows: readonly Row[]): string {
  const head = [
    'file',
    'px/mm',
    ...WHOLE_MEASURES.map((key) => `${PHOTO_MEASURES[key].label}, ${PHOTO_MEASURES[key].unit}`),
  ];
  const cells = rows.map((row) => [
    path.basename(row.file),
    row.pxPerMm?.toFixed(2) ?? '–',
    row.halo?.toFixed(2) ?? '–',
    row.silhouette?.toFixed(0) ?? '–',
    row.strays?.toFixed(1) ?? '–',
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
      mask: { type: 'string' },
      card: { type: 'string', default: 'stand' },
      rule: { type: 'string' },
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
  const rule = values.rule === undefined ? undefined : Number(values.rule.replace(',', '.'));
  if (rule !== undefined && !(rule > 50 && rule < 150)) return wrong('--rule is in millimetres, near 100.');
  if (values.json && values.csv) return wrong('Choose --json or --csv.');
  for (const file of [values.mask, values.empty])
    if (file && !existsSync(file)) return wrong(`There is no file ${file}.`);
  const rows: Row[] = [];
  for (const file of files) {
    try {
      const picture = await decode(file);
      const masked = values.mask ? await decodeMask(values.mask, picture) : undefined;
      const empty = values.empty ? await decode(values.empty) : undefined;
      if (empty && (empty.width !== picture.width || empty.height !== picture.height))
        throw new Unreadable('The empty frame is not of the picture’s size.');
      rows.push(
        rowOf(
          file,
          measureWhole(picture, {
            kind: values.card as CardKind,
            ...(rule ? { ruleMm: rule } : {}),
            ...(masked ? { masked } : {}),
            ...(empty ? { empty } : {}),
          }),
        ),
      );
    } catch (error) {
      if (!(error instanceof Unreadable)) throw error;
      rows.push(nothing(file, error.message));
    }
  }
  const code = rows.every((row) => WHOLE_MEASURES.some((key) => row[key] !== null)) ? 0 : 1;
  const out = values.json
    ? JSON.stringify(rows, null, 2)
    : values.csv
      ? Papa.unparse(rows.map(({ notes, ...row }) => ({ ...row, notes: notes.join(' ') })))
      : table(rows);
  return { out, code };
}

if (process.argv[1]?.endsWith(path.join('measure', 'run.ts'))) {
  const { out, code } = await measureFiles(process.argv.slice(2));
  console.log(out);
  process.exitCode = code;
}
