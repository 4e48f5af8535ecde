import type { Ghosts, PhotographInput, PhotographReceived } from '@sabor/contract/photograph';
import type { Angle } from '@sabor/core/basin/angles';
import { type Orientation, PHOTOGRAPH_PIXELS } from '@sabor/core/basin/photograph-size';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { barePicture, NotAPicture } from '../../http/bare-picture.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { holdWashDay, mustBeOpen } from '../wash-days/standing.ts';
import { mustTakePictures } from '../wearers/consents.ts';
import { uprightCopy } from './upright-copy.ts';

async function received(db: Client, id: string): Promise<PhotographReceived> {
  const { rows } = await db.query<PhotographReceived>(
    `select case when p.bytes is not null then p.size
       else (select coalesce(sum(length(b.bytes)), 0) from photograph_piece b where b.photograph_id = p.id) end as received,
       p.size from photograph p where p.id = $1`,
    [id],
  );
  if (!rows[0]) throw notFound('photograph');
  return rows[0];
}

/** Announces a photograph of an open wash day; told again, it says how much of it has come. */
export async function announce(db: Db, photo: PhotographInput): Promise<PhotographReceived> {
  return transaction(db, async (client) => {
    const day = await holdWashDay(client, photo.washDayId);
    mustBeOpen(day);
    await mustTakePictures(client, day.wearerId);
    if (photo.zoneId !== null) {
      const { rowCount } = await client.query(
        `select from zone z join trial t on t.wearer_id = z.wearer_id join wash_day d on d.trial_id = t.id
         where z.id = $1 and d.id = $2`,
        [photo.zoneId, photo.washDayId],
      );
      if (rowCount === 0) throw atField('zoneId', 'This head has no such zone. Choose one of its own.');
    }
    mustStore(
      await client.query(
        `insert into photograph (id, wash_day_id, stage, day, angle, taken_at, type, width, height, size, film, zone_id)
         values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)
         on conflict (id) do update set size = photograph.size
           where photograph.wash_day_id = excluded.wash_day_id and photograph.size = excluded.size`,
        [
          photo.id,
          photo.washDayId,
          photo.stage,
          photo.day,
          photo.angle,
          photo.takenAt,
          photo.type,
          photo.width,
          photo.height,
          photo.size,
          photo.film,
          photo.zoneId,
        ],
      ),
      'photograph',
    );
    return received(client, photo.id);
  });
}

/** Puts a photograph's pieces together once they are all there: as the camera wrote it, without what it says of place and maker. */
async function complete(client: Client, id: string, type: string): Promise<void> {
  const { rows } = await client.query<{ bytes: Buffer }>(
    'select bytes from photograph_piece where photograph_id = $1 order by from_byte',
    [id],
  );
  const { bytes, width, height, orientation } = barePicture(
    Buffer.concat(rows.map((row) => row.bytes)),
    type,
  );
  if (width * height > PHOTOGRAPH_PIXELS)
    throw new NotAPicture('This picture has over 50 million pixels. Set the camera to fewer.');
  await client.query(
    'update photograph set bytes = $2, width = $3, height = $4, orientation = $5 where id = $1',
    [id, bytes, width, height, orientation],
  );
  await client.query('delete from photograph_piece where photograph_id = $1', [id]);
}

/**
 * Adds the piece that begins at byte `from`. One that was stored before, or comes too early, changes nothing; the answer
 * says where to go on. A photograph that is whole and no picture is taken away again.
 */
export async function addPiece(db: Db, id: string, from: number, piece: Buffer): Promise<PhotographReceived> {
  const refusal = await transaction(db, async (client) => {
    const { rows } = await client.query<{ size: number; type: string; washDayId: string }>(
      'select size, type, wash_day_id as "washDayId" from photograph where id = $1 for update',
      [id],
    );
    const [known] = rows;
    if (!known) throw notFound('photograph');
    mustBeOpen(await holdWashDay(client, known.washDayId));
    const before = await received(client, id);
    if (before.received !== from || before.received === known.size) return null;
    if (from + piece.length > known.size)
      throw new Refusal(422, 'This piece runs over the end of its photograph. Take it again.');
    if (piece.length === 0) throw new Refusal(422, 'This piece of the photograph is empty.');
    await client.query('insert into photograph_piece (photograph_id, from_byte, bytes) values ($1, $2, $3)', [
      id,
      from,
      piece,
    ]);
    if (from + piece.length < known.size) return null;
    try {
      await complete(client, id, known.type);
      return null;
    } catch (error) {
      if (!(error instanceof NotAPicture)) throw error;
      await client.query('delete from photograph where id = $1', [id]);
      return new Refusal(422, `${error.message} It was not kept; take it again.`);
    }
  });
  if (refusal) throw refusal;
  return received(db, id);
}

/** Whether a photograph is there and whole. */
export async function hasImage(db: Client, id: string): Promise<boolean> {
  const { rowCount } = await db.query('select from photograph where id = $1 and bytes is not null', [id]);
  return rowCount === 1;
}

export async function readImage(db: Client, id: string): Promise<{ type: string; bytes: Buffer }> {
  const { rows } = await db.query<{ type: string; bytes: Buffer }>(
    'select type, bytes from photograph where id = $1 and bytes is not null',
    [id],
  );
  if (!rows[0]) throw notFound('photograph');
  return rows[0];
}

/** What pages show of a photograph: upright, small, a JPEG. Made the first time it is asked for, and kept. */
export async function readCopy(db: Client, id: string): Promise<{ type: string; bytes: Buffer }> {
  const { rows } = await db.query<{ bytes: Buffer }>(
    'select bytes from photograph_copy where photograph_id = $1',
    [id],
  );
  if (rows[0]) return { type: 'image/jpeg', bytes: rows[0].bytes };
  const { rows: found } = await db.query<{ type: string; bytes: Buffer; orientation: Orientation }>(
    'select type, bytes, orientation from photograph where id = $1 and bytes is not null',
    [id],
  );
  if (!found[0]) throw notFound('photograph');
  const copy = await uprightCopy(found[0].bytes, found[0].orientation);
  // What cannot be decoded here may still be shown by the browser.
  if (!copy) return found[0];
  await db.query(
    `insert into photograph_copy (photograph_id, bytes) select id, $2 from photograph where id = $1
     on conflict do nothing`,
    [id, copy],
  );
  return { type: 'image/jpeg', bytes: copy };
}

/** Takes a photograph of an open wash day away; one that is not there is gone already. */
export async function removePhotograph(db: Db, id: string): Promise<void> {
  await transaction(db, async (client) => {
    const { rows } = await client.query<{ washDayId: string }>(
      'select wash_day_id as "washDayId" from photograph where id = $1',
      [id],
    );
    if (!rows[0]) return;
    mustBeOpen(await holdWashDay(client, rows[0].washDayId));
    await client.query('delete from photograph where id = $1', [id]);
  });
}

export async function readGhosts(db: Client, wearerId: string): Promise<Ghosts> {
  const { rows } = await db.query<{ angle: Angle; id: string; frameMm: number | null }>(
    `select distinct on (p.angle) p.angle, p.id,
       case when p.orientation >= 5 then p.height else p.width end / m.px_per_mm as "frameMm"
     from photograph p left join photograph_measured m on m.photograph_id = p.id join wash_day d on d.id = p.wash_day_id
     join trial t on t.id = d.trial_id where t.wearer_id = $1 and p.bytes is not null
     order by p.angle, p.taken_at desc`,
    [wearerId],
  );
  return Object.fromEntries(rows.map(({ angle, ...ghost }) => [angle, ghost]));
}
