import { COMMON_KEYS, type StepSettings } from '@sabor/core/step/settings';
import { DAY_MS } from '@sabor/core/time/day';

/** A step's settings in the database's columns. */
export const settingsRow = (step: StepSettings): Row => ({
  ...Object.fromEntries(
    COMMON_KEYS.map((key) => [key.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`), step[key]]),
  ),
  extra: step.extra,
});

/** Moments counted in days before `now`'s own day, at an hour of the day, as ISO text in UTC. */
export function calendar(now: Date) {
  const midnight = Date.UTC(now.getUTCFullYear(), now.getUTCMonth(), now.getUTCDate());
  return {
    at: (daysAgo: number, hour: number) =>
      new Date(midnight - daysAgo * DAY_MS + hour * 3_600_000).toISOString(),
    date: (daysAgo: number) => new Date(midnight - daysAgo * DAY_MS).toISOString().slice(0, 10),
  };
}

export type Row = Record<string, unknown>;
export type Rows = Record<string, Row[]>;

export const push = (rows: Rows, table: string, row: Row): void => {
  rows[table] ??= [];
  rows[table].push(row);
};
