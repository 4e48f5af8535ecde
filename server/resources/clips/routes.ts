import { ClipInput } from '@sabor/contract/clip';
import { CLIP_LIMIT } from '@sabor/core/basin/clip';
import express, { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { besideBytes } from '../../http/beside-bytes.ts';
import { parse, Refusal } from '../../http/problems.ts';
import { pathId } from '../../http/with-id.ts';
import { readClips, readFilm, removeClip, saveClip } from './store.ts';

/** Short clips of hair in motion, each whole in one request. */
export function clipRoutes(db: Db): Router {
  const router = Router();
  router.get('/wearers/:id/clips', async (request, response) => {
    response.json(await readClips(db, pathId(request, 'head')));
  });
  router.put(
    '/clips/:id',
    // By whatever name a phone calls its film: what it is, its own first bytes say.
    express.raw({ type: 'video/*', limit: CLIP_LIMIT + 1 }),
    async (request, response) => {
      const clip = parse(ClipInput, { ...besideBytes(request.query.clip), id: pathId(request, 'clip') });
      if (!Buffer.isBuffer(request.body) || request.body.length === 0)
        throw new Refusal(422, 'A clip is a WebM or MP4 film. Take it again.');
      response.json(await saveClip(db, clip, request.body));
    },
  );
  // Players ask for parts: to show the end of a clip they need not hear all of it. Source: RFC 9110, 14.
  router.get('/clips/:id/film', async (request, response) => {
    const film = await readFilm(db, pathId(request, 'clip'), (size) => {
      const asked = request.range(size);
      const [one] = Array.isArray(asked) && asked.type === 'bytes' ? asked : [];
      response.status(one ? 206 : 200);
      return { from: one?.start ?? 0, to: one?.end ?? size - 1 };
    });
    const { type, size, from, bytes } = film;
    response.set({ 'Cache-Control': 'private, no-cache', 'Accept-Ranges': 'bytes' }).type(type);
    if (response.statusCode === 206)
      response.set('Content-Range', `bytes ${from}-${from + bytes.length - 1}/${size}`);
    response.send(bytes);
  });
  router.delete('/clips/:id', async (request, response) => {
    await removeClip(db, pathId(request, 'clip'));
    response.status(204).end();
  });
  return router;
}
