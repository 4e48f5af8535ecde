import { dewPoint } from './dew-point.ts';
import { humidityFromDewPoint, type Observation } from './observation.ts';
import { MILD_COAST, type MonthNormal, type Scenario } from './places.ts';

const HOUR = 3_600_000;

/** A number in [−1, 1] that depends on nothing but its two arguments (integer hash). */
function hashed(seed: number, k: number): number {
  let x = (seed ^ Math.imul(k | 0, 0x9e3779b1)) | 0;
  x = Math.imul(x ^ (x >>> 16), 0x85ebca6b);
  x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35);
  return ((x ^ (x >>> 16)) >>> 0) / 2 ** 31 - 1;
}

/** Smooth noise in [−1, 1] with knots every `period` hours. */
function noise(seed: number, hours: number, period: number): number {
  const at = hours / period;
  const k = Math.floor(at);
  const ease = (1 - Math.cos(Math.PI * (at - k))) / 2;
  return hashed(seed, k) * (1 - ease) + hashed(seed, k + 1) * ease;
}

/** Normals of a moment, drawn evenly from the middle of one month to that of the next. */
function normalAt(normals: readonly MonthNormal[], ms: number): Omit<MonthNormal, 'month'> {
  const at = new Date(ms);
  const place = at.getUTCMonth() + (at.getUTCDate() - 15.5) / 30.5;
  const i = Math.floor(place);
  const a = normals[(i + 12) % 12]!;
  const b = normals[(i + 13) % 12]!;
  const mix = (key: 'highC' | 'lowC' | 'humidity' | 'windMs') => a[key] + (b[key] - a[key]) * (place - i);
  return { highC: mix('highC'), lowC: mix('lowC'), humidity: mix('humidity'), windMs: mix('windMs') };
}

/** The seed of a place's weather, from its id: the same wherever it runs. */
export function stationSeed(id: string): number {
  return Number.parseInt(id.replaceAll('-', '').slice(-8), 16) | 0;
}

export interface SimulatedStation {
  /** Any 32-bit integer: the same seed has the same weather. */
  seed: number;
  /** Twelve, January first; null plays the mild coast's. */
  normals: readonly MonthNormal[] | null;
  scenario: Scenario;
  /** Minutes by which the place's clocks are ahead of UTC: its afternoons are warm. */
  offset: number;
}

/**
 * The reading of a simulated weather station at a moment (ms): seasons from the normals, day and night, fronts that
 * bring warm or cold air and wind, an hour's own noise. Not a model of any real weather.
 */
export function stationReading(
  { seed, normals, scenario, offset }: SimulatedStation,
  ms: number,
): Observation {
  const hours = ms / HOUR;
  const clock = (hours + offset / 60) % 24;
  const afternoon = Math.cos(((clock - 15) / 24) * 2 * Math.PI);
  const front = noise(seed, hours, 84);
  const rising = Math.abs(noise(seed, hours + 6, 84) - noise(seed, hours - 6, 84));
  const usual = normalAt(normals ?? MILD_COAST, ms);
  const mean = (usual.highC + usual.lowC) / 2;
  const swing = ((usual.highC - usual.lowC) / 2) * (1 + 0.4 * noise(seed + 1, hours, 60));
  let temperature = mean + swing * afternoon + 4 * front + noise(seed + 2, hours, 5);
  let dew =
    (dewPoint(mean, Math.max(1, usual.humidity)) ?? mean) +
    3.5 * noise(seed, hours - 5, 84) +
    noise(seed + 3, hours, 9);
  let wind = usual.windMs * (0.7 + 0.2 * afternoon + 1.6 * rising + 0.3 * noise(seed + 4, hours, 7));
  if (scenario === 'dry-cold') {
    temperature = -4 + 4 * afternoon + 2 * front;
    dew = -12 + 1.5 * noise(seed + 3, hours, 9);
  } else if (scenario === 'sticky-heat') {
    temperature = 30.5 + 3.5 * afternoon + front;
    dew = 23 + noise(seed + 3, hours, 9);
    wind = 2 + noise(seed + 4, hours, 7);
  } else if (scenario === 'gale') wind = 20.5 + 2.5 * noise(seed + 4, hours, 7);
  temperature = Math.min(59, Math.max(-40, temperature));
  wind = Math.max(0.2, wind);
  const round = (x: number) => Math.round(x * 10) / 10;
  return {
    at: new Date(ms).toISOString(),
    temperatureC: round(temperature),
    humidity: round(humidityFromDewPoint(temperature, Math.max(-44, Math.min(dew, temperature - 0.2)))),
    windMs: round(wind),
    gustMs: round(wind * (1.35 + 0.15 * noise(seed + 5, hours, 3))),
  };
}
