import { actives } from './dictionary/actives.ts';
import { alcohols } from './dictionary/alcohols.ts';
import { chelators } from './dictionary/chelators.ts';
import { cleansers } from './dictionary/cleansers.ts';
import { conditioners } from './dictionary/conditioners.ts';
import { emollients } from './dictionary/emollients.ts';
import { essentialOils } from './dictionary/essential-oils.ts';
import { extracts } from './dictionary/extracts.ts';
import { films } from './dictionary/films.ts';
import { fragrance } from './dictionary/fragrance.ts';
import { humectants } from './dictionary/humectants.ts';
import { oils } from './dictionary/oils.ts';
import { preservatives } from './dictionary/preservatives.ts';
import { proteins } from './dictionary/proteins.ts';
import { silicones } from './dictionary/silicones.ts';
import { thickeners } from './dictionary/thickeners.ts';
import type { Ingredient } from './facts.ts';
import { normalName } from './normal-name.ts';

/** Every group with where its facts come from. */
export const DICTIONARY = [
  actives,
  cleansers,
  silicones,
  proteins,
  humectants,
  films,
  oils,
  emollients,
  alcohols,
  conditioners,
  thickeners,
  chelators,
  preservatives,
  fragrance,
  essentialOils,
  extracts,
];

export const INGREDIENTS: readonly Ingredient[] = DICTIONARY.flatMap(({ ingredients }) => ingredients);

const byName = new Map<string, Ingredient>();
/** Names as they are written, in small letters: most labels write them so, and need no evening out. */
const asWritten = new Map<string, Ingredient>();
for (const ingredient of INGREDIENTS)
  for (const name of [ingredient.name, ...ingredient.synonyms]) {
    byName.set(normalName(name), ingredient);
    asWritten.set(name.toLowerCase(), ingredient);
  }

/** The ingredient of this INCI name or synonym, however it is spaced, hyphened or accented; null when unknown. */
export const findIngredient = (name: string): Ingredient | null =>
  asWritten.get(name.toLowerCase()) ?? byName.get(normalName(name)) ?? null;

/** Every known name in its compared form, for those who search it. */
export const knownNames = (): IterableIterator<string> => byName.keys();
export const byNormalName = (normal: string): Ingredient | null => byName.get(normal) ?? null;
