import type { TrialDetail } from '@sabor/contract/trial-record';
import { compareTrial } from '@sabor/core/compare/comparison';
import { departuresOf } from '@sabor/core/fairness/differences';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { DESIGNS, type Design, isCompared, usualDays } from '@sabor/core/trial/designs';
import { keysOf } from '@sabor/core/vocabulary';
import { readPrimary } from '@sabor/words/verdict';
import { describe, expect, it } from 'vitest';
import { type FairnessSources, runsOfTrial } from './fairness-runs.ts';
import { sampleTrial } from './sample-trial.ts';
import { toTrialRecord } from './trial-record.ts';

const dose = { kind: 'exact', amount: 5, measure: 'ml', per: 'head' } as const;
const zones = [
  { id: 'z1', place: 'side', side: 'left' },
  { id: 'z2', place: 'side', side: 'right' },
];
const wearer = { zones, curls: [], timeZone: 'Europe/Berlin' } as unknown as Parameters<
  typeof sampleTrial
>[1];
const NOW = Date.parse('2026-11-27T12:00:00Z');

const trialOf = (design: Design, to: Partial<TrialDetail> = {}): TrialDetail => {
  const arms = Array.from({ length: DESIGNS[design].arms[0] }, (_, i) => ({
    id: `a${i}`,
    name: `Gel ${'ABCD'[i]}`,
    steps: [{ stepId: 's2', productId: `gel-${i}`, dose: null, skipped: false, settings: {} }],
  }));
  return {
    id: 't',
    wearerId: 'w',
    question: 'Which?',
    design,
    status: 'planned',
    arms,
    plan: [
      {
        ...EMPTY_SETTINGS,
        id: 's1',
        slot: 'cleanse',
        part: 'held',
        optional: false,
        tolerance: 0.2,
        note: '',
      },
      {
        ...EMPTY_SETTINGS,
        id: 's2',
        slot: 'hold',
        dose,
        part: 'tested',
        optional: false,
        tolerance: 0.2,
        note: '',
      },
    ],
    primary: 'definition',
    onDay: 1,
    line: 6,
    matters: 1,
    alpha: 0.05,
    looks: 1,
    washDays: usualDays(design, arms.length),
    wearDays: 3,
    cadenceDays: null,
    judgedFrom: null,
    judgedTo: null,
    weights: zones.map(({ id }) => ({ zoneId: id, weight: 1 })),
    allocation: [],
    washDayRecords: [],
    amendments: [],
    overrules: [],
    guesses: [],
    blind: false,
    bySide: false,
    outcomesShownAt: null,
    lookedAt: null,
    endedAt: null,
    ...to,
  } as unknown as TrialDetail;
};

const played = (trial: TrialDetail, seed: number) => {
  const sample = sampleTrial(trial, wearer, seed, NOW)!;
  const record = toTrialRecord(sample.trial, [], wearer);
  return { ...sample, record };
};
const means = ({ record }: ReturnType<typeof played>) =>
  readPrimary(record, compareTrial(record), null).headline;

describe('a trial played through with made-up ratings', () => {
  it.each(keysOf(DESIGNS).filter(isCompared))('is whole in every design that compares: %s', (design) => {
    const { trial, record } = played(trialOf(design), 3);
    expect(trial.washDayRecords).toHaveLength(trial.washDays);
    expect(record.ended).toBe('as planned');
    expect(record.openedEarly).toBe(false);
    const values = trial.washDayRecords.flatMap(({ checkIns }) =>
      checkIns.flatMap(({ ratings }) => ratings.map(({ value }) => value)),
    );
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...values)).toBeLessThanOrEqual(10);
    expect(values.every((value) => Number.isInteger(value * 2))).toBe(true);
    // Every check-in had come by the end of it.
    for (const { checkIns, wearEnd } of trial.washDayRecords)
      for (const at of [...checkIns.map(({ at }) => at), wearEnd!.at])
        expect(Date.parse(at)).toBeLessThanOrEqual(NOW);
  });

  it.each(keysOf(DESIGNS).filter(isCompared))('departs from its own plan in nothing: %s', (design) => {
    const { trial } = sampleTrial(trialOf(design), wearer, 3, NOW)!;
    const file = { events: [], tests: [], washes: [], washCare: [] } as unknown as FairnessSources['file'];
    const runs = runsOfTrial({
      trial,
      wearer: wearer as FairnessSources['wearer'],
      file,
      shelf: [],
      ground: new Map(),
    });
    expect(runs.length).toBeGreaterThan(1);
    for (const { run, plan } of runs) expect(departuresOf(run, plan)).toEqual([]);
  });

  it('brings out what was put in: the named option is the better one, whichever way the scale runs', () => {
    for (const primary of ['definition', 'frizz'] as const) {
      let found = 0;
      for (let seed = 1; seed <= 20; seed++) {
        const one = played(trialOf('half', { primary, washDays: 12 }), seed);
        expect(one.truth).toEqual({ better: 'Gel A', worse: 'Gel B', points: 1.5 });
        const headline = means(one);
        if (/^Gel A (gave|scored|brought|gives|had)/.test(headline) || headline.startsWith('Gel A')) found++;
        expect(headline).not.toMatch(/^Gel B/);
      }
      expect(found).toBeGreaterThanOrEqual(18);
    }
  });

  it('is the same for one seed, another for the next, and says no where ratings decide nothing', () => {
    const trial = trialOf('complete');
    expect(sampleTrial(trial, wearer, 1, NOW)).toEqual(sampleTrial(trial, wearer, 1, NOW));
    expect(sampleTrial(trial, wearer, 1, NOW)).not.toEqual(sampleTrial(trial, wearer, 2, NOW));
    expect(sampleTrial(trialOf('complete', { primary: 'clumps:2' as never }), wearer, 1, NOW)).toBeNull();
    expect(sampleTrial({ ...trial, design: 'dose-run-in' as never }, wearer, 1, NOW)).toBeNull();
  });
});
