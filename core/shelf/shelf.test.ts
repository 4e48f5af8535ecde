import { describe, expect, it } from 'vitest';
import { goodUntil } from './period-after-opening.ts';
import { costOfDose, pricePer100Ml } from './price.ts';
import { gapsOnce, washCost } from './wash-cost.ts';

describe('price', () => {
  it('by hand: 18.00 for 250 ml is 7.20 per 100 ml, and 12 ml cost 0.86', () => {
    expect(pricePer100Ml(18, 250)).toBeCloseTo(7.2, 12);
    expect(costOfDose(18, 250, 12)).toBeCloseTo(0.864, 12);
  });

  it('refuses negative prices and empty bottles', () => {
    expect(() => pricePer100Ml(-1, 250)).toThrow('A price cannot be negative.');
    expect(() => pricePer100Ml(1, 0)).toThrow('more than 0');
  });
});

describe('the cost of a wash', () => {
  const gel = { productName: 'Gel', price: 18, currency: 'EUR', sizeMl: 250, sections: null };
  const ml = (amount: number) => ({ kind: 'exact', amount, measure: 'ml', per: 'head' }) as const;

  it('adds up what was used, with the spread of its doses', () => {
    const pumps = { kind: 'exact', amount: 2, measure: 'pump', per: 'head' } as const;
    const { cost, currency, gaps } = washCost([
      { ...gel, dose: ml(10) },
      { ...gel, dose: pumps },
    ]);
    expect(currency).toBe('EUR');
    expect(gaps).toEqual([]);
    expect(cost!.low).toBeCloseTo(0.864, 9);
    expect(cost!.usual).toBeCloseTo(0.936, 9);
    expect(cost!.high).toBeCloseTo(1.008, 9);
  });

  it('says what it leaves out', () => {
    const { cost, gaps } = washCost([
      { ...gel, dose: ml(10) },
      { ...gel, productName: 'Foam', dose: { kind: 'unknown' } },
      { ...gel, productName: 'Oil', price: null, dose: ml(1) },
    ]);
    expect(cost!.usual).toBeCloseTo(0.72, 9);
    expect(gaps).toEqual([
      { kind: 'unmeasured', product: 'Foam' },
      { kind: 'unpriced', product: 'Oil' },
    ]);
    expect(gapsOnce([...gaps, ...gaps])).toEqual(gaps);
  });

  it('never adds two currencies', () => {
    const { cost, gaps } = washCost([
      { ...gel, dose: ml(1) },
      { ...gel, currency: 'GBP', dose: ml(1) },
    ]);
    expect(cost).toBeNull();
    expect(gaps).toEqual([{ kind: 'currencies' }]);
  });
});

describe('period after opening', () => {
  it.each([
    ['2026-01-15', 12, '2027-01-15'],
    ['2026-01-31', 1, '2026-02-28'],
    ['2024-01-31', 1, '2024-02-29'],
    ['2026-11-30', 3, '2027-02-28'],
    ['2026-12-01', 1, '2027-01-01'],
  ])('%s and %d months is good until %s', (opened, months, last) => {
    expect(goodUntil(opened, months)).toBe(last);
  });

  it('is not known without both', () => {
    expect(goodUntil(null, 12)).toBeNull();
    expect(goodUntil('2026-01-01', null)).toBeNull();
  });
});
