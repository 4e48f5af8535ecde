import { itemsWith } from '@sabor/core/ingredients/allergy';
import { parseLabel } from '@sabor/core/ingredients/label/parse-label';
import { mixParts, productsUsed } from '@sabor/core/step/mix';
import type { Extra, StepSettings } from '@sabor/core/step/settings';

/** How an allergy on a wearer's file stands to a product: on its label, perhaps in a name there, or nobody can tell. */
export interface AllergyFound {
  productId: string;
  productName: string;
  ingredient: string;
  reading: 'has' | 'may have' | 'no list';
  /** Names on the label that it is in, or may be in. */
  in: string[];
  /** By which a plan acknowledges it. */
  key: string;
}

/** Every allergy of a wearer that these products hold or may hold, once each; a product without a list is never clear. */
export function allergiesIn(
  products: readonly { id: string; name: string; ingredients: string | null }[],
  avoided: readonly { ingredient: string; why: string }[],
): AllergyFound[] {
  const allergies = avoided.filter(({ why }) => why === 'allergy');
  if (allergies.length === 0) return [];
  return products.flatMap(({ id, name, ingredients }): AllergyFound[] => {
    const { items } = parseLabel(ingredients ?? '');
    if (items.length === 0)
      return [
        {
          productId: id,
          productName: name,
          ingredient: allergies.map(({ ingredient }) => ingredient).join(', '),
          reading: 'no list',
          in: [],
          key: `${id} no list`,
        },
      ];
    return allergies.flatMap(({ ingredient }): AllergyFound[] => {
      const found = itemsWith(items, ingredient);
      if (found.length === 0) return [];
      const reading = found.some((one) => one.reading === 'has') ? 'has' : 'may have';
      const names = found
        .filter((one) => one.reading === reading)
        .map(({ item }) => item.ingredient?.name ?? item.name);
      const key = `${id} ${ingredient.toLowerCase()}${reading === 'has' ? '' : ' perhaps'}`;
      return [{ productId: id, productName: name, ingredient, reading, in: [...new Set(names)], key }];
    });
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
