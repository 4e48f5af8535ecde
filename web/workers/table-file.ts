import Papa from 'papaparse';

/** One sheet of cells as text. */
export interface Sheet {
  name: string;
  rows: string[][];
}

/** A file of rows, read: its sheets, and what was left alone in it. */
export interface TableFile {
  sheets: Sheet[];
  /** It carries macros; they are never run. */
  macros: boolean;
}

/** Largest file, and largest content of a packed one, in bytes; most rows of a sheet. */
const FILE_MOST = 40_000_000;
const UNPACKED_MOST = 400_000_000;
const ROWS_MOST = 50_000;

const isFilled = (row: readonly string[]): boolean => row.some((cell) => cell.trim() !== '');

const two = (n: number) => String(n).padStart(2, '0');

/** A cell as text: dates as 2026-11-28 (18:30), a time of day as 18:30, numbers as they are. */
function textOf(cell: unknown): string {
  if (cell === null || cell === undefined) return '';
  if (!(cell instanceof Date)) return String(cell);
  if (Number.isNaN(cell.getTime())) return '';
  const time = `${two(cell.getUTCHours())}:${two(cell.getUTCMinutes())}`;
  // A spreadsheet keeps a time of day as a part of its day 0, which is in 1899.
  if (cell.getUTCFullYear() < 1901) return time;
  const date = cell.toISOString().slice(0, 10);
  return time === '00:00' ? date : `${date} ${time}`;
}

