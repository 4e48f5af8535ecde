import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { beforeAll, describe, expect, it } from 'vitest';
import { dewPoint } from './dew-point.ts';
import { DEW_POINT_BANDS, dewPointBand } from './dew-point-bands.ts';
import { humidityFromDewPoint, nearest, type Observation, summarise } from './observation.ts';
import { MILD_COAST, SCENARIOS, type Scenario } from './places.ts';
import { type SimulatedStation, stationReading } from './simulated-station.ts';

beforeAll(() => psychrolib.SetUnitSystem(psychrolib.SI));

const reading = (
  at: string,
  temperatureC: number,
  humidity: number,
  windMs: number | null = null,
): Observation => ({
  at,
  temperatureC,
  humidity,
  windMs,
  gustMs: null,
});

describe('humidity from a dew point', () => {
  it('bears a dew point under −45 °C, as very cold dry air has', () => {
    // −40 °C at 37 %: the dew point lies near −48 °C.
    expect(humidityFromDewPoint(-40, -48)).toBeGreaterThan(30);
    expect(humidityFromDewPoint(-40, -48)).toBeLessThan(45);
    expect(() => humidityFromDewPoint(-40, -90)).toThrow(RangeError);
    expect(() => humidityFromDewPoint(-50, -60)).toThrow(RangeError);
  });

  it('is the dew point turned round', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 5, max: 100, noNaN: true }),
        (t, h) => {
          expect(humidityFromDewPoint(t, dewPoint(t, h)!)).toBeCloseTo(h, 6);
        },
      ),
    );
  });

  it('agrees with psychrolib (ASHRAE 2017) to 0.3 points where air and dew point are at or above 0 °C', () => {
    let widest = 0;
    for (let t = 0; t <= 45; t += 3)
      for (let td = 0; td <= t; td += 3)
        widest = Math.max(
          widest,
          Math.abs(humidityFromDewPoint(t, td) - 100 * psychrolib.GetRelHumFromTDewPoint(t, td)),
        );
    expect(widest).toBeLessThan(0.3);
  });

  it('takes a rounded report as saturated and refuses more', () => {
    expect(humidityFromDewPoint(4, 4.4)).toBe(100);
    expect(() => humidityFromDewPoint(4, 5)).toThrow('dew point cannot lie above');
  });
});

describe('the reading of a moment', () => {
  const readings = [reading('2026-11-03T10:00:00Z', 8, 80), reading('2026-11-03T11:00:00Z', 9, 78)];

  it('is the nearest, within an hour and a half', () => {
    expect(nearest(readings, '2026-11-03T10:29:00Z')!.temperatureC).toBe(8);
    expect(nearest(readings, '2026-11-03T10:31:00Z')!.temperatureC).toBe(9);
    expect(nearest(readings, '2026-11-03T12:30:00Z')!.temperatureC).toBe(9);
    expect(nearest(readings, '2026-11-03T12:31:00Z')).toBeNull();
    expect(nearest([], '2026-11-03T12:31:00Z')).toBeNull();
  });
});

describe('a stretch of weather', () => {
  it('is summed up by its ranges and means', () => {
    const air = summarise([
      reading('2026-11-03T10:00:00Z', 8, 80, 3),
      reading('2026-11-03T11:00:00Z', 12, 60, null),
      reading('2026-11-03T12:00:00Z', 10, 70, 6),
    ])!;
    expect(air).toMatchObject({ readings: 3, lowC: 8, highC: 12, humidity: 70, windMs: 6, gustMs: null });
    expect(air.dewPointLowC).toBeCloseTo(dewPoint(12, 60)!, 10);
    expect(summarise([])).toBeNull();
  });

  it('has no dew point when all of it was perfectly dry', () => {
    expect(summarise([reading('2026-11-03T10:00:00Z', 8, 0)])!.dewPointC).toBeNull();
  });
});

