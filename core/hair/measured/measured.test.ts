import { describe, expect, it } from 'vitest';
import { crossSection, densityClass } from './density.ts';
import { readMeasure } from './kinds.ts';
import { readShed, shedSinceDetangle } from './shed.ts';
import { strandClass } from './strand.ts';
import { extension, readStretch, recovery } from './stretch.ts';

describe('strand and ponytail', () => {
  it.each([
    [40, 'fine'],
    [59.9, 'fine'],
    [60, 'medium'],
    [80, 'coarse'],
    [110, 'coarse'],
  ])('%s µm is %s', (micrometres, strand) => {
    expect(strandClass(micrometres)).toBe(strand);
  });

  it('by hand: 100 mm around is 795.8 mm² across', () => {
    expect(crossSection(100)).toBeCloseTo(795.77, 2);
    expect(crossSection(2 * Math.PI * 10)).toBeCloseTo(Math.PI * 100, 9);
  });

  it('follows the trade’s two and four inches', () => {
    expect([40, 50, 99, 100].map(densityClass)).toEqual(['low', 'medium', 'medium', 'high']);
  });

  it('refuses what no hair is', () => {
    for (const bad of [0, 5, 250, Number.NaN]) expect(() => strandClass(bad)).toThrow(RangeError);
    for (const bad of [0, -3, 500, Number.NaN]) expect(() => densityClass(bad)).toThrow(RangeError);
  });
});

describe('the stretch test', () => {
  const strand = (wetMm: number, stretchedMm: number, releasedMm: number) => ({
    wetMm,
    stretchedMm,
    releasedMm,
  });

  it('by hand: 100 to 140 and back to 110 is 40 % extension, 75 % recovery', () => {
    expect(extension(strand(100, 140, 110))).toBeCloseTo(0.4, 12);
    expect(recovery(strand(100, 140, 110))).toBeCloseTo(0.75, 12);
    expect(recovery(strand(100, 100, 100))).toBe(1);
  });

  it('reads far and not back as protein, hardly at all as moisture, the rest as balanced', () => {
    expect(readStretch(strand(200, 280, 230)).call).toBe('protein');
    expect(readStretch(strand(200, 210, 200)).call).toBe('moisture');
    expect(readStretch(strand(200, 250, 202)).call).toBe('balanced');
  });

  it('is sure of a clear case on a long strand and unsure of a near one on a short', () => {
    expect(readStretch(strand(200, 290, 240)).chances.protein).toBeGreaterThan(0.97);
    const near = readStretch(strand(50, 55.5, 50)).chances;
    expect(near.moisture).toBeGreaterThan(0.2);
    expect(near.balanced).toBeGreaterThan(0.3);
    expect(near.protein + near.balanced + near.moisture).toBeCloseTo(1, 9);
  });

  it('gives the same chances for the same seed', () => {
    expect(readStretch(strand(100, 130, 105), 7)).toEqual(readStretch(strand(100, 130, 105), 7));
  });

  it('refuses lengths that cannot be', () => {
    expect(() => readStretch(strand(100, 90, 90))).toThrow('cannot be shorter than it was at rest');
    expect(() => readStretch(strand(100, 120, 130))).toThrow('longer let go');
    expect(() => readStretch(strand(0, 120, 100))).toThrow('more than 0');
  });
});

describe('shed hairs', () => {
  // The basin and the profile once judged apart: 60 hairs in three days, loose, were "few" in one and ordinary in the other.
  it.each([
    [60, 1, 'ordinary'],
    [60, 3, 'ordinary'],
    [10, 1, 'under'],
    [150, 1, 'above'],
    [201, 1, 'far above'],
    [400, 7, 'ordinary'],
    [60, 0, 'ordinary'],
    [1000, 30, 'ordinary'],
  ] as const)(
    '%i on a wash day %s days after the last detangle: %s, as everywhere',
    (hairs, days, verdict) => {
      expect(shedSinceDetangle(hairs, days).verdict).toBe(verdict);
      if (days >= 1 && days <= 14)
        expect(readShed(hairs, hairs, days, 'loose')).toEqual(shedSinceDetangle(hairs, days));
    },
  );

  it('by hand: a week in braids leaves 280 to 700, a loose day 15 to 100', () => {
    expect(readShed(500, 500, 7, 'braids')).toEqual({
      expected: { low: 280, high: 700 },
      verdict: 'ordinary',
    });
    expect(readShed(60, 60, 1, 'loose')).toEqual({ expected: { low: 15, high: 100 }, verdict: 'ordinary' });
  });

  it('judges a range by the end that speaks for calm', () => {
    expect(readShed(90, 400, 1, 'loose').verdict).toBe('ordinary');
    expect(readShed(120, 400, 1, 'loose').verdict).toBe('above');
    expect(readShed(201, 400, 1, 'loose').verdict).toBe('far above');
    expect(readShed(0, 10, 1, 'loose').verdict).toBe('under');
    expect(readShed(0, 20, 1, 'loose').verdict).toBe('ordinary');
  });

  it('refuses counts and days that cannot be', () => {
    for (const [from, to, days] of [
      [-1, 5, 1],
      [10, 5, 1],
      [1, 5, 0],
      [1, 5, 500],
      [Number.NaN, 5, 1],
    ] as const)
      expect(() => readShed(from, to, days, 'loose')).toThrow(RangeError);
  });
});

describe('a measurement in words', () => {
  it('says what it comes to and what that rests on', () => {
    expect(readMeasure({ kind: 'strand', micrometres: 72 })).toMatchObject({ says: 'medium', caution: null });
    expect(readMeasure({ kind: 'ponytail', circumferenceMm: 100 }).because).toMatch(/^796 mm² across/);
    const stretch = readMeasure({ kind: 'stretch', wetMm: 200, stretchedMm: 280, releasedMm: 230 });
    expect(stretch.says).toBe('needs protein');
    expect(stretch.because).toMatch(/^Extension 40 %, recovery 63 %\. .*Trade belief\.$/);
    // A share of rounds is never told as certainty.
    const again = (releasedMm: number) =>
      readMeasure({ kind: 'stretch', wetMm: 200, stretchedMm: 280, releasedMm }).because;
    expect(again(238)).toContain('it would read the same nearly always');
    expect(again(215)).toMatch(/it would read the same \d\d % of the time/);
  });

  it('points to a dermatologist only when the count is far above', () => {
    const shed = (from: number) => readMeasure({ kind: 'shed', from, to: from, days: 1, worn: 'loose' });
    expect(shed(80)).toMatchObject({ says: 'ordinary', caution: null });
    expect(shed(150)).toMatchObject({ says: 'somewhat more than is ordinary', caution: null });
    expect(shed(300).caution).toContain('dermatologist');
    expect(shed(300).because).toContain('after 1 day (');
  });

  it('throws a sentence where it cannot be', () => {
    expect(() => readMeasure({ kind: 'strand', micrometres: 700 })).toThrow(/Check the reading\.$/);
  });
});
