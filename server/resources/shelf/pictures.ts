import { ProductPictureInput } from '@sabor/contract/product-picture';
import { PRODUCT_PICTURE_LIMIT } from '@sabor/core/basin/photograph-size';
import express, { Router } from 'express';
import { type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { barePicture, NotAPicture } from '../../http/bare-picture.ts';
import { notFound, parse, Refusal } from '../../http/problems.ts';
import { pathId } from '../../http/with-id.ts';
import { readProduct } from './store.ts';

const TYPES = ['image/jpeg', 'image/png', 'image/webp'];
const MOST = 8;

/** Pictures of bottles and labels: whole in one request, stored without what they say of place and maker. */
export function productPictureRoutes(db: Db): Router {
  const router = Router();
  router.put(
    '/product-pictures/:id',
    express.raw({ type: TYPES, limit: PRODUCT_PICTURE_LIMIT }),
    async (request, response) => {
      const { id, productId, shows } = parse(ProductPictureInput, {
        ...request.query,
        id: pathId(request, 'picture'),
      });
      if (!Buffer.isBuffer(request.body) || request.body.length === 0)
        throw new Refusal(422, 'A picture is a JPEG, PNG or WebP file. Choose another.');
      const type = String(request.headers['content-type']).split(';')[0]!;
      try {
        const { bytes } = barePicture(request.body, type);
        await transaction(db, async (client) => {
          await client.query('select from product where id = $1 for update', [productId]);
          const { pictures } = await readProduct(client, productId);
          if (pictures.length >= MOST && !pictures.some((known) => known.id === id))
            throw new Refusal(422, `A product has ${MOST} pictures at most. Remove one first.`);
          mustStore(
            await client.query(
              `insert into product_picture (id, product_id, shows, type, size, bytes) values ($1, $2, $3, $4, $5, $6)
               on conflict (id) do update set shows = excluded.shows where product_picture.product_id = excluded.product_id`,
              [id, productId, shows, type, bytes.length, bytes],
            ),
            'picture',
          );
        });
      } catch (error) {
        throw error instanceof NotAPicture ? new Refusal(422, `${error.message} It was not kept.`) : error;
      }
      response.json(await readProduct(db, productId));
    },
  );
  router.get('/product-pictures/:id/image', async (request, response) => {
    const { rows } = await db.query<{ type: string; bytes: Buffer }>(
      'select type, bytes from product_picture where id = $1 and bytes is not null',
      [pathId(request, 'picture')],
    );
    if (!rows[0]) throw notFound('picture');
    response.set('Cache-Control', 'private, no-cache').type(rows[0].type).send(rows[0].bytes);
  });
  router.delete('/product-pictures/:id', async (request, response) => {
    await db.query('delete from product_picture where id = $1', [pathId(request, 'picture')]);
    response.status(204).end();
  });
  return router;
}
