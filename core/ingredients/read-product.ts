import type { Role } from '../shelf/products.ts';
import type { Ingredient } from './facts.ts';
import { type Formula, type Market, readFormula } from './formula.ts';
import { staysOn } from './judge/screen.ts';
import { parseLabel } from './label/parse-label.ts';

/** A product's list as a formula, as the roles it plays decide whether it stays on. */
export function readProduct(
  { ingredients, roles }: { ingredients: string; roles: readonly Role[] },
  market: Market = 'eu',
  own: ReadonlyMap<string, Ingredient> | null = null,
): Formula {
  return readFormula(parseLabel(ingredients, null, own).items, { leaveOn: staysOn(roles), market });
}
