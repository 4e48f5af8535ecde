/** Groups an ingredient can belong to, one a file of the dictionary. */
export const GROUPS = {
  water: { label: 'water', tint: '#9DB8C4' },
  cleanser: { label: 'cleanser', tint: '#5B7FA6' },
  silicone: { label: 'silicone', tint: '#7A5C99' },
  protein: { label: 'protein', tint: '#A6321F' },
  humectant: { label: 'humectant', tint: '#3E8E9B' },
  'film former': { label: 'film former', tint: '#2C1A2F' },
  'oil or butter': { label: 'oil or butter', tint: '#C77A12' },
  ester: { label: 'ester, fatty acid or wax', tint: '#B5934A' },
  alcohol: { label: 'alcohol', tint: '#8A6B52' },
  conditioner: { label: 'cationic conditioner', tint: '#B8325A' },
  'gum or thickener': { label: 'gum or thickener', tint: '#6E8B3D' },
  chelator: { label: 'chelator', tint: '#4F6D7A' },
  preservative: { label: 'preservative', tint: '#8E8E8E' },
  fragrance: { label: 'fragrance', tint: '#C48BB0' },
  'essential oil': { label: 'essential oil', tint: '#9A6FB0' },
  extract: { label: 'extract', tint: '#2E6B57' },
  other: { label: 'other', tint: '#A89A8C' },
  unknown: { label: 'not in the dictionary', tint: '#D8CFC4' },
} as const;
export type Group = keyof typeof GROUPS;

export const CHARGES = {
  anionic: { label: 'anionic' },
  amphoteric: { label: 'amphoteric' },
  nonionic: { label: 'non-ionic' },
} as const;
export type Charge = keyof typeof CHARGES;

/** What takes a silicone off again, gentlest first. */
export const REMOVALS = {
  itself: { label: 'leaves by itself' },
  water: { label: 'water rinses it' },
  mild: { label: 'a mild cleanser lifts it' },
  strong: { label: 'needs a strong cleanser' },
} as const;
export type Removal = keyof typeof REMOVALS;

export const PROTEIN_SIZES = {
  amino: { label: 'amino acid' },
  small: { label: 'small peptides' },
  medium: { label: 'hydrolysed, middling' },
  large: { label: 'large' },
} as const;
export type ProteinSize = keyof typeof PROTEIN_SIZES;

export type Rank = 1 | 2 | 3;

/** Short marks that need no amount. */
export const MARKS = {
  sulfate: 'sulfate',
  soap: 'true soap',
  foam: 'foam booster',
  thick: 'thickener',
  gum: 'gum',
  clay: 'clay',
  absorb: 'absorbs oil',
  pearl: 'pearls the formula',
  wax: 'wax',
  mineral: 'from mineral oil',
  petro: 'made from petroleum gases',
  gone: 'evaporates',
  emul: 'emulsifier',
  heat: 'heat protectant',
  bond: 'bond builder',
  chel: 'chelator',
  pres: 'preservative',
  paraben: 'paraben',
  releaser: 'formaldehyde releaser',
  mit: 'isothiazolinone',
  flakes: 'against flakes',
  boost: 'preservative booster',
  antiox: 'antioxidant',
  alg: 'fragrance allergen',
  scent: 'scent',
  ess: 'essential oil',
  cool: 'cooling or warming',
  extract: 'extract',
  dyes: 'colourant',
  oxdye: 'oxidative hair dye',
  uv: 'UV filter',
  acid: 'acid',
  base: 'alkalising agent',
  alkali: 'strong alkali',
  buffer: 'buffer',
  salt: 'salt',
  straight: 'straightener that acts under heat',
  relax: 'relaxer',
  perm: 'waving or straightening agent',
  bleach: 'bleaching agent',
  gas: 'propellant',
  solvent: 'solvent',
  water: 'water',
  other: 'other',
} as const;
export type Mark = keyof typeof MARKS;

/** EU cap in % as leave-on and rinse-off, null where it is not allowed; stated as the acid, `salt` times it for the salt. */
export interface Cap {
  leaveOn: number | null;
  rinseOff: number | null;
  salt: number;
}

/** What is known of one ingredient. Ranks run from 1, weak or light, to 3, strong or heavy. */
export interface Ingredient {
  /** INCI name. */
  name: string;
  synonyms: readonly string[];
  group: Group;
  /** Charge, and strength from 1 to 4. */
  cleans?: { charge: Charge; strength: 1 | 2 | 3 | 4 };
  silicone?: Removal;
  protein?: { source: string; size: ProteinSize };
  humectant?: Rank;
  /** Film and its resistance to humidity. */
  film?: Rank;
  /** Hold of a fixative. */
  hold?: Rank;
  /** Weight on the hair, and whether it goes in. */
  oil?: { weight: Rank; penetrates: boolean };
  alcohol?: 'short' | 'fatty';
  cationic?: Rank;
  cap?: Cap;
  marks: ReadonlySet<Mark>;
}
