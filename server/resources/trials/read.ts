import type { Amendment, Overrule } from '@sabor/contract/promise';
import type { Arm } from '@sabor/contract/trial';
import type { Guess, Trial, TrialDetail } from '@sabor/contract/trial-record';
import { reach } from '@sabor/core/inference/reach';
import { designOf } from '@sabor/core/trial/designs';
import type { Client } from '../../db/pool.ts';
import { notFound } from '../../http/problems.ts';
import { stepJson } from '../routines/step-sql.ts';
import { readWashDays } from '../wash-days/read.ts';

/** A position's arms show once its wash day has begun, or the trial is over; until then they are sealed. */
const LISTED = `t.id, t.wearer_id as "wearerId", w.name as "wearerName", t.question, t.design, r.name as "routineName", t.status,
  t.primary_outcome as "primary", t.wash_days as "washDays", t.wear_days as "wearDays", t.looks, t.alpha, t.blind,
  t.created_at as "createdAt", t.started_at as "startedAt", t.ended_at as "endedAt", t.archived_at as "archivedAt",
  t.key_opened_at as "keyOpenedAt", t.version, t.logged, t.panel_id as "panelId", t.panel_row as "panelRow",
  (select coalesce(json_agg(case when t.ended_at is not null
        or exists (select 1 from wash_day d where d.trial_id = t.id and d.position = l.position)
        then json_build_object('left', l.arm_id, 'right', coalesce(r.arm_id, l.arm_id)) end order by l.position), '[]')
     from allocation l left join allocation r on r.trial_id = t.id and r.position = l.position and r.half = 'right'
     where l.trial_id = t.id and l.half is distinct from 'right') as allocation,
  (select count(*) from wash_day d where d.trial_id = t.id and d.abandoned_at is null) as "washDaysDone"`;
const FROM = 'from trial t join wearer w on w.id = t.wearer_id join routine r on r.id = t.plan_id';

const LIST = `
  select ${LISTED}, (select coalesce(json_agg(json_build_object('id', a.id, 'name', a.name, 'code', a.code)
      order by a.position), '[]') from arm a where a.trial_id = t.id) as arms
  ${FROM}`;

/** The seed stays sealed while a position is: all of them could be drawn from it again. */
const WHOLE = `
  select ${LISTED}, t.on_day as "onDay", t.line_value as line, t.matters, t.cadence_days as "cadenceDays", t.by_side as "bySide",
    to_json(t.acknowledged) as acknowledged, to_json(t.asked) as asked, t.judged_from as "judgedFrom",
    t.judged_to as "judgedTo", t.end_reason as "endReason", t.looked_at as "lookedAt",
    t.outcomes_shown_at as "outcomesShownAt",
    (select json_build_object('from', r.from_date, 'why', r.why) from retest r where r.trial_id = t.id) as retest,
    case when t.ended_at is not null and (not t.blind or t.key_opened_at is not null) and not exists (
      select 1 from trial o where o.panel_id = t.panel_id and o.ended_at is null) then t.seed end as seed,
    (select coalesce(json_agg(${stepJson('s')} order by s.position), '[]') from step s where s.routine_id = t.plan_id) as plan,
    (select coalesce(json_agg(json_build_object('id', a.id, 'name', a.name, 'code', a.code, 'steps',
        (select coalesce(json_agg(json_build_object('stepId', x.step_id, 'productId', x.product_id, 'dose', x.dose,
            'skipped', x.skipped, 'settings', x.settings)), '[]')
           from arm_step x where x.arm_id = a.id)) order by a.position), '[]')
       from arm a where a.trial_id = t.id) as arms,
    (select coalesce(json_agg(json_build_object('zoneId', z.zone_id, 'weight', z.weight) order by z.zone_id), '[]')
       from trial_zone z where z.trial_id = t.id) as weights
  ${FROM}`;

interface Coded {
  id: string;
  name: string;
  code: number | null;
}
type ListRow = Omit<Trial, 'attainable' | 'masked' | 'arms'> &
  Pick<TrialDetail, 'looks' | 'alpha' | 'keyOpenedAt'> & { arms: Coded[] };
type WholeRow = Omit<ListRow, 'arms'> &
  Omit<
    TrialDetail,
    keyof Trial | 'washDayRecords' | 'amendments' | 'overrules' | 'guesses' | 'underTest' | 'codes'
  > & {
    arms: (Arm & Coded)[];
  };

const byCode = <A extends Coded>(arms: readonly A[]) =>
  arms.toSorted((a, b) => (a.code ?? 0) - (b.code ?? 0));

/**
 * Arms in the order they are read in while blind: by their codes. Those of two factors keep their factors, or the trial would
 * be read wrongly until its key is opened: of the eight orders that mean the same two factors, the one that begins with
 * the lowest code and goes on with the lower of its neighbours. It tells which codes differ in both factors, no more.
 */
function maskedOrder(design: Trial['design'], arms: readonly Coded[]): Coded[] {
  const [lowest] = byCode(arms);
  if (!designOf(design).factors || !lowest || arms.length !== 4) return byCode(arms);
  const at = arms.indexOf(lowest);
  // Arms stand as (0,0) (0,1) (1,0) (1,1): 3 − at differs in both factors, the other two in one each.
  const opposite = arms[3 - at]!;
  const neighbours = byCode(arms.filter((arm) => arm !== lowest && arm !== opposite));
  return [lowest, ...neighbours, opposite];
}

const isMasked = ({ blind, startedAt, keyOpenedAt }: ListRow | WholeRow) =>
  blind && startedAt !== null && keyOpenedAt === null;

