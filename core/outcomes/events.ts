import type { KeyOf, Vocabulary } from '../vocabulary.ts';

/** Kinds of what happens on a day worn. */
export const EVENT_GROUPS = {
  none: { label: 'Needed nothing' },
  care: { label: 'Done to it' },
  hap: { label: 'Happened to it' },
  night: { label: 'Nights' },
} as const;
export type EventGroup = KeyOf<typeof EVENT_GROUPS>;

interface Event {
  label: string;
  group: EventGroup;
  /** It protects rather than disturbs. */
  good?: true;
  /** It ends the wash-day product's test where it was done. */
  refreshes?: true;
  /** It can spoil a side so that the day is not judged there. */
  spoils?: true;
  /** Water went through the hair again. */
  wets?: true;
  /** It was done with a product, an amount and a tool, if any. */
  uses?: true;
  as?: Vocabulary;
}

/** What happens to hair on a day worn, and what is done to it. */
export const EVENTS = {
  'nothing-needed': { label: 'Nothing needed', group: 'none', good: true },
  'left-alone': { label: 'Left as it was', group: 'none', good: true },
  separated: { label: 'Separated further', group: 'care', uses: true },
  edges: { label: 'Edges redone', group: 'care', uses: true },
  restyled: {
    label: 'Restyled',
    group: 'care',
    uses: true,
    as: {
      up: { label: 'up' },
      tail: { label: 'in a tail' },
      pinned: { label: 'pinned' },
      stretched: { label: 'stretched' },
      'part-out': { label: 'part left out' },
    },
  },
  'spot-refresh': { label: 'Light refresh, in spots', group: 'care', refreshes: true, uses: true },
  refreshed: {
    label: 'Refreshed',
    group: 'care',
    refreshes: true,
    uses: true,
    as: { medium: { label: 'medium' }, full: { label: 'full' } },
  },
  rewet: { label: 'Re-wet', group: 'care', wets: true, uses: true },
  wind: { label: 'Wind', group: 'hap', spoils: true },
  workout: { label: 'Workout', group: 'hap' },
  rain: { label: 'Rain', group: 'hap', wets: true, spoils: true },
  ponytail: { label: 'Ponytail', group: 'hap', spoils: true },
  touched: { label: 'Touched a lot', group: 'hap' },
  hat: { label: 'Hat or wig cap', group: 'hap', spoils: true },
  covered: {
    label: 'Covered',
    group: 'hap',
    spoils: true,
    as: {
      hood: { label: 'under a hood' },
      helmet: { label: 'under a helmet' },
      leant: { label: 'leant on' },
    },
  },
  sweat: { label: 'Sweat', group: 'hap' },
  swim: { label: 'Swim', group: 'hap', wets: true, spoils: true },
  disliked: { label: 'A dislike happened', group: 'hap' },
  bonnet: { label: 'Bonnet', group: 'night', good: true },
  scarf: { label: 'Scarf on top', group: 'night', good: true },
  pillowcase: { label: 'Satin pillowcase', group: 'night', good: true },
  'bonnet-missed': { label: 'Slept uncovered', group: 'night' },
} as const satisfies Record<string, Event>;
export type EventKind = KeyOf<typeof EVENTS>;

/** What an announced test of a day worn came to. */
export const EVENT_CAME = {
  held: { label: 'it held up' },
  suffered: { label: 'it suffered' },
  off: { label: 'did not happen' },
} as const;
export type EventCame = KeyOf<typeof EVENT_CAME>;

/** How something was done or happened, over all kinds. */
export const EVENT_HOW = Object.assign(
  {},
  ...Object.values<Event>(EVENTS).map((event) => event.as ?? {}),
) as Vocabulary;

export const EVENT_KINDS = Object.keys(EVENTS) as EventKind[];
/** The row of an event, with what only some rows say. */
export const eventOf = (kind: EventKind): Event => EVENTS[kind];
export const eventsOf = (group: EventGroup): EventKind[] =>
  EVENT_KINDS.filter((kind) => EVENTS[kind].group === group);

/** How the wear ended. `event`: the style failed (counts in longevity); else it was cut short (censored). */
export const WEAR_ENDS = {
  'washed-looks': { label: 'Washed: it looked done', event: true },
  'washed-itch': { label: 'Washed: scalp itched', event: true },
  'restyled-looks': { label: 'Fully restyled: it looked done', event: true },
  'washed-schedule': { label: 'Washed: the plan said so', event: false },
  'washed-sweat': { label: 'Washed: sport or sweat', event: false },
  'washed-swim': { label: 'Washed: a swim', event: false },
  'washed-other': { label: 'Washed for another reason', event: false },
  'restyled-occasion': { label: 'Restyled for an occasion', event: false },
  'restyled-other': { label: 'Restyled for another reason', event: false },
} as const;
export type WearEnd = KeyOf<typeof WEAR_ENDS>;
