import type { Formula, FormulaItem } from './formula.ts';
import { pickItems, type Selector } from './judge/select.ts';

/** What labels claim to be free of, and which ingredients would make it untrue. */
export const CLAIMS = {
  sulfates: { label: 'free of sulfates', not: { mark: ['sulfate'] } },
  silicones: { label: 'free of silicones', not: { silicone: ['itself', 'water', 'mild', 'strong'] } },
  parabens: { label: 'free of parabens', not: { mark: ['paraben'] } },
  'drying-alcohol': { label: 'free of drying alcohols', not: { alcohol: 'short' } },
  glycerin: { label: 'free of glycerin', not: { name: ['Glycerin'] } },
  protein: { label: 'free of protein', not: { protein: ['amino', 'small', 'medium', 'large'] } },
  'mineral-oil': { label: 'free of mineral oil', not: { mark: ['mineral'] } },
  'formaldehyde-releasers': { label: 'free of formaldehyde releasers', not: { mark: ['releaser'] } },
  isothiazolinones: { label: 'free of isothiazolinones', not: { mark: ['mit'] } },
  perfume: { label: 'unscented', not: { mark: ['scent', 'ess', 'alg'] } },
  'essential-oils': { label: 'free of essential oils', not: { mark: ['ess'] } },
  colourants: { label: 'free of colourants', not: { mark: ['dyes', 'oxdye'] } },
} as const satisfies Record<string, { label: string; not: Selector }>;
export type Claim = keyof typeof CLAIMS;

export interface ClaimReading {
  claim: Claim;
  holds: 'true' | 'false' | 'cannot tell';
  /** What makes it untrue, or leaves it open. */
  items: FormulaItem[];
}

/** Each claim read against the list: untrue where the list names what it denies, open where names are unknown. */
export function readClaims(formula: Formula): ClaimReading[] {
  const unknown = formula.items.filter(({ ingredient }) => ingredient === null);
  return (Object.keys(CLAIMS) as Claim[]).map((claim) => {
    const items = pickItems(formula, CLAIMS[claim].not);
    if (items.length) return { claim, holds: 'false', items };
    return unknown.length
      ? { claim, holds: 'cannot tell', items: unknown }
      : { claim, holds: 'true', items: [] };
  });
}
