import { demoId } from './ids.ts';
import { wearerId, zoneId } from './wearers.ts';

interface DemoTest {
  wearer: string;
  zone: [place: string, side: string] | null;
  kind: string;
  value?: number;
  outcome?: string;
  daysAgo: number;
  note?: string;
}

/** Evidence on porosity: Ines's front was bleached and drinks water; Tomasz's coils shed it. */
const TESTS: readonly DemoTest[] = [
  { wearer: 'ines', zone: null, kind: 'bead', value: 75, daysAgo: 74 },
  { wearer: 'ines', zone: null, kind: 'slide', outcome: 'slight', daysAgo: 74 },
  { wearer: 'ines', zone: null, kind: 'grey', outcome: 'none', daysAgo: 74 },
  {
    wearer: 'ines',
    zone: ['hairline', 'left'],
    kind: 'bead',
    value: 12,
    daysAgo: 74,
    note: 'Gone before the mist had settled.',
  },
  { wearer: 'ines', zone: ['hairline', 'right'], kind: 'bead', value: 18, daysAgo: 74 },
  { wearer: 'ines', zone: ['hairline', 'left'], kind: 'product', outcome: 'sinks', daysAgo: 60 },
  { wearer: 'ines', zone: ['hairline', 'right'], kind: 'product', outcome: 'sinks', daysAgo: 60 },
  { wearer: 'ines', zone: ['ends', 'left'], kind: 'age', value: 30, daysAgo: 60 },
  { wearer: 'ines', zone: ['ends', 'left'], kind: 'slide', outcome: 'rough', daysAgo: 60 },
  { wearer: 'tomasz', zone: null, kind: 'bead', value: 240, daysAgo: 40 },
  { wearer: 'tomasz', zone: null, kind: 'wet-through', value: 95, daysAgo: 40 },
  { wearer: 'tomasz', zone: null, kind: 'product', outcome: 'sits', daysAgo: 38 },
  {
    wearer: 'tomasz',
    zone: null,
    kind: 'float',
    outcome: 'sinks',
    daysAgo: 38,
    note: 'He wanted to know; it hardly counts.',
  },
  { wearer: 'tomasz', zone: ['fringe', 'left'], kind: 'product', outcome: 'between', daysAgo: 38 },
  { wearer: 'pip', zone: null, kind: 'slide', outcome: 'smooth', daysAgo: 65 },
  { wearer: 'pip', zone: null, kind: 'bead', value: 190, daysAgo: 65 },
  { wearer: 'pip', zone: null, kind: 'product', outcome: 'sits', daysAgo: 40 },
  { wearer: 'pip', zone: ['ends', 'left'], kind: 'bead', value: 50, daysAgo: 40, note: 'Two summers older.' },
  { wearer: 'pip', zone: ['ends', 'right'], kind: 'bead', value: 55, daysAgo: 40 },
];

const EVENTS: readonly {
  wearer: string;
  kind: string;
  daysAgo: number;
  zones: [string, string][];
  note?: string;
}[] = [
  {
    wearer: 'ines',
    kind: 'bleach',
    daysAgo: 190,
    zones: [
      ['hairline', 'left'],
      ['hairline', 'right'],
    ],
    note: 'For a part, at the company’s salon.',
  },
  { wearer: 'ines', kind: 'trim', daysAgo: 95, zones: [] },
  { wearer: 'ines', kind: 'protein-light', daysAgo: 70, zones: [] },
  { wearer: 'ines', kind: 'clarify', daysAgo: 62, zones: [] },
  { wearer: 'ines', kind: 'colour', daysAgo: -24, zones: [], note: 'For the spring part; salon is booked.' },
  { wearer: 'pip', kind: 'swim', daysAgo: -6, zones: [], note: 'Company day at the baths.' },
  { wearer: 'tomasz', kind: 'braids-in', daysAgo: 88, zones: [] },
  { wearer: 'tomasz', kind: 'braids-out', daysAgo: 46, zones: [] },
  { wearer: 'tomasz', kind: 'clarify', daysAgo: 45, zones: [], note: 'After the braids.' },
  {
    wearer: 'tomasz',
    kind: 'trim',
    daysAgo: 44,
    zones: [
      ['nape', 'left'],
      ['nape', 'right'],
    ],
  },
  { wearer: 'pip', kind: 'trim', daysAgo: 30, zones: [] },
];

