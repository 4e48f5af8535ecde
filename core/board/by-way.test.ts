import { describe, expect, it } from 'vitest';
import { byWay, type WornDay } from './by-way.ts';

const worn = (
  id: string,
  way: string | null,
  values: readonly number[],
  to: Partial<WornDay> = {},
): WornDay => {
  const rated = { definition: values.map((value, i) => ({ day: i + 1, value })) };
  return {
    washDayId: id,
    half: null,
    on: '2026-05-01',
    dewPointC: 8,
    rated,
    worn: rated,
    washedOn: null,
    over: true,
    wearDays: 3,
    ways: { technique: way, drying: null, style: null, night: null },
    ...to,
  };
};
const READ = { outcome: 'definition', onDay: 1, line: 6 } as const;

describe('wash days by how they were done', () => {
  const days = [
    worn('a', 'rake', [8, 7, 4], { dewPointC: 2 }),
    worn('b', 'rake', [6, 4, 3], { dewPointC: 12 }),
    worn('c', 'rake', [7, 6, 3], { dewPointC: null }),
    worn('d', 'scrunch', [5, 3, 2]),
    worn('e', null, [1, 1, 1]),
  ];

  it('give each way its mean, its wash days and the air they lay in; the most worn first', () => {
    const { upTo, ways } = byWay(days, 'technique', READ);
    expect(upTo).toBe(3);
    expect(ways.map(({ way, washDays, read }) => [way, washDays, read])).toEqual([
      ['rake', 3, 3],
      ['scrunch', 1, 1],
    ]);
    expect(ways[0]).toMatchObject({ value: 7, air: { low: 2, mean: 7, high: 12 } });
    // One without weather is in the mean and has no dot.
    expect(ways[0]!.dots).toEqual([
      { dewPointC: 2, value: 8 },
      { dewPointC: 12, value: 6 },
    ]);
    expect(ways[0]!.lasting!.middle).toBeGreaterThan(ways[1]!.lasting?.middle ?? 0);
    // Read on a later day, by another outcome, or another way round.
    expect(byWay(days, 'technique', { ...READ, onDay: 2 }).ways[0]!.value).toBeCloseTo(17 / 3, 10);
    expect(byWay(days, 'technique', { ...READ, outcome: 'frizz' }).ways[0]).toMatchObject({
      value: null,
      read: 0,
      air: null,
      lasting: null,
    });
    expect(byWay(days, 'drying', READ)).toEqual({ upTo: 0, ways: [] });
    expect(byWay([], 'technique', READ).ways).toEqual([]);
  });

  it('say nothing of how long it lasts where most wears were cut short, and count halves as one wash day', () => {
    const cut = [
      worn('a', 'rake', [8], { over: true }),
      worn('b', 'rake', [8], { over: true }),
      worn('c', 'rake', [8, 7, 4]),
    ];
    const [row] = byWay(cut, 'technique', READ).ways;
    expect(row).toMatchObject({ cut: 2, lasting: null });
    const halves = [
      worn('a', 'rake', [8, 7, 4], { half: 'left' }),
      worn('a', 'rake', [6, 5, 4], { half: 'right' }),
    ];
    expect(byWay(halves, 'technique', READ).ways[0]).toMatchObject({ washDays: 1, read: 2, value: 7 });
    // A number that is none is not read.
    const broken = worn('a', 'rake', [Number.NaN]);
    expect(byWay([broken], 'technique', READ).ways[0]).toMatchObject({ value: null, read: 0 });
  });
});
