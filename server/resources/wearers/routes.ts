import { ConsentInput } from '@sabor/contract/consent';
import { WearerInput } from '@sabor/contract/wearer';
import { Router } from 'express';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { readConsents, saveConsent } from './consents.ts';
import { readWearer, readWearers, saveWearer } from './store.ts';

export function wearerRoutes(db: Db): Router {
  const router = Router();
  router.get('/wearers', async (_request, response) => {
    response.json(await readWearers(db));
  });
  router.get('/wearers/:id', async (request, response) => {
    response.json(await readWearer(db, pathId(request, 'wearer')));
  });
  router.put('/wearers/:id', async (request, response) => {
    response.json(
      await saveWearer(db, parse(WearerInput, bodyWithId(request, 'wearer')), versionOf(request)),
    );
  });
  router.get('/wearers/:id/consents', async (request, response) => {
    response.json(await readConsents(db, pathId(request, 'head')));
  });
  router.put('/wearers/:id/consents', async (request, response) => {
    response.json(await saveConsent(db, pathId(request, 'head'), parse(ConsentInput, request.body)));
  });
  router.use(archiveRoutes(db, 'wearer'));
  return router;
}
