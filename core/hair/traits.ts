import type { KeyOf } from '../vocabulary.ts';

export const POROSITIES = {
  low: { label: 'low', says: 'water beads, products sit on top, slow to wet' },
  medium: { label: 'medium', says: 'takes water and product without fuss' },
  high: { label: 'high', says: 'soaks and dries fast, frizzes; often coloured, grey or old lengths' },
} as const;
export const DENSITIES = {
  low: { label: 'low', says: 'large clumps show scalp' },
  medium: { label: 'medium', says: 'scalp shows only at partings' },
  high: { label: 'high', says: 'scalp hard to find' },
} as const;
export const STRANDS = {
  fine: { label: 'fine', says: 'hardly felt between the fingers; weighed down by oils and butters' },
  medium: { label: 'medium', says: 'felt like sewing thread' },
  coarse: { label: 'coarse', says: 'wiry; takes oils and butters' },
} as const;
/** The trade's letters: a label people argue about, kept as the wearer's own word. Common practice, no source. */
export const PATTERNS = {
  '2A': { label: '2A' },
  '2B': { label: '2B' },
  '2C': { label: '2C' },
  '3A': { label: '3A' },
  '3B': { label: '3B' },
  '3C': { label: '3C' },
  '4A': { label: '4A' },
  '4B': { label: '4B' },
  '4C': { label: '4C' },
} as const;

export const DAMAGE = {
  none: { label: 'none', says: 'whole lengths, ends like the rest' },
  slight: { label: 'slight', says: 'dry ends, a split here and there' },
  marked: { label: 'marked', says: 'splits, rough lengths, breaks when combed' },
  severe: { label: 'severe', says: 'snaps, white dots, gummy when wet' },
} as const;

export type Damage = KeyOf<typeof DAMAGE>;
export type Porosity = KeyOf<typeof POROSITIES>;
export type Density = KeyOf<typeof DENSITIES>;
export type Strand = KeyOf<typeof STRANDS>;
export type Pattern = KeyOf<typeof PATTERNS>;

export interface Traits {
  porosity: Porosity | null;
  density: Density | null;
  strand: Strand | null;
  pattern: Pattern | null;
  damage: Damage | null;
}

/** A zone or head of which nothing is noted. */
export const NO_TRAITS: Traits = { porosity: null, density: null, strand: null, pattern: null, damage: null };

export type TraitName = keyof Traits;

/** What each trait is called on screen, with its vocabulary. */
export const TRAITS = {
  porosity: { label: 'Porosity', options: POROSITIES },
  density: { label: 'Density', options: DENSITIES },
  strand: { label: 'Strand', options: STRANDS },
  pattern: { label: 'Pattern', options: PATTERNS },
  damage: { label: 'Damage', options: DAMAGE },
} as const;

/** A zone's traits with the whole head's filled in where the zone has none; `own` names those the zone sets itself. */
export function resolveTraits(zone: Traits, head: Traits): Traits & { own: TraitName[] } {
  const own = (Object.keys(TRAITS) as TraitName[]).filter((name) => zone[name] !== null);
  return {
    porosity: zone.porosity ?? head.porosity,
    density: zone.density ?? head.density,
    strand: zone.strand ?? head.strand,
    pattern: zone.pattern ?? head.pattern,
    damage: zone.damage ?? head.damage,
    own,
  };
}
