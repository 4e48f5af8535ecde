import { MILD_COAST } from '@sabor/core/climate/places';
import { describe, expect, it } from 'vitest';
import { MEMORY_HOURS, simulatedStation } from './weather-station.ts';

const HOUR = 3_600_000;
const now = Date.parse('2026-11-25T13:20:00Z');
const place = {
  id: '01890a5d-ac96-774b-bcce-b302099a8057',
  timeZone: 'Europe/Dublin',
  normals: [...MILD_COAST],
  station: 'seasons' as const,
};

describe('the station as an instrument', () => {
  it('reads on the hour, up to the last one', () => {
    const readings = simulatedStation(place).readings(null, now);
    expect(readings).toHaveLength(MEMORY_HOURS);
    expect(readings.at(-1)!.at).toBe('2026-11-25T13:00:00.000Z');
    expect(readings.every(({ at }) => Date.parse(at) % HOUR === 0)).toBe(true);
  });

  it('gives only what came since it was last asked', () => {
    const station = simulatedStation(place);
    const since = Date.parse('2026-11-25T10:00:00Z');
    expect(station.readings(since, now).map(({ at }) => at.slice(11, 13))).toEqual(['11', '12', '13']);
    expect(station.readings(Date.parse('2026-11-25T13:00:00Z'), now)).toEqual([]);
  });

  it('has forgotten what is older than its memory', () => {
    const old = now - 90 * 24 * HOUR;
    expect(simulatedStation(place).readings(old, now)).toHaveLength(MEMORY_HOURS);
  });

  it('foresees the week that then comes true', () => {
    const station = simulatedStation(place);
    const forecast = station.forecast(now);
    expect(forecast).toHaveLength(168);
    expect(forecast[0]!.at).toBe('2026-11-25T14:00:00.000Z');
    const later = station.readings(now, now + 5 * HOUR);
    expect(later).toEqual(forecast.slice(0, later.length));
  });

  it('has its own weather for each place, the same wherever it runs', () => {
    const [here] = simulatedStation(place).forecast(now);
    const [there] = simulatedStation({ ...place, id: '01890a5d-ac96-774b-bcce-b302099a8058' }).forecast(now);
    expect(here).toEqual(simulatedStation({ ...place }).forecast(now)[0]);
    expect(there!.temperatureC === here!.temperatureC && there!.humidity === here!.humidity).toBe(false);
  });

  it('plays on the mild coast where a place has no normals', () => {
    expect(simulatedStation({ ...place, normals: [] }).forecast(now)).toEqual(
      simulatedStation(place).forecast(now),
    );
  });
});
