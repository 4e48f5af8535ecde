import { readFileSync } from 'node:fs';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { headed, readTableFile } from './table-file.ts';

/** Workbooks written by other programs: openpyxl 3.0.9, and Gnumeric's ssconvert from it, as XLSX, XLS and ODS. */
const fixture = (name: string) => new Uint8Array(readFileSync(new URL(`fixtures/${name}`, import.meta.url)));
const read = (bytes: Uint8Array | string) => readTableFile(new Blob([bytes as BlobPart]));

/** A packed file whose list says of its first part that it unpacks to so many bytes. Source: PKWARE, APPNOTE 4.3.12. */
function bursting(whole: Uint8Array, size: number): Uint8Array {
  const bytes = whole.slice();
  const view = new DataView(bytes.buffer);
  const CENTRAL = 0x02014b50;
  const at = bytes.findIndex((_, i) => i + 4 <= bytes.length && view.getUint32(i, true) === CENTRAL);
  view.setUint32(at + 24, size, true);
  return bytes;
}

describe('a workbook of another program', () => {
  it.each([
    ['openpyxl.xlsx', ''],
    ['gnumeric.xlsx', '7'],
  ])(
    '%s is read sheet by sheet: dates, times, words, and formulas as what they last came to',
    async (name, frizz) => {
      const { sheets, macros } = await read(fixture(name));
      expect(macros).toBe(false);
      expect(sheets.map(({ name }) => name)).toEqual(['Notes', 'Wash days']);
      const { header, body, firstLine, rows, sample } = headed(sheets[1]);
      expect(header).toEqual(['Date', 'Start', 'Gel', 'Frizz', 'Days worn', 'Note']);
      expect([firstLine, rows]).toEqual([4, 3]);
      expect(sample[0]).toEqual(['2026-03-01', '18:30', 'Anvil Gel', '3.5', '3', 'first "real" one, soft']);
      // A formula that no program has worked out yet has no value; openpyxl works none out.
      expect(sample[1]!.slice(0, 5)).toEqual(['2026-03-08 07:05', '', 'Kelp Fold Gel', frizz, '2']);
      expect(sample[1]![5]).toBe("'=not a formula");
      expect(sample[2]).toEqual(['2026-03-15', '00:00', 'Anvil Gel', 'true', '', 'Été\nsecond line']);
      // The blank row keeps its place, so that lines are those of the sheet.
      expect(body[3]).toEqual(sample[2]);
    },
  );

  it('of an old or another kind, cut short, or packed to burst, gets a sentence', async () => {
    await expect(read(fixture('old.xls'))).rejects.toThrow(/of the old .xls kind. Save it as XLSX or CSV/);
    await expect(read(fixture('sheet.ods'))).rejects.toThrow(/not an XLSX workbook/);
    const whole = fixture('openpyxl.xlsx');
    await expect(read(whole.slice(0, 3000))).rejects.toThrow(/not whole/);
    await expect(read(zipSync({ 'a.txt': strToU8('hello') }))).rejects.toThrow(/not an XLSX workbook/);
    await expect(read(zipSync({ 'xl/workbook.xml': strToU8('<not') }))).rejects.toThrow(/could not be read/);
    await expect(read(bursting(whole, 500_000_000))).rejects.toThrow(/unpacks to more than 400 MB/);
  });

  it('with macros is read, and its macros are named and left alone', async () => {
    const parts = unzipSync(fixture('openpyxl.xlsx'));
    const { sheets, macros } = await read(zipSync({ ...parts, 'xl/vbaProject.bin': strToU8('Auto_Open') }));
    expect(macros).toBe(true);
    expect(sheets).toHaveLength(2);
  });

  it('of a hundred thousand rows is told to be split', { tags: 'soak' }, async () => {
    const parts = unzipSync(fixture('openpyxl.xlsx'));
    const rows = Array.from(
      { length: 100_000 },
      (_, i) => `<row r="${i + 1}"><c r="A${i + 1}"><v>${i}</v></c></row>`,
    );
    const long = strFromU8(parts['xl/worksheets/sheet1.xml']!).replace(
      /<sheetData>.*<\/sheetData>/s,
      `<sheetData>${rows.join('')}</sheetData>`,
    );
    await expect(
      read(zipSync({ ...parts, 'xl/worksheets/sheet1.xml': strToU8(long) }, { level: 1 })),
    ).rejects.toThrow('“Notes” holds 99,999 rows; 50,000 are the most that is read at once. Split it.');
  });
});

