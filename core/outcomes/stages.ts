import type { KeyOf } from '../vocabulary.ts';

/** Stages at which the hair is looked at. Wear is counted from the reveal, which is day 1. */
export const STAGES = {
  wet: { label: 'Wet', says: 'in the shower or just styled', clock: 'washedAt' },
  cast: { label: 'Dry in the cast', says: 'dry, before the cast is broken', clock: 'dryAt' },
  wear: {
    label: 'Wear',
    says: 'cast broken or set taken down: day 1, then the days after',
    clock: 'revealAt',
  },
} as const;
export type Stage = KeyOf<typeof STAGES>;

/** A check-in's stage in words; `day` is null but for wear. */
export function stageLabel(stage: Stage, day: number | null): string {
  if (stage !== 'wear') return STAGES[stage].label;
  return day === 1 ? 'Finished hair, day 1' : `Day ${day}`;
}
