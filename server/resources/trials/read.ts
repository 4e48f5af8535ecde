import type { Amendment, Overrule } from '@sabor/contract/promise';
import type { Arm } from '@sabor/contract/trial';
import type { Guess, Lot, Trial, TrialDetail } from '@sabor/contract/trial-record';
import { reach } from '@sabor/core/inference/reach';
import { designOf } from '@sabor/core/trial/designs';
import type { Client } from '../../db/pool.ts';
import { notFound } from '../../http/problems.ts';
import { stepJson } from '../routines/step-sql.ts';
import { readWashDays } from '../wash-days/read.ts';

/**
 * A position's arms show once its wash day has begun, or the trial is over; until then they are sealed, and with them
 * the seed they could be drawn from again.
 */
const TRIALS = `
  select t.id, t.wearer_id as "wearerId", w.name as "wearerName", t.question, t.design, r.name as "routineName", t.status,
    t.primary_outcome as "primary", t.on_day as "onDay", t.line_value as line, t.matters, t.alpha, t.wash_days as "washDays",
    t.wear_days as "wearDays", t.cadence_days as "cadenceDays", t.looks, t.blind, t.by_side as "bySide", to_json(t.acknowledged) as acknowledged,
    t.created_at as "createdAt", t.started_at as "startedAt", t.ended_at as "endedAt",
    t.end_reason as "endReason", t.archived_at as "archivedAt", t.version, t.looked_at as "lookedAt",
    t.key_opened_at as "keyOpenedAt", t.outcomes_shown_at as "outcomesShownAt",
    t.panel_id as "panelId", t.panel_row as "panelRow",
    case when t.ended_at is not null and (not t.blind or t.key_opened_at is not null) and not exists (
      select 1 from trial o where o.panel_id = t.panel_id and o.ended_at is null) then t.seed end as seed,
    (select coalesce(json_agg(${stepJson('s')} order by s.position), '[]') from step s where s.routine_id = t.plan_id) as plan,
    (select coalesce(json_agg(json_build_object('id', a.id, 'name', a.name, 'code', a.code, 'steps',
        (select coalesce(json_agg(json_build_object('stepId', x.step_id, 'productId', x.product_id, 'dose', x.dose,
            'skipped', x.skipped, 'settings', x.settings)), '[]')
           from arm_step x where x.arm_id = a.id)) order by a.position), '[]')
       from arm a where a.trial_id = t.id) as arms,
    (select coalesce(json_agg(json_build_object('zoneId', z.zone_id, 'weight', z.weight) order by z.zone_id), '[]')
       from trial_zone z where z.trial_id = t.id) as weights,
    (select coalesce(json_agg(case when t.ended_at is not null
          or exists (select 1 from wash_day d where d.trial_id = t.id and d.position = l.position)
          then json_build_object('left', l.arm_id, 'right', coalesce(r.arm_id, l.arm_id)) end order by l.position), '[]')
       from allocation l left join allocation r on r.trial_id = t.id and r.position = l.position and r.half = 'right'
       where l.trial_id = t.id and l.half is distinct from 'right') as allocation,
    (select count(*) from wash_day d where d.trial_id = t.id and d.abandoned_at is null) as "washDaysDone"
  from trial t join wearer w on w.id = t.wearer_id join routine r on r.id = t.plan_id`;

type CodedArm = Arm & { code: number | null };
type Row = Omit<Trial, 'attainable' | 'masked' | 'underTest' | 'codes' | 'arms'> & {
  arms: CodedArm[];
  allocation: (Lot | null)[];
};

const byCode = (arms: readonly CodedArm[]) => arms.toSorted((a, b) => (a.code ?? 0) - (b.code ?? 0));

/**
 * Arms in the order they are read in while blind: by their codes. Those of two factors keep their factors, or the trial would
 * be read wrongly until its key is opened: of the eight orders that mean the same two factors, the one that begins with
 * the lowest code and goes on with the lower of its neighbours. It tells which codes differ in both factors, no more.
 */
function maskedOrder(design: Trial['design'], arms: readonly CodedArm[]): CodedArm[] {
  const [lowest] = byCode(arms);
  if (!designOf(design).factors || !lowest || arms.length !== 4) return byCode(arms);
  const at = arms.indexOf(lowest);
  // Arms stand as (0,0) (0,1) (1,0) (1,1): 3 − at differs in both factors, the other two in one each.
  const opposite = arms[3 - at]!;
  const neighbours = byCode(arms.filter((arm) => arm !== lowest && arm !== opposite));
  return [lowest, ...neighbours, opposite];
}

/** What the wire may know of a trial: while it is blind, codes and nothing of what is behind them. */
function shown({ arms, ...row }: Row): Trial {
  const masked = row.blind && row.startedAt !== null && row.keyOpenedAt === null;
  const codes =
    masked || row.keyOpenedAt !== null
      ? Object.fromEntries(arms.flatMap(({ id, code }) => (code === null ? [] : [[id, code]])))
      : {};
  return {
    ...row,
    arms: masked
      ? maskedOrder(row.design, arms).map(({ id, code }) => ({ id, name: `Code ${code}`, steps: [] }))
      : arms.map(({ code: _, ...arm }) => arm),
    masked,
    codes,
    underTest: masked ? arms.map(({ name }) => name).sort() : [],
    attainable: reach(row.design, arms.length, row.washDays, row.looks, row.alpha),
  };
}

/** Trials, newest first; with `endedAfter` only those that are not over or ended since. */
export async function readTrials(db: Client, { endedAfter }: { endedAfter?: Date } = {}): Promise<Trial[]> {
  const { rows } = await db.query<Row>(
    `${TRIALS} where $1::timestamptz is null or t.ended_at is null or t.ended_at >= $1 order by t.created_at desc`,
    [endedAfter ?? null],
  );
  return rows.map(shown);
}

async function readGuesses(db: Client, trial: Trial): Promise<Guess[]> {
  const { rows } = await db.query<{
    washDayId: string;
    half: 'left' | 'right' | null;
    name: string | null;
    right: boolean;
  }>(
    `select g.wash_day_id as "washDayId", g.half, a.name,
       a.id is not distinct from case when g.half = 'right' then d.right_arm_id else d.arm_id end as right
     from blind_guess g join wash_day d on d.id = g.wash_day_id left join arm a on a.id = g.arm_id
     where d.trial_id = $1 order by d.position, g.half`,
    [trial.id],
  );
  return rows.map(({ name, right, ...guess }) => ({
    ...guess,
    armName: name,
    right: trial.masked || name === null ? null : right,
  }));
}

export async function readTrial(db: Client, id: string): Promise<TrialDetail> {
  const { rows } = await db.query<Row>(`${TRIALS} where t.id = $1`, [id]);
  if (!rows[0]) throw notFound('trial');
  const trial = shown(rows[0]);
  const amendments = await db.query<Amendment>(
    `select id, at, wash_days_done as "washDaysDone", slot, changes, reason from amendment
     where trial_id = $1 order by at`,
    [id],
  );
  const overrules = await db.query<Overrule>(
    `select id, wash_day_id as "washDayId", difference, gravity, reason, at from overrule where trial_id = $1 order by at`,
    [id],
  );
  return {
    ...trial,
    washDayRecords: await readWashDays(db, { trialId: id }),
    amendments: amendments.rows,
    overrules: overrules.rows,
    guesses: await readGuesses(db, trial),
  };
}
