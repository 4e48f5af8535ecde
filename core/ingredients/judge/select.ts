import type { Group, Ingredient, Mark, ProteinSize, Rank, Removal } from '../facts.ts';
import type { Formula, FormulaItem } from '../formula.ts';

/** Picks ingredients by their facts; every fact that is named must hold. Ranks are "at least". */
export interface Selector {
  group?: readonly Group[];
  silicone?: readonly Removal[];
  protein?: readonly ProteinSize[];
  humectant?: Rank;
  /** Film whose resistance to humidity is at most this. */
  filmUpTo?: Rank;
  film?: Rank;
  hold?: Rank;
  oil?: Rank;
  oilUpTo?: Rank;
  penetrates?: boolean;
  alcohol?: 'short' | 'fatty';
  cationic?: Rank;
  /** Cleansing strength, 1 to 4. */
  cleans?: 1 | 2 | 3 | 4;
  mark?: readonly Mark[];
  without?: readonly Mark[];
  name?: readonly string[];
}

export function picks(one: Ingredient, by: Selector): boolean {
  return (
    (by.group === undefined || by.group.includes(one.group)) &&
    (by.silicone === undefined || (one.silicone !== undefined && by.silicone.includes(one.silicone))) &&
    (by.protein === undefined || (one.protein !== undefined && by.protein.includes(one.protein.size))) &&
    (by.humectant === undefined || (one.humectant ?? 0) >= by.humectant) &&
    (by.film === undefined || (one.film ?? 0) >= by.film) &&
    (by.filmUpTo === undefined || (one.film !== undefined && one.film <= by.filmUpTo)) &&
    (by.hold === undefined || (one.hold ?? 0) >= by.hold) &&
    (by.oil === undefined || (one.oil?.weight ?? 0) >= by.oil) &&
    (by.oilUpTo === undefined || (one.oil !== undefined && one.oil.weight <= by.oilUpTo)) &&
    (by.penetrates === undefined || (one.oil !== undefined && one.oil.penetrates === by.penetrates)) &&
    (by.alcohol === undefined || one.alcohol === by.alcohol) &&
    (by.cationic === undefined || (one.cationic ?? 0) >= by.cationic) &&
    (by.cleans === undefined || (one.cleans?.strength ?? 0) >= by.cleans) &&
    (by.mark === undefined || by.mark.some((mark) => one.marks.has(mark))) &&
    (by.without === undefined || !by.without.some((mark) => one.marks.has(mark))) &&
    (by.name === undefined || by.name.includes(one.name))
  );
}

export const pickItems = (formula: Formula, by: Selector): FormulaItem[] =>
  formula.items.filter(({ ingredient }) => ingredient !== null && picks(ingredient, by));

/** Expected share in % of what a selector picks, and the most it can be. */
export function shareOf(items: readonly FormulaItem[]): { expected: number; most: number } {
  let [expected, most] = [0, 0];
  for (const item of items) {
    expected += item.expected;
    most += item.share?.high ?? 0;
  }
  return { expected, most: Math.min(100, most) };
}
