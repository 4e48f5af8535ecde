import type { Group, Ingredient } from '../facts.ts';

/** A usual share in %, and by how many times it varies to either side. */
export interface Typical {
  share: number;
  times: number;
}

/** What kind of formula an ingredient stands in, as its own list tells. */
export interface Kind {
  leaveOn: boolean;
  /** It is based on water. */
  water: boolean;
  /** It is driven by a propellant. */
  aerosol: boolean;
  /** It cleans. */
  cleans: boolean;
}

/**
 * Usual shares by group, in % of the formula. Model assumptions: general knowledge of formulas, no source. The first
 * ingredient takes what is left.
 */
export const TYPICAL: Record<Group, Typical> = {
  water: { share: 70, times: 1.3 },
  cleanser: { share: 6, times: 2 },
  silicone: { share: 1.5, times: 2.5 },
  protein: { share: 0.5, times: 2.5 },
  humectant: { share: 2.5, times: 2.2 },
  'film former': { share: 1.5, times: 2.5 },
  'oil or butter': { share: 2.5, times: 2.5 },
  ester: { share: 2, times: 2.5 },
  alcohol: { share: 4, times: 2 },
  conditioner: { share: 1.5, times: 2 },
  'gum or thickener': { share: 0.6, times: 2.2 },
  chelator: { share: 0.1, times: 2 },
  preservative: { share: 0.4, times: 2 },
  fragrance: { share: 0.5, times: 2 },
  'essential oil': { share: 0.2, times: 2.5 },
  extract: { share: 0.15, times: 3 },
  other: { share: 0.4, times: 3 },
  unknown: { share: 0.5, times: 4 },
};

/** Usual shares of what hangs on the kind of formula. Model assumptions, no source. */
const PROPELLANT: Typical = { share: 8, times: 2.5 };
const SALT = {
  cleanser: { share: 1.2, times: 2 },
  spray: { share: 2.5, times: 2 },
  else: { share: 0.4, times: 3 },
};
const SILICONE_BASE: Typical = { share: 12, times: 2.5 };
const FIXATIVE = { water: { share: 2.5, times: 2 }, spray: { share: 5, times: 1.8 } };
const SHORT_ALCOHOL: Typical = { share: 6, times: 2.5 };
const OIL_BASE: Typical = { share: 10, times: 2.5 };
const LYE: Typical = { share: 0.3, times: 3 };

/** What an ingredient's share usually is in such a formula; an unknown one's is wide open. */
export function typicalOf(ingredient: Ingredient | null, kind: Kind): Typical {
  if (!ingredient) return TYPICAL.unknown;
  const { marks, group, hold } = ingredient;
  if (marks.has('gas')) return PROPELLANT;
  if (marks.has('salt')) return kind.cleans ? SALT.cleanser : kind.leaveOn ? SALT.spray : SALT.else;
  if (marks.has('alkali') || marks.has('base') || marks.has('buffer')) return LYE;
  if (ingredient.alcohol === 'short') return SHORT_ALCOHOL;
  if (group === 'silicone' && !kind.water) return SILICONE_BASE;
  if ((group === 'oil or butter' || group === 'ester') && !kind.water) return OIL_BASE;
  if (hold !== undefined && hold >= 2 && kind.leaveOn)
    return kind.aerosol && !kind.water ? FIXATIVE.spray : FIXATIVE.water;
  return TYPICAL[group];
}
