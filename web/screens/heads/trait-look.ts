import type { Zone } from '@sabor/contract/wearer';
import { resolveTraits, TRAITS, type TraitName, type Traits } from '@sabor/core/hair/traits';
import type { MapZone, ZoneLook } from '../../drawings/head-map.tsx';
import { LEAF, tint } from '../../drawings/tint.ts';

/** How a trait shows on the head map: darker for more, pale where the zone has it from the whole head. */
export const traitLook =
  (wearer: Traits & { zones: readonly Zone[] }, trait: TraitName, chosen?: string | null) =>
  (mapZone: MapZone): ZoneLook => {
    const zone = wearer.zones.find((known) => known.id === mapZone.id);
    if (!zone) return {};
    const resolved = resolveTraits(zone, wearer);
    const value = resolved[trait];
    const own = resolved.own.includes(trait);
    const options = Object.entries(TRAITS[trait].options as Record<string, { label: string }>);
    const rank = options.findIndex(([key]) => key === value);
    const words = value === null ? 'not noted' : options[rank]![1].label;
    const short = words === 'medium' ? 'mid' : words;
    const spoken = short === words ? words : `${short} (${words})`;
    const from = value === null ? '' : own ? ', its own' : ', from the whole head';
    const depth = 0.1 + (0.45 * rank) / Math.max(1, options.length - 1);
    return {
      text: value === null ? '' : short,
      says: `${spoken}${from}${chosen === zone.id ? ', chosen' : ''}`,
      ...(value === null ? {} : { fill: tint(LEAF, depth * (own ? 1.3 : 0.45)) }),
      chosen: chosen === zone.id,
    };
  };
