import type { Wishes } from '@sabor/contract/hair-file';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { notFound } from '../../http/problems.ts';

export async function readWishes(db: Client, wearerId: string): Promise<Wishes> {
  const { rows } = await db.query<Wishes>(
    `select coalesce((select json_agg(json_build_object('wish', wish, 'weight', weight) order by wish)
         from wearer_weight where wearer_id = w.id), '[]') as weights, coalesce(x.words, '{}') as words,
       x.line_value as line, x.style_days as "styleDays", x.budget, x.currency, x.school,
       to_json(coalesce(x.dislikes, '{}')) as dislikes, to_json(coalesce(x.own_dislikes, '{}')) as "ownDislikes", coalesce(x.version, 0) as version,
       coalesce((select json_agg(json_build_object('ingredient', ingredient, 'why', why) order by why, ingredient)
         from wearer_avoided where wearer_id = w.id), '[]') as avoided
     from wearer w left join wearer_wish x on x.wearer_id = w.id where w.id = $1`,
    [wearerId],
  );
  if (!rows[0]) throw notFound('wearer');
  return rows[0];
}

/** Saves a wearer's wishes whole. */
export async function saveWishes(
  db: Db,
  wearerId: string,
  wishes: Omit<Wishes, 'version'>,
  from: number | null = null,
): Promise<void> {
  await transaction(db, async (client) => {
    const known = await client.query('select 1 from wearer where id = $1 for update', [wearerId]);
    if (known.rowCount === 0) throw notFound('wearer');
    await mustBeNewest(client, 'wearer_wish', wearerId, from, () => readWishes(client, wearerId));
    await client.query(
      `insert into wearer_wish (wearer_id, line_value, style_days, budget, currency, school, dislikes, own_dislikes,
         words)
       values ($1, $2, $3, $4, $5, $6, $7::text[]::dislike_key[], $8, $9)
       on conflict (wearer_id) do update set line_value = excluded.line_value, style_days = excluded.style_days,
         budget = excluded.budget, currency = excluded.currency, school = excluded.school,
         dislikes = excluded.dislikes, own_dislikes = excluded.own_dislikes,
         words = excluded.words`,
      [
        wearerId,
        wishes.line,
        wishes.styleDays,
        wishes.budget,
        wishes.currency,
        wishes.school,
        wishes.dislikes,
        wishes.ownDislikes,
        wishes.words,
      ],
    );
    await client.query('delete from wearer_weight where wearer_id = $1', [wearerId]);
    await client.query(
      `insert into wearer_weight (wearer_id, wish, weight)
       select $1, x.wish, x.weight from jsonb_to_recordset($2::jsonb) as x(wish text, weight numeric)`,
      [wearerId, JSON.stringify(wishes.weights)],
    );
    await client.query('delete from wearer_avoided where wearer_id = $1', [wearerId]);
    await client.query(
      `insert into wearer_avoided (wearer_id, ingredient, why)
       select $1, x.ingredient, x.why from jsonb_to_recordset($2::jsonb) as x(ingredient text, why text)`,
      [wearerId, JSON.stringify(wishes.avoided)],
    );
  });
}
