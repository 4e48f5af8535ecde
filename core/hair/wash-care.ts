import type { HairEventKind } from './history.ts';

/** What a head was washed with, which only wash days tell. */
export const WASHED_WITH = { shampoo: { label: 'Shampooed' }, 'co-wash': { label: 'Co-washed' } } as const;

/** Care that is counted: what the history tells, and what a head was washed with. */
export type CareMark = HairEventKind | keyof typeof WASHED_WITH;
