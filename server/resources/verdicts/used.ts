import type { ProductUsed } from '@sabor/contract/verdict';
import type { Db } from '../../db/pool.ts';
import { notFound } from '../../http/problems.ts';

/** Wash days that are listed. */
const MOST = 30;
/** What is behind a code stays there. */
const OPEN = '(not t.blind or t.key_opened_at is not null)';

/** Where a product was used; what a blind trial tested of it is left out until its key is open. */
export async function readUsed(db: Db, productId: string): Promise<ProductUsed> {
  const known = await db.query('select from product where id = $1', [productId]);
  if (!known.rows[0]) throw notFound('product');
  const trials = await db.query<ProductUsed['trials'][number]>(
    `select distinct t.id as "trialId", t.question, w.id as "wearerId", w.name as "wearerName", s.slot, t.status,
       t.ended_at as "endedAt", t.created_at
     from arm_step x join arm a on a.id = x.arm_id join trial t on t.id = a.trial_id join wearer w on w.id = t.wearer_id
       join step s on s.id = x.step_id
     where x.product_id = $1 and ${OPEN} and not t.logged
     order by t.created_at desc, t.id`,
    [productId],
  );
  const washDays = await db.query<ProductUsed['washDays'][number] & { all: number }>(
    `select d.id as "washDayId", (d.started_at at time zone w.time_zone)::date::text as "on", w.name as "wearerName", s.slot,
       coalesce(s.planned ->> 'part' = 'tested', false) as tested, s.dose, (count(*) over ())::int as all
     from wash_step s join wash_day d on d.id = s.wash_day_id join trial t on t.id = d.trial_id
       join wearer w on w.id = t.wearer_id
     where s.product_id = $1 and s.status = 'done' and d.abandoned_at is null
       and (${OPEN} or s.planned ->> 'part' is distinct from 'tested')
     order by d.started_at desc, d.id, s.position limit ${MOST}`,
    [productId],
  );
  return {
    trials: trials.rows.map(({ trialId, question, wearerId, wearerName, slot, status, endedAt }) => ({
      ...{ trialId, question, wearerId, wearerName, slot, status, endedAt },
    })),
    washDays: washDays.rows.map(({ all: _, ...day }) => day),
    count: washDays.rows[0]?.all ?? 0,
  };
}
