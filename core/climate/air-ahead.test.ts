import { describe, expect, it } from 'vitest';
import { temperatureScale } from '../units/preferences.ts';
import { type AirAhead, airAhead } from './air-ahead.ts';
import { DEW_POINT_BANDS } from './dew-point-bands.ts';
import { summarise } from './observation.ts';
import { MILD_COAST } from './places.ts';

const base: AirAhead = {
  place: 'Ostrel Harbour',
  now: { at: '2026-11-25T13:00:00Z', temperatureC: 20, humidity: 60, windMs: 3, gustMs: null },
  next: null,
  usual: null,
  met: [],
  bands: DEW_POINT_BANDS,
  scale: temperatureScale('c'),
};

describe('the air ahead', () => {
  it('says what now means, with its numbers', () => {
    // 20 °C at 60 %: dew point 12.0 °C by printed tables.
    expect(airAhead(base)).toMatch(
      /^At Ostrel Harbour now 20\.0 °C and 60 % humidity, at which hair holds about 1\d % water; dew point 12\.0 °C, kind: /,
    );
    expect(airAhead(base)).not.toContain('Wind');
  });

  it('speaks in the tester’s unit and bands', () => {
    const own = [{ below: null, label: 'mine', says: 'use less' }];
    expect(airAhead({ ...base, bands: own, scale: temperatureScale('f') })).toContain(
      'dew point 53.6 °F, mine: use less.',
    );
  });

  it('tells of wind, and of the next day where it is foreseen', () => {
    const now = { ...base.now!, windMs: 9.4 };
    const says = airAhead({ ...base, now, next: summarise([now, { ...now, humidity: 80 }]) })!;
    expect(says).toContain('Wind 9.4 m/s, fresh breeze');
    expect(says).toContain('Next 24 hours: dew point 12.0 to 16.4 °C.');
  });

  it('holds it against the wash days the trial has had', () => {
    expect(airAhead({ ...base, met: [11, 13] })).toContain('so far met 11.0 to 13.0 °C.');
    expect(airAhead({ ...base, met: [3, 5] })).toContain('damper than all of them');
    expect(airAhead({ ...base, met: [15] })).toContain('so far met 15.0 °C: this one would be drier');
  });

  it('falls back on the usual month, then on silence', () => {
    expect(airAhead({ ...base, now: null, usual: MILD_COAST[10]! })).toContain(
      'No reading of now at Ostrel Harbour. Usual for the month: 5.0 to 11.0 °C, 87 % humidity; dew point 6.0 °C',
    );
    expect(airAhead({ ...base, now: null })).toBeNull();
  });
});
