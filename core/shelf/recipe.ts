import { MIX_LIMITS, type MixPart } from '../step/mix.ts';

/** How a recipe's amounts are told. */
export const RECIPE_UNITS = { parts: { label: 'parts' }, ml: { label: 'ml' } } as const;
export type RecipeUnit = keyof typeof RECIPE_UNITS;

/** One part of a recipe: a product of the shelf, another recipe, or anything by name. */
export interface RecipePart {
  name: string;
  productId: string | null;
  recipeId: string | null;
  amount: number;
}

/** A home mix kept under its name. */
export interface Recipe {
  id: string;
  name: string;
  unit: RecipeUnit;
  parts: readonly RecipePart[];
}

/**
 * The names along which a recipe leads back to itself, its own first and last; null where it does not. `others` are the
 * recipes it may name; one that is not among them leads nowhere.
 */
export function circleIn(recipe: Recipe, others: readonly Recipe[]): string[] | null {
  const byId = new Map([...others.filter(({ id }) => id !== recipe.id), recipe].map((one) => [one.id, one]));
  const walk = (one: Recipe, path: readonly Recipe[]): string[] | null => {
    for (const { recipeId } of one.parts) {
      const next = recipeId === null ? undefined : byId.get(recipeId);
      if (!next) continue;
      if (next.id === recipe.id) return [...path, one, next].map(({ name }) => name);
      if (path.includes(next)) continue;
      const found = walk(next, [...path, one]);
      if (found) return found;
    }
    return null;
  };
  return walk(recipe, []);
}

/** What is in a recipe once every recipe in it is opened up, each thing with its share of the whole. Sums to 1. */
function sharesIn(recipe: Recipe, others: readonly Recipe[], within: readonly string[]): MixPart[] {
  const whole = recipe.parts.reduce((sum, { amount }) => sum + amount, 0);
  return recipe.parts.flatMap(({ name, productId, recipeId, amount }) => {
    const share = amount / whole;
    const inner = recipeId === null ? undefined : others.find(({ id }) => id === recipeId);
    if (!inner || within.includes(inner.id)) return [{ name, productId, parts: share }];
    return sharesIn(inner, others, [...within, inner.id]).map((part) => ({
      ...part,
      parts: part.parts * share,
    }));
  });
}

const FINE = 1000;

/**
 * A recipe as the mix a step keeps: every recipe in it opened up, the same thing named twice added up. Amounts stay as
 * they are told where nothing had to be opened; else they are parts in a hundred, to a tenth. Null where it comes to more
 * parts, or to smaller ones, than a mix can have.
 */
export function asMix(recipe: Recipe, others: readonly Recipe[]): MixPart[] | null {
  const added = new Map<string, MixPart>();
  for (const part of sharesIn(recipe, others, [recipe.id])) {
    const key = part.productId ?? part.name.trim().toLowerCase();
    const there = added.get(key);
    added.set(key, there ? { ...there, parts: there.parts + part.parts } : part);
  }
  const plain = recipe.parts.every(({ recipeId }) => recipeId === null) && added.size === recipe.parts.length;
  const most = Math.max(...recipe.parts.map(({ amount }) => amount));
  const parts = [...added.values()].map((part, i) => ({
    ...part,
    parts:
      plain && most <= MIX_LIMITS.mostParts
        ? recipe.parts[i]!.amount
        : Math.round(part.parts * FINE) / (FINE / 100),
  }));
  return parts.length <= MIX_LIMITS.most && parts.every((part) => part.parts >= MIX_LIMITS.leastParts)
    ? parts
    : null;
}
