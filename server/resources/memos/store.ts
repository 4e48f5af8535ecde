import type { Memo, MemoInput } from '@sabor/contract/memo';
import { MEMO_ABOUT, MEMO_LIMIT, type MemoAbout, soundType } from '@sabor/core/basin/memo';
import { keysOf } from '@sabor/core/vocabulary';
import type * as v from 'valibot';
import type { Client, Db } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { notFound, Refusal } from '../../http/problems.ts';

const ABOUT = keysOf(MEMO_ABOUT);
/** Most notes that are listed: the newest, and every one that still waits among them. */
const MOST = 500;

/** Every note, those that wait first, then the newest; a voice memo once its sound is there. */
export async function readMemos(db: Client): Promise<Memo[]> {
  const { rows } = await db.query<Memo>(
    `select m.id, m.told_at as at, m.words, m.done_at as "doneAt",
       case when m.type is not null then json_build_object('seconds', m.seconds, 'type', m.type) end as sound,
       case when m.wash_day_id is not null then json_build_object('kind', 'wash-day', 'id', m.wash_day_id,
              'name', w.name, 'on', (d.started_at at time zone w.time_zone)::date)
            when m.wearer_id is not null then json_build_object('kind', 'wearer', 'id', m.wearer_id, 'name', h.name, 'on', null)
            when m.product_id is not null then json_build_object('kind', 'product', 'id', m.product_id, 'name', p.name, 'on', null)
            when m.trial_id is not null then json_build_object('kind', 'trial', 'id', m.trial_id, 'name', t.question, 'on', null)
       end as about
     from memo m left join wash_day d on d.id = m.wash_day_id left join trial dt on dt.id = d.trial_id
       left join wearer w on w.id = dt.wearer_id left join wearer h on h.id = m.wearer_id
       left join product p on p.id = m.product_id left join trial t on t.id = m.trial_id
     where m.type is null or m.bytes is not null
     order by m.done_at is not null, m.told_at desc, m.id limit ${MOST}`,
  );
  return rows;
}

type Told = v.InferOutput<typeof MemoInput>;

/** Keeps a note; told twice under one id it is kept once. Refuses one about something Sabor does not have. */
export async function saveMemo(db: Db, memo: Told, sound: Buffer | null): Promise<Memo[]> {
  const { id, at, words, about, seconds } = memo;
  if (sound !== null && sound.length > MEMO_LIMIT)
    throw new Refusal(413, 'A voice memo is 12 MB at most. Say it in two.');
  const type = sound === null ? null : soundType(sound);
  if (sound !== null && type === null)
    throw new Refusal(422, 'This is no sound that Sabor knows. It was not kept; record it again.');
  if (about) {
    const { rowCount } = await db.query(`select from ${MEMO_ABOUT[about.kind].table} where id = $1`, [
      about.id,
    ]);
    if (rowCount === 0) throw notFound('thing that this note is about');
  }
  const of = (kind: MemoAbout) => (about?.kind === kind ? about.id : null);
  mustStore(
    await db.query(
      `insert into memo (id, told_at, words, ${ABOUT.map((kind) => `${MEMO_ABOUT[kind].table}_id`).join(', ')}, type, seconds, size, bytes)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)
       on conflict (id) do update set words = excluded.words where memo.told_at = excluded.told_at`,
      [
        id,
        at,
        words,
        ...ABOUT.map(of),
        type,
        type === null ? null : (seconds ?? 0),
        type === null ? null : sound!.length,
        sound,
      ],
    ),
    'note',
  );
  return readMemos(db);
}

export async function markMemo(db: Db, id: string, done: boolean): Promise<Memo[]> {
  const { rowCount } = await db.query(
    'update memo set done_at = case when $2 then coalesce(done_at, now()) end where id = $1',
    [id, done],
  );
  if (rowCount === 0) throw notFound('note');
  return readMemos(db);
}

export async function removeMemo(db: Db, id: string): Promise<Memo[]> {
  await db.query('delete from memo where id = $1', [id]);
  return readMemos(db);
}

export async function readSound(db: Client, id: string): Promise<{ type: string; bytes: Buffer }> {
  const { rows } = await db.query<{ type: string; bytes: Buffer }>(
    'select type, bytes from memo where id = $1 and bytes is not null',
    [id],
  );
  if (!rows[0]) throw notFound('voice memo');
  return rows[0];
}
