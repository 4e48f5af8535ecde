import type { ClipInput, ListedClip } from '@sabor/contract/clip';
import { CLIP_LIMIT, type ClipType } from '@sabor/core/basin/clip';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { bareClip, NotAClip } from '../../http/bare-clip.ts';
import { notFound, Refusal } from '../../http/problems.ts';
import { holdWashDay, mustBeOpen } from '../wash-days/standing.ts';
import { mustTakePictures } from '../wearers/consents.ts';

/** Clips of a head, latest wash day first, in the order they were taken. */
export async function readClips(db: Client, wearerId: string): Promise<ListedClip[]> {
  const { rows } = await db.query<ListedClip>(
    `select c.id, c.wash_day_id as "washDayId", c.stage, c.day, c.kind, c.taken_at as "takenAt", c.seconds, c.type,
       d.position, t.question, t.logged
     from clip c join wash_day d on d.id = c.wash_day_id join trial t on t.id = d.trial_id
     where t.wearer_id = $1 and c.bytes is not null order by d.started_at desc, c.taken_at, c.id`,
    [wearerId],
  );
  return rows;
}

const clipsBeside = async (client: Client, washDayId: string): Promise<ListedClip[]> => {
  const { rows } = await client.query<{ wearer: string }>(
    'select t.wearer_id as wearer from wash_day d join trial t on t.id = d.trial_id where d.id = $1',
    [washDayId],
  );
  return readClips(client, rows[0]!.wearer);
};

/** Keeps a clip of an open wash day without what it tells of place and maker; sent twice it is kept once. */
export async function saveClip(db: Db, clip: ClipInput, film: Buffer): Promise<ListedClip[]> {
  if (film.length > CLIP_LIMIT)
    throw new Refusal(413, 'A clip is 16 MB at most. Film it with fewer pixels, or for a shorter time.');
  let bare: ReturnType<typeof bareClip>;
  try {
    bare = bareClip(film);
  } catch (error) {
    if (!(error instanceof NotAClip)) throw error;
    throw new Refusal(422, `${error.message} It was not kept; take it again.`);
  }
  return transaction(db, async (client) => {
    const day = await holdWashDay(client, clip.washDayId);
    mustBeOpen(day);
    await mustTakePictures(client, day.wearerId);
    mustStore(
      await client.query(
        `insert into clip (id, wash_day_id, stage, day, kind, taken_at, type, seconds, size, bytes)
         values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
         on conflict (id) do update set size = clip.size
           where clip.wash_day_id = excluded.wash_day_id and clip.size = excluded.size`,
        [
          clip.id,
          clip.washDayId,
          clip.stage,
          clip.day,
          clip.kind,
          clip.takenAt,
          bare.type,
          clip.seconds,
          bare.bytes.length,
          bare.bytes,
        ],
      ),
      'clip',
    );
    return clipsBeside(client, clip.washDayId);
  });
}

/** A part of a clip's film: its bytes from `from` to `to`, both counted in. */
export async function readFilm(
  db: Client,
  id: string,
  part: (size: number) => { from: number; to: number },
): Promise<{ type: ClipType; size: number; from: number; bytes: Buffer }> {
  const { rows } = await db.query<{ type: ClipType; size: number }>(
    'select type, size from clip where id = $1 and bytes is not null',
    [id],
  );
  if (!rows[0]) throw notFound('clip');
  const { from, to } = part(rows[0].size);
  const film = await db.query<{ bytes: Buffer }>(
    'select substring(bytes from $2 for $3) as bytes from clip where id = $1',
    [id, from + 1, to - from + 1],
  );
  return { ...rows[0], from, bytes: film.rows[0]!.bytes };
}

/** Removes a clip of an open wash day. */
export async function removeClip(db: Db, id: string): Promise<void> {
  await transaction(db, async (client) => {
    const { rows } = await client.query<{ day: string }>(
      'select wash_day_id as day from clip where id = $1',
      [id],
    );
    if (!rows[0]) return;
    mustBeOpen(await holdWashDay(client, rows[0].day));
    await client.query('delete from clip where id = $1', [id]);
  });
}
