import { describe, expect, it } from 'vitest';
import { airInWords } from './air.ts';
import { sizeInWords } from './board.ts';
import { numbersOf } from './main-result.ts';
import { counted, fixed, rounded, temperature, withThousands } from './numbers.ts';
import { readingInWords } from './photo.ts';

describe('a number that is said', () => {
  it('has a true minus, and none where it rounds to nothing', () => {
    expect(fixed(-0.304, 2)).toBe('−0.30');
    expect(fixed(-0.004, 2)).toBe('0.00');
    expect(fixed(-0, 1)).toBe('0.0');
    expect(rounded(-0.04)).toBe('0');
    expect(rounded(-2.5)).toBe('−2.5');
    expect(temperature(-0.04, 'c')).toBe('0 °C');
    expect(temperature(-17.8, 'f')).toBe('0 °F');
    expect(counted(-1, 'point')).toBe('−1 points');
    expect(withThousands('−12345.60')).toBe('−12,345.60');
  });

  it('has so wherever it is said: a reading under nothing, a main result, a board, the air', () => {
    expect(readingInWords('halo', -0.004)).toBe('0.00 mm');
    expect(readingInWords('halo', -0.031)).toBe('−0.03 mm');
    expect(numbersOf('halo:less').amount(-0.004)).toBe('0.00 mm');
    expect(numbersOf('halo:less').amount(-0.031)).toBe('−0.03 mm');
    expect([-0.031, -0.004, 0, 0.004, 0.006].map(numbersOf('halo:less').signed)).toEqual([
      '−0.03',
      '0.00',
      '0.00',
      '0.00',
      '+0.01',
    ]);
    expect([-0.05, 0.05, 0.04].map(numbersOf('frizz').signed)).toEqual(['−0.1', '+0.1', '0.0']);
    expect(sizeInWords('shrinkage', -2.4)).toBe('−2 %');
    const air = { dewPoint: null, now: null, usual: null, met: null };
    const says = (lowC: number, highC: number) =>
      airInWords({ ...air, next: { lowC, highC } } as never, 'Haverlock', {
        units: { volume: 'ml', length: 'mm', temperature: 'c' },
      });
    expect(says(-3.24, -0.04)).toContain('dew point −3.2 to 0.0 °C');
  });
});
