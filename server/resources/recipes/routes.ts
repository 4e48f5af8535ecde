import { RecipeInput } from '@sabor/contract/recipe';
import { Router } from 'express';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId } from '../../http/with-id.ts';
import { readRecipes, saveRecipe } from './store.ts';

export function recipeRoutes(db: Db): Router {
  const router = Router();
  router.get('/recipes', async (_request, response) => {
    response.json(await readRecipes(db));
  });
  router.put('/recipes/:id', async (request, response) => {
    response.json(
      await saveRecipe(db, parse(RecipeInput, bodyWithId(request, 'home mix')), versionOf(request)),
    );
  });
  router.use(archiveRoutes(db, 'recipe'));
  return router;
}
