import { itemsNamed } from '@sabor/core/ingredients/judge/screen';
import { parseLabel } from '@sabor/core/ingredients/label/parse-label';
import type { Extra } from '@sabor/core/routine/extras';
import { mixParts, productsUsed } from '@sabor/core/routine/mix';
import type { StepSettings } from '@sabor/core/routine/step';

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

type StepProducts = Pick<StepSettings, 'productId' | 'extra'>;

/** Everything a plan puts on the head, in its held steps and in its arms; a skipped step's product as well. */
const stepsOf = (trial: {
  plan: readonly StepProducts[];
  arms: readonly {
    steps: readonly { productId: string | null; settings?: { extra?: Extra | undefined } | undefined }[];
  }[];
}) =>
  [
    ...trial.plan,
    ...trial.arms.flatMap(({ steps }) =>
      steps.map(({ productId, settings }) => ({ productId, extra: settings?.extra ?? {} })),
    ),
  ].map(({ productId, extra }) => ({ productId, extra, dose: null }));

/** Products a plan puts on the head, those in home mixes too. */
export const productsOf = (trial: Parameters<typeof stepsOf>[0]): string[] => [
  ...new Set(stepsOf(trial).flatMap((step) => productsUsed(step).map(({ productId }) => productId))),
];

/** What goes into a plan's home mixes by name alone, as if each name were a label. */
export const namedInMixes = (
  trial: Parameters<typeof stepsOf>[0],
): { id: string; name: string; ingredients: string }[] =>
  stepsOf(trial).flatMap(({ extra }) =>
    mixParts(extra.mix)
      .filter(({ productId }) => productId === null)
      .map(({ name }) => ({ id: `mix of ${name.toLowerCase()}`, name: 'A home mix', ingredients: name })),
  );
