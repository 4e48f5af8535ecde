import { HairTestInput } from '@sabor/contract/hair-file';
import { HairMeasureInput } from '@sabor/contract/hair-measure';
import { ProductInput } from '@sabor/contract/shelf';
import { piecesOf } from '@sabor/core/ingredients/label/sections';
import { seededRandom, standardNormal } from '@sabor/core/random';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { type HairTruth, type Lots, rate, washDayLuck } from './readings.ts';
import { demoBackup } from './scenario.ts';
import { LINES, PRODUCTS, productId } from './shelf.ts';
import { TRIALS } from './trials.ts';
import { WEARERS, zoneRows } from './wearers.ts';

const now = new Date('2026-11-25T10:00:00Z');
const { tables } = demoBackup(now);
const column = (table: string, name: string) => tables[table]!.map((row) => row[name]);
const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;
const sd = (values: number[]) => Math.sqrt(mean(values.map((value) => (value - mean(values)) ** 2)));

describe('the demo’s shelf and heads', () => {
  it('holds three lines and fifteen products that the contract takes', () => {
    expect(LINES).toHaveLength(3);
    expect(PRODUCTS).toHaveLength(15);
    for (const product of PRODUCTS) {
      const { success } = v.safeParse(ProductInput, {
        id: productId(product.key),
        lineId: null,
        name: product.name,
        roles: product.roles,
        sizeMl: product.sizeMl,
        price: product.price,
        currency: 'EUR',
        labelHold: product.hold,
        ingredients: product.ingredients,
        labelDirections: product.directions,
        stake: product.stake,
        openedOn: null,
        monthsAfterOpening: product.months,
      });
      expect(success, product.name).toBe(true);
    }
  });

  it('writes believable lists: water first but for oils, five items or more, none twice', () => {
    for (const { name, roles, ingredients } of PRODUCTS) {
      const items = piecesOf(ingredients);
      expect(items.length, name).toBeGreaterThanOrEqual(5);
      expect(new Set(items).size, name).toBe(items.length);
      expect(items[0] === 'Aqua', name).toBe(!roles.includes('oil'));
    }
  });

  it('has six wearers with different hair, one of them under age with a guardian', () => {
    expect(new Set(WEARERS.map(({ traits }) => traits.pattern)).size).toBe(6);
    expect(WEARERS.filter(({ underAge }) => underAge)).toEqual([
      expect.objectContaining({ guardian: expect.any(String) }),
    ]);
    expect(zoneRows(WEARERS[0]!)).toHaveLength(16);
    expect(zoneRows(WEARERS[1]!)).toHaveLength(17);
  });
});

describe('the demo’s hair files', () => {
  it('hold evidence, measurements and history that the contract takes, for the three wearers who are tested most', () => {
    const wearers = new Set(column('wearer', 'id').slice(0, 3));
    for (const [table, schema] of [
      ['hair_test', HairTestInput],
      ['hair_measure', HairMeasureInput],
    ] as const) {
      expect(new Set(column(table, 'wearer_id'))).toEqual(wearers);
      for (const row of tables[table]!) {
        const on = row.tested_on ?? row.measured_on;
        const { success } = v.safeParse(schema, { ...row, wearerId: row.wearer_id, zoneId: row.zone_id, on });
        expect(success, JSON.stringify(row)).toBe(true);
      }
    }
    expect(new Set(column('hair_event', 'wearer_id'))).toEqual(wearers);
  });
});

