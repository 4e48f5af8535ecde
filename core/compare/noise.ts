import { mean } from '../middle.ts';
import { DESIGNS } from '../trial/designs.ts';
import type { Contrast } from './contrast.ts';
import type { TrialRecord } from './trial-record.ts';

/** How much wash days differ by themselves. */
export interface Noise {
  /** Standard deviation between wash days within an arm; in half-heads of left less right. */
  sd: number;
  freedom: number;
  /** In half-heads the mean of left less right, the side's own bias. */
  bias: number | null;
  /** Where the ratings lie on the scale, on average. */
  level: number;
}

/** Pooled standard deviation of the values around their arm's mean, or null without a degree of freedom. */
export function pooledSd(
  days: readonly { arm: number; value: number | null }[],
  arms: number,
): { sd: number; freedom: number } | null {
  let squares = 0;
  let freedom = 0;
  for (let arm = 0; arm < arms; arm++) {
    const values = days.flatMap((day) => (day.arm === arm && day.value !== null ? [day.value] : []));
    const centre = mean(values);
    if (centre === null) continue;
    squares += values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
    freedom += values.length - 1;
  }
  return freedom > 0 ? { sd: Math.sqrt(squares / freedom), freedom } : null;
}

/** How much wash days differ by themselves, as the design's own numbers show it; null without two in any arm. */
export function noiseOf(record: TrialRecord, { byWashDay, units }: Contrast): Noise | null {
  const { design, arms } = record.promise;
  const level = mean(byWashDay.flatMap(({ value }) => value ?? []));
  if (level === null) return null;
  if (!DESIGNS[design].halves) {
    const pooled = pooledSd(byWashDay, arms.length);
    return pooled && { ...pooled, bias: null, level };
  }
  const days = units.map((value, position) => ({ arm: record.allocation[position]!, value }));
  const codes = Math.max(1, ...record.allocation.map((code) => code + 1));
  const pooled = pooledSd(days, codes);
  return pooled && { ...pooled, bias: mean(days.flatMap(({ value }) => value ?? [])), level };
}
