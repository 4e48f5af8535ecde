const fahrenheit = (x: number) => ((x - 32) * 5) / 9;
const same = (x: number) => x;
const knots = (x: number) => (x * 1852) / 3600;
const miles = (x: number) => (x * 1609.344) / 3600;

/** What a column of a weather file can hold, and how its numbers become °C, % and m/s. */
export const COLUMNS = {
  moment: { label: 'date and time', of: 'moment', toSi: same },
  date: { label: 'date', of: 'date', toSi: same },
  time: { label: 'time of day', of: 'time', toSi: same },
  'temperature-c': { label: 'temperature, °C', of: 'temperature', toSi: same },
  'temperature-f': { label: 'temperature, °F', of: 'temperature', toSi: fahrenheit },
  humidity: { label: 'relative humidity, %', of: 'humidity', toSi: same },
  'dew-point-c': { label: 'dew point, °C', of: 'dewPoint', toSi: same },
  'dew-point-f': { label: 'dew point, °F', of: 'dewPoint', toSi: fahrenheit },
  'wind-ms': { label: 'wind, m/s', of: 'wind', toSi: same },
  'wind-kmh': { label: 'wind, km/h', of: 'wind', toSi: (x: number) => x / 3.6 },
  'wind-mph': { label: 'wind, mph', of: 'wind', toSi: miles },
  'wind-kn': { label: 'wind, knots', of: 'wind', toSi: knots },
  'gust-ms': { label: 'gusts, m/s', of: 'gust', toSi: same },
  'gust-kmh': { label: 'gusts, km/h', of: 'gust', toSi: (x: number) => x / 3.6 },
  'gust-mph': { label: 'gusts, mph', of: 'gust', toSi: miles },
  'gust-kn': { label: 'gusts, knots', of: 'gust', toSi: knots },
} as const;
export type ColumnKind = keyof typeof COLUMNS;
/** One entry a column; null where a column is left alone. */
export type Columns = (ColumnKind | null)[];

/** True when a row reads as headings: some text, and no cell that could be a value. */
export function isHeader(row: readonly string[]): boolean {
  const filled = row.map((cell) => cell.trim()).filter(Boolean);
  return (
    filled.length > 0 &&
    filled.every((cell) => !/^[-−+]?[\d.,:/\s-]+(°?[CF%])?$/.test(cell) && !/^\d{4}-\d/.test(cell))
  );
}

const unitOf = (head: string, what: 'temperature' | 'wind'): string => {
  if (what === 'temperature') return /°?\s*f\b|fahrenheit|[_(\s]f\)?$/i.test(head) ? 'f' : 'c';
  if (/km\/?h|kph/i.test(head)) return 'kmh';
  if (/mph|mi\/h/i.test(head)) return 'mph';
  if (/\bkn\b|knots?|\bkts?\b/i.test(head)) return 'kn';
  return 'ms';
};

function guess(heading: string): ColumnKind | null {
  const head = heading.trim().toLowerCase().replaceAll('_', ' ');
  if (/dew/.test(head)) return `dew-point-${unitOf(head, 'temperature')}` as ColumnKind;
  if (/gust/.test(head)) return `gust-${unitOf(head, 'wind')}` as ColumnKind;
  if (/wind/.test(head))
    return /dir|deg|bearing|°/.test(head) ? null : (`wind-${unitOf(head, 'wind')}` as ColumnKind);
  if (/humid|^rh\b|feucht|humedad|umid/.test(head)) return 'humidity';
  if (/feels|apparent|soil|water|wet.?bulb/.test(head)) return null;
  if (/temp|^t\b|^air\b/.test(head)) return `temperature-${unitOf(head, 'temperature')}` as ColumnKind;
  if (/date.*time|time ?stamp|moment|^valid|^datetime|utc/.test(head)) return 'moment';
  if (/^date|^day$|datum|fecha/.test(head)) return 'date';
  if (/^time|^hour|uhrzeit|^hora/.test(head)) return 'time';
  return null;
}

/** A first reading of the headings: each kind once, the rest left alone. A lone date or time column holds both. */
export function guessColumns(header: readonly string[]): Columns {
  const taken = new Set<string>();
  const columns = header.map((heading) => {
    const kind = guess(heading);
    if (kind === null || taken.has(COLUMNS[kind].of)) return null;
    taken.add(COLUMNS[kind].of);
    return kind;
  });
  const whole = (kind: ColumnKind | null) =>
    (kind === 'date' && !taken.has('time')) || (kind === 'time' && !taken.has('date')) ? 'moment' : kind;
  return taken.has('moment')
    ? columns.map((kind) => (kind === 'date' || kind === 'time' ? null : kind))
    : columns.map(whole);
}

/** What still keeps a file from being read with these columns, in a sentence; null when it can be. */
export function missingColumn(columns: Columns): string | null {
  const has = new Set(columns.map((kind) => (kind === null ? '' : COLUMNS[kind].of)));
  const twice = columns.find(
    (kind, i) =>
      kind !== null &&
      columns.some((other, j) => j < i && other !== null && COLUMNS[other].of === COLUMNS[kind].of),
  );
  if (twice) return `Two columns are called ${COLUMNS[twice].label.split(',')[0]}. Leave one alone.`;
  if (!has.has('moment') && !has.has('date')) return 'Say which column holds the date and time.';
  if (!has.has('moment') && !has.has('time')) return 'Say which column holds the time of day.';
  if (!has.has('temperature')) return 'Say which column holds the temperature.';
  if (!has.has('humidity') && !has.has('dewPoint'))
    return 'Say which column holds the humidity or the dew point.';
  return null;
}
