import { v7 } from 'uuid';
import type { Db } from '../server/db/pool.ts';

/** Ten years of a busy tester: 20 heads, 300 products, 2,000 wash days, 480,000 readings, 175,000 hours of weather. */
export const WEARERS = 20;
const PRODUCTS = 300;
const ALL = { wearers: WEARERS, trialsEach: 10, washDaysEach: 10, zones: 10 };

/** Adds products to a shelf until it holds `all` of them, each as full as those of the ten years. */
export async function fillShelf(db: Db, all: number): Promise<void> {
  await db.query(
    `insert into product (id, line_id, name, roles, size_ml, price, currency, label_hold, ingredients, stake, months_after_opening)
     select gen_random_uuid(), p.line_id, p.name || ' no. ' || n, p.roles, p.size_ml, p.price, p.currency, p.label_hold,
       p.ingredients, p.stake, p.months_after_opening
     from (select *, row_number() over (order by name) as at from product) p, generate_series(1, $1) n
     where (n - 1) * (select count(*) from product) + p.at <= $1 - (select count(*) from product)`,
    [all],
  );
}

/** Fills an empty database, with fewer or more of it where `of` says so; gives the ids that a page would ask for. */
export async function liveTenYears(
  db: Db,
  of: Partial<typeof ALL> = {},
): Promise<{ wearerId: string; trialId: string; washDayId: string; placeId: string; routineId: string }> {
  const { wearers, trialsEach, washDaysEach, zones } = { ...ALL, ...of };
  const places = [v7(), v7()];
  for (const [i, id] of places.entries()) {
    await db.query(`insert into locality (id, name, time_zone) values ($1, $2, 'Europe/Dublin')`, [
      id,
      `Place ${i + 1}`,
    ]);
    const batch = v7();
    await db.query(
      `insert into weather_batch (id, locality_id, source, name) values ($1, $2, 'csv', 'ten years')`,
      [batch, id],
    );
    await db.query(
      `insert into weather_reading (locality_id, at, temperature_c, humidity, wind_ms, batch_id)
       select $1, date_trunc('hour', now()) - n * interval '1 hour', 10 + n % 15, 60 + n % 30, 3, $2
       from generate_series(1, 87600) n`,
      [id, batch],
    );
  }
  await db.query(
    `insert into line (id, name) select gen_random_uuid(), 'Line ' || n from generate_series(1, 30) n`,
  );
  await db.query(
    `insert into product (id, line_id, name, roles, size_ml, price, currency, label_hold, ingredients, stake, months_after_opening)
     select gen_random_uuid(), (select id from line order by name offset n % 30 limit 1), 'Product ' || n,
       array[(array['shampoo', 'conditioner', 'gel', 'cream', 'leave-in'])[1 + n % 5]]::role_key[], 250, 18, 'EUR',
       'medium', 'Aqua, Glycerin, Cetearyl Alcohol, Behentrimonium Chloride, PVP, Panthenol, Parfum, Citric Acid', 'bought', 12
     from generate_series(1, $1) n`,
    [PRODUCTS],
  );
  await db.query(`insert into bottle (product_id, opened_on) select id, current_date - 100 from product`);
  await db.query(
    `insert into wearer (id, name, time_zone, porosity, density, strand, pattern)
     select gen_random_uuid(), 'Head ' || n, 'Europe/Dublin', 'medium', 'high', 'fine', '3B' from generate_series(1, $1) n`,
    [wearers],
  );
  await db.query(
    `insert into stay (id, wearer_id, locality_id, from_on) select gen_random_uuid(), id, $1, current_date - 3700 from wearer`,
    [places[0]],
  );
  await db.query(
    `insert into zone (id, wearer_id, place, side, own_name, porosity, position)
     select gen_random_uuid(), w.id, 'own', 'both', 'Zone ' || n, 'medium', n from wearer w, generate_series(1, $1) n`,
    [zones],
  );
  await db.query(
    `insert into hair_event (id, wearer_id, kind, happened_on)
     select gen_random_uuid(), w.id, (array['trim', 'clarify', 'protein-light', 'deep-condition', 'swim'])[1 + n % 5],
       current_date - n * 6 from wearer w, generate_series(1, 600) n`,
  );
  await db.query(
    `insert into hair_test (id, wearer_id, kind, value, tested_on)
     select gen_random_uuid(), w.id, 'bead', 30 + n % 90, current_date - n * 30 from wearer w, generate_series(1, 120) n`,
  );
  await db.query(
    `insert into routine (id, name, is_plan) select gen_random_uuid(), 'Plan ' || n, true from generate_series(1, $1) n`,
    [wearers * trialsEach],
  );
  const SLOTS = `unnest(array['cleanse', 'condition', 'leave-in', 'hold', 'dry', 'break-cast']) with ordinality as s(slot, at)`;
  await db.query(
    `insert into step (id, routine_id, position, slot, part, product_id, dose)
     select gen_random_uuid(), r.id, s.at, s.slot, case s.slot when 'hold' then 'tested' else 'held' end,
       case when s.at < 5 then (select id from product order by name offset s.at * 7 limit 1) end,
       case when s.at < 5 then '{"kind": "exact", "amount": 10, "measure": "ml", "per": "head"}'::jsonb end
     from routine r, ${SLOTS} where r.is_plan`,
  );
  // Trials one after the other; the last of each head runs now.
  await db.query(
    `insert into trial (id, wearer_id, plan_id, question, design, primary_outcome, line_value, matters, wash_days, wear_days, seed,
       status, created_at, started_at, ended_at, outcomes_shown_at)
     select gen_random_uuid(), w.id, r.id, 'Question ' || t, 'complete', 'definition', 6, 1, $1, 4, 1,
       case when t = $2 then 'running' else 'finished' end, began, began,
       case when t < $2 then began + interval '200 days' end, case when t < $2 then began + interval '201 days' end
     from (select id, row_number() over (order by name) as n from wearer) w, generate_series(1, $2) t,
       lateral (select now() - (($2 - t) * 365 + 300) * interval '1 day' as began) x
       join (select id, row_number() over (order by name) as n from routine where is_plan) r on true
     where r.n = (w.n - 1) * $2 + t`,
    [washDaysEach, trialsEach],
  );
  await db.query(
    `insert into arm (id, trial_id, position, name) select gen_random_uuid(), t.id, n, 'Arm ' || n from trial t, generate_series(0, 1) n`,
  );
  await db.query(
    `insert into arm_step (arm_id, step_id, product_id)
     select a.id, s.id, (select id from product order by name offset 40 + a.position limit 1)
     from arm a join trial t on t.id = a.trial_id join step s on s.routine_id = t.plan_id and s.part = 'tested'`,
  );
  await db.query(
    `insert into trial_zone (trial_id, zone_id, weight) select t.id, z.id, 1 from trial t join zone z on z.wearer_id = t.wearer_id`,
  );
  await db.query(
    `insert into allocation (trial_id, position, arm_id)
     select t.id, n, a.id from trial t, generate_series(0, $1 - 1) n join arm a on true
     where a.trial_id = t.id and a.position = n % 2`,
    [washDaysEach],
  );
  await db.query(
    `insert into wash_day (id, trial_id, position, arm_id, started_at, washed_at, dry_at, reveal_at, routine_done_at,
       wear_end_kind, wear_ended_at)
     select gen_random_uuid(), t.id, l.position, l.arm_id, s, s + interval '20 min', s + interval '3 hours',
       s + interval '4 hours', s + interval '1 hour',
       case when t.ended_at is not null or l.position < $1 - 1 then 'washed-schedule' end,
       case when t.ended_at is not null or l.position < $1 - 1 then s + interval '5 days' end
     from trial t join allocation l on l.trial_id = t.id,
       lateral (select case when t.ended_at is null and l.position = $1 - 1 then now() - interval '30 hours'
         else t.started_at + l.position * interval '20 days' end as s) x`,
    [washDaysEach],
  );
  await db.query(
    `insert into wash_step (id, wash_day_id, plan_step_id, position, slot, status, product_id, dose,
       done_at)
     select gen_random_uuid(), d.id, s.id, s.position, s.slot, 'done', coalesce(x.product_id, s.product_id), s.dose,
       d.started_at + s.position * interval '8 min'
     from wash_day d join trial t on t.id = d.trial_id join step s on s.routine_id = t.plan_id
       left join arm_step x on x.step_id = s.id and x.arm_id = d.arm_id`,
  );
  await db.query('select fill_planned()');
  await db.query(
    `insert into wash_tap (id, wash_day_id, device, at, kind, body)
     select gen_random_uuid(), s.wash_day_id, 'phone', s.done_at, 'step',
       jsonb_build_object('stepId', s.id, 'set', jsonb_build_object('status', 'done')) from wash_step s`,
  );
  await db.query(
    `insert into check_in (id, wash_day_id, stage, day, at)
     select gen_random_uuid(), d.id, 'wear', n, d.reveal_at + (n - 1) * interval '1 day'
     from wash_day d, generate_series(1, 4) n where d.reveal_at + (n - 1) * interval '1 day' < now()`,
  );
  await db.query(
    `insert into reading (check_in_id, outcome, zone_id, value, unit, obtained)
     select c.id, o, z.id, 3 + (hashtext(c.id::text || z.id::text || o) & 7), 'points', 'rated'
     from check_in c join wash_day d on d.id = c.wash_day_id join trial t on t.id = d.trial_id
       join zone z on z.wearer_id = t.wearer_id,
       unnest(array['definition', 'frizz', 'volume', 'shine', 'softness', 'hold']) o`,
  );
  await db.query(
    `insert into event (id, wash_day_id, kind, happened_on)
     select gen_random_uuid(), d.id, 'bonnet', (d.started_at + n * interval '1 day')::date from wash_day d, generate_series(1, 3) n`,
  );
  const routineId = v7();
  await db.query(`insert into routine (id, name) values ($1, 'Library')`, [routineId]);
  await db.query('select fill_batches()');
  await db.query('analyze');
  const { rows } = await db.query<{ wearerId: string; trialId: string; washDayId: string }>(
    `select t.wearer_id as "wearerId", t.id as "trialId", d.id as "washDayId" from trial t join wash_day d on d.trial_id = t.id
     where t.ended_at is null order by d.started_at desc limit 1`,
  );
  return { ...rows[0]!, placeId: places[0]!, routineId };
}
