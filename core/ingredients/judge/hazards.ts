import type { Ingredient } from '../facts.ts';
import type { Formula, FormulaItem } from '../formula.ts';

/** What a licensed professional does with it; Sabor records it and plans around it, and never screens it for a trial. */
export const HAZARDS = {
  straightener: {
    says: 'straightens under heat and sets formaldehyde or the like free as it is ironed',
    about: 'Keratin and glyoxylic straighteners: eyes, lungs and kidneys have been hurt.',
  },
  relaxer: {
    says: 'relaxes hair for good; it burns skin and eyes',
    about: 'Lye, no-lye and lithium relaxers.',
  },
  perm: {
    says: 'opens the hair’s bonds to wave, straighten or strip it',
    about: 'Thioglycolates, sulfites and their kin.',
  },
  bleach: { says: 'bleaches or develops colour; strong oxidisers burn', about: 'Persulfates and peroxides.' },
  'oxidative dye': {
    says: 'is part of an oxidative hair dye, which can cause severe allergy',
    about: 'Permanent colour.',
  },
} as const;
export type HazardKind = keyof typeof HAZARDS;

export interface Hazard {
  kind: HazardKind;
  items: FormulaItem[];
}

const MARKED = [
  ['straightener', 'straight'],
  ['relaxer', 'relax'],
  ['perm', 'perm'],
  ['bleach', 'bleach'],
  ['oxidative dye', 'oxdye'],
] as const;

const LYE = new Set(['Sodium Hydroxide', 'Potassium Hydroxide']);
const suspected = new WeakMap<Ingredient, boolean>();
/** Whether an ingredient can make a hazard at all; worked out once. */
function isSuspect(one: Ingredient): boolean {
  let found = suspected.get(one);
  if (found === undefined) {
    found = LYE.has(one.name) || MARKED.some(([, mark]) => one.marks.has(mark));
    suspected.set(one, found);
  }
  return found;
}
/** What a little lye is there to neutralise: thickeners that are acids, fatty acids and acids. */
const ACIDIC =
  /carbomer|acryl|xanthan|stearic acid|palmitic acid|lauric acid|myristic acid|oleic acid|cocoate|citric acid|lactic acid|edta|glutam|oleate|hyaluron/i;
/** Beyond this place lye only sets the pH. Model assumption. */
const LYE_PLACES = 8;

/**
 * Lye that is no pH adjuster: high on the list, before anything that keeps the product, and with nothing acid beside it
 * that it could be there to neutralise. Relaxer lists put it among the first names, behind the base.
 */
function lyeRelaxer({ items }: Formula): FormulaItem[] {
  const ordered = items.filter(({ share }) => share !== null);
  const kept = ordered.findIndex(
    ({ ingredient }) => ingredient?.marks.has('pres') || ingredient?.marks.has('scent'),
  );
  const lye = ordered.findIndex(({ ingredient }) => ingredient !== null && LYE.has(ingredient.name));
  if (lye < 0 || lye >= LYE_PLACES || (kept >= 0 && kept < lye)) return [];
  if (
    items.some(
      ({ name, ingredient }) =>
        ACIDIC.test(name) || ingredient?.marks.has('acid') || ingredient?.marks.has('soap'),
    )
  )
    return [];
  return [ordered[lye]!];
}

/**
 * What a formula holds that is for a licensed professional, told from its names alone: at any place, whatever the shares,
 * also on a list that contradicts itself. Calcium hydroxide counts beside guanidine. Source: the trade's cautions (bleach,
 * relaxers and colour are for a licensed professional); chemistry of the names, unchecked.
 */
export function hazardsIn(formula: Formula): Hazard[] {
  const suspects = formula.items.filter(({ ingredient }) => ingredient !== null && isSuspect(ingredient));
  if (suspects.length === 0) return [];
  const found = MARKED.flatMap(([kind, mark]): Hazard[] => {
    const items = suspects.filter(({ ingredient }) => ingredient!.marks.has(mark));
    return items.length ? [{ kind, items }] : [];
  });
  const lye = lyeRelaxer(formula);
  if (lye.length === 0) return found;
  const relaxer = found.find(({ kind }) => kind === 'relaxer');
  return relaxer
    ? found.map((one) => (one === relaxer ? { ...one, items: [...one.items, ...lye] } : one))
    : [...found, { kind: 'relaxer', items: lye }];
}
