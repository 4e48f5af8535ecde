import type { AllergyFound } from '@sabor/core/ingredients/allergies';

/** What an allergy found says, as the first half of a sentence. */
export function allergyInWords({ productName, ingredient, reading, in: names }: AllergyFound): string {
  if (reading === 'no list')
    return `${productName} has no ingredient list, so Sabor cannot tell whether it holds ${ingredient}`;
  const where =
    names.length > 0 && names[0]!.toLowerCase() !== ingredient.toLowerCase() ? ` (${names.join(', ')})` : '';
  return `${productName} ${reading === 'has' ? 'holds' : 'may hold'} ${ingredient}${where}`;
}
