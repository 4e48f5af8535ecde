import { describe, expect, it } from 'vitest';
import { besideUsual } from './usual.ts';

describe('a number beside what is usual', () => {
  const band = { known: 'band', low: 5.5, high: 8, middle: 6.8, products: 4, days: 31 } as const;
  it('is usual or outside, with the range and what it rests on', () => {
    expect(besideUsual(7, band, 'this zone')).toBe('7.0 is usual for this zone (5.5 to 8.0, 31 numbers).');
    expect(besideUsual(8, band, 'this zone')).toContain('is usual');
    expect(besideUsual(3, band, 'this head')).toBe(
      '3.0 lies outside what is usual for this head (5.5 to 8.0, 31 numbers). Right as it is, if that is what you see.',
    );
  });

  it('says nothing where too little is known, or anything is usual', () => {
    expect(besideUsual(7, { known: 'too few', days: 3 }, 'this zone')).toBeNull();
    expect(besideUsual(7, { ...band, low: 0, high: 10 }, 'this zone')).toBeNull();
    expect(
      besideUsual(
        7,
        { known: 'one product', product: 'Kelp Fold Gel', low: 6, high: 9, middle: 7, days: 1 },
        'this head',
      ),
    ).toContain('(6.0 to 9.0 with Kelp Fold Gel, 1 wash day)');
  });
});