describe('the demo’s rows', () => {
  it('use every id once', () => {
    for (const [table, rows] of Object.entries(tables)) {
      const ids = rows.flatMap((row) => (typeof row.id === 'string' ? [row.id] : []));
      expect(new Set(ids).size, table).toBe(ids.length);
    }
  });

  it('run eight wash days, four and four, a week of wear each', () => {
    const [gels] = TRIALS;
    expect(gels!.washDaysAgo).toHaveLength(8);
    const trialId = tables.trial!.find(({ question }) => question === gels!.question)!.id;
    const days = tables.wash_day!.filter(({ trial_id }) => trial_id === trialId);
    const arms = days.map(({ arm_id }) => String(arm_id));
    expect([...new Set(arms)].map((arm) => arms.filter((one) => one === arm).length)).toEqual([4, 4]);
    const looks = tables.check_in!.filter(
      ({ wash_day_id, stage }) => stage === 'wear' && days.some(({ id }) => id === wash_day_id),
    );
    expect(looks).toHaveLength(56);
  });

  it('keep ratings on the scale in halves, and curls no longer than they stretch', () => {
    const rated = tables
      .reading!.filter(({ obtained }) => obtained === 'rated')
      .map(({ value }) => Number(value));
    expect(rated.every((value) => value >= 0 && value <= 10 && value * 2 === Math.round(value * 2))).toBe(
      true,
    );
    const stretched = new Map(tables.curl!.map(({ id, stretched_mm }) => [id, Number(stretched_mm)]));
    for (const { curl_id, value } of tables.reading!)
      if (curl_id) expect(Number(value)).toBeLessThanOrEqual(stretched.get(curl_id)!);
  });

  it('are dated before now, the next wash day due today', () => {
    const moments = [
      ...column('wash_day', 'started_at'),
      ...column('check_in', 'at'),
      ...column('wash_day', 'wear_ended_at'),
    ];
    expect(moments.every((at) => at === null || Date.parse(String(at)) < now.getTime())).toBe(true);
  });
});

describe('the demo’s hair', () => {
  const flat = (definition: number): HairTruth => {
    const zero = { definition: 0, frizz: 0, volume: 0, shine: 0, softness: 0, hold: 0, scalp: 0 };
    return { start: { ...zero, definition, frizz: 5 }, perDay: { ...zero, definition: -0.5 } };
  };
  const luck = { definition: 0, frizz: 0, volume: 0, shine: 0, softness: 0, hold: 0, scalp: 0 };
  const lots = (seed: number): Lots => ({ hair: seededRandom(seed), scalp: seededRandom(seed + 100) });
  const many = (make: () => number) => Array.from({ length: 2000 }, make);

  it('is rated around its truth with the rater’s wobble', () => {
    const random = lots(3);
    const values = many(() => rate(flat(5), luck, 'definition', 'nape', 1, random));
    expect(Math.abs(mean(values) - 5)).toBeLessThan(0.06);
    expect(sd(values)).toBeGreaterThan(0.5);
    expect(sd(values)).toBeLessThan(0.65);
  });

  it('differs by zone and fades by day', () => {
    const random = lots(4);
    const at = (...[place, day]: ['hairline' | 'back', number]) =>
      mean(many(() => rate(flat(6), luck, 'definition', place, day, random)));
    expect(at('back', 1) - at('hairline', 1)).toBeGreaterThan(1.4);
    expect(at('back', 1) - at('back', 4)).toBeGreaterThan(1.3);
  });

  it('shares its luck within a wash day', () => {
    const random = lots(5);
    const days = Array.from({ length: 300 }, () => washDayLuck(random).definition);
    expect(Math.abs(mean(days))).toBeLessThan(0.1);
    expect(Math.abs(sd(days) - 0.45)).toBeLessThan(0.06);
  });

  it('draws normal numbers: mean 0, deviation 1, about 5 % beyond 1.96', () => {
    const random = seededRandom(7);
    const values = Array.from({ length: 20_000 }, () => standardNormal(random));
    expect(Math.abs(mean(values))).toBeLessThan(0.03);
    expect(Math.abs(sd(values) - 1)).toBeLessThan(0.03);
    expect(Math.abs(values.filter((x) => Math.abs(x) > 1.96).length / 20_000 - 0.05)).toBeLessThan(0.008);
  });
});
