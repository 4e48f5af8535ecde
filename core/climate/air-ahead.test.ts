import { describe, expect, it } from 'vitest';
import { airInWords } from '../../words/air.ts';
import { type AirAhead, airAhead } from './air-ahead.ts';
import { DEW_POINT_BANDS } from './dew-point-bands.ts';
import { summarise } from './observation.ts';
import { MILD_COAST } from './places.ts';

const base: AirAhead = {
  now: { at: '2026-11-25T13:00:00Z', temperatureC: 20, humidity: 60, windMs: 3, gustMs: null },
  next: null,
  usual: null,
  met: [],
  bands: DEW_POINT_BANDS,
};

const says = (given: AirAhead, temperature: 'c' | 'f' = 'c') => {
  const facts = airAhead(given);
  return facts && airInWords(facts, 'Ostrel Harbour', { units: { volume: 'ml', length: 'mm', temperature } });
};

describe('the air ahead', () => {
  it('says what now means, with its numbers', () => {
    // 20 °C at 60 %: dew point 12.0 °C by printed tables.
    expect(says(base)).toMatch(
      /^Now at Ostrel Harbour: 20\.0 °C and 60 % humidity, where hair holds about 1\d % water; dew point 12\.0 °C, easy on curls: /,
    );
    expect(says(base)).not.toContain('Wind');
  });

  it('speaks in the tester’s unit and bands', () => {
    const own = [{ below: null, label: 'mine', says: 'use less' }];
    expect(says({ ...base, bands: own }, 'f')).toContain('dew point 53.6 °F, mine: use less.');
  });

  it('tells of wind, and of the next day where it is foreseen', () => {
    const now = { ...base.now!, windMs: 9.4 };
    const told = says({ ...base, now, next: summarise([now, { ...now, humidity: 80 }]) })!;
    expect(told).toContain('Wind 9.4 m/s, fresh breeze');
    expect(told).toContain('Next 24 hours: dew point 12.0 to 16.4 °C.');
  });

  it('holds it against the wash days the trial has had', () => {
    expect(says({ ...base, met: [11, 13] })).toContain('so far had 11.0 to 13.0 °C.');
    expect(says({ ...base, met: [3, 5] })).toContain('damper than all of them');
    expect(says({ ...base, met: [15] })).toContain('so far had 15.0 °C: this one would be drier');
  });

  it('falls back on the usual month, then on silence', () => {
    expect(says({ ...base, now: null, usual: MILD_COAST[10]! })).toContain(
      'No reading from Ostrel Harbour right now. Usual for the month: 5.0 to 11.0 °C, 87 % humidity; dew point 6.0 °C',
    );
    expect(says({ ...base, now: null })).toBeNull();
  });
});
