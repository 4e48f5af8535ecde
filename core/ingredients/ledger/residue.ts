import type { Formula } from '../formula.ts';
import { pickItems, type Selector, shareOf } from '../judge/select.ts';

/** What stays on hair, by class, and how much of it each strength of cleanser lifts. */
export const RESIDUES = {
  silicone: { label: 'silicones', what: { silicone: ['strong'] }, lifted: [0.02, 0.15, 0.35, 0.8, 0.95] },
  film: { label: 'film formers', what: { film: 1 }, lifted: [0.1, 0.4, 0.7, 0.9, 0.97] },
  oil: { label: 'oils, butters and waxes', what: { oil: 2 }, lifted: [0.05, 0.3, 0.6, 0.85, 0.95] },
  cationic: { label: 'cationic conditioners', what: { cationic: 2 }, lifted: [0.1, 0.35, 0.6, 0.85, 0.95] },
} as const satisfies Record<string, { label: string; what: Selector; lifted: readonly number[] }>;
export type Residue = keyof typeof RESIDUES;

export type Loads = Record<Residue, number>;
export const NO_LOAD: Loads = { silicone: 0, film: 0, oil: 0, cationic: 0 };

/** What a product does to the ledger per gram. */
export interface ResidueProfile {
  adds: Loads;
  protein: number;
  /** Its cleansing strength, 0 to 4. */
  cleans: number;
  leaveOn: boolean;
}

/** Reads a formula for the ledger: shares as parts of one, cleansing as its strongest cleanser over 1 %. */
export function residueProfile(formula: Formula): ResidueProfile {
  const part = (what: Selector) => shareOf(pickItems(formula, what)).expected / 100;
  const cleans = formula.items
    .filter(({ expected }) => expected >= 1)
    .reduce((most, { ingredient }) => Math.max(most, ingredient?.cleans?.strength ?? 0), 0);
  return {
    adds: {
      silicone: part(RESIDUES.silicone.what),
      film: part(RESIDUES.film.what),
      oil: part(RESIDUES.oil.what),
      cationic: part(RESIDUES.cationic.what),
    },
    protein: part({ protein: ['small', 'medium', 'large'] }),
    cleans: formula.leaveOn ? 0 : cleans,
    leaveOn: formula.leaveOn,
  };
}
