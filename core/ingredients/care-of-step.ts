import type { CareMark } from '../hair/wash-care.ts';
import type { Role } from '../shelf/products.ts';
import type { Slot } from '../step/slots.ts';
import { parseLabel } from './label/parse-label.ts';

/** What a treatment's list says it does: protein of any size, a bond builder. Lists that were read are kept. */
const treats = new Map<string, CareMark[]>();
const MOST_KEPT = 1000;

function treatmentOf(ingredients: string): CareMark[] {
  const known = treats.get(ingredients);
  if (known) return known;
  const { items } = parseLabel(ingredients);
  const found: CareMark[] = [
    ...(items.some(({ ingredient }) => ingredient?.protein !== undefined)
      ? (['protein-light'] as const)
      : []),
    ...(items.some(({ ingredient }) => ingredient?.marks.has('bond')) ? (['bond'] as const) : []),
  ];
  if (treats.size >= MOST_KEPT) treats.clear();
  treats.set(ingredients, found);
  return found;
}

/**
 * The care that a done step of a wash day was, by its slot and its product's uses and list. A treatment with protein
 * counts as light protein: how intense it was only the history says. Common practice, no source.
 */
export function careOfStep(
  slot: Slot,
  { roles, ingredients }: { roles: readonly Role[]; ingredients: string },
): CareMark[] {
  switch (slot) {
    case 'cleanse':
      return roles.includes('clarifier')
        ? ['clarify']
        : roles.includes('co-wash')
          ? ['co-wash']
          : roles.includes('shampoo')
            ? ['shampoo']
            : [];
    case 'condition':
      return roles.includes('mask') ? ['deep-condition'] : [];
    case 'treat':
    case 'pre-wash':
      return roles.includes('treatment') ? treatmentOf(ingredients) : [];
    default:
      return [];
  }
}
