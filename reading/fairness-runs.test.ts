import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { departuresOf } from '@sabor/core/fairness/differences';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { describe, expect, it } from 'vitest';
import { blocksOfDays, type FairnessSources, runsOfDay, runsOfTrial } from './fairness-runs.ts';
import { NOTHING_TOLD, PLAIN_EVENT } from './nothing-told.ts';

const g = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;

function step(key: string, slot: WashStep['slot'], to: Partial<WashStep> = {}): WashStep {
  const planned = {
    ...EMPTY_SETTINGS,
    dose: g(6),
    part: 'held',
    optional: false,
    tolerance: 0.2,
    skipped: false,
  } as const;
  return {
    ...EMPTY_SETTINGS,
    ...NOTHING_TOLD,
    id: `w ${key}`,
    planStepId: key,
    position: 0,
    slot,
    status: 'done',
    dose: g(6),
    note: '',
    startedAt: null,
    doneAt: null,
    skipReason: null,
    half: null,
    code: null,
    planned,
    ...to,
  };
}

function day(to: Partial<WashDay> = {}): WashDay {
  return {
    id: 'd1',
    wearerId: 'w',
    position: 0,
    armId: 'a',
    rightArmId: null,
    status: 'finished',
    startedAt: '2026-03-10T08:00:00Z',
    revealAt: '2026-03-10T12:00:00Z',
    localDate: '2026-03-10',
    temperatureC: null,
    humidity: null,
    windMs: null,
    air: null,
    days: [
      { on: '2026-03-10', air: { dewPointC: 8, windMs: 3 }, outdoorHours: 2 },
      { on: '2026-03-11', air: { dewPointC: 12, windMs: 7 }, outdoorHours: 4 },
      { on: '2026-03-12', air: { dewPointC: 30, windMs: 30 }, outdoorHours: 20 },
    ],
    steps: [step('s1', 'cleanse'), step('s2', 'hold')],
    checkIns: [{ stage: 'wear', day: 2, at: '2026-03-11T12:00:00Z', rater: 'Wim', ratings: [], curls: [] }],
    events: [],
    ...to,
  } as unknown as WashDay;
}

function sources(to: Partial<TrialDetail> = {}, days: WashDay[] = [day()]): FairnessSources {
  return {
    trial: {
      design: 'complete',
      onDay: 2,
      blind: false,
      washDayRecords: days,
      ...to,
    } as unknown as TrialDetail,
    wearer: {
      timeZone: 'UTC',
      zones: [
        { id: 'zl', side: 'left' },
        { id: 'zr', side: 'right' },
      ],
      curls: [],
    } as unknown as FairnessSources['wearer'],
    file: {
      events: [
        { kind: 'colour', on: '2026-03-01' },
        { kind: 'colour', on: '2026-02-01' },
        { kind: 'trim', on: '2026-04-01' },
        { kind: 'swim', on: '2026-03-05' },
      ],
      washCare: [{ kind: 'clarify', on: '2026-03-08' }],
    } as unknown as FairnessSources['file'],
    shelf: [
      {
        id: 'gel',
        name: 'Gel',
        stake: 'gift',
        openedOn: '2026-03-01',
        calibrations: [{ measure: 'pump', grams: [1.5, 1.52, 1.48, 1.5], at: '2026-03-01T08:00:00Z' }],
      },
    ] as unknown as FairnessSources['shelf'],
    ground: new Map([['2026-03-10', { buildUp: 0.7, protein: 0.1 }]]),
  };
}

