import type { Wearer } from '@sabor/contract/wearer';
import type { Side } from '@sabor/core/hair/zones';

/** The side that a wearer's zones and tagged curls lie on, by their ids; 'both' for one of neither. */
export function sidesOf({ zones, curls }: Pick<Wearer, 'zones' | 'curls'>): (id: string) => Side {
  const sides = new Map(zones.map(({ id, side }) => [id, side]));
  for (const curl of curls) sides.set(curl.id, sides.get(curl.zoneId) ?? 'both');
  return (id) => sides.get(id) ?? 'both';
}
