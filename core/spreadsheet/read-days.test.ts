import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_SETTINGS } from '../step/step.ts';
import { type DayColumns, guessDayColumns, guessScale, tellsDate, withColumn } from './columns.ts';
import { nameBook, plainName } from './names.ts';
import { type DayReading, type KnownToRows, readDays, USUAL_READING } from './read-days.ts';
import { stepsWith } from './steps-with.ts';

const step = (slot: 'cleanse' | 'condition' | 'hold' | 'dry', productId: string | null = null) => ({
  ...EMPTY_SETTINGS,
  slot,
  productId,
  note: '',
});
const KNOWN: KnownToRows = {
  heads: [
    { id: 'ines', name: 'Inés Marloe', timeZone: 'Europe/Lisbon' },
    { id: 'maren', name: 'Maren Ostby', timeZone: 'Europe/Oslo' },
  ],
  routines: [
    {
      id: 'usual',
      name: 'Coast wash-and-go',
      steps: [step('cleanse', 'wash'), { ...step('hold', 'kelp'), dose: { kind: 'unknown' } }, step('dry')],
    },
  ],
  products: [
    { id: 'wash', name: 'Soft Wash', line: 'Brine & Fold', roles: ['shampoo'] },
    { id: 'kelp', name: 'Kelp Fold Gel', line: 'Brine & Fold', roles: ['gel'] },
    { id: 'anvil', name: 'Anvil Gel', line: null, roles: ['gel'] },
    { id: 'twin-a', name: 'Dew', line: 'One', roles: ['leave-in'] },
    { id: 'twin-b', name: 'Dew', line: 'Two', roles: ['leave-in'] },
  ],
};
const READING: DayReading = {
  ...USUAL_READING,
  columns: [],
  headId: 'ines',
  firstLine: 2,
  now: Date.parse('2026-11-28T12:00:00Z'),
};
const read = (columns: DayColumns, rows: string[][], to: Partial<DayReading> = {}) =>
  readDays(rows, { ...READING, ...to, columns }, KNOWN);
/** The reason a row was not taken. */
const why = (columns: DayColumns, row: string[], to: Partial<DayReading> = {}) =>
  read(columns, [row], to).refused[0]?.reason;

describe('columns of an own spreadsheet', () => {
  it('are guessed by their headings, each kind once', () => {
    expect(
      guessDayColumns([
        'Date',
        'Shampoo',
        'Conditioner',
        'Leave-in',
        'Styler',
        'Frizz (0-10)',
        'Definition',
        'frizz control',
        'Days worn',
        'Humidity %',
        'Temp °F',
        'Comments',
        'Colour of the towel',
      ]),
    ).toEqual([
      'date',
      'product-cleanse',
      'product-condition',
      'product-leave-in',
      'product-hold',
      'rate-frizz',
      'rate-definition',
      null,
      'lasted-looks',
      'humidity',
      'temperature-f',
      'note',
      null,
    ]);
    expect(guessDayColumns(['Date and time', 'Date'])).toEqual(['moment', null]);
  });

  it('exclude each other where they tell one thing, and never where they may come twice', () => {
    expect(withColumn(['rate-frizz', null], 1, 'turned-frizz')).toEqual([null, 'turned-frizz']);
    expect(withColumn(['note', null], 1, 'note')).toEqual(['note', 'note']);
    expect(withColumn(['temperature-c', 'date'], 1, 'temperature-f')).toEqual([null, 'temperature-f']);
    expect(tellsDate(['note'])).toBe(false);
    expect(tellsDate(['moment'])).toBe(true);
  });
});

describe('a scale', () => {
  it.each([
    [[3, 5, 1], { from: 1, to: 5 }],
    [[0, 5], { from: 0, to: 5 }],
    [[4, 7.5], { from: 0, to: 10 }],
    [[40, 90], { from: 0, to: 100 }],
    [[-3, 3], { from: 0, to: 10 }],
    [[], { from: 0, to: 10 }],
  ])('of %j is guessed', (values, scale) => {
    expect(guessScale(values)).toEqual(scale);
  });
});

describe('names', () => {
  it('are the same whatever their case, accents, signs and blanks', () => {
    expect(plainName('  Crème-Douce  (N° 3)')).toBe('creme douce n 3');
    const book = nameBook([
      { id: 'a', names: ['Crème Douce', 'creme douce'] },
      { id: 'b', names: ['Dew'] },
      { id: 'c', names: ['dew!'] },
    ]);
    expect(book('CREME DOUCE')).toBe('a');
    expect(book('Dew')).toBe('several');
    expect(book('')).toBeNull();
    expect(nameBook([{ id: 'b', names: ['Dew'] }], { dew: 'own' })('DEW')).toBe('own');
  });
});

