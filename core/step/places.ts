/** Among the places of a step, one of the wearer's own zones goes by its name, which this stands before. */
const OWN = 'own:';
const LONGEST = 80;

/** A wearer's own zone as a place of a step. */
export const ownPlace = (name: string): string => `${OWN}${name}`;

/** The name of the wearer's own zone that a place is; null where it is none, or has no name. */
export function ownName(place: unknown): string | null {
  if (typeof place !== 'string' || !place.startsWith(OWN)) return null;
  const name = place.slice(OWN.length);
  return name.trim() === '' || name.length > LONGEST ? null : name;
}
