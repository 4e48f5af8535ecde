import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { outOfOrder } from '@sabor/core/fairness/align';
import { departures } from '@sabor/core/step/departures';
import { inArm, settingKeysOf } from '@sabor/core/step/in-arm';
import type { SettingKey } from '@sabor/core/step/settings';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import type { Weighed } from '@sabor/core/step/weighed';
import { doseInWords } from '@sabor/words/dose';
import { departureInWords, stepInWords } from '@sabor/words/step';
import type { Voice } from '@sabor/words/voice';
import { armsOfDay } from './arms-of-day.ts';

export interface RibbonColumn {
  key: string;
  slot: Slot;
  tested: boolean;
  /** What the plan holds here, in a few words. */
  planned: string;
}

export interface RibbonCell {
  kind: 'held' | 'tested' | 'departed' | 'unsure' | 'skipped' | 'waiting' | 'absent';
  /** Written in the cell: for what differs between rows. */
  text: string;
  /** Every departure in a sentence. */
  notes: string[];
  /** The arm in a tested cell. */
  arm?: number;
  /** Left and right of a step that was done for each half. */
  halves?: [RibbonCell, RibbonCell];
}

export interface RibbonRow {
  key: string;
  label: string;
  sub: string;
  /** One for a whole head, left and right of a half-head, none for a row of no arm. */
  arms: number[];
  faded: boolean;
  cells: RibbonCell[];
}

/** The plan's columns, with one more for each step that some wash day added, where it was added. */
export function ribbonColumns(
  trial: TrialDetail,
  washDays: readonly WashDay[],
  voice: Voice,
): RibbonColumn[] {
  const columns = trial.plan.map((step, position) => ({
    position,
    column: {
      key: step.id,
      slot: step.slot,
      tested: step.part === 'tested',
      planned:
        step.part === 'tested' ? 'under test' : stepInWords(step, voice, { between: ' · ', brief: true }),
    },
  }));
  const added = washDays.flatMap((day) =>
    day.steps
      .filter((step) => step.planStepId === null)
      .map((step) => ({
        position: step.position,
        column: { key: step.id, slot: step.slot, tested: false, planned: 'not in the plan' },
      })),
  );
  return [...columns, ...added].sort((a, b) => a.position - b.position).map(({ column }) => column);
}

/** A planned wash day of each arm. */
export function planRows(trial: TrialDetail, columns: readonly RibbonColumn[], voice: Voice): RibbonRow[] {
  return trial.arms.map((arm, index) => ({
    key: arm.id,
    label: arm.name,
    sub: 'as planned',
    arms: [index],
    faded: false,
    cells: columns.map((column) => {
      if (!column.tested) return { kind: 'held', text: '', notes: [] };
      return { kind: 'tested', text: armInStep(trial, arm, column.key, voice), notes: [], arm: index };
    }),
  }));
}

/** What an arm uses or does in a tested step, in a few words. */
export function armInStep(
  trial: Pick<TrialDetail, 'plan'>,
  arm: TrialDetail['arms'][number],
  stepId: string,
  voice: Voice,
): string {
  const own = arm.steps.find((step) => step.stepId === stepId);
  const plan = trial.plan.find((step) => step.id === stepId);
  // Of a blind arm nothing is known but its code.
  if (!plan || (!own && arm.steps.length === 0)) return arm.name;
  const settings = inArm(plan, own);
  if (settings === 'left out') return 'left out';
  const { productId, dose } = settings;
  const set = new Set<SettingKey>(settingKeysOf(own?.settings ?? {}));
  const words = [
    productId && voice.product(productId),
    (productId || dose) && doseInWords(dose),
    stepInWords(settings, voice, { only: (key) => set.has(key) }),
  ];
  return words.filter(Boolean).join(', ') || '—';
}

/** Wash days as they were run, aligned to the plan, every departure noted. */
export function washDayRows(
  trial: TrialDetail,
  washDays: readonly WashDay[],
  columns: readonly RibbonColumn[],
  voice: Voice,
  date: (washDay: WashDay) => string,
  weighed: Weighed,
): RibbonRow[] {
  return washDays.map((day) => {
    const arms = armsOfDay(trial, day);
    const moved = movedSteps(day);
    const cellOf = (step: WashStep, tested: boolean): RibbonCell => {
      if (step.status === 'waiting') return { kind: 'waiting', text: '', notes: [] };
      const found = departures(step, weighed);
      const notes = [
        ...found.map((one) => departureInWords(one, voice)),
        ...(moved.has(step.id) ? ['Done out of its order.'] : []),
        ...(step.note ? [`“${step.note}”`] : []),
      ];
      const arm = tested ? { arm: step.half === 'right' ? arms.at(-1)! : arms[0]! } : {};
      if (step.status === 'skipped')
        return step.planned?.skipped
          ? { kind: 'tested', text: 'left out', notes, ...arm }
          : { kind: 'skipped', text: 'skipped', notes };
      const named = step.code ? `Code ${step.code}` : step.productId ? voice.product(step.productId) : '';
      const text = tested ? named : '';
      if (moved.has(step.id) || found.some(({ verdict }) => verdict === 'departed'))
        return {
          kind: 'departed',
          text: text || (moved.has(step.id) ? 'moved' : 'changed'),
          notes,
          ...arm,
        };
      if (found.length) return { kind: 'unsure', text: text || 'unsure', notes, ...arm };
      return { kind: tested ? 'tested' : 'held', text, notes, ...arm };
    };
    return {
      key: day.id,
      label: `${day.position + 1} · ${arms.map((arm) => trial.arms[arm]?.name ?? '').join(' | ')}`,
      sub: day.status === 'abandoned' ? `${date(day)}, abandoned` : date(day),
      arms,
      faded: day.status === 'abandoned',
      cells: columns.map((column): RibbonCell => {
        const steps = day.steps.filter((own) => (own.planStepId ?? own.id) === column.key);
        const [first, second] = steps.map((step) => cellOf(step, column.tested));
        if (!first) return { kind: 'absent', text: '', notes: [] };
        if (!second) return first;
        const sided = (cell: RibbonCell, side: string) => cell.notes.map((note) => `${side}: ${note}`);
        return {
          kind: ROUGHEST.find((kind) => first.kind === kind || second.kind === kind) ?? first.kind,
          text: `${first.text} | ${second.text}`,
          notes: [...sided(first, 'Left'), ...sided(second, 'Right')],
          halves: [first, second],
        };
      }),
    };
  });
}

const ROUGHEST: RibbonCell['kind'][] = ['departed', 'unsure', 'skipped', 'waiting', 'tested'];

/** Steps of a day that were done out of the day's own order, the fewest that explain it. */
function movedSteps(day: WashDay): Set<string> {
  const done = day.steps
    .map((step, place) => ({ step, place }))
    .filter(({ step }) => step.status === 'done' && step.doneAt !== null && step.half === null)
    .sort((a, b) => Date.parse(a.step.doneAt!) - Date.parse(b.step.doneAt!) || a.place - b.place);
  const late = outOfOrder(done.map(({ place }) => place));
  return new Set(done.flatMap(({ step, place }) => (late.has(place) ? step.id : [])));
}

export const slotShort = (slot: Slot): string => SLOTS[slot].short;