describe('a wash day as the fairness check reads it', () => {
  it('gathers air up to the day that is judged, ground, care before it, who rated', () => {
    const { run } = runsOfDay(sources(), day())[0]!;
    expect(run).toMatchObject({
      side: { is: 'wash day', number: 1, half: null },
      dewPointC: 10,
      windMs: 7,
      outdoorHours: 3,
      buildUp: 0.7,
      protein: 0.1,
      since: { colour: 9, clarify: 2 },
      judgedOn: 2,
      rater: 'Wim',
      stakes: [],
    });
  });

  it('takes what was done, in the order it was done, and the plan as it was', () => {
    const late = step('s1', 'cleanse', { doneAt: '2026-03-10T09:00:00Z' });
    const early = step('s2', 'hold', { doneAt: '2026-03-10T08:30:00Z', dose: g(20) });
    const passed = step('s3', 'blot', { status: 'skipped' });
    const { run, plan } = runsOfDay(sources(), day({ steps: [late, early, passed] }))[0]!;
    expect(run.steps.map(({ slot }) => slot)).toEqual(['hold', 'cleanse']);
    expect(plan.steps.map(({ slot }) => slot)).toEqual(['cleanse', 'hold', 'blot']);
    expect(run.steps[0]!.settings.dose).toEqual(g(20));
    expect(run.steps[0]!.planned!.dose).toEqual(g(6));
  });

  it('takes a measure as its product’s own weighing has it, and what happened at a step', () => {
    const pumps = { kind: 'exact', amount: 4, measure: 'pump', per: 'head' } as const;
    const planned = { ...step('s2', 'hold').planned!, productId: 'gel', dose: pumps };
    const mark = {
      id: 'm',
      mark: 'ran-out' as const,
      reason: 'empty' as const,
      note: '',
      places: [],
      at: '',
    };
    const done = step('s2', 'hold', { productId: 'gel', dose: pumps, planned, marks: [mark] });
    const { run, plan } = runsOfDay(sources(), day({ steps: [done] }))[0]!;
    expect(run.steps[0]!.settings.calibrated!.usual).toBeCloseTo(1.5, 9);
    expect(run.steps[0]!.planned!.calibrated!.low).toBeGreaterThan(1.4);
    expect(run.steps[0]!.marks).toEqual(['ran-out']);
    expect(plan.steps[0]!.marks).toEqual([]);
    // Six grams on the scale show that four weighed pumps were held; four unweighed ones could not be shown by it.
    const weighed = runsOfDay(sources(), day({ steps: [{ ...done, marks: [], dose: g(6) }] }))[0]!;
    expect(departuresOf(weighed.run, weighed.plan).map(({ kind }) => kind)).toEqual([]);
    const other = {
      ...done,
      marks: [],
      dose: g(6),
      planned: { ...planned, productId: null },
      productId: null,
    };
    const unweighed = runsOfDay(sources(), day({ steps: [other] }))[0]!;
    expect(departuresOf(unweighed.run, unweighed.plan).map(({ kind }) => kind)).toEqual(['dose-unsure']);
  });

  it('knows gifts and open bottles of what is under test, and codes instead of products while blind', () => {
    const tested = { ...step('s2', 'hold').planned!, part: 'tested' as const, productId: 'gel' };
    const open = runsOfDay(
      sources(),
      day({ steps: [step('s2', 'hold', { productId: 'gel', planned: tested })] }),
    )[0]!;
    expect(open.run.stakes).toEqual([{ productId: 'gel', stake: 'gift' }]);
    expect(open.run.bottleDays).toEqual({ gel: 9 });
    const coded = step('s2', 'hold', { code: 471, planned: { ...tested, productId: null } });
    const blind = runsOfDay(sources(), day({ steps: [coded] }))[0]!;
    expect(blind.run.steps[0]).toMatchObject({
      code: 471,
      settings: { productId: null },
      planned: { productId: null },
    });
    expect(blind.run).toMatchObject({ stakes: [], bottleDays: {} });
  });

  it('gives each half its own steps, arm and events', () => {
    const halves = day({
      rightArmId: 'b',
      steps: [
        step('s1', 'cleanse'),
        step('s2', 'hold', { half: 'left' }),
        step('s2', 'hold', { id: 'r', half: 'right' }),
      ],
      events: [
        { ...PLAIN_EVENT, id: 'e', washDayId: 'd1', kind: 'scarf', on: '2026-03-10', zoneIds: ['zr'] },
        { ...PLAIN_EVENT, id: 'f', washDayId: 'd1', kind: 'bonnet', on: '2026-03-10', zoneIds: [] },
        { ...PLAIN_EVENT, id: 'g', washDayId: 'd1', kind: 'bonnet', on: '2026-03-11', zoneIds: [] },
      ],
    });
    const [left, right] = runsOfTrial(sources({ design: 'half' }, [halves]));
    expect([left!.run.arm, right!.run.arm]).toEqual(['a', 'b']);
    expect(left!.run.steps).toHaveLength(2);
    // The night after the day that is judged does not count.
    expect(left!.run.events).toEqual({ bonnet: 1 });
    expect(right!.run.events).toEqual({ bonnet: 1, scarf: 1 });
    expect(right!.run.side).toEqual({ is: 'wash day', number: 1, half: 'right' });
  });
});

describe('wash days that are left aside', () => {
  const days = Array.from({ length: 8 }, (_, position) => day({ id: `d${position}`, position }));

  it('go alone, but with their whole block where the lot was drawn in blocks', () => {
    const { trial } = sources({}, days);
    expect([...blocksOfDays(trial, new Set(['d1']))]).toEqual(['d1']);
    const blocks = sources({ design: 'blocks' }, days).trial;
    expect([...blocksOfDays(blocks, new Set(['d5']))]).toEqual(['d4', 'd5', 'd6', 'd7']);
  });
});
