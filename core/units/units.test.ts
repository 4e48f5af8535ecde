import { describe, expect, it } from 'vitest';
import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  flOzToMl,
  inchToMm,
  mlToFlOz,
  mmToInch,
} from './convert.ts';
import { lengthScale, temperatureScale, volumeScale } from './preferences.ts';

describe('unit conversions', () => {
  it('follow NIST Handbook 44, appendix C: 1 US fl oz = 29.5735 ml, 1 inch = 25.4 mm', () => {
    expect(flOzToMl(8)).toBeCloseTo(236.588, 3);
    expect(mlToFlOz(29.5735)).toBe(1);
    expect(inchToMm(12)).toBeCloseTo(304.8, 9);
    expect(mmToInch(25.4)).toBe(1);
  });

  it('hold at the fixed points of water, and at −40', () => {
    expect(fahrenheitToCelsius(32)).toBe(0);
    expect(fahrenheitToCelsius(212)).toBe(100);
    expect(celsiusToFahrenheit(-40)).toBe(-40);
  });

  it('come back to where they began through every scale', () => {
    const scales = [
      volumeScale('floz'),
      lengthScale('in'),
      temperatureScale('f'),
      volumeScale('ml'),
      lengthScale('mm'),
    ];
    for (const scale of scales) expect(scale.store(scale.show(123.4))).toBeCloseTo(123.4, 9);
  });
});
