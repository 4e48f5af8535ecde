import type { Due } from '@sabor/contract/today';
import { judgedWayInWords } from '@sabor/words/ways';
import type { Client } from '../../db/pool.ts';

/** How many of a trial's tested products have a verdict on its head, trial by trial. */
export async function readJudged(
  db: Client,
  trialIds: readonly string[],
): Promise<Map<string, { written: number; products: number }>> {
  const { rows } = await db.query<{ id: string; written: number; products: number }>(
    `select t.id, count(distinct x.product_id)::int as products,
       count(distinct x.product_id) filter (where exists (select from verdict v
         where v.wearer_id = t.wearer_id and v.product_id = x.product_id and v.archived_at is null))::int as written
     from trial t join arm a on a.trial_id = t.id join arm_step x on x.arm_id = a.id
     where t.id = any($1) and x.product_id is not null and not x.skipped group by t.id`,
    [trialIds],
  );
  return new Map(rows.map(({ id, ...counts }) => [id, counts]));
}

/** What the newest saying of each verdict left open and whose day has come. */
export async function readLeftOpen(
  db: Client,
  today: string,
): Promise<Extract<Due, { kind: 'left open' }>[]> {
  const { rows } = await db.query<Extract<Due, { kind: 'left open' }> & { way: string | null }>(
    `select 'left open' as kind, v.id as "verdictId", coalesce(p.name, l.name) as name, v.way, w.name as "wearerName",
       o->>'what' as what, o->>'due' as due
     from verdict v join wearer w on w.id = v.wearer_id left join product p on p.id = v.product_id
       left join line l on l.id = v.line_id
       cross join lateral (select content from verdict_said s where s.verdict_id = v.id
         order by s.said_at desc, s.id desc limit 1) s
       cross join lateral jsonb_array_elements(s.content->'open') o
     where v.archived_at is null and w.archived_at is null and o->>'due' <= $1
     order by due, v.id`,
    [today],
  );
  return rows.map(({ way, ...due }) => (way === null ? due : { ...due, name: judgedWayInWords(way) }));
}
