import type { Recipe, RecipeInput } from '@sabor/contract/recipe';
import { asMix, circleIn } from '@sabor/core/shelf/recipe';
import { MIX_LIMITS } from '@sabor/core/step/mix';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { atField, notFound } from '../../http/problems.ts';
import { allOnShelf } from '../routines/mixes.ts';

const RECIPES = `select id, name, unit, parts, note, archived_at as "archivedAt", version from recipe`;

export async function readRecipes(db: Client): Promise<Recipe[]> {
  return (await db.query<Recipe>(`${RECIPES} order by lower(name)`)).rows;
}

async function readRecipe(db: Client, id: string): Promise<Recipe> {
  const { rows } = await db.query<Recipe>(`${RECIPES} where id = $1`, [id]);
  if (!rows[0]) throw notFound('home mix');
  return rows[0];
}

/** Saves a home mix. Refused where it would hold itself, or name what is not there. */
export async function saveRecipe(
  db: Db,
  recipe: v.InferOutput<typeof RecipeInput>,
  from: number | null = null,
): Promise<Recipe> {
  return transaction(db, async (client) => {
    // Two recipes that come to name each other at once: the second is seen with the first.
    await client.query("select pg_advisory_xact_lock(hashtext('sabor recipes'))");
    await mustBeNewest(client, 'recipe', recipe.id, from, () => readRecipe(client, recipe.id));
    const others = await readRecipes(client);
    const at = (i: number, message: string) => atField(`parts.${i}.name`, message);
    for (const [i, { recipeId, productId }] of recipe.parts.entries()) {
      if (recipeId !== null && recipeId !== recipe.id && !others.some(({ id }) => id === recipeId))
        throw at(i, 'Sabor has no such home mix. Choose the part again.');
      if (productId !== null && !(await allOnShelf(client, [productId])))
        throw at(i, 'This product is not on the shelf. Choose the part again.');
    }
    const circle = circleIn(recipe, others);
    if (circle)
      throw at(
        recipe.parts.findIndex(
          ({ recipeId }) => recipeId !== null && circleThrough(recipeId, recipe, others),
        ),
        `A home mix cannot hold itself: ${circle.join(', which holds ')}. Take this part out.`,
      );
    if (asMix(recipe, others) === null)
      throw atField(
        'parts',
        `Opened up, this comes to over ${MIX_LIMITS.most} things, or to one under a thousandth. Make it simpler.`,
      );
    await client.query(
      `insert into recipe (id, name, unit, parts, note) values ($1, $2, $3, $4, $5)
       on conflict (id) do update set name = excluded.name, unit = excluded.unit, parts = excluded.parts,
         note = excluded.note`,
      [recipe.id, recipe.name, recipe.unit, JSON.stringify(recipe.parts), recipe.note],
    );
    return readRecipe(client, recipe.id);
  });
}

/** Whether a part that is a recipe leads back to the one it is in. */
const circleThrough = (recipeId: string, recipe: v.InferOutput<typeof RecipeInput>, others: Recipe[]) =>
  circleIn({ ...recipe, parts: recipe.parts.filter((part) => part.recipeId === recipeId) }, others) !== null;
