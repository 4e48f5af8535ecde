import type { Formula } from './formula.ts';

export interface Likeness {
  /** 0 nothing in common, 1 the same, weighed by expected share. */
  alike: number;
  /** The same without scent, colour and preservation. */
  baseAlike: number;
  /** Ingredients that only one of them has, by weight. */
  onlyHere: string[];
  onlyThere: string[];
  /** True when the bases are alike and only scent or colour differs. */
  sameBase: boolean;
}

/** How alike two bases must be to be called the same. Model assumption. */
const SAME = 0.85;
const TRIM = new Set(['fragrance', 'essential oil', 'preservative']);

interface Part {
  name: string;
  weight: number;
  base: boolean;
}

function partsOf(formula: Formula): Part[] {
  return formula.items
    .filter(({ share }) => share !== null)
    .map(({ name, expected, ingredient }) => ({
      name,
      // Roots: an ingredient at 1 % tells more of a formula than a hundredth of its water.
      weight: Math.sqrt(Math.max(expected, 0.001)) * (ingredient?.group === 'water' ? 0.2 : 1),
      base: !(ingredient && (TRIM.has(ingredient.group) || ingredient.marks.has('dyes'))),
    }));
}

/** Overlap of two weighted sets: Σ min over Σ max (Ruzicka). */
function overlap(a: readonly Part[], b: readonly Part[]): number {
  const there = new Map(b.map(({ name, weight }) => [name, weight]));
  let [least, most] = [0, 0];
  for (const { name, weight } of a) {
    const other = there.get(name) ?? 0;
    least += Math.min(weight, other);
    most += Math.max(weight, other);
    there.delete(name);
  }
  for (const weight of there.values()) most += weight;
  return most === 0 ? 0 : least / most;
}

/** How alike two formulas are, and what sets them apart. */
export function likeness(here: Formula, there: Formula): Likeness {
  const [a, b] = [partsOf(here), partsOf(there)];
  const names = (parts: readonly Part[]) => new Set(parts.map(({ name }) => name));
  const [mine, theirs] = [names(a), names(b)];
  const only = (parts: readonly Part[], other: ReadonlySet<string>) =>
    parts
      .filter(({ name }) => !other.has(name))
      .sort((x, y) => y.weight - x.weight)
      .map(({ name }) => name);
  const base = (parts: readonly Part[]) => parts.filter((part) => part.base);
  const alike = overlap(a, b);
  const baseAlike = overlap(base(a), base(b));
  return {
    alike,
    baseAlike,
    onlyHere: only(a, theirs),
    onlyThere: only(b, mine),
    sameBase: baseAlike >= SAME && only(base(a), theirs).length + only(base(b), mine).length === 0,
  };
}
