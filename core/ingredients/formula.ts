import type { Ingredient } from './facts.ts';
import type { LabelItem } from './label/parse-label.ts';
import type { Section } from './label/sections.ts';
import { expectedShares } from './shares/expected.ts';
import { type Bounds, shareIntervals } from './shares/intervals.ts';
import { type Kind, typicalOf } from './shares/typical.ts';

/** Whose labelling rules a list follows. */
export const MARKETS = {
  eu: { label: 'European Union', says: 'Regulation (EC) 1223/2009: descending down to 1 %, colourants last' },
  us: { label: 'United States', says: '21 CFR 701.3: as in the EU, drug actives first' },
} as const;
export type Market = keyof typeof MARKETS;

export interface FormulaItem {
  name: string;
  text: string;
  ingredient: Ingredient | null;
  /** Place on the label, from 1. */
  place: number;
  /** Possible share in %; null where it is part of another item. */
  share: Bounds | null;
  /** Expected share in %: of what it is part of, a small unknown part. */
  expected: number;
  /** The part of the label it stands in. */
  section: Section;
  /** Whether order tells of it: colourants, actives and constituents stand outside the order. */
  ordered: boolean;
}

export interface Formula {
  items: FormulaItem[];
  leaveOn: boolean;
  /** Where the 1 % line may lie: after how many ordered items, at least and at most. Null when the list contradicts itself. */
  line: { first: number; last: number } | null;
  /** The sentence that names the items in conflict. */
  conflict: string | null;
}

/** Most that a colourant outside the order is taken to reach, %. Model assumption. */
const COLOURANT_MOST = 5;
/** Most that a fragrance allergen can be, %: it sits in perfume. Model assumption. */
const ALLERGEN_MOST = 1;

const allergenOnly = ({ ingredient }: LabelItem) =>
  ingredient !== null && ingredient.group === 'fragrance' && ingredient.marks.has('alg') && !ingredient.cap;

/** The bounds a label and the law put on one item, in %. */
function boundsOf({ ingredient, percent }: LabelItem, leaveOn: boolean, market: Market): Bounds {
  let [low, high] = [0, 100];
  const cap = ingredient?.cap;
  if (cap && market === 'eu') {
    const most = leaveOn ? cap.leaveOn : cap.rinseOff;
    if (most !== null) high = Math.min(high, most * cap.salt);
  }
  if (percent) {
    low = Math.max(low, percent.low);
    high = percent.high;
  }
  return { low, high };
}

/** What kind of formula a list is of. */
function kindOf(items: readonly LabelItem[], leaveOn: boolean): Kind {
  const has = (test: (one: Ingredient) => boolean) =>
    items.some(({ ingredient }) => ingredient !== null && test(ingredient));
  return {
    leaveOn,
    water: has(({ group }) => group === 'water'),
    aerosol: has(({ marks }) => marks.has('gas')),
    cleans: has(({ cleans }) => (cleans?.strength ?? 0) >= 2),
  };
}

const WHY = {
  order: 'These cannot stand in this order',
  'too much': 'These add up to more than 100 %',
  'too little': 'With these caps the list cannot reach 100 %',
} as const;

/**
 * A parsed label as a formula: every item with its possible and expected share (methods.md 2). Constituents in brackets
 * and declared allergens sit inside perfume or an oil and are never added up twice; colourants and drug actives leave
 * the order.
 */
export function readFormula(
  items: readonly LabelItem[],
  { leaveOn, market = 'eu' }: { leaveOn: boolean; market?: Market },
): Formula {
  const counted = items.filter(
    (item) => item.inside === null && item.section !== 'may contain' && !allergenOnly(item),
  );
  const coloured = (item: LabelItem) => item.ingredient?.marks.has('dyes') ?? false;
  // Colourants may come last at any level: only those with nothing but colourants behind them leave the order.
  const lastOrdered = counted.findLastIndex((item) => !coloured(item));
  const aside = (item: LabelItem) =>
    item.section === 'active' || (coloured(item) && counted.indexOf(item) > Math.max(0, lastOrdered));
  const chain: LabelItem[] = [];
  const off: LabelItem[] = [];
  for (const item of counted) (aside(item) ? off : chain).push(item);
  const chainBounds = chain.map((item) => boundsOf(item, leaveOn, market));
  const offBounds = off.map((item) => {
    const { low, high } = boundsOf(item, leaveOn, market);
    return { low, high: item.percent || item.section === 'active' ? high : Math.min(high, COLOURANT_MOST) };
  });
  const shares = chain.length ? shareIntervals(chainBounds, offBounds) : null;
  const order = [...chain, ...off];
  const found = new Map<LabelItem, { share: Bounds; expected: number }>();
  if (shares?.feasible) {
    const kind = kindOf(counted, leaveOn);
    const typical = order.map(({ ingredient }) => typicalOf(ingredient, kind));
    const means = expectedShares(shares.chain, shares.off, typical);
    order.forEach((item, i) => {
      found.set(item, {
        share: i < chain.length ? shares.chain[i]! : shares.off[i - chain.length]!,
        expected: means[i]!,
      });
    });
  }
  const inOrder = new Set(chain);
  const trigger = leaveOn ? 0.001 : 0.01;
  return {
    leaveOn,
    line: shares?.feasible ? shares.line : null,
    conflict:
      shares && !shares.feasible
        ? `${WHY[shares.why]}: ${shares.items
            .slice(0, 5)
            .map((i) => order[i]!.name)
            .join(', ')}. Is the list complete, and from this market?`
        : null,
    items: items.map((item, i): FormulaItem => {
      const known = found.get(item);
      const allergen = item.inside === null && allergenOnly(item);
      return {
        name: item.ingredient?.name ?? item.name,
        text: item.text,
        ingredient: item.ingredient,
        section: item.section,
        place: i + 1,
        share: known?.share ?? (allergen ? { low: trigger, high: ALLERGEN_MOST } : null),
        expected: known?.expected ?? (allergen ? trigger * 3 : 0),
        ordered: known !== undefined && inOrder.has(item),
      };
    }),
  };
}
