import { SearchInput } from '@sabor/contract/search';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { search } from './store.ts';

export function searchRoutes(db: Db): Router {
  const router = Router();
  router.get('/search', async (request, response) => {
    response.json(await search(db, parse(SearchInput, { q: request.query.q ?? '' }).q));
  });
  return router;
}
