import { itemsNamed } from '@sabor/core/ingredients/judge/screen';
import { parseLabel } from '@sabor/core/ingredients/label/parse-label';

/** An allergy on a wearer's file that a product's label names. */
export interface AllergyFound {
  productId: string;
  productName: string;
  ingredient: string;
  /** By which a plan acknowledges it. */
  key: string;
}

/** Every allergy of a wearer that stands on the labels of these products, once each. */
export function allergiesIn(
  products: readonly { id: string; name: string; ingredients: string | null }[],
  avoided: readonly { ingredient: string; why: string }[],
): AllergyFound[] {
  const allergies = avoided.filter(({ why }) => why === 'allergy');
  if (allergies.length === 0) return [];
  return products.flatMap(({ id, name, ingredients }) => {
    if (!ingredients) return [];
    const { items } = parseLabel(ingredients);
    return allergies.flatMap(({ ingredient }) =>
      itemsNamed(items, ingredient).length === 0
        ? []
        : { productId: id, productName: name, ingredient, key: `${id} ${ingredient.toLowerCase()}` },
    );
  });
}

/** Products a plan puts on the head, in its held steps and in its arms. */
export const productsOf = (trial: {
  plan: readonly { productId: string | null }[];
  arms: readonly { steps: readonly { productId: string | null }[] }[];
}): string[] => [
  ...new Set(
    [...trial.plan, ...trial.arms.flatMap(({ steps }) => steps)].flatMap(({ productId }) => productId ?? []),
  ),
];
