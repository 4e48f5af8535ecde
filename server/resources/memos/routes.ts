import { MemoDone, MemoInput } from '@sabor/contract/memo';
import { MEMO_LIMIT, MEMO_TYPES } from '@sabor/core/basin/memo';
import express, { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { besideBytes } from '../../http/beside-bytes.ts';
import { parse, Refusal } from '../../http/problems.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { markMemo, readMemos, readSound, removeMemo, saveMemo } from './store.ts';

/** Notes told from anywhere: in words, or a voice memo whole in one request. */
export function memoRoutes(db: Db): Router {
  const router = Router();
  router.get('/memos', async (_request, response) => {
    response.json(await readMemos(db));
  });
  router.put('/memos/:id', async (request, response) => {
    const memo = parse(MemoInput, bodyWithId(request, 'note'));
    if (memo.seconds !== null) throw new Refusal(422, 'A voice memo is sent with its sound.');
    response.json(await saveMemo(db, memo, null));
  });
  router.put(
    '/memos/:id/sound',
    express.raw({ type: [...MEMO_TYPES], limit: MEMO_LIMIT + 1 }),
    async (request, response) => {
      const memo = parse(MemoInput, { ...besideBytes(request.query.memo), id: pathId(request, 'note') });
      if (!Buffer.isBuffer(request.body) || request.body.length === 0)
        throw new Refusal(422, 'A voice memo is a WebM, Ogg or MP4 sound. Record it again.');
      response.json(await saveMemo(db, memo, request.body));
    },
  );
  router.get('/memos/:id/sound', async (request, response) => {
    const { type, bytes } = await readSound(db, pathId(request, 'note'));
    response.set('Cache-Control', 'private, no-cache').type(type).send(bytes);
  });
  router.put('/memos/:id/done', async (request, response) => {
    response.json(await markMemo(db, pathId(request, 'note'), parse(MemoDone, request.body).done));
  });
  router.delete('/memos/:id', async (request, response) => {
    response.json(await removeMemo(db, pathId(request, 'note')));
  });
  return router;
}
