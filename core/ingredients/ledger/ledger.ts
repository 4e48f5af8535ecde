import { median } from '../../middle.ts';
import { daysBetween } from '../../time/dates.ts';
import { LEDGER } from './constants.ts';
import { type Loads, NO_LOAD, RESIDUES, type Residue, type ResidueProfile } from './residue.ts';

/** One product put on the hair, in the order of the wash day; grams null where the dose is not known. */
export interface LedgerStep {
  profile: ResidueProfile;
  grams: number | null;
}

export interface LedgerDay {
  on: string;
  steps: readonly LedgerStep[];
  planned: boolean;
}

export interface LedgerPoint {
  on: string;
  planned: boolean;
  /** Grams of residue after the wash day, by class and together. */
  loads: Loads;
  total: number;
  /** The same when the wash day began, right before its first step. */
  before: number;
  protein: number;
}

const RESIDUE_KEYS = Object.keys(RESIDUES) as Residue[];
const sum = (loads: Loads) => RESIDUE_KEYS.reduce((all, key) => all + loads[key], 0);

/**
 * Build-up and protein over wash days (dates yyyy-mm-dd, any order): each product adds what of it stays, each cleanser
 * lifts a share of every class by its strength; protein fades by half in {@link LEDGER}.proteinHalfLife days. `scale`
 * is the user's own correction of what stays, from their build-up ratings: 1 leaves it.
 */
export function runLedger(washDays: readonly LedgerDay[], scale = 1): LedgerPoint[] {
  let loads: Loads = { ...NO_LOAD };
  let protein = 0;
  let last: string | null = null;
  return washDays
    .toSorted((a, b) => a.on.localeCompare(b.on))
    .map(({ on, steps, planned }) => {
      if (last !== null) protein *= 0.5 ** (daysBetween(last, on) / LEDGER.proteinHalfLife);
      last = on;
      const before = sum(loads);
      for (const { profile, grams } of steps) {
        const amount = grams ?? LEDGER.unknownDose;
        const stays = (profile.leaveOn ? LEDGER.stays.leaveOn : LEDGER.stays.rinseOff) * scale;
        const next = { ...loads };
        for (const key of RESIDUE_KEYS) {
          const lifted = profile.cleans > 0 ? RESIDUES[key].lifted[profile.cleans]! : 0;
          next[key] = loads[key] * (1 - lifted) + amount * profile.adds[key] * stays;
        }
        loads = next;
        protein += amount * profile.protein * stays;
      }
      return { on, planned, loads: { ...loads }, total: sum(loads), before, protein };
    });
}

/** How far the user's own hand may shift what stays. Model assumption. */
const SCALE_LIMITS = { least: 0.3, most: 3 } as const;
/** Rating at which the hand and the ledger call hair coated. */
const FEELS_COATED = 5;

/**
 * The correction of what stays, from the user's own ratings of build-up (0–10, 5 coated): the median over ratings of what
 * was felt against what an uncorrected ledger had on the hair that day. 1 without a rating that can be held against it.
 */
export function ownScale(
  points: readonly LedgerPoint[],
  ratings: readonly { on: string; feels: number }[],
): number {
  const ratios = ratings.flatMap(({ on, feels }) => {
    const load = points.filter((point) => !point.planned && point.on <= on).at(-1)?.total ?? 0;
    return load > 0.05 ? [((feels / FEELS_COATED) * LEDGER.coated) / load] : [];
  });
  if (ratios.length === 0) return 1;
  return Math.min(SCALE_LIMITS.most, Math.max(SCALE_LIMITS.least, median(ratios)));
}

/** The first date on which hair comes to feel coated, and that on which protein may stiffen it; null for neither. */
export function wantsClarify(
  points: readonly LedgerPoint[],
  from: string,
): { clarify: string | null; protein: string | null } {
  const ahead = points.filter(({ on }) => on >= from);
  return {
    clarify: ahead.find(({ total }) => total >= LEDGER.coated)?.on ?? null,
    protein: ahead.find(({ protein }) => protein >= LEDGER.stiff)?.on ?? null,
  };
}

/** By how many grams the ground two sets of wash days started from differs, on average; null when one set is empty. */
export function unequalGround(
  points: readonly LedgerPoint[],
  arms: readonly (readonly string[])[],
): number | null {
  const means = arms.map((dates) => {
    const found = points.filter(({ on }) => dates.includes(on));
    return found.length ? found.reduce((all, { before }) => all + before, 0) / found.length : null;
  });
  if (means.some((mean) => mean === null)) return null;
  return Math.max(...(means as number[])) - Math.min(...(means as number[]));
}
