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
  'too-much': { label: 'too much' },
  'too-little': { label: 'too little' },
  'little-enough': { label: 'a little is enough' },
  disliked: { label: 'disliked it' },
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

/** Marks of how the amount turned out; they can be for places. */
export const AMOUNT_MARKS = ['too-much', 'too-little', 'little-enough'] as const satisfies readonly Mark[];

/** Whether a mark says how a step went otherwise; else it judges what was done, which is an outcome. */
export const isChange = (mark: Mark): boolean =>
  mark !== 'disliked' && !(AMOUNT_MARKS as readonly Mark[]).includes(mark);

/** Why a step was skipped; one without a reason is not known to be meant. */
export const SKIP_REASONS = {
  'not-needed': { label: 'not needed' },
  'too-light': { label: 'too light to matter' },
  'too-heavy': { label: 'too heavy for today' },
  'on-purpose': { label: 'on purpose' },
  label: { label: 'the label says so' },
  'ran-out': { label: 'ran out' },
  'no-time': { label: 'no time' },
  forgotten: { label: 'forgotten' },
} as const;
export type SkipReason = KeyOf<typeof SKIP_REASONS>;

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
