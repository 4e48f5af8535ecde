import type { Tap } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { EMPTY_SETTINGS, isForLater } from '@sabor/core/step/step';
import { NOTHING_TOLD, PLAIN_EVENT } from './nothing-told.ts';
import { withRatings } from './with-ratings.ts';

const put = <T extends { id: string }>(list: readonly T[], item: T, gone: boolean): T[] => [
  ...list.filter((known) => known.id !== item.id),
  ...(gone ? [] : [item]),
];

const onStep = (day: WashDay, stepId: string, to: (step: WashStep) => WashStep): WashDay => ({
  ...day,
  steps: day.steps.map((step) => (step.id === stepId ? to(step) : step)),
});

const given = <T extends object>(set: T) =>
  Object.fromEntries(Object.entries(set).filter(([, value]) => value !== undefined)) as Partial<T>;

/** What the tap about to end a routine makes of steps nobody reached; those of later days wait for theirs. */
const passedOver = (step: WashStep): WashStep =>
  step.status === 'waiting' && !isForLater(step) ? { ...step, status: 'skipped' } : step;

/** A wash day with one tap in it, as the phone shows it before the server has heard of it. */
export function applyTap(day: WashDay, one: Tap): WashDay {
  switch (one.kind) {
    case 'step':
      return onStep(day, one.stepId, (step) => ({ ...step, ...(given(one.set) as Partial<WashStep>) }));
    case 'add-step': {
      if (day.steps.some(({ id: known }) => known === one.stepId)) return day;
      const step: WashStep = {
        ...EMPTY_SETTINGS,
        id: one.stepId,
        slot: one.slot,
        position: one.position,
        status: 'waiting',
        note: '',
        startedAt: null,
        doneAt: null,
        skipReason: null,
        planStepId: null,
        half: null,
        planned: null,
        code: null,
        ...NOTHING_TOLD,
      };
      return { ...day, steps: [...day.steps, step].sort((a, b) => a.position - b.position) };
    }
    case 'take-out':
      return {
        ...day,
        steps: day.steps.filter(({ id: known, planStepId }) => known !== one.stepId || planStepId !== null),
      };
    case 'day':
      return { ...day, ...(given(one.set) as Partial<WashDay>) };
    case 'pause': {
      const { pauseId, from, to, reason } = one;
      return onStep(day, one.stepId, (step) => ({
        ...step,
        pauses: put(step.pauses, { id: pauseId, from, to, reason }, false),
      }));
    }
    case 'mark': {
      const { markId, mark, reason, note: words = '', places = [], at } = one;
      return onStep(day, one.stepId, (step) => ({
        ...step,
        marks: put(step.marks, { id: markId, mark, reason, note: words, places, at }, one.gone ?? false),
      }));
    }
    case 'in-hand': {
      const { quality, value } = one;
      return onStep(day, one.stepId, ({ inHand, ...step }) => {
        const { [quality]: _, ...rest } = inHand;
        return { ...step, inHand: value === null ? rest : { ...rest, [quality]: value } };
      });
    }
    case 'idea':
      return onStep(day, one.stepId, (step) => ({
        ...step,
        ideas: put(
          step.ideas,
          {
            id: one.ideaId,
            idea: one.idea,
            slot: one.slot ?? null,
            productId: one.productId ?? null,
            at: one.at,
          },
          one.gone ?? false,
        ),
      }));
    case 'weighing':
      return onStep(day, one.stepId, (step) => ({
        ...step,
        weighed: { ...step.weighed, [one.phase]: one.grams },
      }));
    case 'rate':
      return withRatings(day, { ...one, id: one.checkInId, at: one.lookedAt });
    case 'event': {
      const { id: _id, at: _at, kind: _kind, eventId, event, gone = false, ...said } = one;
      const old = day.events.find(({ id: known }) => known === eventId);
      const item = { ...(old ?? PLAIN_EVENT), ...given(said), id: eventId, washDayId: day.id, kind: event };
      return { ...day, events: put(day.events, item as WashDay['events'][number], gone) };
    }
    case 'finish':
      return {
        ...day,
        status: day.status === 'under way' ? 'worn' : day.status,
        routineDoneAt: day.routineDoneAt ?? one.at,
        steps: day.steps.map(passedOver),
      };
  }
}

export const applyTaps = (day: WashDay, taps: readonly Tap[]): WashDay => taps.reduce(applyTap, day);