/** Text of a file by its mark, as UTF-8, or as the code page of old spreadsheets where it is none. Source: WHATWG Encoding. */
function decoded(bytes: Uint8Array): string {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (a === 0xfe && b === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

const unreadable = () => new Error('This workbook could not be read. Save it once more, or save it as CSV.');

/** A workbook's parts, unpacked once their sizes are known; what is no part of its cells stays packed. Throws a sentence. */
async function unpacked(bytes: Uint8Array): Promise<{ parts: Record<string, Uint8Array>; macros: boolean }> {
  const { unzipSync } = await import('fflate');
  const names: string[] = [];
  let size = 0;
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        names.push(name);
        size += originalSize;
        return false;
      },
    });
  } catch {
    throw new Error('This workbook is not whole. Save it once more, or save it as CSV.');
  }
  if (!names.some((name) => /^\/?xl\//.test(name)))
    throw new Error('This is not an XLSX workbook. Save it as XLSX or CSV, then choose it again.');
  if (size > UNPACKED_MOST)
    throw new Error('This workbook unpacks to more than 400 MB. Save the sheet that is needed as CSV.');
  try {
    const parts = unzipSync(bytes, { filter: ({ name }) => /\.(xml|rels)$/.test(name) });
    return { parts, macros: names.some((name) => /vbaProject\.bin$/.test(name)) };
  } catch {
    throw unreadable();
  }
}

async function workbook(bytes: Uint8Array): Promise<TableFile> {
  const { parts, macros } = await unpacked(bytes);
  const [{ zipSync }, { default: readSheets }] = await Promise.all([
    import('fflate'),
    import('read-excel-file/web-worker'),
  ]);
  // Given unpacked: for a large part the reader would hire a worker from a blob, which the page’s rules forbid.
  const plain = new Blob([zipSync(parts, { level: 0 }) as BlobPart]);
  let sheets: { sheet: string; data: readonly (readonly unknown[])[] }[];
  try {
    sheets = await readSheets(plain, { trim: false });
  } catch {
    throw unreadable();
  }
  return {
    sheets: sheets
      .map(({ sheet, data }) => ({ name: sheet, rows: data.map((row) => row.map(textOf)) }))
      .filter(({ rows }) => rows.some(isFilled)),
    macros,
  };
}

/** Most times that one entry of a calendar is taken to have come again. */
const AGAIN_MOST = 1000;

/**
 * A calendar file as rows, an entry each with when it was, its title, its words and its place; entries that come again stand
 * once for each time up to now. A time of no zone stays a time of the clock. Source: RFC 5545.
 */
async function calendar(text: string, now: number): Promise<TableFile> {
  const { default: ICAL } = await import('ical.js');
  const rows = [['Date and time', 'Title', 'Description', 'Place']];
  try {
    const whole = new ICAL.Component(ICAL.parse(text));
    for (const zone of whole.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
    const momentOf = (time: InstanceType<typeof ICAL.Time>) => {
      if (time.isDate) return time.toString();
      if (time.zone === ICAL.Timezone.localTimezone) return time.toString().slice(0, 16).replace('T', ' ');
      return time.toJSDate().toISOString();
    };
    for (const part of whole.getAllSubcomponents('vevent')) {
      const event = new ICAL.Event(part);
      // A time that was moved is told by its own entry.
      const add = (at: InstanceType<typeof ICAL.Time>) =>
        rows.push([momentOf(at), event.summary ?? '', event.description ?? '', event.location ?? '']);
      if (!event.isRecurring()) {
        add(event.startDate);
        continue;
      }
      const times = event.iterator();
      for (let n = 0; n < AGAIN_MOST; n++) {
        const at = times.next();
        if (!at || at.toJSDate().getTime() > now) break;
        add(at);
      }
    }
  } catch {
    throw new Error('This calendar file could not be read. Export it once more.');
  }
  return { sheets: [{ name: '', rows }], macros: false };
}

/**
 * Reads a file of rows, CSV, XLSX or a calendar's, as cells of text; blank rows keep their places. Formulas are read as what they last came to;
 * macros are never run. Throws an Error whose message is a sentence for the reader.
 */
export async function readTableFile(file: Blob): Promise<TableFile> {
  if (file.size > FILE_MOST)
    throw new Error('This file is over 40 MB. Split it, or save the sheet that is needed as CSV.');
  const bytes = new Uint8Array(await file.arrayBuffer());
  const starts = (...head: number[]) => head.every((byte, i) => bytes[i] === byte);
  if (starts(0xd0, 0xcf, 0x11, 0xe0))
    throw new Error(
      'This workbook is locked with a password, or of the old .xls kind. Save it as XLSX or CSV.',
    );
  const isCalendar = /^(\uFEFF)?\s*BEGIN:VCALENDAR/i.test(new TextDecoder().decode(bytes.slice(0, 64)));
  const found: TableFile = starts(0x50, 0x4b)
    ? await workbook(bytes)
    : isCalendar
      ? await calendar(decoded(bytes).replace(/^\uFEFF/, ''), Date.now())
      : {
          sheets: [
            {
              name: '',
              rows: Papa.parse<string[]>(decoded(bytes).replace(/^\uFEFF/, '')).data,
            },
          ],
          macros: false,
        };
  const long = found.sheets.find(({ rows }) => rows.length > ROWS_MOST + 1);
  if (long)
    throw new Error(
      `${long.name ? `“${long.name}”` : 'This file'} holds ${(long.rows.length - 1).toLocaleString('en')} rows; ${ROWS_MOST.toLocaleString('en')} are the most that is read at once. Split it.`,
    );
  if (
    found.sheets.some(({ rows }) => rows.slice(0, 50).some((row) => row.some((cell) => cell.includes('\0'))))
  )
    throw new Error('This file is neither CSV nor XLSX. Save the sheet as one of them.');
  return found;
}

/** A sheet's headings and what lies under them. */
export interface Headed {
  header: string[];
  body: string[][];
  /** Line of the first row under the headings, from 1. */
  firstLine: number;
  /** Rows under the headings that hold something. */
  rows: number;
  sample: string[][];
}

/** A sheet by its headings: its first row that fills half of its width, so that a title over them is no heading. */
export function headed(sheet: Sheet | undefined): Headed {
  const rows = sheet?.rows ?? [];
  const width = Math.max(0, ...rows.slice(0, 50).map((row) => row.length));
  const filled = (row: readonly string[]) => row.filter((cell) => cell.trim() !== '').length;
  const at = Math.max(
    0,
    rows.slice(0, 50).findIndex((row) => filled(row) > 0 && filled(row) >= width / 2),
  );
  const body = rows.slice(at + 1);
  const told = body.filter(isFilled);
  return {
    header: Array.from({ length: width }, (_, i) => rows[at]?.[i]?.trim() || `Column ${i + 1}`),
    body,
    firstLine: at + 2,
    rows: told.length,
    sample: told.slice(0, 4),
  };
}
