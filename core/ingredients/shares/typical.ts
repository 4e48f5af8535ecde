import type { Group, Ingredient } from '../facts.ts';

/** A usual share in %, and by how many times it varies to either side. */
export interface Typical {
  share: number;
  times: number;
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
  'gum or thickener': { share: 0.5, times: 2.2 },
  chelator: { share: 0.1, times: 2 },
  preservative: { share: 0.4, times: 2 },
  fragrance: { share: 0.5, times: 2 },
  'essential oil': { share: 0.2, times: 2.5 },
  extract: { share: 0.15, times: 3 },
  other: { share: 0.4, times: 3 },
  unknown: { share: 0.5, times: 4 },
};

/** What an ingredient's share usually is; an unknown one's is wide open. */
export const typicalOf = (ingredient: Ingredient | null): Typical => TYPICAL[ingredient?.group ?? 'unknown'];
