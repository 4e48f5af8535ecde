import { describe, expect, it } from 'vitest';
import { doseInWords } from '../../words/dose.ts';
import { type Dose, doseHeld, doseInMl } from './dose.ts';
import { ballVolumeMl, GOLF_BALL_MM, MEASURES } from './measures.ts';

const exact = (
  amount: number,
  measure: Dose extends infer D ? (D extends { measure: infer M } ? M : never) : never,
  per: 'head' | 'section' = 'head',
) => ({ kind: 'exact', amount, measure, per }) as const;
const plain = (dose: Dose | null, sections: number | null = null) => ({ dose, sections });

describe('measures', () => {
  it('a golf ball of 42.67 mm (Rules of Golf) holds about 41 ml', () => {
    expect(ballVolumeMl(GOLF_BALL_MM)).toBeCloseTo(40.68, 2);
  });

  it('run from low over usual to high, and only exact ones carry no great spread', () => {
    for (const { low, usual, high, exact } of Object.values(MEASURES)) {
      expect(low).toBeLessThanOrEqual(usual);
      expect(usual).toBeLessThanOrEqual(high);
      expect(high / low <= 1.2).toBe(exact);
    }
  });
});

describe('a dose in ml', () => {
  it('multiplies by sections', () => {
    expect(doseInMl(exact(2, 'pump', 'section'), 4)).toEqual({ low: 8, usual: 12, high: 16 });
    expect(doseInMl(exact(12, 'ml'), null)).toEqual({ low: 12, usual: 12, high: 12 });
  });

  it('spreads a range from its low end to its high one', () => {
    const spread = doseInMl({ kind: 'range', from: 1, to: 2, measure: 'pump', per: 'head' }, null)!;
    expect(spread).toEqual({ low: 1, usual: 2.25, high: 4 });
  });

  it('is not known where it was not remembered, or sections are missing', () => {
    expect(doseInMl({ kind: 'unknown' }, 4)).toBeNull();
    expect(doseInMl(exact(2, 'pump', 'section'), null)).toBeNull();
    expect(doseInMl(null, null)).toBeNull();
  });

  it('is told in words', () => {
    expect(doseInWords(exact(1, 'pea'))).toBe('1 pea');
    expect(doseInWords(exact(2.5, 'pump', 'section'))).toBe('2.5 pumps per section');
    expect(doseInWords({ kind: 'range', from: 1, to: 2, measure: 'pea', per: 'head' })).toBe('1–2 peas');
    expect(doseInWords({ kind: 'unknown' })).toBe('amount not remembered');
    expect(doseInWords(null)).toBe('no amount');
  });
});

describe('a held dose', () => {
  it('stays within 20 %', () => {
    expect(doseHeld(plain(exact(10, 'ml')), plain(exact(12, 'ml')))).toBe('held');
    expect(doseHeld(plain(exact(10, 'ml')), plain(exact(12.1, 'ml')))).toBe('departed');
    expect(doseHeld(plain(exact(10, 'ml')), plain(exact(8, 'ml')))).toBe('held');
    expect(doseHeld(plain(exact(10, 'ml')), plain(exact(7.9, 'ml')))).toBe('departed');
  });

  it('counts the same count of the same measure as held', () => {
    expect(doseHeld(plain(exact(2, 'pump')), plain(exact(2, 'pump')))).toBe('held');
    expect(doseHeld(plain(exact(2, 'pump')), plain(exact(3, 'pump')))).toBe('departed');
  });

  it('cannot be shown by an uncalibrated measure, a range or a lapse of memory', () => {
    expect(doseHeld(plain(exact(3, 'ml')), plain(exact(2, 'pump')))).toBe('cannot show');
    expect(doseHeld(plain(exact(3, 'ml')), plain({ kind: 'unknown' }))).toBe('cannot show');
    expect(
      doseHeld(
        plain(exact(2, 'pump')),
        plain({ kind: 'range', from: 1, to: 3, measure: 'pump', per: 'head' }),
      ),
    ).toBe('cannot show');
  });

  it('departs where even the spread cannot reach', () => {
    expect(doseHeld(plain(exact(30, 'ml')), plain(exact(2, 'pump')))).toBe('departed');
  });

  it('minds the number of sections', () => {
    expect(doseHeld(plain(exact(1, 'coin', 'section'), 4), plain(exact(1, 'coin', 'section'), 4))).toBe(
      'held',
    );
    expect(doseHeld(plain(exact(1, 'ml', 'section'), 4), plain(exact(1, 'ml', 'section'), 6))).toBe(
      'departed',
    );
  });
});
