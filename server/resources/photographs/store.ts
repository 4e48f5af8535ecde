import type { Ghosts, PhotographInput, PhotographReceived } from '@sabor/contract/photograph';
import type { Angle } from '@sabor/core/basin/angles';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { notFound, Refusal } from '../../http/problems.ts';

async function received(db: Client, id: string): Promise<PhotographReceived> {
  const { rows } = await db.query<PhotographReceived>(
    'select length(bytes) as received, size from photograph where id = $1',
    [id],
  );
  if (!rows[0]) throw notFound('photograph');
  return rows[0];
}

/** Announces a photograph; told again, it says how much of it has come. */
export async function announce(db: Client, photo: PhotographInput): Promise<PhotographReceived> {
  const day = await db.query<{ abandoned: boolean }>(
    'select abandoned_at is not null as abandoned from wash_day where id = $1',
    [photo.washDayId],
  );
  if (!day.rows[0]) throw notFound('wash day');
  if (day.rows[0].abandoned)
    throw new Refusal(409, 'This wash day was abandoned; it takes no more photographs.');
  await db.query(
    `insert into photograph (id, wash_day_id, stage, day, angle, taken_at, type, width, height, size)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) on conflict (id) do nothing`,
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
    ],
  );
  return received(db, photo.id);
}

const SIGNS: Record<string, (bytes: Buffer) => boolean> = {
  'image/jpeg': (bytes) => bytes[0] === 0xff && bytes[1] === 0xd8,
  'image/png': (bytes) => bytes.subarray(1, 4).toString('latin1') === 'PNG',
  'image/webp': (bytes) => bytes.subarray(8, 12).toString('latin1') === 'WEBP',
};

/** Whether an image carries Exif data, in which phones write where it was taken. Source: Exif 2.32, 4.7.2 (APP1). */
export const carriesExif = (bytes: Buffer): boolean =>
  bytes.includes(Buffer.from('Exif\0\0', 'latin1')) || bytes.includes(Buffer.from('eXIf', 'latin1'));

/**
 * Adds the piece that begins at byte `from`. One that was stored before, or comes too early, changes nothing; the answer
 * says where to go on.
 */
export async function addPiece(db: Db, id: string, from: number, piece: Buffer): Promise<PhotographReceived> {
  return transaction(db, async (client) => {
    const { rows } = await client.query<{ length: number; size: number; type: string }>(
      'select length(bytes) as length, size, type from photograph where id = $1 for update',
      [id],
    );
    const [known] = rows;
    if (!known) throw notFound('photograph');
    if (known.length !== from) return { received: known.length, size: known.size };
    if (from + piece.length > known.size)
      throw new Refusal(422, 'This piece runs over the end of its photograph. Take it again.');
    if (from === 0 && !SIGNS[known.type]!(piece))
      throw new Refusal(422, 'This is not the kind of picture it says it is.');
    if (carriesExif(piece))
      throw new Refusal(
        422,
        'This picture still carries data about where and how it was taken. Sabor does not store that.',
      );
    await client.query('update photograph set bytes = bytes || $2 where id = $1', [id, piece]);
    return { received: from + piece.length, size: known.size };
  });
}

export async function readImage(db: Client, id: string): Promise<{ type: string; bytes: Buffer }> {
  const { rows } = await db.query<{ type: string; bytes: Buffer; size: number }>(
    'select type, bytes, size from photograph where id = $1',
    [id],
  );
  const [photo] = rows;
  if (!photo || photo.bytes.length < photo.size) throw notFound('photograph');
  return photo;
}

export async function removePhotograph(db: Client, id: string): Promise<void> {
  await db.query('delete from photograph where id = $1', [id]);
}

export async function readGhosts(db: Client, wearerId: string): Promise<Ghosts> {
  const { rows } = await db.query<{ angle: Angle; id: string }>(
    `select distinct on (p.angle) p.angle, p.id from photograph p join wash_day d on d.id = p.wash_day_id
     join trial t on t.id = d.trial_id where t.wearer_id = $1 and length(p.bytes) = p.size
     order by p.angle, p.taken_at desc`,
    [wearerId],
  );
  return Object.fromEntries(rows.map(({ angle, id }) => [angle, id]));
}
