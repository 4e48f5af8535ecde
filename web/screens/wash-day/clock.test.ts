import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { NOTHING_TOLD } from '@sabor/reading/nothing-told';
import { describe, expect, it } from 'vitest';
import { clockMinutes, clockText, runningSteps } from './clock.ts';
import { inputOf } from './step-input.ts';

const at = (minute: number) => new Date(Date.UTC(2026, 2, 10, 8, minute)).toISOString();
const step = (id: string, to: Partial<WashStep> = {}): WashStep => ({
  ...EMPTY_SETTINGS,
  ...NOTHING_TOLD,
  id,
  planStepId: id,
  position: 0,
  slot: 'condition',
  status: 'waiting',
  note: '',
  startedAt: null,
  doneAt: null,
  skipReason: null,
  half: null,
  planned: null,
  code: null,
  minutes: 5,
  ...to,
});
const day = (...steps: WashStep[]) => ({ steps }) as unknown as WashDay;

describe('the clocks of a wash day', () => {
  it('are those of steps begun and not settled, soonest over first', () => {
    const running = runningSteps(
      day(
        step('late', { startedAt: at(8) }),
        step('over', { startedAt: at(0), minutes: 2 }),
        step('idle'),
        step('done', { startedAt: at(0), status: 'done' }),
        step('untimed', { startedAt: at(0), minutes: null }),
        step('paused', { startedAt: at(0), pauses: [{ id: 'p', from: at(1), to: null, reason: 'door' }] }),
      ),
      Date.parse(at(10)),
    );
    expect(running.map(({ step: { id }, left, paused }) => `${id} ${left} ${paused}`)).toEqual([
      'over -480 false',
      'late 180 false',
      'paused 240 true',
    ]);
  });

  it('count down from the plan’s minutes, whatever was done before', () => {
    const planned = { ...EMPTY_SETTINGS, minutes: 7 } as unknown as WashStep['planned'];
    expect(clockMinutes(step('s', { planned, minutes: 2 }))).toBe(7);
    expect(clockMinutes(step('s'))).toBe(5);
  });

  it.each([
    [247, '4:07'],
    [-61, '1:01'],
    [0, '0:00'],
    [3600, '60:00'],
  ])('%i s reads %s', (seconds, text) => {
    expect(clockText(seconds)).toBe(text);
  });
});

describe('a step as it is set', () => {
  it('has its settings and nothing that only plan, hand or scale tell', () => {
    const { planStepId, planned, marks, usedBefore, ...rest } = inputOf(step('s')) as WashStep;
    expect([planStepId, planned, marks, usedBefore]).toEqual([undefined, undefined, undefined, undefined]);
    expect(rest).toMatchObject({ id: 's', slot: 'condition', minutes: 5 });
  });
});
