import { findIngredient } from '../dictionary.ts';
import type { Ingredient } from '../facts.ts';

/** How an item's name can be written on a label, likeliest first: whole, without its brackets, what is in them, parts of a slashed name. */
export function spellings(name: string): string[] {
  const inside = [...name.matchAll(/[([{]([^)\]}]*)[)\]}]/g)].map((match) => match[1]!);
  const outside = name
    .replace(/[([{][^)\]}]*[)\]}]?/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const slashed = name.includes('/') ? name.split('/').map((part) => part.trim()) : [];
  const outsideSlashed = outside.includes('/') ? outside.split('/').map((part) => part.trim()) : [];
  return [name, outside, ...inside, ...slashed, ...outsideSlashed].filter((text) => text.length > 1);
}

/** The ingredient a label's item names, or null. `own` are names the user has classified. */
export function matchIngredient(
  name: string,
  own: ReadonlyMap<string, Ingredient> | null = null,
): Ingredient | null {
  const whole = own?.get(name.toLowerCase()) ?? findIngredient(name);
  if (whole || !/[([{/]/.test(name)) return whole;
  for (const spelling of spellings(name)) {
    const found = own?.get(spelling.toLowerCase()) ?? findIngredient(spelling);
    if (found) return found;
  }
  return null;
}
