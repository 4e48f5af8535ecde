import type { KeyOf } from '../vocabulary.ts';

/** What went otherwise than planned, in one tap. Amounts, minutes, tools and products show in the step itself. */
export const MARKS = {
  more: { label: 'a little more' },
  'wiped-off': { label: 'wiped some off' },
  longer: { label: 'took longer' },
  shorter: { label: 'kept shorter' },
  interrupted: { label: 'interrupted' },
  'ran-out': { label: 'ran out' },
  'dried-rewet': { label: 'dried, re-wet' },
  early: { label: 'set taken down before it was dry' },
  'spot-dried': { label: 'spot-dried before take-down' },
} as const;
export type Mark = KeyOf<typeof MARKS>;

/** Why, from a short list; may come later or never. */
export const MARK_REASONS = {
  untold: { label: 'no reason given' },
  hair: { label: 'the hair asked for it' },
  empty: { label: 'not enough left' },
  time: { label: 'no time' },
  called: { label: 'called away' },
  mistake: { label: 'by mistake' },
  sore: { label: 'it hurt or stung' },
  broken: { label: 'the tool gave up' },
} as const;
export type MarkReason = KeyOf<typeof MARK_REASONS>;

/** Why a timer was stopped for a while. */
export const PAUSE_REASONS = {
  untold: { label: 'no reason given' },
  door: { label: 'the door' },
  child: { label: 'a child' },
  call: { label: 'a call' },
  water: { label: 'water or power gone' },
  rest: { label: 'arms tired' },
} as const;
export type PauseReason = KeyOf<typeof PAUSE_REASONS>;
