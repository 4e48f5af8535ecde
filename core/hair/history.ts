import type { KeyOf } from '../vocabulary.ts';

/**
 * What happens to a head of hair over the years. `lifts`: what it counts as in the porosity reading, for lengths that
 * have been through it. Bleach, relaxers and colour are for a licensed professional; Sabor only records them.
 */
export const HAIR_EVENTS = {
  colour: { label: 'Colour', lifts: 'colour' },
  bleach: { label: 'Bleach', lifts: 'lifted' },
  relaxer: { label: 'Relaxer', lifts: 'lifted' },
  heat: { label: 'Heat style', lifts: 'heat' },
  'blow-out': { label: 'Blow-out with silicones', lifts: 'heat' },
  trim: { label: 'Trim', lifts: null },
  'big-cut': { label: 'Big cut', lifts: null },
  'braids-in': { label: 'Braids in', lifts: null },
  'braids-out': { label: 'Braids out', lifts: null },
  'protein-intense': { label: 'Protein, intense', lifts: null },
  'protein-light': { label: 'Protein, light', lifts: null },
  bond: { label: 'Bond treatment', lifts: null },
  'deep-condition': { label: 'Deep condition', lifts: null },
  clarify: { label: 'Clarify', lifts: null },
  health: { label: 'Illness or hormones', lifts: null },
  swim: { label: 'Swim', lifts: null },
  transition: { label: 'Transition began', lifts: null },
  'pattern-changed': { label: 'Pattern seen to change', lifts: null },
  'pattern-disputed': { label: 'Pattern argued about', lifts: null },
  'tight-style': { label: 'Tight style', lifts: null },
  show: { label: 'Show or shoot', lifts: null },
} as const;
export type HairEventKind = KeyOf<typeof HAIR_EVENTS>;

/** Events that cannot both be on one head on one day. */
export const EXCLUSIVE_EVENTS: readonly (readonly [HairEventKind, HairEventKind])[] = [
  ['braids-in', 'braids-out'],
  ['trim', 'big-cut'],
  ['bleach', 'relaxer'],
];

export interface HairEventAt {
  kind: HairEventKind;
  /** Local date, yyyy-mm-dd. */
  on: string;
  /** Zones it touched; empty for the whole head. */
  zoneIds: readonly string[];
}

/**
 * The heaviest thing a zone's hair has been through since its last big cut, as the porosity reading counts it. With
 * `zoneId` null: what the whole head has been through.
 */
export function historyOutcome(
  events: readonly HairEventAt[],
  zoneId: string | null,
): 'none' | 'heat' | 'colour' | 'lifted' {
  const here = events.filter(
    ({ zoneIds }) => zoneIds.length === 0 || (zoneId !== null && zoneIds.includes(zoneId)),
  );
  const cut =
    here
      .filter(({ kind }) => kind === 'big-cut')
      .map(({ on }) => on)
      .sort()
      .at(-1) ?? '';
  const lived = here.filter(({ on }) => on > cut).map(({ kind }) => HAIR_EVENTS[kind].lifts);
  for (const outcome of ['lifted', 'colour', 'heat'] as const) if (lived.includes(outcome)) return outcome;
  return 'none';
}

/** The event already on that day that excludes this one, or null. */
export function excludedBy(kind: HairEventKind, sameDay: readonly HairEventKind[]): HairEventKind | null {
  for (const [a, b] of EXCLUSIVE_EVENTS) {
    if (kind === a && sameDay.includes(b)) return b;
    if (kind === b && sameDay.includes(a)) return a;
  }
  return null;
}
