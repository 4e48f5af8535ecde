import { Router } from 'express';
import { notFound } from '../http/problems.ts';
import { pathId } from '../http/with-id.ts';
import type { Client } from './pool.ts';

const STATEMENTS = {
  line: 'update line set archived_at = case when $2 then now() end where id = $1',
  product: 'update product set archived_at = case when $2 then now() end where id = $1',
  place: 'update locality set archived_at = case when $2 then now() end where id = $1',
  wearer: 'update wearer set archived_at = case when $2 then now() end where id = $1',
  recipe: 'update recipe set archived_at = case when $2 then now() end where id = $1',
  routine: 'update routine set archived_at = case when $2 then now() end where id = $1 and not is_plan',
  verdict: 'update verdict set archived_at = case when $2 then now() end where id = $1',
  trial: 'update trial set archived_at = case when $2 then now() end where id = $1',
} as const;
export type Archivable = keyof typeof STATEMENTS;

/** `POST /<what>s/:id/archive` and `/restore`: nothing that a trial may rest on is ever deleted. */
export function archiveRoutes(db: Client, what: Archivable): Router {
  const router = Router();
  for (const [path, archived] of [
    ['archive', true],
    ['restore', false],
  ] as const)
    router.post(`/${what}s/:id/${path}`, async (request, response) => {
      const { rowCount } = await db.query(STATEMENTS[what], [pathId(request, what), archived]);
      if (rowCount === 0) throw notFound(what);
      response.status(204).end();
    });
  return router;
}
