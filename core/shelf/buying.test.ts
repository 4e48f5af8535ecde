import { describe, expect, it } from 'vitest';
import { plusDays } from '../time/dates.ts';
import { type Bought, runsOut, spendOf, type Use } from './buying.ts';

const TODAY = '2026-06-01';
const gel: Bought = {
  id: 'gel',
  lineId: 'l',
  sizeMl: 240,
  price: 12,
  currency: 'EUR',
  applications: null,
  openedOn: '2026-05-01',
  finished: [],
  prices: [],
};
const use = (daysAgo: number, to: Partial<Use> = {}): Use => ({
  on: plusDays(TODAY, -daysAgo),
  wearerId: 'w',
  productId: 'gel',
  ml: 12,
  ...to,
});
const weekly = [0, 7, 14, 21, 28, 35, 42, 49].map((daysAgo) => use(daysAgo));

describe('what runs out when', () => {
  it('follows from the bottle, what was taken of it, and how often', () => {
    // 240 ml at 12 ml are 20 uses; five since it was opened leave 15, at one a week.
    expect(runsOut([gel], weekly, TODAY)).toEqual([
      { productId: 'gel', left: 15, perWeek: 1, on: plusDays(TODAY, 105), from: 'doses' },
    ]);
  });

  it('rests on bottles that were finished, before sizes and labels', () => {
    const [found] = runsOut([{ ...gel, finished: [8, 0, 10], applications: 40 }], weekly, TODAY);
    expect(found).toMatchObject({ left: 4, from: 'finished' });
    const unsized = runsOut([{ ...gel, sizeMl: null, applications: 40 }], weekly, TODAY);
    expect(unsized[0]).toMatchObject({ left: 35, from: 'label' });
  });

  it('takes a new product by what it was used since it came, not by weeks it was not there', () => {
    const twiceAWeek = [0, 3, 7, 10, 14].map((daysAgo) => use(daysAgo));
    const [found] = runsOut([gel], twiceAWeek, TODAY);
    expect(found!.perWeek).toBeCloseTo(2, 9);
    expect(found!.on).toBe(plusDays(TODAY, 52));
    const once = { ...gel, finished: [20] };
    expect(runsOut([once], [use(3)], TODAY)).toEqual([]);
    expect(runsOut([once], [use(0), use(1)], TODAY)[0]!.perWeek).toBeCloseTo(1, 9);
    // Used of old, and of late once in eight weeks.
    expect(runsOut([once], [use(3), use(90)], TODAY)[0]!.perWeek).toBeCloseTo(1 / 8, 9);
  });

  it('is not told where nothing says so: not open, not used of late, no size, amounts not known', () => {
    expect(runsOut([{ ...gel, openedOn: null }], weekly, TODAY)).toEqual([]);
    expect(runsOut([gel], [use(70), use(80), use(90)], TODAY)).toEqual([]);
    expect(runsOut([{ ...gel, sizeMl: null }], weekly, TODAY)).toEqual([]);
    expect(
      runsOut(
        [gel],
        weekly.map((one) => ({ ...one, ml: null })),
        TODAY,
      ),
    ).toEqual([]);
    expect(runsOut([gel], weekly.slice(0, 2), TODAY)).toEqual([]);
  });

  it('a bottle past its reckoning is empty today, not in the past; soonest comes first', () => {
    const short = { ...gel, id: 'short', finished: [1] };
    const found = runsOut(
      [gel, short],
      [...weekly, use(1, { productId: 'short' }), use(2, { productId: 'short' })],
      TODAY,
    );
    expect(found.map(({ productId, left, on }) => [productId, left, on])).toEqual([
      ['short', 0, TODAY],
      ['gel', 15, plusDays(TODAY, 105)],
    ]);
  });
});

describe('what was used up', () => {
  it('costs its share of the bottle, at the price of its day, by month, head and line', () => {
    const priced = { ...gel, prices: [{ on: '2026-05-20', amount: 24, currency: 'EUR' }] };
    // 12 of 240 ml are a twentieth: 0.60 before the price doubled, 1.20 after.
    const { spent, untold } = spendOf([priced], [use(5), use(20), use(25), use(40, { wearerId: 'v' })]);
    expect(untold).toBe(0);
    expect(
      spent.map(({ month, wearerId, amount, uses }) => [month, wearerId, Number(amount.toFixed(9)), uses]),
    ).toEqual([
      ['2026-05', 'w', 2.4, 3],
      ['2026-04', 'v', 0.6, 1],
    ]);
  });

  it('is not added up over currencies, and uses that cannot be priced are counted', () => {
    const dollars = { ...gel, id: 'usd', currency: 'USD' };
    const { spent, untold } = spendOf(
      [gel, dollars, { ...gel, id: 'free', price: null }],
      [
        use(1),
        use(1, { productId: 'usd' }),
        use(1, { productId: 'free' }),
        use(1, { ml: null }),
        use(1, { productId: '?' }),
      ],
    );
    expect(spent.map(({ currency }) => currency).sort()).toEqual(['EUR', 'USD']);
    expect(untold).toBe(3);
  });
});