/** While a trial is blind its arms have codes for names, in an order that tells nothing. */
const underCodes = ({ design, arms }: ListRow | WholeRow) =>
  maskedOrder(design, arms).map(({ id, code }) => ({ id, name: `Code ${code}` }));

const reachOf = ({ design, arms, washDays, looks, alpha }: ListRow | WholeRow) =>
  // A wash day by itself reaches nothing, as little as two of them.
  reach(design, arms.length, Math.max(2, washDays), looks, alpha);

function listed(row: ListRow): Trial {
  const { looks: _looks, alpha: _alpha, keyOpenedAt: _opened, ...rest } = row;
  const masked = isMasked(row);
  return {
    ...rest,
    arms: masked ? underCodes(row) : row.arms.map(({ id, name }) => ({ id, name })),
    masked,
    attainable: reachOf(row),
  };
}

/** What the wire may know of a trial: while it is blind, codes and nothing of what is behind them. */
function whole(row: WholeRow) {
  const masked = isMasked(row);
  const codes =
    masked || row.keyOpenedAt !== null
      ? Object.fromEntries(row.arms.flatMap(({ id, code }) => (code === null ? [] : [[id, code]])))
      : {};
  return {
    ...row,
    arms: masked
      ? underCodes(row).map((arm) => ({ ...arm, steps: [] }))
      : row.arms.map(({ code: _, ...arm }) => arm),
    masked,
    codes,
    underTest: masked ? row.arms.map(({ name }) => name).sort() : [],
    attainable: reachOf(row),
  };
}

/**
 * Trials, newest first; with `endedAfter` only those that are not over or ended since. Wash days by themselves only where
 * they are asked for.
 */
export async function readTrials(
  db: Client,
  { endedAfter, logged = false }: { endedAfter?: Date; logged?: boolean } = {},
): Promise<Trial[]> {
  const { rows } = await db.query<ListRow>(
    `${LIST} where ($1::timestamptz is null or t.ended_at is null or t.ended_at >= $1) and ($2 or not t.logged)
     order by t.created_at desc, t.id`,
    [endedAfter ?? null, logged],
  );
  return rows.map(listed);
}

type GuessRow = {
  trialId: string;
  washDayId: string;
  half: 'left' | 'right' | null;
  name: string | null;
  right: boolean;
};

/** Rows by the trial they belong to, in their order. */
function byTrial<T extends { trialId: string }>(rows: readonly T[]): (id: string) => T[] {
  const found = new Map<string, T[]>();
  for (const row of rows) {
    const own = found.get(row.trialId);
    if (own) own.push(row);
    else found.set(row.trialId, [row]);
  }
  return (id) => found.get(id) ?? [];
}

/** Trials read in one question each of what they hold; a head can have thousands of wash days by themselves. */
const AT_ONCE = 400;

/** Trials with their wash days and what was said of them, in the order asked for. Throws a Refusal where one is not there. */
export async function readWholeTrials(db: Client, ids: readonly string[]): Promise<TrialDetail[]> {
  const found: TrialDetail[] = [];
  for (let at = 0; at < ids.length; at += AT_ONCE)
    found.push(...(await readSome(db, ids.slice(at, at + AT_ONCE))));
  return found;
}

async function readSome(db: Client, ids: readonly string[]): Promise<TrialDetail[]> {
  const { rows } = await db.query<WholeRow>(`${WHOLE} where t.id = any($1::uuid[])`, [ids]);
  const amendments = await db.query<Amendment & { trialId: string }>(
    `select trial_id as "trialId", id, at, wash_days_done as "washDaysDone", slot, changes, reason from amendment
     where trial_id = any($1::uuid[]) order by at`,
    [ids],
  );
  const overrules = await db.query<Overrule & { trialId: string }>(
    `select trial_id as "trialId", id, wash_day_id as "washDayId", difference, gravity, reason, at from overrule
     where trial_id = any($1::uuid[]) order by at`,
    [ids],
  );
  const guesses = await db.query<GuessRow>(
    `select d.trial_id as "trialId", g.wash_day_id as "washDayId", g.half, a.name,
       a.id is not distinct from case when g.half = 'right' then d.right_arm_id else d.arm_id end as right
     from blind_guess g join wash_day d on d.id = g.wash_day_id left join arm a on a.id = g.arm_id
     where d.trial_id = any($1::uuid[]) order by d.position, g.half`,
    [ids],
  );
  const days = byTrial(await readWashDays(db, ids));
  const [amended, overruled, guessed] = [
    byTrial(amendments.rows),
    byTrial(overrules.rows),
    byTrial(guesses.rows),
  ];
  const byId = new Map(rows.map((row) => [row.id, row]));
  return ids.map((id) => {
    const row = byId.get(id);
    if (!row) throw notFound('trial');
    const trial = whole(row);
    return {
      ...trial,
      washDayRecords: days(id),
      amendments: amended(id).map(({ trialId: _, ...one }) => one),
      overrules: overruled(id).map(({ trialId: _, ...one }) => one),
      guesses: guessed(id).map(
        ({ trialId: _, name, right, ...guess }): Guess => ({
          ...guess,
          armName: name,
          right: trial.masked || name === null ? null : right,
        }),
      ),
    };
  });
}

export const readTrial = async (db: Client, id: string): Promise<TrialDetail> =>
  (await readSome(db, [id]))[0]!;

export async function readProductLabels(
  db: Client,
): Promise<ReadonlyMap<string, { name: string; labelDirections: string | null }>> {
  const { rows } = await db.query<{ id: string; name: string; labelDirections: string | null }>(
    'select id, name, label_directions as "labelDirections" from product',
  );
  return new Map(rows.map((row) => [row.id, row]));
}