describe('a day’s products in a routine', () => {
  const routine = KNOWN.routines[0]!.steps;
  it('take the place of the product of their step, whose amount is then unknown', () => {
    const day = stepsWith(routine, [{ id: 'anvil', roles: ['gel'], slot: null }]);
    expect(day.map(({ slot, productId, dose }) => [slot, productId, dose])).toEqual([
      ['cleanse', 'wash', null],
      ['hold', 'anvil', null],
      ['dry', null, null],
    ]);
    // The routine itself stays as it was.
    expect(routine[1]!.productId).toBe('kelp');
    const same = stepsWith(routine, [{ id: 'kelp', roles: ['gel'], slot: null }]);
    expect(same[1]!.dose).toEqual({ kind: 'unknown' });
  });

  it('are added in the usual order where it has no such step, and layered where it has one already filled', () => {
    const day = stepsWith(routine, [
      { id: 'mask', roles: ['mask'], slot: null },
      { id: 'anvil', roles: ['gel'], slot: null },
      { id: 'kelp', roles: ['gel'], slot: null },
    ]);
    expect(day.map(({ slot, productId }) => [slot, productId])).toEqual([
      ['cleanse', 'wash'],
      ['condition', 'mask'],
      ['hold', 'anvil'],
      ['hold', 'kelp'],
      ['dry', null],
    ]);
  });
});