describe('a calendar’s file', () => {
  const ics = (...events: string[][]) =>
    [
      'BEGIN:VCALENDAR',
      ...events.flatMap((event) => ['BEGIN:VEVENT', ...event, 'END:VEVENT']),
      'END:VCALENDAR',
    ].join('\r\n');
  const rows = async (text: string) => (await read(text)).sheets[0]!.rows.slice(1);

  it('is read entry by entry: days, clock times, moments, and those that come again up to now', async () => {
    const text = ics(
      ['UID:a', 'DTSTART;VALUE=DATE:20240303', 'SUMMARY:Wash\\, long', 'DESCRIPTION:Gel\\nsoft'],
      ['UID:b', 'DTSTART:20240305T183000', 'SUMMARY:Wash'],
      ['UID:c', 'DTSTART:20240307T183000Z', 'LOCATION:Home'],
      [
        'UID:d',
        'DTSTART;VALUE=DATE:20250101',
        'RRULE:FREQ=WEEKLY;COUNT=3',
        'EXDATE;VALUE=DATE:20250108',
        'SUMMARY:Weekly',
      ],
    );
    expect(await rows(text)).toEqual([
      ['2024-03-03', 'Wash, long', 'Gel\nsoft', ''],
      ['2024-03-05 18:30', 'Wash', '', ''],
      ['2024-03-07T18:30:00.000Z', '', '', 'Home'],
      ['2025-01-01', 'Weekly', '', ''],
      ['2025-01-15', 'Weekly', '', ''],
    ]);
    const daily = await rows(
      ics(['UID:e', 'DTSTART;VALUE=DATE:20000101', 'RRULE:FREQ=DAILY', 'SUMMARY:Endless']),
    );
    expect(daily).toHaveLength(1000);
    expect(
      await rows(ics(['UID:f', 'DTSTART;VALUE=DATE:29990101', 'RRULE:FREQ=DAILY', 'SUMMARY:Later'])),
    ).toEqual([]);
  });

  it('that is broken gets a sentence', async () => {
    await expect(read('BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:soon')).rejects.toThrow(
      /could not be read/,
    );
  });
});

describe('a file of text', () => {
  const rows = async (bytes: Uint8Array | string) => (await read(bytes)).sheets[0]!.rows;

  it('is read by its own mark, as UTF-8, or as old spreadsheets wrote it', async () => {
    expect(await rows('\uFEFFname;été\r\na;"b\nc"')).toEqual([
      ['name', 'été'],
      ['a', 'b\nc'],
    ]);
    expect(await rows(new Uint8Array([0x63, 0x72, 0xe8, 0x6d, 0x65, 0x2c, 0x31]))).toEqual([['crème', '1']]);
    const wide = new Uint8Array([0xff, 0xfe, ...[...'a\tb'].flatMap((letter) => [letter.charCodeAt(0), 0])]);
    expect(await rows(wide)).toEqual([['a', 'b']]);
  });

  it('that is no text gets a sentence; an empty one has no rows', async () => {
    await expect(read(new Uint8Array([1, 0, 0, 2, 10, 0, 1]))).rejects.toThrow(/neither CSV nor XLSX/);
    expect(headed((await read('')).sheets[0])).toMatchObject({ rows: 0 });
  });
});
