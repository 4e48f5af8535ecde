import { describe, expect, it } from 'vitest';
import { absoluteHumidity } from './absolute-humidity.ts';
import { BEAUFORT, beaufort } from './beaufort.ts';
import { moistureRegain, REGAIN_POINTS } from './moisture-regain.ts';

describe('the Beaufort scale', () => {
  /* WMO limits in m/s, first and last value of each number as printed (WMO-No. 306 code table 1100; from memory). */
  it.each([
    [0, 0, 0.2],
    [1, 0.3, 1.5],
    [2, 1.6, 3.3],
    [3, 3.4, 5.4],
    [4, 5.5, 7.9],
    [5, 8.0, 10.7],
    [6, 10.8, 13.8],
    [7, 13.9, 17.1],
    [8, 17.2, 20.7],
    [9, 20.8, 24.4],
    [10, 24.5, 28.4],
    [11, 28.5, 32.6],
    [12, 32.7, 90],
  ])('%s runs from %s to %s m/s', (number, from, to) => {
    expect(beaufort(from).number).toBe(number);
    expect(beaufort(to).number).toBe(number);
  });

  it('is close to 0.836·B^1.5 m/s at the middle of each number (the scale’s published formula)', () => {
    for (let n = 1; n <= 11; n++) expect(beaufort(0.836 * n ** 1.5).number).toBe(n);
  });

  it('has thirteen names, and refuses winds that cannot be', () => {
    expect(new Set(BEAUFORT.map(({ label }) => label)).size).toBe(13);
    for (const bad of [-0.1, 91, Number.NaN]) expect(() => beaufort(bad)).toThrow(RangeError);
  });
});

describe('absolute humidity', () => {
  /* Printed tables of saturated air in g/m³ (from memory): 4.85 at 0 °C, 9.40 at 10, 17.30 at 20, 30.4 at 30. */
  it.each([
    [0, 4.85],
    [10, 9.4],
    [20, 17.3],
    [30, 30.4],
  ])('of saturated air at %s °C is %s g/m³ within the formula’s accuracy', (celsius, printed) => {
    expect(Math.abs(absoluteHumidity(celsius, 100) / printed - 1)).toBeLessThan(0.006);
  });
});

describe('moisture regain of hair', () => {
  it('goes through the printed points and rises between them', () => {
    for (const { humidity, regain } of REGAIN_POINTS) expect(moistureRegain(humidity)).toBeCloseTo(regain, 9);
    let before = -1;
    for (let humidity = 0; humidity <= 70; humidity++) {
      const regain = moistureRegain(humidity)!;
      expect(regain).toBeGreaterThan(before);
      before = regain;
    }
  });

  it('by hand: at 57.5 %, half way between 50 and 65, it is 11.3 %', () => {
    expect(moistureRegain(57.5)).toBeCloseTo(11.3, 9);
  });

  it('is silent where the table is, and refuses what cannot be', () => {
    expect(moistureRegain(85)).toBeNull();
    expect(() => moistureRegain(101)).toThrow(RangeError);
    expect(() => moistureRegain(-1)).toThrow(RangeError);
  });
});
