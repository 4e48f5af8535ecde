import { PhotographInput, PhotographMeasuredInput } from '@sabor/contract/photograph';
import { PIECE } from '@sabor/core/basin/photograph-size';
import express, { type Request, type Response, Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse, Refusal } from '../../http/problems.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { readFiled, readListed, storeMeasured } from './measured.ts';
import { addPiece, announce, hasImage, readCopy, readGhosts, readImage, removePhotograph } from './store.ts';

export function photographRoutes(db: Db): Router {
  const router = Router();
  router.put('/photographs/:id', async (request, response) => {
    response.json(await announce(db, parse(PhotographInput, bodyWithId(request, 'photograph'))));
  });
  router.put(
    '/photographs/:id/bytes',
    express.raw({ type: 'application/octet-stream', limit: PIECE }),
    async (request, response) => {
      const from = Number(request.query.from);
      if (!Number.isSafeInteger(from) || from < 0 || !Buffer.isBuffer(request.body))
        throw new Refusal(422, 'Say from which byte on this piece of the photograph is.');
      response.json(await addPiece(db, pathId(request, 'photograph'), from, request.body));
    },
  );
  router.get('/photographs/:id', async (request, response) => {
    response.json(await readFiled(db, pathId(request, 'photograph')));
  });
  router.put('/photographs/:id/measured', async (request, response) => {
    const id = pathId(request, 'photograph');
    response.json(await storeMeasured(db, id, parse(PhotographMeasuredInput, request.body)));
  });
  const image = (read: typeof readImage) => async (request: Request, response: Response) => {
    const id = pathId(request, 'photograph');
    // Kept by the browser, but asked for each time: one that was taken away is gone there too.
    const tag = `"${id}"`;
    response.set({ 'Cache-Control': 'private, no-cache', ETag: tag });
    if (request.headers['if-none-match'] === tag && (await hasImage(db, id)))
      return void response.status(304).end();
    const { type, bytes } = await read(db, id);
    response.type(type).send(bytes);
  };
  // What pages show, and what the camera wrote, for measuring.
  router.get('/photographs/:id/image', image(readCopy));
  router.get('/photographs/:id/original', image(readImage));
  router.delete('/photographs/:id', async (request, response) => {
    await removePhotograph(db, pathId(request, 'photograph'));
    response.status(204).end();
  });
  router.get('/wearers/:id/photographs', async (request, response) => {
    response.json(await readListed(db, pathId(request, 'head')));
  });
  router.get('/wearers/:id/ghosts', async (request, response) => {
    response.json(await readGhosts(db, pathId(request, 'head')));
  });
  return router;
}
