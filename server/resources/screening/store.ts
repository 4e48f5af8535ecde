import type { LedgerWashDay, OwnIngredient } from '@sabor/contract/ingredients';
import type { Dose } from '@sabor/core/doses/dose';
import type { Measure } from '@sabor/core/doses/measures';
import { productsUsed } from '@sabor/core/step/mix';
import type { Extra } from '@sabor/core/step/settings';
import { doseGrams, weighedBy } from '@sabor/core/step/weighed';
import type { Client } from '../../db/pool.ts';
import { notFound } from '../../http/problems.ts';

export async function readOwnIngredients(db: Client): Promise<OwnIngredient[]> {
  const { rows } = await db.query<OwnIngredient>(
    'select name, like_name as "likeName", group_key as "group" from own_ingredient order by name',
  );
  return rows;
}

export async function saveOwnIngredient(db: Client, { name, likeName, group }: OwnIngredient): Promise<void> {
  await db.query(
    `insert into own_ingredient (name, like_name, group_key) values ($1, $2, $3)
     on conflict (name) do update set like_name = excluded.like_name, group_key = excluded.group_key`,
    [name, likeName, group],
  );
}

export async function removeOwnIngredient(db: Client, name: string): Promise<void> {
  const { rowCount } = await db.query('delete from own_ingredient where name = $1', [name.toLowerCase()]);
  if (rowCount === 0) throw notFound('name');
}

/** Weighs a rule for a wearer; a weight of 1 is the rule's own and is not kept. */
export async function saveRuleWeight(
  db: Client,
  wearerId: string,
  ruleId: string,
  weight: number,
): Promise<void> {
  const known = await db.query('select 1 from wearer where id = $1', [wearerId]);
  if (known.rowCount === 0) throw notFound('wearer');
  if (weight === 1)
    await db.query('delete from rule_weight where wearer_id = $1 and rule_id = $2', [wearerId, ruleId]);
  else
    await db.query(
      `insert into rule_weight (wearer_id, rule_id, weight) values ($1, $2, $3)
       on conflict (wearer_id, rule_id) do update set weight = excluded.weight, changed_at = now()`,
      [wearerId, ruleId, weight],
    );
}

/** Every wash day of a head with the products that were put on it, oldest first. */
export async function readLedgerDays(db: Client, wearerId: string): Promise<LedgerWashDay[]> {
  const { rows } = await db.query<{
    on: string;
    armId: string;
    trialId: string;
    steps: { productId: string | null; dose: Dose | null; sections: number | null; extra: Extra }[];
  }>(
    `select (d.started_at at time zone w.time_zone)::date as "on", d.arm_id as "armId", d.trial_id as "trialId",
       (select coalesce(json_agg(json_build_object('productId', s.product_id, 'dose', s.dose,
           'sections', s.sections, 'extra', s.extra) order by s.position), '[]')
         from wash_step s where s.wash_day_id = d.id and s.status = 'done' and (s.product_id is not null or s.extra ?| array['mix', 'beside'])
           -- What is behind the code of a blind trial cannot be read off the build-up either.
           and not (t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested')) as steps
     from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     where t.wearer_id = $1 and d.washed_at is not null order by d.started_at`,
    [wearerId],
  );
  const weighings = await db.query<{ id: string; calibrations: { measure: Measure; grams: number[] }[] }>(
    `select product_id as id, json_agg(json_build_object('measure', measure, 'grams', grams)) as calibrations
     from calibration group by product_id`,
  );
  const weighed = weighedBy(weighings.rows);
  return rows.map(({ steps, ...day }) => ({
    ...day,
    steps: steps.flatMap(({ sections, ...step }) =>
      productsUsed(step).map(({ productId, dose }) => ({
        productId,
        grams: doseGrams(weighed, productId, dose, sections),
      })),
    ),
  }));
}
