import { describe, expect, it } from 'vitest';
import { airRangeInWords, wayInWords } from './ways.ts';

describe('how a wash day was done, in words', () => {
  it('by technique, drying, style and night', () => {
    expect(wayInWords('technique', 'two-strand')).toBe('Two-strand twists');
    expect(wayInWords('drying', 'diffuser low')).toBe('Diffuser, low');
    expect(wayInWords('drying', 'hood none')).toBe('Hooded dryer');
    expect(wayInWords('drying', 'air none')).toBe('In the air');
    expect(wayInWords('style', 'rod-set')).toBe('Rod set');
    expect(wayInWords('night', 'pillowcase')).toBe('Satin pillowcase');
    // What a later Sabor may name is shown as it is.
    expect(wayInWords('technique', 'newly-made')).toBe('Newly-made');
  });

  it('in the air they lay in', () => {
    const show = (celsius: number) => `${celsius} °C`;
    expect(airRangeInWords({ low: 2, mean: 7, high: 14 }, show)).toBe(
      'dew point 2 °C to 14 °C, 7 °C on average',
    );
    expect(airRangeInWords({ low: 7, mean: 7, high: 7 }, show)).toBe('dew point 7 °C');
    expect(airRangeInWords(null, show)).toBe('air not known');
  });
});
