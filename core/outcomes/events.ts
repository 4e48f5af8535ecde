import type { KeyOf } from '../vocabulary.ts';

/** What happens to hair in wear. `good`: protects rather than disturbs. */
export const EVENTS = {
  bonnet: { label: 'Bonnet', good: true },
  scarf: { label: 'Scarf on top', good: true },
  pillowcase: { label: 'Satin pillowcase', good: true },
  'bonnet-missed': { label: 'Slept uncovered', good: false },
  wind: { label: 'Wind', good: false },
  workout: { label: 'Workout', good: false },
  rain: { label: 'Rain', good: false },
  ponytail: { label: 'Ponytail', good: false },
  touched: { label: 'Touched a lot', good: false },
  hat: { label: 'Hat or wig cap', good: false },
  'spot-refresh': { label: 'Spot refresh', good: false },
} as const;
export type EventKind = KeyOf<typeof EVENTS>;

/** How the wear ended. `event`: the style failed (counts in longevity); else it was cut short (censored). */
export const WEAR_ENDS = {
  'washed-looks': { label: 'Washed: it looked done', event: true },
  'washed-itch': { label: 'Washed: scalp itched', event: true },
  'restyled-looks': { label: 'Fully restyled: it looked done', event: true },
  'washed-schedule': { label: 'Washed: the plan said so', event: false },
  'washed-other': { label: 'Washed for another reason', event: false },
  'restyled-other': { label: 'Restyled for another reason', event: false },
} as const;
export type WearEnd = KeyOf<typeof WEAR_ENDS>;
