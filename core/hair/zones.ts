import type { KeyOf } from '../vocabulary.ts';

/** Places on a head. `view` is the drawing that shows the place. */
export const PLACES = {
  fringe: { label: 'Fringe', view: 'above' },
  hairline: { label: 'Front hairline', view: 'above' },
  crown: { label: 'Crown', view: 'above' },
  side: { label: 'Side', view: 'above' },
  back: { label: 'Back', view: 'behind' },
  nape: { label: 'Nape', view: 'behind' },
  under: { label: 'Under layer', view: 'behind' },
  ends: { label: 'Ends', view: 'behind' },
  own: { label: 'Own zone', view: 'list' },
} as const;
export type Place = KeyOf<typeof PLACES>;

export const SIDES = {
  left: { label: 'left' },
  right: { label: 'right' },
  both: { label: 'both sides' },
} as const;
export type Side = KeyOf<typeof SIDES>;

export interface ZoneName {
  place: Place;
  side: Side;
  /** Set for the wearer's own zones only. */
  ownName: string | null;
}

/** The zones every head starts with: eight places, left and right of each. */
export const STANDARD_ZONES: readonly ZoneName[] = (Object.keys(PLACES) as Place[])
  .filter((place) => place !== 'own')
  .flatMap((place) => (['left', 'right'] as const).map((side) => ({ place, side, ownName: null })));

/** A zone in words: "Crown, left"; an own zone goes by its name. */
export function zoneLabel(zone: ZoneName): string {
  const name = zone.ownName ?? PLACES[zone.place].label;
  return zone.side === 'both' ? name : `${name}, ${SIDES[zone.side].label}`;
}
