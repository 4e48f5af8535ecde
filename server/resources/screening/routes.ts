import { OwnIngredientInput, RuleWeightInput } from '@sabor/contract/ingredients';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { notFound, parse } from '../../http/problems.ts';
import { pathId } from '../../http/with-id.ts';
import {
  readLedgerDays,
  readOwnIngredients,
  removeOwnIngredient,
  saveOwnIngredient,
  saveRuleWeight,
} from './store.ts';

export function screeningRoutes(db: Db): Router {
  const router = Router();
  router.get('/own-ingredients', async (_request, response) => {
    response.json(await readOwnIngredients(db));
  });
  router.put('/own-ingredients', async (request, response) => {
    await saveOwnIngredient(db, parse(OwnIngredientInput, request.body));
    response.status(204).end();
  });
  router.delete('/own-ingredients/:name', async (request, response) => {
    await removeOwnIngredient(db, request.params.name);
    response.status(204).end();
  });
  router.put('/wearers/:id/rules/:rule', async (request, response) => {
    const { rule } = request.params;
    if (!/^[a-z][a-z0-9-]{1,60}$/.test(rule)) throw notFound('rule');
    await saveRuleWeight(db, pathId(request, 'wearer'), rule, parse(RuleWeightInput, request.body).weight);
    response.status(204).end();
  });
  router.get('/wearers/:id/ledger', async (request, response) => {
    response.json(await readLedgerDays(db, pathId(request, 'wearer')));
  });
  return router;
}