interface DemoMeasure {
  wearer: string;
  zone: [place: string, side: string] | null;
  result: { kind: string } & Record<string, unknown>;
  daysAgo: number;
  note?: string;
}

const MEASURES: readonly DemoMeasure[] = [
  { wearer: 'ines', zone: null, result: { kind: 'ponytail', circumferenceMm: 108 }, daysAgo: 74 },
  { wearer: 'ines', zone: ['crown', 'left'], result: { kind: 'strand', micrometres: 71 }, daysAgo: 74 },
  { wearer: 'ines', zone: ['hairline', 'left'], result: { kind: 'strand', micrometres: 54 }, daysAgo: 74 },
  {
    wearer: 'ines',
    zone: ['hairline', 'left'],
    result: { kind: 'stretch', wetMm: 150, stretchedMm: 204, releasedMm: 171 },
    daysAgo: 60,
    note: 'Where it was bleached.',
  },
  {
    wearer: 'ines',
    zone: ['crown', 'left'],
    result: { kind: 'curl', diameterMm: 17, waves: 5, overMm: 205, restingMm: 205, stretchedMm: 330 },
    daysAgo: 74,
    note: 'The tagged crown curl.',
  },
  {
    wearer: 'tomasz',
    zone: ['crown', 'right'],
    result: { kind: 'curl', diameterMm: 7, waves: 8, overMm: 92, restingMm: 92, stretchedMm: 215 },
    daysAgo: 40,
  },
  {
    wearer: 'pip',
    zone: ['back', 'right'],
    result: { kind: 'curl', diameterMm: 48, waves: 3, overMm: 345, restingMm: 345, stretchedMm: 420 },
    daysAgo: 65,
  },
  { wearer: 'tomasz', zone: null, result: { kind: 'strand', micrometres: 88 }, daysAgo: 40 },
  {
    wearer: 'tomasz',
    zone: null,
    result: { kind: 'shed', from: 1800, to: 2600, days: 42, worn: 'braids' },
    daysAgo: 46,
    note: 'Braids out; looks like a lot, is not.',
  },
  { wearer: 'pip', zone: null, result: { kind: 'ponytail', circumferenceMm: 46 }, daysAgo: 65 },
  {
    wearer: 'pip',
    zone: null,
    result: { kind: 'stretch', wetMm: 180, stretchedMm: 214, releasedMm: 182 },
    daysAgo: 65,
  },
];

/** The rows of the demo's hair files. `date` gives a date so many days before today. */
export function hairFileRows(date: (daysAgo: number) => string) {
  const eventId = (index: number) => demoId(`hair event ${index}`);
  return {
    hair_test: TESTS.map(({ wearer, zone, kind, value, outcome, daysAgo, note }, i) => ({
      id: demoId(`hair test ${i}`),
      wearer_id: wearerId(wearer),
      zone_id: zone && zoneId(wearer, ...zone),
      kind,
      value: value ?? null,
      outcome: outcome ?? null,
      tested_on: date(daysAgo),
      note: note ?? '',
    })),
    hair_measure: MEASURES.map(({ wearer, zone, result, daysAgo, note }, i) => ({
      id: demoId(`hair measure ${i}`),
      wearer_id: wearerId(wearer),
      zone_id: zone && zoneId(wearer, ...zone),
      kind: result.kind,
      result,
      measured_on: date(daysAgo),
      note: note ?? '',
    })),
    hair_event: EVENTS.map(({ wearer, kind, daysAgo, note }, i) => ({
      id: eventId(i),
      wearer_id: wearerId(wearer),
      kind,
      happened_on: date(daysAgo),
      note: note ?? '',
    })),
    hair_event_zone: EVENTS.flatMap(({ wearer, zones }, i) =>
      zones.map(([place, side]) => ({ event_id: eventId(i), zone_id: zoneId(wearer, place, side) })),
    ),
  };
}
