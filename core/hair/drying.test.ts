import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { EMPTY_SETTINGS } from '../step/step.ts';
import { type DryingRun, dryingGroups, forecastDrying, forecastSlowest, runsLike, wayOf } from './drying.ts';

const run = (
  dry: number | null,
  deficitHpa: number | null = null,
  to: Partial<DryingRun> = {},
): DryingRun => ({
  washDayId: String(dry),
  on: '2026-11-01',
  techniques: ['scrunch'],
  tool: null,
  heat: null,
  minutes: { eighty: null, ninety: null, dry },
  deficitHpa,
  ...to,
});

const told = (runs: readonly DryingRun[], deficit: number | null = null) => {
  const forecast = forecastDrying(runs, 'dry', deficit);
  if (forecast.tooFew) throw new Error('too few');
  return forecast;
};

describe('the way a plan dries', () => {
  const step = (slot: 'hold' | 'technique' | 'dry' | 'cleanse', to: object = {}) => ({
    ...EMPTY_SETTINGS,
    slot,
    ...to,
  });

  it('is what shapes the hair, each once and in order, and the last drying; fingers and no heat are none', () => {
    const plan = [
      step('cleanse', { technique: 'scrunch' }),
      step('hold', { technique: 'rake' }),
      step('technique', { technique: 'scrunch' }),
      step('technique', { technique: 'rake' }),
      step('dry', { tool: 'hood', heat: 'high' }),
      step('dry', { tool: 'fingers', heat: 'none' }),
    ];
    expect(wayOf(plan)).toEqual({ techniques: ['rake', 'scrunch'], tool: null, heat: null });
    expect(wayOf([])).toEqual({ techniques: [], tool: null, heat: null });
  });

  it('takes the runs of its own and no others', () => {
    const runs = [
      run(1),
      run(2, null, { tool: 'diffuser' }),
      run(3, null, { techniques: ['rake', 'scrunch'] }),
      run(4, null, { heat: 'low' }),
    ];
    const way = wayOf([step('hold', { technique: 'scrunch' }), step('dry')]);
    expect(runsLike(runs, way)).toEqual([runs[0]]);
  });
});

describe('a sealed option', () => {
  const way = { techniques: ['scrunch'], tool: null, heat: null };
  const quick = { ...way, tool: 'diffuser' };
  const air = [run(200), run(220), run(240)];
  const blown = [60, 70, 80].map((minutes) => run(minutes, null, { tool: 'diffuser' }));

  it('dries by the slowest way it may be, whichever way round the options stand', () => {
    for (const ways of [[way, quick] as const, [quick, way] as const]) {
      const { forecast, differ } = forecastSlowest([...blown, ...air], [...ways]);
      expect(differ).toBe(true);
      expect(forecast).toMatchObject({ runs: 3, minutes: told(air).minutes });
    }
    expect(forecastSlowest([...blown, ...air], [quick, quick])).toMatchObject({
      differ: false,
      forecast: { minutes: told(blown).minutes },
    });
  });

  it('is not foretold where one of its ways was not timed often enough', () => {
    expect(forecastSlowest(blown, [quick, way]).forecast).toEqual({ runs: 0, tooFew: true });
  });
});

describe('drying history', () => {
  it('says when there is too little of it', () => {
    expect(forecastDrying([run(100), run(120)], 'dry', null)).toEqual({ runs: 2, tooFew: true });
    expect(forecastDrying([run(100), run(120), run(null)], 'dry', null)).toMatchObject({ tooFew: true });
    expect(forecastDrying([run(1), run(2), run(3)], 'eighty', null)).toMatchObject({ runs: 0, tooFew: true });
  });

  it('foresees the geometric mean, with the interval worked by hand', () => {
    // ln: 4.6052, 4.7875, 4.9416; mean 4.7781, s .16839, s·√(1+1/3) .19444; t(.9; 2) 1.8856.
    const forecast = told([run(100), run(120), run(140)]);
    expect(forecast.minutes).toBeCloseTo(118.88, 1);
    expect(forecast.high).toBeCloseTo(118.88 * Math.exp(1.8856 * 0.19444), 0);
    expect(forecast.low * forecast.high).toBeCloseTo(forecast.minutes ** 2, 6);
    expect(forecast.byAir).toBe(false);
  });

  it('gives chances that agree with its times', () => {
    const forecast = told([run(100), run(120), run(140), run(110)]);
    for (const chance of [0.5, 0.8, 0.95])
      expect(forecast.chance(forecast.within(chance))).toBeCloseTo(chance, 8);
    expect(forecast.chance(0)).toBe(0);
    expect(forecast.chance(1e6)).toBeCloseTo(1, 3);
  });

  it('takes the air into account once enough days differ in it, as a regression line does (simple-statistics)', () => {
    const days = [2, 3, 4, 6, 8, 9].map((deficit, i) =>
      run(200 * Math.exp(-0.1 * deficit) * (i % 2 ? 1.05 : 0.95), deficit),
    );
    const { m, b } = linearRegression(days.map((day) => [day.deficitHpa!, Math.log(day.minutes.dry!)]));
    const damp = told(days, 2);
    expect(damp.byAir).toBe(true);
    expect(Math.log(damp.minutes)).toBeCloseTo(b + m * 2, 10);
    expect(told(days, 9).minutes).toBeLessThan(damp.minutes * 0.6);
    expect(told(days, null).byAir).toBe(false);
    expect(told(days.slice(0, 5), 4).byAir).toBe(false);
    expect(
      told(
        days.map((day) => ({ ...day, deficitHpa: 4 })),
        4,
      ).byAir,
    ).toBe(false);
  });

  it('is wider far from the air it has seen', () => {
    const days = [2, 3, 4, 6, 8, 9].map((deficit, i) => run(150 + 10 * (i % 2), deficit));
    const width = (at: number) => Math.log(told(days, at).high / told(days, at).low);
    expect(width(30)).toBeGreaterThan(width(5) * 1.5);
  });

  it('never claims more than five per cent', () => {
    const forecast = told([run(120), run(120), run(120)]);
    expect(forecast.high / forecast.minutes).toBeGreaterThan(1.05);
  });

  it('keeps styles and methods apart', () => {
    const groups = dryingGroups([run(1), run(2), run(3, null, { tool: 'diffuser', heat: 'low' })]);
    expect(groups.map((runs) => [runs[0].tool, runs.length])).toEqual([
      [null, 2],
      ['diffuser', 1],
    ]);
  });
});
