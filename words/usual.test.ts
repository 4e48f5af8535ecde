import { describe, expect, it } from 'vitest';
import { amountOffUsual, besideUsual, wholeBesideUsual } from './usual.ts';

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

describe('minutes, hairs and amounts beside what is usual', () => {
  const band = { known: 'band', low: 31.4, high: 44.2, middle: 38, products: 4, days: 31 } as const;
  it('are usual or outside, in whole units as they are shown', () => {
    expect(wholeBesideUsual(38, band)).toBe('usual on this head (31 to 44)');
    // Shown as 31, so told as 31.
    expect(wholeBesideUsual(30.6, band)).toContain('usual on this head (31');
    expect(wholeBesideUsual(30.4, band)).toBe('outside what is usual on this head (31 to 44)');
    expect(wholeBesideUsual(45, band)).toContain('outside');
    expect(wholeBesideUsual(38, { known: 'too few', days: 5 })).toBeNull();
  });

  it('an amount is named only beyond both its band and what holds for a kept amount', () => {
    const usual = { known: 'one product', product: 'x', low: 12, high: 12, middle: 12, days: 8 } as const;
    expect(amountOffUsual('Kelp Fold Gel', 12, usual, 'g')).toBeNull();
    expect(amountOffUsual('Kelp Fold Gel', 14.4, usual, 'g')).toBeNull();
    expect(amountOffUsual('Kelp Fold Gel', 21, usual, 'g')).toBe(
      'Kelp Fold Gel: 21 g, usually 12 (8 wash days)',
    );
    expect(amountOffUsual('Kelp Fold Gel', 9, usual, 'g')).not.toBeNull();
    // Within a wide band nothing is odd, however far from its middle.
    expect(amountOffUsual('Kelp Fold Gel', 21, { ...usual, high: 25 }, 'g')).toBeNull();
    expect(amountOffUsual('Kelp Fold Gel', 21, { known: 'too few', days: 2 }, 'g')).toBeNull();
  });
});
