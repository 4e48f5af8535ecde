import type { KeyOf } from '../vocabulary.ts';

/** Places on a head. */
export const PLACES = {
  fringe: { label: 'Fringe' },
  hairline: { label: 'Front hairline' },
  crown: { label: 'Crown' },
  side: { label: 'Side' },
  back: { label: 'Back' },
  nape: { label: 'Nape' },
  under: { label: 'Under layer' },
  ends: { label: 'Ends' },
  own: { label: 'Own zone' },
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
export const zoneLabel = (zone: ZoneName): string =>
  sided(zone.ownName ?? PLACES[zone.place].label, zone.side);

/** A zone within a sentence: "crown, left"; what the tester named keeps its capitals. */
export const zoneWithin = (zone: ZoneName): string =>
  sided(zone.ownName ?? PLACES[zone.place].label.toLowerCase(), zone.side);

const sided = (name: string, side: ZoneName['side']) =>
  side === 'both' ? name : `${name}, ${SIDES[side].label}`;
