import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random.ts';
import { SimulatedScale } from './simulated-scale.ts';
import { gramsUsed, type ScaleSample, stableReading } from './stable-reading.ts';

/** Neighbouring small seeds are alike at first (docs/validation.md); these lie far apart. */
const far = (seed: number) => seededRandom((seed * 48_271 + 11) % 2_147_483_647);

/** What a scale shows while the loads given are put on it, each with its moment in seconds. */
function trace(seed: number, loads: readonly (readonly [number, number])[], seconds: number): ScaleSample[] {
  const scale = new SimulatedScale(far(seed));
  const samples: ScaleSample[] = [];
  let next = 0;
  for (let i = 0; i <= seconds * 10; i++) {
    const ms = i * 100;
    while (next < loads.length && loads[next]![0] * 1000 <= ms) scale.put(loads[next++]![1], ms);
    samples.push(scale.sample(ms));
  }
  return samples;
}

const readAll = (samples: readonly ScaleSample[]) =>
  samples.map((_, i) => stableReading(samples.slice(Math.max(0, i - 30), i + 1)));

describe('a stable reading', () => {
  it('needs rest: long enough, narrow, level, without a gap', () => {
    const flat = Array.from({ length: 12 }, (_, i) => ({ ms: i * 100, grams: 250 + (i % 2) / 10 }));
    expect(stableReading(flat)).toBeCloseTo(250.05, 1);
    expect(stableReading(flat.slice(0, 6))).toBeNull();
    expect(stableReading([])).toBeNull();
    expect(stableReading(flat.map((s, i) => ({ ...s, grams: s.grams + i / 10 })))).toBeNull();
    expect(stableReading(flat.map((s) => (s.ms === 1100 ? { ...s, grams: 252 } : s)))).toBeNull();
    expect(stableReading(flat.filter(({ ms }) => ms < 500 || ms > 1000))).toBeNull();
  });

  /** Known truth: 400 bottles put on the simulated scale. Found, within half a gram, and never while it still moved. */
  it('is found within three seconds in at least 99 of 100 loads, and is never wrong by over 1 g', () => {
    let [found, wrong, n] = [0, 0, 0];
    const random = seededRandom(17);
    for (let seed = 0; seed < 400; seed++) {
      const load = 20 + random.below(6000) / 10;
      const samples = trace(1000 + seed, [[1, load]], 5);
      const zeroDrift = 0.3 * (5 / 60) + 0.1;
      n++;
      const readings = readAll(samples);
      const late = readings.findIndex((grams, i) => samples[i]!.ms > 1100 && grams !== null);
      if (late >= 0 && samples[late]!.ms <= 4000 && Math.abs(readings[late]! - load) <= 0.5 + zeroDrift)
        found++;
      wrong += readings.filter(
        (grams, i) =>
          grams !== null &&
          Math.abs(grams - (samples[i]!.ms <= 1000 ? 0 : load)) > 1 + zeroDrift &&
          // What lay on it before counts until the new load has been on for the length of a rest.
          samples[i]!.ms > 1000,
      ).length;
    }
    expect(found / n).toBeGreaterThanOrEqual(0.99);
    expect(wrong).toBe(0);
  });

  it('is not found while a bottle is held, squeezed or pumped over the plate', () => {
    const random = seededRandom(5);
    let found = 0;
    for (let k = 0; k < 100; k++) {
      const samples = Array.from({ length: 30 }, (_, i) => ({
        ms: i * 100,
        grams: 200 + 15 * Math.sin(i / 3 + k) + 4 * (random.unit() - 0.5),
      }));
      found += readAll(samples).filter((grams) => grams !== null).length;
    }
    expect(found).toBe(0);
  });

  it('gives the grams used before and after within half a gram, whatever the zero does in the minute between', () => {
    let worst = 0;
    for (let seed = 0; seed < 40; seed++) {
      const samples = trace(
        seed,
        [
          [1, 250],
          [4, 0],
          [30, 238.4],
        ],
        35,
      );
      // The last rest before that moment: a single window may fail on its noise alone, the next one stands.
      const reading = (seconds: number) =>
        readAll(samples.filter(({ ms }) => ms <= seconds * 1000 && ms > seconds * 1000 - 2500)).findLast(
          (grams) => grams !== null,
        ) ?? null;
      const used = gramsUsed(reading(3.9), reading(34.9));
      expect(used).toHaveProperty('grams');
      worst = Math.max(worst, Math.abs((used as { grams: number }).grams - 11.6));
    }
    expect(worst).toBeLessThan(0.5);
  });

  it('of a bottle that grew heavier is refused with a sentence', () => {
    expect(gramsUsed(100, 104)).toEqual({ problem: expect.stringMatching(/weighs more than before/) });
    expect(gramsUsed(100, 100.3)).toEqual({ grams: 0 });
    expect(gramsUsed(null, 100)).toBeNull();
  });
});

describe('the simulated scale', () => {
  it('shows the same trace for the same seed, tenths of a gram, and takes its tare', () => {
    expect(trace(3, [[1, 100]], 3)).toEqual(trace(3, [[1, 100]], 3));
    expect(
      trace(3, [[1, 100]], 3).every(({ grams }) => Math.abs(grams * 10 - Math.round(grams * 10)) < 1e-9),
    ).toBe(true);
    const scale = new SimulatedScale(far(1));
    scale.put(80, 0);
    scale.tare();
    expect(Math.abs(scale.sample(5100).grams)).toBeLessThan(0.5);
    // An hour with an empty plate, then a gram and a half: its zero followed.
    scale.put(0, 6000);
    scale.tare();
    for (let ms = 9000; ms < 3_600_000; ms += 1000) scale.sample(ms);
    scale.put(1.5, 3_600_000);
    expect(Math.abs(scale.sample(3_604_000).grams - 1.5)).toBeLessThan(0.5);
  });
});
