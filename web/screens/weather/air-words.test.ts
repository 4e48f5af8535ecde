import { summarise } from '@sabor/core/climate/observation';
import { DEFAULT_SETTINGS } from '@sabor/reading/default-settings';
import { describe, expect, it } from 'vitest';
import { airLine, spanLine } from './air-words.ts';

const air = { at: '2026-11-25T12:00:00Z', temperatureC: 20, humidity: 60, windMs: 6.2, gustMs: null };

describe('the weather in one line', () => {
  it('names the air, its dew point with the band, and the wind', () => {
    expect(airLine(air, DEFAULT_SETTINGS)).toBe(
      '20.0 °C · 60 % humidity · dew point 12.0 °C, easy on curls · wind 6.2 m/s (Beaufort 4)',
    );
  });

  it('leaves out what was not read, and what does not exist', () => {
    expect(airLine({ ...air, windMs: null }, DEFAULT_SETTINGS)).not.toContain('wind');
    expect(airLine({ ...air, humidity: 0 }, DEFAULT_SETTINGS)).not.toContain('dew point');
  });

  it('speaks the tester’s units and bands', () => {
    const own = {
      ...DEFAULT_SETTINGS,
      temperature: 'f' as const,
      dewPointBands: [
        { below: 5, label: 'thin', says: '' },
        { below: null, label: 'thick', says: '' },
      ],
    };
    expect(airLine(air, own)).toContain('68.0 °F');
    expect(airLine(air, own)).toContain('53.6 °F, thick');
  });

  it('sums a day up by its ranges', () => {
    const day = summarise([air, { ...air, temperatureC: 10, humidity: 80, windMs: 3 }])!;
    expect(spanLine(day, DEFAULT_SETTINGS)).toBe(
      '10.0 to 20.0 °C · 70 % humidity · dew point 6.7 to 12.0 °C, easy on curls · wind up to 6.2 m/s (Beaufort 4)',
    );
    expect(spanLine(summarise([air])!, DEFAULT_SETTINGS)).toMatch(/^20\.0 °C · 60 %/);
  });
});
