import type { Dose } from '@sabor/core/doses/dose';
import type { StepSettings } from '@sabor/core/routine/step';

/** A dose in the database's columns. */
export function doseRow(dose: Dose | null) {
  const empty = { dose_kind: null, dose_low: null, dose_high: null, dose_measure: null, dose_per: null };
  if (dose === null) return empty;
  if (dose.kind === 'unknown') return { ...empty, dose_kind: 'unknown' };
  const [low, high] = dose.kind === 'exact' ? [dose.amount, dose.amount] : [dose.from, dose.to];
  return {
    dose_kind: dose.kind,
    dose_low: low,
    dose_high: high,
    dose_measure: dose.measure,
    dose_per: dose.per,
  };
}

/** A step's settings in the database's columns. */
export function settingsRow(step: StepSettings) {
  return {
    product_id: step.productId,
    ...doseRow(step.dose),
    sections: step.sections,
    wetness: step.wetness,
    minutes: step.minutes,
    technique: step.technique,
    tool: step.tool,
    heat: step.heat,
    extra: step.extra,
  };
}

const DAY = 86_400_000;

/** Moments counted in days before `now`'s own day, at an hour of the day, as ISO text in UTC. */
export function calendar(now: Date) {
  const midnight = Date.UTC(now.getUTCFullYear(), now.getUTCMonth(), now.getUTCDate());
  return {
    at: (daysAgo: number, hour: number) =>
      new Date(midnight - daysAgo * DAY + hour * 3_600_000).toISOString(),
    date: (daysAgo: number) => new Date(midnight - daysAgo * DAY).toISOString().slice(0, 10),
  };
}

export type Row = Record<string, unknown>;
export type Rows = Record<string, Row[]>;

export const push = (rows: Rows, table: string, row: Row): void => {
  rows[table] ??= [];
  rows[table].push(row);
};
