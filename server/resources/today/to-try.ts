import type { ToTry } from '@sabor/contract/today';
import { localToday } from '@sabor/core/time/today';
import type { Client } from '../../db/pool.ts';

/** Most of a kind that is shown: a queue, not a register. */
const MOST = 12;

/**
 * What waits to be tried: trials to be run again whose day has come, tested products whose formula changed after their
 * trial ended, ideas of the last wash days, products of a line of which another was used. What was put aside is left out;
 * so is what a trial that is not over holds already, and what is behind a code.
 */
export async function readToTry(db: Client, now: Date): Promise<ToTry[]> {
  const today = localToday(now);
  const retests = await db.query<ToTry>(
    `select 'retest' as kind, t.id as ref, t.id as "trialId", t.question, w.name as "wearerName", r.why
     from retest r join trial t on t.id = r.trial_id join wearer w on w.id = t.wearer_id
     where r.from_date <= $1 and not exists (select from put_aside a where a.kind = 'retest' and a.ref = t.id)
     order by r.from_date, t.id limit ${MOST}`,
    [today],
  );
  const formulas = await db.query<ToTry>(
    `select distinct on (t.ended_at, t.id) 'formula' as kind, t.id as ref, t.id as "trialId", t.question,
       w.name as "wearerName", p.name as "productName", e.until_date as until
     from trial t join wearer w on w.id = t.wearer_id join arm a on a.trial_id = t.id
       join arm_step s on s.arm_id = a.id join product p on p.id = s.product_id
       join product_edition e on e.product_id = p.id and e.until_date > t.ended_at::date
     where t.ended_at is not null and t.archived_at is null
       and not exists (select from put_aside a where a.kind = 'formula' and a.ref = t.id)
       and not exists (select from trial n join arm b on b.trial_id = n.id join arm_step m on m.arm_id = b.id
         where m.product_id = p.id and n.created_at > e.until_date)
     order by t.ended_at desc, t.id, e.until_date desc limit ${MOST}`,
  );
  // An idea that came again counts once; put aside, so is what came of it before.
  const ideas = await db.query<ToTry>(
    `with told as (
       select i.id, i.idea, i.slot, i.product_id, i.at, s.slot as step, t.id as trial_id, w.name, s.plan_step_id,
         (d.started_at at time zone w.time_zone)::date as "on", t.blind and t.key_opened_at is null as masked,
         coalesce(t.archived_at, w.archived_at) as away
       from idea i join wash_step s on s.id = i.wash_step_id join wash_day d on d.id = s.wash_day_id
         join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
       where not t.logged
     ), newest as (
       select distinct on (trial_id, step, idea, slot, product_id) * from told where away is null
       order by trial_id, step, idea, slot, product_id, at desc, id
     )
     select 'idea' as kind, n.id as ref, n.trial_id as "trialId", n.name as "wearerName", n.step as at, n.idea, n.slot,
       p.name as "productName", n."on", n.plan_step_id is not null and not n.masked as plannable
     from newest n left join product p on p.id = n.product_id
     where not exists (select from put_aside a join told o on o.id = a.ref
       where a.kind = 'idea' and o.trial_id = n.trial_id and o.step = n.step and o.idea = n.idea
         and o.slot is not distinct from n.slot
         and o.product_id is not distinct from n.product_id and o.at >= n.at)
     order by n.at desc, n.id limit ${MOST}`,
  );
  const untried = await db.query<ToTry>(
    `with used as (
       select distinct s.product_id as id from wash_step s join wash_day d on d.id = s.wash_day_id
         join trial t on t.id = d.trial_id
       where s.status = 'done' and s.product_id is not null
         and not (t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested')
     ), held as (
       select s.product_id as id from trial t join step s on s.routine_id = t.plan_id where t.ended_at is null
       union select s.product_id from trial t join arm a on a.trial_id = t.id join arm_step s on s.arm_id = a.id
         where t.ended_at is null
     )
     select 'untried' as kind, p.id as ref, p.id as "productId", p.name as "productName", l.name as "lineName"
     from product p join line l on l.id = p.line_id
     where p.archived_at is null and l.archived_at is null
       and p.id not in (select id from used) and p.id not in (select id from held where id is not null)
       and exists (select from product q join used u on u.id = q.id where q.line_id = p.line_id)
       and not exists (select from put_aside a where a.kind = 'untried' and a.ref = p.id)
     order by lower(l.name), lower(p.name) limit ${MOST}`,
  );
  return [...retests.rows, ...formulas.rows, ...ideas.rows, ...untried.rows];
}
