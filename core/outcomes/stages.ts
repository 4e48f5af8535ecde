import type { KeyOf } from '../vocabulary.ts';

/** Stages at which the hair is looked at. Days worn are counted from the finished hair, which is day 1. */
export const STAGES = {
  before: { label: 'Before the wash', says: 'as the hair comes to the wash', clock: 'startedAt' },
  wet: { label: 'Wet', says: 'in the shower or just styled', clock: 'washedAt' },
  cast: { label: 'Dry in the cast', says: 'dry, before the cast is broken', clock: 'dryAt' },
  wear: {
    label: 'Wear',
    says: 'cast broken or set taken down: day 1, then the days after',
    clock: 'revealAt',
  },
} as const;
export type Stage = KeyOf<typeof STAGES>;

/** Which check-in of a day worn it is. `judged`: the promised day may be read from it. */
export const PARTS_OF_DAY = {
  first: { label: '', judged: true },
  evening: { label: 'evening', judged: true },
  'before-refresh': { label: 'before the refresh', judged: true },
  'after-refresh': { label: 'after the refresh', judged: false },
} as const;
export type PartOfDay = KeyOf<typeof PARTS_OF_DAY>;

/** A check-in's stage in words; `day` is null but for days worn. */
export function stageLabel(stage: Stage, day: number | null, part: PartOfDay = 'first'): string {
  if (stage !== 'wear') return STAGES[stage].label;
  const label = day === 1 ? 'Finished hair, day 1' : `Day ${day}`;
  return part === 'first' ? label : `${label}, ${PARTS_OF_DAY[part].label}`;
}
