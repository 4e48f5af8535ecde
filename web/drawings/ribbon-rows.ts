import type { PlanStep, Trial } from '@sabor/contract/trial';
import type { WashDay } from '@sabor/contract/wash-day';
import { doseLabel } from '@sabor/core/doses/dose';
import { TECHNIQUES, TOOLS } from '@sabor/core/routine/settings';
import { SLOTS, type Slot } from '@sabor/core/routine/slots';
import { departures } from '@sabor/core/trial/departures';

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
}

export interface RibbonRow {
  key: string;
  label: string;
  sub: string;
  arm: number | null;
  faded: boolean;
  cells: RibbonCell[];
}

type Names = (productId: string) => string;

const summary = (step: PlanStep, name: Names): string =>
  [
    step.productId ? name(step.productId) : null,
    step.dose ? doseLabel(step.dose) : null,
    step.technique ? TECHNIQUES[step.technique].label : null,
    step.tool ? TOOLS[step.tool].label : null,
    step.minutes ? `${step.minutes} min` : null,
  ]
    .filter(Boolean)
    .join(' · ');

/** The plan's columns, with one more for each step that some wash day added, where it was added. */
export function ribbonColumns(trial: Trial, washDays: readonly WashDay[], name: Names): RibbonColumn[] {
  const columns = trial.plan.map((step, position) => ({
    position,
    column: {
      key: step.id,
      slot: step.slot,
      tested: step.part === 'tested',
      planned: step.part === 'tested' ? 'under test' : summary(step, name),
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
export function planRows(trial: Trial, columns: readonly RibbonColumn[], name: Names): RibbonRow[] {
  return trial.arms.map((arm, index) => ({
    key: arm.id,
    label: arm.name,
    sub: 'as planned',
    arm: index,
    faded: false,
    cells: columns.map((column) => {
      const own = arm.steps.find((step) => step.stepId === column.key);
      if (!column.tested) return { kind: 'held', text: '', notes: [] };
      const plan = trial.plan.find((step) => step.id === column.key);
      const product = own?.productId ? name(own.productId) : '—';
      return { kind: 'tested', text: `${product}, ${doseLabel(own?.dose ?? plan?.dose ?? null)}`, notes: [] };
    }),
  }));
}

/** Wash days as they were run, aligned to the plan, every departure noted. */
export function washDayRows(
  trial: Trial,
  washDays: readonly WashDay[],
  columns: readonly RibbonColumn[],
  name: Names,
  date: (washDay: WashDay) => string,
): RibbonRow[] {
  return washDays.map((day) => {
    const arm = trial.arms.findIndex(({ id }) => id === day.armId);
    return {
      key: day.id,
      label: `${day.position + 1} · ${trial.arms[arm]?.name ?? ''}`,
      sub: day.status === 'abandoned' ? `${date(day)}, abandoned` : date(day),
      arm,
      faded: day.status === 'abandoned',
      cells: columns.map((column): RibbonCell => {
        const step = day.steps.find((own) => (own.planStepId ?? own.id) === column.key);
        if (!step) return { kind: 'absent', text: '', notes: [] };
        if (step.status === 'waiting') return { kind: 'waiting', text: '', notes: [] };
        const found = departures(step, name);
        const notes = [...found.map(({ says }) => says), ...(step.note ? [`“${step.note}”`] : [])];
        if (step.status === 'skipped') return { kind: 'skipped', text: 'skipped', notes };
        const text = column.tested && step.productId ? name(step.productId) : '';
        if (found.some(({ kind }) => kind === 'departed'))
          return { kind: 'departed', text: text || 'departed', notes };
        if (found.length) return { kind: 'unsure', text: text || 'unsure', notes };
        return { kind: column.tested ? 'tested' : 'held', text, notes };
      }),
    };
  });
}

export const slotShort = (slot: Slot): string => SLOTS[slot].short;
