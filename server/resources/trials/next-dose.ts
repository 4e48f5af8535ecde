import type { DoseRun } from '@sabor/contract/trial';
import { type DoseTried, doseRunIn } from '@sabor/core/doses/run-in';
import type { Client } from '../../db/pool.ts';

/** Doses a run-in has tried so far, in the order of its wash days: those whose feel was given. */
export async function dosesTried(client: Client, trialId: string): Promise<DoseTried[]> {
  const { rows } = await client.query<DoseTried>(
    `select (s.dose_low + s.dose_high) / 2 as amount, d.dose_felt as felt
     from wash_day d join wash_step s on s.wash_day_id = d.id join step p on p.id = s.plan_step_id
     where d.trial_id = $1 and d.abandoned_at is null and d.dose_felt is not null and p.part = 'tested'
       and s.status = 'done' and s.dose_low is not null
     order by d.position`,
    [trialId],
  );
  return rows.map(({ amount, felt }) => ({ amount: Number(amount), felt }));
}

/** Gives the next wash day of a run-in the dose that follows from those tried, in the plan's own measure. */
export async function nextDose(client: Client, trialId: string, washDayId: string): Promise<void> {
  const { rows } = await client.query<{ id: string; amount: string | null }>(
    `select s.id, (s.dose_low + s.dose_high) / 2 as amount from wash_step s join step p on p.id = s.plan_step_id
     where s.wash_day_id = $1 and p.part = 'tested'`,
    [washDayId],
  );
  const [step] = rows;
  if (!step || step.amount === null) return;
  const { next } = doseRunIn(await dosesTried(client, trialId), Number(step.amount));
  await client.query(
    `update wash_step set dose_kind = 'exact', dose_low = $2, dose_high = $2,
       planned = jsonb_set(planned, '{dose}', jsonb_build_object('kind', 'exact', 'amount', $2::numeric,
         'measure', dose_measure, 'per', dose_per)) where id = $1`,
    [step.id, next],
  );
}

/** Every dose that was tried and felt in the run-ins of a head, by product and measure. */
export async function readDoseRuns(db: Client, wearerId: string): Promise<DoseRun[]> {
  const { rows } = await db.query<DoseRun>(
    `select s.product_id as "productId", s.dose_measure as measure,
       json_agg(json_build_object('amount', (s.dose_low + s.dose_high) / 2, 'felt', d.dose_felt) order by d.started_at) as tried
     from wash_day d join trial t on t.id = d.trial_id join wash_step s on s.wash_day_id = d.id
     where t.wearer_id = $1 and t.design = 'dose-run-in' and d.abandoned_at is null and d.dose_felt is not null
       and s.planned->>'part' = 'tested' and s.status = 'done' and s.product_id is not null and s.dose_low is not null
     group by s.product_id, s.dose_measure`,
    [wearerId],
  );
  return rows;
}
