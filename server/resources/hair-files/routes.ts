import {
  CadenceInput,
  HairEventInput,
  HairTestInput,
  HeadProblemInput,
  PatchTestInput,
  WishesInput,
} from '@sabor/contract/hair-file';
import { HairMeasureInput } from '@sabor/contract/hair-measure';
import { CARE, type CareKind } from '@sabor/core/hair/care-kinds';
import { type Request, Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { notFound, parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { savePatchTest } from '../patch-tests/store.ts';
import {
  readHairFile,
  removeFromFile,
  saveCadence,
  saveHairEvent,
  saveHairMeasure,
  saveHairTest,
  saveProblem,
} from './store.ts';
import { saveWishes } from './wishes.ts';

export function hairFileRoutes(db: Db): Router {
  const router = Router();
  router.get('/wearers/:id/file', async (request, response) => {
    response.json(await readHairFile(db, pathId(request, 'wearer')));
  });
  router.put('/hair-tests/:id', async (request, response) => {
    response.json(await saveHairTest(db, parse(HairTestInput, bodyWithId(request, 'test'))));
  });
  router.put('/hair-events/:id', async (request, response) => {
    response.json(await saveHairEvent(db, parse(HairEventInput, bodyWithId(request, 'event'))));
  });
  const careKind = (request: Request): CareKind => {
    const { kind } = request.params;
    if (typeof kind !== 'string' || !Object.hasOwn(CARE, kind)) throw notFound('kind of care');
    return kind as CareKind;
  };
  router.put('/wearers/:id/cadence/:kind', async (request, response) => {
    const { everyDays, alternates } = parse(CadenceInput, request.body);
    response.json(await saveCadence(db, pathId(request, 'wearer'), careKind(request), everyDays, alternates));
  });
  router.delete('/wearers/:id/cadence/:kind', async (request, response) => {
    response.json(await saveCadence(db, pathId(request, 'wearer'), careKind(request), undefined));
  });
  router.put('/wearers/:id/wishes', async (request, response) => {
    const id = pathId(request, 'wearer');
    await saveWishes(db, id, parse(WishesInput, request.body), versionOf(request));
    response.json(await readHairFile(db, id));
  });
  router.put('/hair-measures/:id', async (request, response) => {
    response.json(await saveHairMeasure(db, parse(HairMeasureInput, bodyWithId(request, 'measurement'))));
  });
  router.put('/head-problems/:id', async (request, response) => {
    response.json(await saveProblem(db, parse(HeadProblemInput, bodyWithId(request, 'problem'))));
  });
  router.delete('/head-problems/:id', async (request, response) => {
    response.json(await removeFromFile(db, 'problem', pathId(request, 'problem')));
  });
  router.put('/patch-tests/:id', async (request, response) => {
    const test = parse(PatchTestInput, bodyWithId(request, 'patch test'));
    await savePatchTest(db, test);
    response.json(await readHairFile(db, test.wearerId));
  });
  router.delete('/patch-tests/:id', async (request, response) => {
    response.json(await removeFromFile(db, 'patch test', pathId(request, 'patch test')));
  });
  router.delete('/hair-measures/:id', async (request, response) => {
    response.json(await removeFromFile(db, 'measure', pathId(request, 'measurement')));
  });
  router.delete('/hair-tests/:id', async (request, response) => {
    response.json(await removeFromFile(db, 'test', pathId(request, 'test')));
  });
  router.delete('/hair-events/:id', async (request, response) => {
    response.json(await removeFromFile(db, 'event', pathId(request, 'event')));
  });
  return router;
}
