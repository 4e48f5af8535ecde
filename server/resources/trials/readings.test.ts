import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { PLAIN_EVENT } from '@sabor/reading/nothing-told';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { readingsCsv } from './readings.ts';

const wearer = {
  zones: [
    { id: 'z1', place: 'crown', side: 'left', ownName: null },
    { id: 'z2', place: 'own', side: 'both', ownName: '=HYPERLINK("x")' },
  ],
  curls: [{ id: 'k1', name: 'Crown curl' }],
  timeZone: 'UTC',
} as unknown as Wearer;

const day = (to: object) => ({
  position: 0,
  armId: 'a',
  localDate: '2026-03-10',
  temperatureC: 20,
  humidity: 50,
  windMs: 3.5,
  abandonReason: null,
  checkIns: [],
  steps: [],
  events: [],
  photographs: [],
  cameFrom: null,
  styleMeant: null,
  accepts: [],
  fastened: null,
  styleDays: null,
  strain: null,
  patience: null,
  revealAt: '2026-03-10T12:00:00Z',
  startedAt: '2026-03-10T09:00:00Z',
  ...to,
});
const trial = (...washDayRecords: object[]) =>
  ({
    design: 'complete',
    arms: [{ id: 'a', name: 'Gel, "strong"' }],
    washDayRecords,
  }) as unknown as TrialDetail;
const look = {
  stage: 'wear',
  day: 2,
  part: 'first',
  felt: [],
  at: '2026-03-11T08:00:00Z',
  ratings: [
    { outcome: 'definition', zoneId: 'z1', value: 7.5 },
    { outcome: 'frizz', zoneId: 'z2', value: 3 },
    { outcome: 'shine', zoneId: null, value: 6 },
  ],
  curls: [{ curlId: 'k1', restingMm: 180, stretchedMm: 300 }],
};
const productOf = (name: string) => ({ name, labelDirections: 'Leave for 3 minutes.' });
const rows = (text: string) => Papa.parse<Record<string, string>>(text, { header: true }).data;

describe('readings as CSV', () => {
  it('put one reading in a row, with the wash day, the arm and the air beside it', () => {
    const [first, ...rest] = rows(readingsCsv(trial(day({ checkIns: [look] })), wearer, productOf));
    expect(rest).toHaveLength(4);
    expect(first).toEqual({
      wash_day: '1',
      abandoned: 'no',
      date: '2026-03-10',
      arm: 'Gel, "strong"',
      temperature_c: '20',
      humidity_percent: '50',
      wind_m_s: '3.5',
      dew_point_c: '9.3',
      stage: 'Day 2',
      day_of_wear: '2',
      at: '2026-03-11T08:00:00Z',
      outcome: 'Definition',
      zone: 'Crown, left',
      curl: '',
      value: '7.5',
      unit: '0-10',
      word: '',
      product: '',
      amount: '',
      tool: '',
    });
  });

  it('give whole-head ratings and curl lengths their own words', () => {
    const all = rows(readingsCsv(trial(day({ checkIns: [look] })), wearer, productOf));
    expect(all[2]!.zone).toBe('Whole head');
    expect(all.slice(3).map(({ outcome, curl, value, unit }) => [outcome, curl, value, unit])).toEqual([
      ['Resting length', 'Crown curl', '180', 'mm'],
      ['Stretched length', 'Crown curl', '300', 'mm'],
    ]);
  });

  it('keep a spreadsheet from running what a name looks like', () => {
    expect(rows(readingsCsv(trial(day({ checkIns: [look] })), wearer, productOf))[1]!.zone).toBe(
      '\'=HYPERLINK("x")',
    );
  });

  it('leave the air empty where it was not recorded, and mark abandoned days', () => {
    const [row] = rows(
      readingsCsv(trial(day({ humidity: null, abandonReason: 'rain', checkIns: [look] })), wearer, productOf),
    );
    expect(row).toMatchObject({ abandoned: 'yes', humidity_percent: '', dew_point_c: '' });
  });

  it('tell what was done on both halves of both options, on one half of its own', () => {
    const halves = {
      ...trial(
        day({
          rightArmId: 'b',
          events: [
            { ...PLAIN_EVENT, id: 'e', kind: 'edges', on: '2026-03-11', zoneIds: ['z1', 'z3'] },
            { ...PLAIN_EVENT, id: 'f', kind: 'separated', on: '2026-03-11', zoneIds: ['z3'] },
            { ...PLAIN_EVENT, id: 'g', kind: 'disliked', on: '2026-03-11', note: '=Wet neck' },
          ],
        }),
      ),
      arms: [
        { id: 'a', name: 'A' },
        { id: 'b', name: 'B' },
      ],
    } as unknown as TrialDetail;
    const sided = {
      ...wearer,
      zones: [...wearer.zones, { id: 'z3', place: 'crown', side: 'right', ownName: null }],
    } as unknown as Wearer;
    expect(
      rows(readingsCsv(halves, sided, productOf)).map(({ outcome, arm, word }) => [outcome, arm, word]),
    ).toEqual([
      ['Edges redone', 'A | B', ''],
      ['Separated further', 'B', ''],
      ['A dislike happened', 'A | B', "'=Wet neck"],
    ]);
  });

  it('say of every product step whether it went by its label', () => {
    const step = {
      slot: 'condition',
      status: 'done',
      half: null,
      doneAt: '2026-03-10T10:00:00Z',
      productId: '=Slip',
      dose: null,
      wetness: null,
      heat: null,
      extra: {},
      inHand: {},
      skipReason: null,
      marks: [],
    };
    const told = (minutes: number) =>
      rows(readingsCsv(trial(day({ steps: [{ ...step, minutes }] })), wearer, productOf)).map(
        ({ outcome, word, product }) => [outcome, word, product],
      );
    expect(told(3)).toEqual([['Label', 'by the label', "'=Slip"]]);
    expect(told(9)).toEqual([['Label', 'own way (the label says 3 min, this wash 9)', "'=Slip"]]);
  });

  it('are a line of headings when there is nothing yet', () => {
    expect(readingsCsv(trial(), wearer, productOf).trim().split('\r\n')).toHaveLength(1);
  });

  it('tell what was read in pictures, and where it could not be read', () => {
    const picture = {
      stage: 'wear',
      day: 2,
      angle: 'right',
      takenAt: '2026-03-11T08:05:00Z',
      measured: {
        readings: [
          { measure: 'halo', value: 0.82, why: null },
          { measure: 'strays', value: null, why: 'too dense' },
        ],
      },
    };
    const half = {
      ...trial(day({ photographs: [picture, { ...picture, measured: null }], rightArmId: 'b' })),
      design: 'half',
      arms: [
        { id: 'a', name: 'Foam' },
        { id: 'b', name: 'Gel' },
      ],
    } as TrialDetail;
    const [halo, strays, ...rest] = rows(readingsCsv(half, wearer, productOf));
    expect(rest).toEqual([]);
    expect(halo).toMatchObject({
      arm: 'Gel',
      stage: 'Day 2',
      outcome: 'Picture: frizz halo',
      zone: 'from the right',
      value: '0.82',
      unit: 'mm',
      word: '',
    });
    expect(strays).toMatchObject({ value: '', word: 'not read: too dense' });
  });
});
