import { findIngredient } from '../dictionary.ts';
import type { Ingredient } from '../facts.ts';

/** Looks a name up: the tester's own first, then the dictionary. */
export type Lookup = (name: string) => Ingredient | null;

export const lookupWith =
  (own: ReadonlyMap<string, Ingredient> | null): Lookup =>
  (name) =>
    own?.get(name.toLowerCase()) ?? findIngredient(name);

/** A name in what stands outside its outermost brackets and what stands in each of them; one never closed runs to the end. */
export function partBrackets(name: string): { outside: string; groups: string[] } {
  const groups: string[] = [];
  let outside = '';
  let [depth, from] = [0, 0];
  for (let i = 0; i < name.length; i++) {
    const c = name[i]!;
    if (c === '(' || c === '[' || c === '{') {
      if (depth++ === 0) {
        outside += `${name.slice(from, i)} `;
        from = i + 1;
      }
    } else if ((c === ')' || c === ']' || c === '}') && depth > 0 && --depth === 0) {
      groups.push(name.slice(from, i));
      from = i + 1;
    }
  }
  if (depth > 0) groups.push(name.slice(from));
  else outside += name.slice(from);
  return {
    outside: outside.replace(/\s+/g, ' ').trim(),
    groups: groups.map((group) => group.trim()).filter(Boolean),
  };
}

/** A polymer's monomers are joined with slashes; it is one substance, never its parts. */
export const isPolymer = (name: string): boolean => /(?:co|cross|ter)?polymer\b/i.test(name);

/** The parts of a name joined with slashes. */
export const slashed = (name: string): string[] =>
  name.includes('/') && !isPolymer(name)
    ? name
        .split('/')
        .map((part) => part.trim())
        .filter((part) => part.length > 1)
    : [];

/**
 * The ingredient a label's item names, or null: whole, without its brackets, what is in them (where nothing outside is
 * known), or, where every part of a slashed name is known as the same, that one.
 */
export function matchIngredient(name: string, find: Lookup = findIngredient): Ingredient | null {
  const whole = find(name);
  if (whole || !/[([{/]/.test(name)) return whole;
  const { outside, groups } = partBrackets(name);
  const found = outside.length > 1 ? find(outside) : null;
  if (found) return found;
  const parts = slashed(outside).map(find);
  if (parts.length > 1 && parts[0] && parts.every((part) => part === parts[0])) return parts[0];
  for (const inside of groups) {
    const meant = find(inside);
    if (meant) return meant;
  }
  return null;
}