describe('rows of an own spreadsheet', () => {
  it('become wash days: moment, products, ratings, air, how long it lasted', () => {
    const { taken, refused, unknown } = read(
      [
        'date',
        'time',
        'products',
        'rate-definition',
        'turned-frizz',
        'temperature-f',
        'humidity',
        'lasted-looks',
        'note',
      ],
      [['2026-07-04', '7:30 pm', 'Kelp fold gel; Mystery Mist', '4', '5', '77', '60 %', '3', '=soft']],
      { scale: { from: 1, to: 5 } },
    );
    expect(refused).toEqual([]);
    expect(unknown).toEqual([{ word: 'Mystery Mist', rows: 1 }]);
    expect(taken).toEqual([
      {
        line: 2,
        wearerId: 'ines',
        name: 'Wash day',
        // Lisbon in summer is an hour before UTC's.
        startedAt: '2026-07-04T18:30:00.000Z',
        finishedAt: '2026-07-04T22:30:00.000Z',
        steps: [{ ...EMPTY_SETTINGS, slot: 'hold', productId: 'kelp', note: '' }],
        temperatureC: 25,
        humidity: 60,
        shedHairs: null,
        // 4 on 1 to 5 is three quarters; the best of "little frizz" is none.
        ratings: [
          { outcome: 'definition', value: 7.5 },
          { outcome: 'frizz', value: 0 },
        ],
        ended: { at: '2026-07-07T18:30:00.000Z', looked: true },
        note: '=soft\nNot on the shelf: Mystery Mist.',
      },
    ]);
  });

  it('name their head and routine, by first name too; what a word means can be said', () => {
    const { taken } = read(
      ['moment', 'head', 'routine', 'product-hold'],
      [
        ['2026-02-01 09:00', 'maren', 'coast wash and go', 'the blue one'],
        ['2026-02-08', '', '', 'Anvil Gel'],
      ],
      { meant: { 'The Blue One': 'anvil' } },
    );
    expect(
      taken.map(({ wearerId, startedAt, name, steps }) => [wearerId, startedAt, name, steps.length]),
    ).toEqual([
      ['maren', '2026-02-01T08:00:00.000Z', 'Coast wash-and-go', 3],
      ['ines', '2026-02-08T18:00:00.000Z', 'Wash day', 1],
    ]);
    expect(taken[0]!.steps[1]!.productId).toBe('anvil');
  });

  it('read the date in a month by name, a finish over midnight, and a time that stands with the date', () => {
    const { taken, refused } = read(
      ['date', 'finished', 'products'],
      [
        ['Nov 3 2026', '01:15', 'anvil gel'],
        ['2026-11-05 20:00', '2026-11-06 08:00', 'anvil gel'],
      ],
    );
    expect(refused).toEqual([]);
    expect(taken.map(({ startedAt, finishedAt }) => [startedAt, finishedAt])).toEqual([
      ['2026-11-03T18:00:00.000Z', '2026-11-04T01:15:00.000Z'],
      ['2026-11-05T20:00:00.000Z', '2026-11-06T08:00:00.000Z'],
    ]);
  });

  it.each([
    [['date', 'products'], ['', 'Anvil Gel'], 'The date is missing.'],
    [['date', 'products'], ['soon', 'Anvil Gel'], 'This is no date Sabor can read.'],
    [['date', 'products'], ['2026-02-30', 'Anvil Gel'], 'There is no such day.'],
    [
      ['date', 'products'],
      ['03/04/2026', 'Anvil Gel'],
      'Day and month could be either way round. Say which comes first.',
    ],
    [['date', 'products'], ['2026-12-24', 'Anvil Gel'], 'This wash day has not come yet.'],
    [
      ['date', 'products'],
      ['2026-11-28 11:00', 'Anvil Gel'],
      'The hair of this wash day is not finished yet.',
    ],
    [
      ['date', 'finished', 'products'],
      ['2026-11-01', 'late', 'Anvil Gel'],
      '“late” is no time of day Sabor can read.',
    ],
    [['date', 'products'], ['2026-01-01', ''], 'It names no product, and no routine says the steps.'],
    [
      ['date', 'products'],
      ['2026-01-01', 'Dew'],
      'Nothing on the shelf goes by “Dew”, and no routine says the steps.',
    ],
    [['date', 'head', 'products'], ['2026-01-01', 'Zora', 'Anvil Gel'], '“Zora” is no head Sabor knows.'],
    [['date', 'routine'], ['2026-01-01', 'Quick'], '“Quick” is no routine Sabor knows.'],
    [
      ['date', 'products', 'rate-frizz'],
      ['2026-01-01', 'Anvil Gel', '11'],
      'Frizz: 11 is not on the scale from 0 to 10.',
    ],
    [
      ['date', 'products', 'rate-frizz'],
      ['2026-01-01', 'Anvil Gel', 'lots'],
      '“lots” is no number (frizz rating).',
    ],
    [
      ['date', 'products', 'humidity'],
      ['2026-01-01', 'Anvil Gel', '140'],
      'relative humidity, %: 140 is not between 0 and 100.',
    ],
    [
      ['date', 'products', 'note'],
      ['2026-01-01', 'Anvil Gel', 'x'.repeat(4001)],
      'The note is over 4000 characters.',
    ],
  ] as const)('%j %j: refused with its reason', (columns, row, reason) => {
    expect(why([...columns], [...row])).toBe(reason);
  });

  it('that tell one wash twice, are blank or follow each other are told by their own line', () => {
    const { taken, refused } = read(
      ['date', 'products'],
      [
        ['2026-01-01', 'Anvil Gel'],
        ['', ''],
        ['2026-01-01', 'Kelp Fold Gel'],
      ],
    );
    expect(taken.map(({ line }) => line)).toEqual([2]);
    expect(refused).toEqual([{ line: 4, reason: 'The same head and time as line 2; the first was taken.' }]);
  });

  it('without the word that was asked for are left out, and counted', () => {
    const { taken, refused, leftOut } = read(
      ['date', 'name', 'products'],
      [
        ['2026-01-01', 'Wash day', 'Anvil Gel'],
        ['someday', 'Dentist', ''],
        ['2026-01-03', 'WASH-DAY at last', 'Anvil Gel'],
      ],
      { only: 'wash day' },
    );
    expect([taken.map(({ name }) => name), refused, leftOut]).toEqual([
      ['Wash day', 'WASH-DAY at last'],
      [],
      1,
    ]);
  });

  it('are on a scale of their own only where it has two ends; a scale may run down', () => {
    expect(() => read(['date'], [], { scale: { from: 5, to: 5 } })).toThrow(/two different ends/);
    const down = read(['date', 'products', 'rate-shine'], [['2026-01-01', 'Anvil Gel', '1']], {
      scale: { from: 5, to: 1 },
    });
    expect(down.taken[0]!.ratings).toEqual([{ outcome: 'shine', value: 10 }]);
  });

  it('of any kind are taken or told, each once, and no rating leaves its scale', () => {
    const cell = fc.oneof(
      fc.constantFrom('2026-03-01', '12.4.2026', 'Anvil Gel', 'Dew', '', '7', '-3', '25:99', "'=1", 'Mo 3'),
      fc.string(),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { minLength: 4, maxLength: 4 }), { maxLength: 8 }), (rows) => {
        const { taken, refused } = read(['date', 'products', 'rate-hold', 'lasted-other'], rows);
        const filled = rows.filter((row) => row.some((one) => one.trim() !== '')).length;
        expect(taken.length + refused.length).toBe(filled);
        expect(new Set([...taken, ...refused].map(({ line }) => line)).size).toBe(filled);
        for (const { ratings, startedAt, finishedAt, ended } of taken) {
          for (const { value } of ratings) expect(value >= 0 && value <= 10).toBe(true);
          expect(finishedAt >= startedAt).toBe(true);
          if (ended) expect(ended.at >= finishedAt).toBe(true);
        }
      }),
    );
  });
});
