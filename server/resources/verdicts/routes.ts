import { HearsayInput, VerdictInput } from '@sabor/contract/verdict';
import { Router } from 'express';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { readHearsay, readVerdict, readVerdicts, removeHearsay, saveHearsay, sayVerdict } from './store.ts';
import { readUsed } from './used.ts';

export function verdictRoutes(db: Db): Router {
  const router = Router();
  router.get('/verdicts', async (_request, response) => {
    response.json(await readVerdicts(db));
  });
  router.get('/verdicts/:id', async (request, response) => {
    response.json(await readVerdict(db, pathId(request, 'verdict')));
  });
  router.put('/verdicts/:id', async (request, response) => {
    response.json(
      await sayVerdict(db, parse(VerdictInput, bodyWithId(request, 'verdict')), versionOf(request)),
    );
  });
  router.use(archiveRoutes(db, 'verdict'));
  router.get('/products/:id/used', async (request, response) => {
    response.json(await readUsed(db, pathId(request, 'product')));
  });
  router.get('/products/:id/hearsay', async (request, response) => {
    response.json(await readHearsay(db, pathId(request, 'product')));
  });
  router.put('/hearsay/:id', async (request, response) => {
    response.json(await saveHearsay(db, parse(HearsayInput, bodyWithId(request, 'remark'))));
  });
  router.delete('/hearsay/:id', async (request, response) => {
    response.json(await removeHearsay(db, pathId(request, 'remark')));
  });
  return router;
}
