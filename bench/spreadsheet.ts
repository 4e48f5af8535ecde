import type { PastDay } from '@sabor/contract/day-import';
import Papa from 'papaparse';
import { v7 } from 'uuid';
import type { DayColumns } from '../core/spreadsheet/columns.ts';
import { type DayReading, type KnownToRows, readDays, USUAL_READING } from '../core/spreadsheet/read-days.ts';
import { importDays } from '../server/resources/wash-days/import.ts';
import { headed, readTableFile } from '../web/workers/table-file.ts';
import { onThrowaway } from './throwaway.ts';

const ROWS = 10_000;
const DAY = 86_400_000;
const COLUMNS: DayColumns = ['date', 'product-hold', 'rate-definition', 'rate-frizz', 'humidity', 'note'];

/** An own spreadsheet of ten thousand wash days: read from its CSV, and the first two thousand stored. */
export async function benchSpreadsheet(): Promise<void> {
  const first = Date.UTC(1995, 0, 1);
  const text = [
    'Date,Styler,Definition,Frizz,Humidity,Note',
    ...Array.from({ length: ROWS }, (_, i) => {
      const date = new Date(first + i * DAY).toISOString().slice(0, 10);
      return `${date},Anvil Gel,${i % 11},${(i * 7) % 11},${30 + (i % 60)},note ${i} of that day`;
    }),
  ].join('\n');
  const [wearerId, gel] = [v7(), v7()];
  const known: KnownToRows = {
    heads: [{ id: wearerId, name: 'Old Head', timeZone: 'Europe/Lisbon' }],
    routines: [],
    products: [{ id: gel, name: 'Anvil Gel', line: null, roles: ['gel'] }],
  };
  const reading: DayReading = {
    ...USUAL_READING,
    columns: COLUMNS,
    headId: wearerId,
    firstLine: 2,
    now: Date.now(),
  };
  const timed = async <T>(work: () => Promise<T> | T): Promise<[number, T]> => {
    const began = performance.now();
    const found = await work();
    return [performance.now() - began, found];
  };
  const [peer] = await timed(() => Papa.parse(text));
  const [open, file] = await timed(async () => headed((await readTableFile(new Blob([text]))).sheets[0]));
  const [read, { taken }] = await timed(() => readDays(file.body, reading, known));
  const told = (what: string, ms: number, beside: number, name: string) =>
    console.log(
      `${what.padEnd(54)} ${`${ms.toFixed(0)} ms`.padStart(10)}   ${(beside / ms).toFixed(2).padStart(7)} × ${name}`,
    );
  told('a CSV of 10,000 wash days, its cells and headings', open, peer, 'papaparse alone');
  told('its rows as wash days, names and dates found', read, peer, 'papaparse alone');
  await onThrowaway(async (db) => {
    await db.query(`insert into wearer (id, name, time_zone) values ($1, 'Old Head', 'Europe/Lisbon')`, [
      wearerId,
    ]);
    await db.query(
      `insert into product (id, name, roles, label_hold, stake) values ($1, 'Anvil Gel', '{gel}', 'silent', 'bought')`,
      [gel],
    );
    const id = v7();
    const days = taken.slice(0, 2000).map((day): PastDay => ({ ...day, steps: [...day.steps] }));
    const [stored] = await timed(async () => {
      for (let at = 0; at < days.length; at += 400)
        await importDays(db, {
          id,
          fileName: 'old.csv',
          headings: file.header,
          reading,
          days: days.slice(at, at + 400),
        });
    });
    await db.query('create table plain (id uuid primary key, day jsonb)');
    const [plain] = await timed(() =>
      db.query(`insert into plain select gen_random_uuid(), x from jsonb_array_elements($1::jsonb) x`, [
        JSON.stringify(days),
      ]),
    );
    told('2,000 of them stored, each a wash day with its plan', stored, plain, 'the same kept as plain JSON');
  });
}

if (process.argv[1]?.endsWith('spreadsheet.ts')) await benchSpreadsheet();
