import psychrolib from 'psychrolib';
import { describe, expect, it } from 'vitest';
import { dewPoint } from './dew-point.ts';
import { dewPointBand } from './dew-point-bands.ts';
import { saturationPressure, vapourPressure } from './saturation.ts';

psychrolib.SetUnitSystem(psychrolib.SI);

describe('dew point', () => {
  /*
   * Printed psychrometric table: dew point by air temperature and humidity as in DIN 4108-3, table of dew points,
   * one decimal. Values from memory.
   */
  it.each([
    [10, 60, 2.6],
    [10, 70, 4.8],
    [10, 80, 6.7],
    [10, 90, 8.4],
    [20, 30, 1.9],
    [20, 40, 6.0],
    [20, 50, 9.3],
    [20, 60, 12.0],
    [20, 70, 14.4],
    [20, 80, 16.4],
    [20, 90, 18.3],
    [30, 30, 10.5],
    [30, 40, 14.9],
    [30, 50, 18.4],
    [30, 60, 21.4],
    [30, 70, 23.9],
    [30, 90, 28.2],
  ])('at %s °C and %s percent is %s °C, as printed', (celsius, humidity, printed) => {
    expect(Math.abs(dewPoint(celsius, humidity)! - printed)).toBeLessThanOrEqual(0.1);
  });

  it('agrees with psychrolib (ASHRAE 2017) to 0.06 °C wherever air and dew point are over water', () => {
    let widest = 0;
    let compared = 0;
    for (let celsius = 0; celsius <= 50; celsius += 2.5)
      for (let humidity = 10; humidity <= 100; humidity += 5) {
        const theirs = psychrolib.GetTDewPointFromRelHum(celsius, humidity / 100);
        const ours = dewPoint(celsius, humidity)!;
        if (theirs < 0 || ours < 0) continue;
        compared++;
        widest = Math.max(widest, Math.abs(theirs - ours));
      }
    expect(compared).toBeGreaterThan(300);
    expect(widest).toBeLessThan(0.06);
  });

  it('of saturated air is the air’s own temperature, below freezing too', () => {
    for (const celsius of [-45, -20, -0.5, 0, 16, 35, 60])
      expect(dewPoint(celsius, 100)).toBeCloseTo(celsius, 9);
  });

  it('of 16 °C is about 32 % humidity in air of 35 °C (methods.md 1)', () => {
    expect((100 * saturationPressure(16)) / saturationPressure(35)).toBeCloseTo(32.3, 1);
    expect(dewPoint(35, 32.3)).toBeCloseTo(16, 1);
  });

  it('does not exist for perfectly dry air, and refuses what cannot be', () => {
    expect(dewPoint(20, 0)).toBeNull();
    expect(() => dewPoint(40, 140)).toThrow(RangeError);
    expect(() => dewPoint(20, -1)).toThrow(RangeError);
    expect(() => dewPoint(61, 50)).toThrow(RangeError);
    expect(() => dewPoint(-46, 50)).toThrow(RangeError);
    expect(() => dewPoint(Number.NaN, 50)).toThrow(RangeError);
  });
});

describe('vapour pressure', () => {
  /*
   * Saturation over liquid water, Smithsonian Meteorological Tables (Goff–Gratch), hPa. Values from memory, as is the
   * accuracy that WMO-No. 8 gives the formula itself: 0.6 % from −45 to 60 °C.
   */
  it.each([
    [-20, 1.254],
    [-10, 2.863],
    [0, 6.108],
    [10, 12.272],
    [20, 23.373],
    [30, 42.43],
    [40, 73.777],
  ])('over water at %s °C is within its stated accuracy of the printed %s hPa', (celsius, printed) => {
    expect(Math.abs(saturationPressure(celsius) / printed - 1)).toBeLessThan(0.006);
  });

  it('is the saturation pressure’s share', () => {
    expect(vapourPressure(20, 50)).toBeCloseTo(saturationPressure(20) / 2, 12);
  });
});

describe('dew-point bands', () => {
  it.each([
    [-8, 'dry'],
    [2, 'a bit dry'],
    [8.9, 'a bit dry'],
    [9, 'easy on curls'],
    [15.9, 'easy on curls'],
    [16, 'humid'],
    [40, 'humid'],
  ])('%d °C falls in %s', (celsius, label) => {
    expect(dewPointBand(celsius).label).toBe(label);
  });
});
