import { id, oneOf } from '@sabor/contract/fields';
import { TO_TRY } from '@sabor/core/trial/to-try';
import { type Request, Router } from 'express';
import * as v from 'valibot';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { readToday } from './store.ts';

const Aside = v.object({ kind: oneOf(TO_TRY, 'what is put aside'), ref: id });

export function todayRoutes(db: Db): Router {
  const router = Router();
  router.get('/today', async (_request, response) => {
    response.json(await readToday(db, new Date()));
  });
  const aside = ({ params }: Request) => parse(Aside, params);
  router.put('/put-aside/:kind/:ref', async (request, response) => {
    const { kind, ref } = aside(request);
    await db.query('insert into put_aside (kind, ref) values ($1, $2) on conflict do nothing', [kind, ref]);
    response.status(204).end();
  });
  router.delete('/put-aside/:kind/:ref', async (request, response) => {
    const { kind, ref } = aside(request);
    await db.query('delete from put_aside where kind = $1 and ref = $2', [kind, ref]);
    response.status(204).end();
  });
  return router;
}
