import { RECIPE_UNITS } from '@sabor/core/shelf/recipe';
import { MIX_LIMITS } from '@sabor/core/step/mix';
import * as v from 'valibot';
import { asStored, id, kept, name, note, oneOf, positive } from './fields.ts';

/** A home mix kept as a recipe. Its parts are products, other recipes, or things by name. */
export const RecipeInput = v.object({
  id,
  name: name('A home mix'),
  unit: v.optional(oneOf(RECIPE_UNITS, 'parts or ml'), 'parts'),
  parts: v.pipe(
    v.array(
      v.object({
        name: v.pipe(
          v.string('Name this part, or choose a product.'),
          v.trim(),
          v.nonEmpty('Name this part, or choose a product.'),
          v.maxLength(MIX_LIMITS.nameLength, `Keep the name under ${MIX_LIMITS.nameLength} characters.`),
        ),
        productId: v.nullable(id),
        recipeId: v.nullable(id),
        amount: positive('The amount', 10_000),
      }),
    ),
    v.minLength(2, 'A home mix has two parts at least. One alone is a product, not a mix.'),
    v.maxLength(MIX_LIMITS.most, `A home mix has ${MIX_LIMITS.most} parts at most.`),
  ),
  note: v.optional(note, ''),
});
export type RecipeInput = v.InferInput<typeof RecipeInput>;

export const Recipe = v.strictObject({ ...asStored(RecipeInput.entries), ...kept });
export type Recipe = v.InferOutput<typeof Recipe>;
