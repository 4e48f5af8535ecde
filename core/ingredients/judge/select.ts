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

const NONE: readonly FormulaItem[] = [];

/**
 * The same for many selectors at once: which of them an ingredient satisfies is worked out once for each ingredient,
 * so that a formula is sorted in one pass over its items. Gives a look-up that answers as {@link pickItems} does.
 */
export function indexSelectors(
  selectors: readonly Selector[],
): (formula: Formula) => (by: Selector) => readonly FormulaItem[] {
  const places = new Map(selectors.map((by, i) => [by, i]));
  const satisfied = new Map<Ingredient, Uint16Array>();
  const satisfiedBy = (one: Ingredient): Uint16Array => {
    let found = satisfied.get(one);
    if (!found) {
      found = Uint16Array.from(selectors.flatMap((by, i) => (picks(one, by) ? [i] : [])));
      // Names the tester classified are made anew whenever they change: do not hold on to all that ever were.
      if (satisfied.size > 10_000) satisfied.clear();
      satisfied.set(one, found);
    }
    return found;
  };
  return (formula) => {
    const buckets = new Array<FormulaItem[] | undefined>(selectors.length);
    for (const item of formula.items) {
      if (item.ingredient === null) continue;
      const ids = satisfiedBy(item.ingredient);
      for (let n = 0; n < ids.length; n++) {
        const i = ids[n]!;
        const bucket = buckets[i];
        if (bucket) bucket.push(item);
        else buckets[i] = [item];
      }
    }
    return (by) => buckets[places.get(by)!] ?? NONE;
  };
}

/** Expected share in % of what a selector picks, and the most it can be. */
export function shareOf(items: readonly FormulaItem[]): { expected: number; most: number } {
  let [expected, most] = [0, 0];
  for (const item of items) {
    expected += item.expected;
    most += item.share?.high ?? 0;
  }
  return { expected, most: Math.min(100, most) };
}
