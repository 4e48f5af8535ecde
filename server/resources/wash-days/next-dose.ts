import type { DoseRun } from '@sabor/contract/trial-record';
import { amountOf, type Dose } from '@sabor/core/doses/dose';
import { type DoseTried, doseRunIn } from '@sabor/core/doses/run-in';
import type { Client } from '../../db/pool.ts';

/** Doses a run-in has tried so far, in the order of its wash days: those whose feel was given. */
export async function dosesTried(client: Client, trialId: string): Promise<DoseTried[]> {
  const { rows } = await client.query<{ dose: Dose; felt: DoseTried['felt'] }>(
    `select s.dose, d.dose_felt as felt
     from wash_day d join wash_step s on s.wash_day_id = d.id join step p on p.id = s.plan_step_id
     where d.trial_id = $1 and d.abandoned_at is null and d.dose_felt is not null and p.part = 'tested'
       and s.status = 'done' and s.dose->>'kind' <> 'unknown'
     order by d.position`,
    [trialId],
  );
  return rows.map(({ dose, felt }) => ({ amount: amountOf(dose)!, felt }));
}

/** Gives the next wash day of a run-in the dose that follows from those tried, in the plan's own measure. */
export async function nextDose(client: Client, trialId: string, washDayId: string): Promise<void> {
  const { rows } = await client.query<{ id: string; dose: Dose | null }>(
    `select s.id, s.dose from wash_step s join step p on p.id = s.plan_step_id
     where s.wash_day_id = $1 and p.part = 'tested'`,
    [washDayId],
  );
  const [step] = rows;
  const dose = step?.dose ?? null;
  if (!step || dose === null || dose.kind === 'unknown') return;
  const { next } = doseRunIn(await dosesTried(client, trialId), amountOf(dose)!);
  const { measure, per } = dose;
  await client.query(
    `update wash_step set dose = $2, planned = jsonb_set(planned, '{dose}', $2::jsonb) where id = $1`,
    [step.id, JSON.stringify({ kind: 'exact', amount: next, measure, per })],
  );
}

/** Every dose that was tried and felt in the run-ins of a head, by product and measure. */
export async function readDoseRuns(db: Client, wearerId: string): Promise<DoseRun[]> {
  const { rows } = await db.query<
    Omit<DoseRun, 'tried'> & { tried: { dose: Dose; felt: DoseTried['felt'] }[] }
  >(
    `select s.product_id as "productId", s.dose->>'measure' as measure,
       json_agg(json_build_object('dose', s.dose, 'felt', d.dose_felt) order by d.started_at) as tried
     from wash_day d join trial t on t.id = d.trial_id join wash_step s on s.wash_day_id = d.id
     where t.wearer_id = $1 and t.design = 'dose-run-in' and d.abandoned_at is null and d.dose_felt is not null
       and s.planned->>'part' = 'tested' and s.status = 'done' and s.product_id is not null and s.dose->>'kind' <> 'unknown'
     group by s.product_id, s.dose->>'measure'`,
    [wearerId],
  );
  return rows.map(({ tried, ...run }) => ({
    ...run,
    tried: tried.map(({ dose, felt }) => ({ amount: amountOf(dose)!, felt })),
  }));
}