describe('dew-point bands', () => {
  it('are the trade’s until the tester sets others', () => {
    expect(dewPointBand(1.9).label).toBe('dry');
    expect(dewPointBand(2).label).toBe('a bit dry');
    expect(dewPointBand(30).label).toBe('humid');
    const own = [
      { ...DEW_POINT_BANDS[0]!, below: 10, label: 'crisp' },
      { ...DEW_POINT_BANDS[3]!, label: 'close' },
    ];
    expect(dewPointBand(9, own).label).toBe('crisp');
    expect(dewPointBand(10, own).label).toBe('close');
  });
});

describe('the simulated station', () => {
  const HOUR = 3_600_000;
  const station = (to: Partial<SimulatedStation> = {}): SimulatedStation => ({
    seed: 7,
    normals: null,
    scenario: 'seasons',
    offset: 0,
    ...to,
  });
  const stretch = (from: number, hours: number, to: Partial<SimulatedStation> = {}) =>
    Array.from({ length: hours }, (_, i) => stationReading(station(to), from + i * HOUR));
  const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length;

  it('reads the same again, and other weather for another seed', () => {
    const at = Date.UTC(2026, 10, 25, 9);
    expect(stationReading(station(), at)).toEqual(stationReading(station(), at));
    expect(stationReading(station(), at)).not.toEqual(stationReading(station({ seed: 8 }), at));
  });

  it('keeps to its normals over the years, in January and July', () => {
    for (const month of [0, 6]) {
      const years = Array.from({ length: 12 }, (_, y) => stretch(Date.UTC(2010 + y, month, 1), 744)).flat();
      const { highC, lowC, windMs, humidity } = MILD_COAST[month]!;
      expect(mean(years.map(({ temperatureC }) => temperatureC))).toBeCloseTo((highC + lowC) / 2, -0.3);
      expect(Math.abs(mean(years.map((one) => one.windMs!)) - windMs)).toBeLessThan(1.5);
      expect(Math.abs(mean(years.map((one) => one.humidity)) - humidity)).toBeLessThan(12);
    }
  });

  it('is warmer in the place’s own afternoon than before dawn', () => {
    for (const offset of [0, -600, 720]) {
      const days = Array.from({ length: 60 }, (_, d) => Date.UTC(2026, 5, 1 + d) - offset * 60_000);
      const at = (hour: number) =>
        mean(days.map((ms) => stretch(ms + hour * HOUR, 1, { offset })[0]!.temperatureC));
      expect(at(15) - at(4)).toBeGreaterThan(5);
    }
  });

  it('changes by no more in an hour than weather does', () => {
    const year = stretch(Date.UTC(2026, 0, 1), 8760);
    const jumps = year.slice(1).map((one, i) => Math.abs(one.temperatureC - year[i]!.temperatureC));
    expect(Math.max(...jumps)).toBeLessThan(4);
  });

  it.each(Object.keys(SCENARIOS) as Scenario[])('plays %s inside what can be stored', (scenario) => {
    const quarter = stretch(Date.UTC(2026, 0, 1), 24 * 90, { scenario });
    const odd = quarter.filter(
      (one) =>
        !(one.temperatureC >= -45 && one.humidity > 0 && one.humidity <= 100 && one.gustMs! >= one.windMs!),
    );
    expect(odd).toEqual([]);
  });

  it('plays what its switch names', () => {
    const air = (scenario: Scenario) => summarise(stretch(Date.UTC(2026, 4, 1), 240, { scenario }))!;
    expect(air('dry-cold').highC).toBeLessThan(4);
    expect(air('dry-cold').dewPointC).toBeCloseTo(-12, -0.5);
    expect(air('sticky-heat').dewPointC).toBeGreaterThan(21);
    const gale = stretch(Date.UTC(2026, 4, 1), 240, { scenario: 'gale' });
    expect(Math.min(...gale.map(({ windMs }) => windMs!))).toBeGreaterThan(17.1);
  });
});
