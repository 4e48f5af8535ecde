import { oneOf } from '@sabor/contract/fields';
import { CalibrationInput, FinishBottle, LineInput, ProductInput, ShelfImport } from '@sabor/contract/shelf';
import { MEASURES } from '@sabor/core/doses/measures';
import { Router } from 'express';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { readBuying } from './buying.ts';
import { finishBottle, readProduct, readShelf, saveCalibration, saveLine, saveProduct } from './store.ts';
import { importProducts, shelfCsv } from './table.ts';

export function shelfRoutes(db: Db): Router {
  const router = Router();
  router.get('/shelf', async (_request, response) => {
    response.json(await readShelf(db));
  });
  router.get('/buying', async (_request, response) => {
    response.json(await readBuying(db));
  });
  router.get('/products/:id', async (request, response) => {
    response.json(await readProduct(db, pathId(request, 'product')));
  });
  router.put('/lines/:id', async (request, response) => {
    await saveLine(db, parse(LineInput, bodyWithId(request, 'line')), versionOf(request));
    response.status(204).end();
  });
  router.put('/products/:id', async (request, response) => {
    response.json(
      await saveProduct(db, parse(ProductInput, bodyWithId(request, 'product')), versionOf(request)),
    );
  });
  router.put('/products/:id/calibrations/:measure', async (request, response) => {
    const measure = parse(oneOf(MEASURES, 'a measure'), request.params.measure);
    const { grams } = parse(CalibrationInput, request.body);
    response.json(await saveCalibration(db, pathId(request, 'product'), measure, grams));
  });
  router.post('/products/:id/finish-bottle', async (request, response) => {
    const { on } = parse(FinishBottle, request.body);
    response.json(await finishBottle(db, pathId(request, 'product'), on));
  });
  router.post('/shelf/import', async (request, response) => {
    response.json(await importProducts(db, parse(ShelfImport, request.body).products));
  });
  router.get('/shelf.csv', async (_request, response) => {
    response
      .type('text/csv')
      .attachment('shelf.csv')
      .send(await shelfCsv(db));
  });
  router.use(archiveRoutes(db, 'line'));
  router.use(archiveRoutes(db, 'product'));
  return router;
}
