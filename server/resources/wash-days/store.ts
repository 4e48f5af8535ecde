import type {
  StartWashDay,
  WashDay,
  WashDayChange,
  WashStepInput,
  WearEndInput,
} from '@sabor/contract/wash-day';
import { localDate } from '@sabor/core/outcomes/local-date';
import type { Design } from '@sabor/core/trial/designs';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { DOSE_COLUMN_NAMES, doseColumns, doseOf, settingsOf } from '../routines/step-sql.ts';
import { finishIfComplete } from '../trials/finish.ts';
import { nextDose } from '../trials/next-dose.ts';
import { type BareDay, withWeather } from '../weather/attach.ts';
import { readStations } from '../weather/store.ts';

const WASH_DAYS = `
  select d.id, d.trial_id as "trialId", t.wearer_id as "wearerId", w.time_zone as "timeZone", d.position,
    d.arm_id as "armId", d.right_arm_id as "rightArmId", d.dose_felt as "doseFelt", d.started_at as "startedAt", d.washed_at as "washedAt", d.dry80_at as "dry80At", d.dry90_at as "dry90At", d.dry_at as "dryAt",
    d.reveal_at as "revealAt", d.routine_done_at as "routineDoneAt", d.temperature_c as "temperatureC", d.humidity,
    d.wind_ms as "windMs",
    d.note, d.abandon_reason as "abandonReason",
    case when d.abandoned_at is not null then 'abandoned' when d.wear_ended_at is not null then 'finished'
      when d.routine_done_at is not null then 'worn' else 'under way' end as status,
    case when d.wear_end_kind is not null
      then json_build_object('kind', d.wear_end_kind, 'at', d.wear_ended_at) end as "wearEnd",
    (select coalesce(json_agg(json_build_object('id', s.id, 'planStepId', s.plan_step_id, 'position', s.position,
        'slot', s.slot, 'status', s.status, 'productId', s.product_id, 'dose', ${doseOf('s')}, ${settingsOf('s')},
        'note', s.note, 'startedAt', s.started_at, 'doneAt', s.done_at, 'half', s.half,
        'code', case when t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested' then a.code end,
        'planned', s.planned)
        order by s.position), '[]')
      from wash_step s left join arm a on a.id = case when s.half = 'right' then d.right_arm_id else d.arm_id end
      where s.wash_day_id = d.id) as steps,
    (select coalesce(json_agg(json_build_object('id', c.id, 'washDayId', c.wash_day_id, 'stage', c.stage, 'day', c.day,
        'at', c.at, 'note', c.note, 'rater', c.rater,
        'ratings', (select coalesce(json_agg(json_build_object('outcome', r.outcome, 'zoneId', r.zone_id, 'value', r.value)
            order by r.outcome, r.zone_id), '[]') from reading r where r.check_in_id = c.id and r.obtained = 'rated'),
        'curls', (select coalesce(json_agg(json_build_object('curlId', r.curl_id, 'restingMm', r.value,
            'stretchedMm', u.stretched_mm) order by u.position), '[]')
            from reading r join curl u on u.id = r.curl_id
            where r.check_in_id = c.id and r.outcome = 'resting-length'))
        order by c.at), '[]') from check_in c where c.wash_day_id = d.id) as "checkIns",
    (select coalesce(json_agg(json_build_object('id', e.id, 'washDayId', e.wash_day_id, 'kind', e.kind,
        'on', e.happened_on, 'note', e.note,
        'zoneIds', (select coalesce(json_agg(z.zone_id order by z.zone_id), '[]') from event_zone z where z.event_id = e.id)) order by e.happened_on), '[]')
      from event e where e.wash_day_id = d.id) as events,
    (select coalesce(json_agg(json_build_object('on', o.on_date, 'outdoorHours', o.outdoor_hours,
        'indoorHours', o.indoor_hours)), '[]') from day_outdoors o where o.wash_day_id = d.id) as outdoors
  from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id`;

type Row = Omit<BareDay, 'localDate'>;

/** A part of the dose a wash day's step starts with: the arm's or the plan's, for one half half of a head's. */
function startDose(part: string): string {
  const own = `case when x.dose_kind is not null then x.dose_${part} else p.dose_${part} end`;
  if (part !== 'low' && part !== 'high') return own;
  const per = `case when x.dose_kind is not null then x.dose_per else p.dose_per end`;
  return `(${own}) / case when h.half is not null and (${per}) = 'head' then 2 else 1 end`;
}

/** Settings an arm may have otherwise than the plan, with their types. */
const OVERRIDES = [
  ['sections', 'int'],
  ['wetness', 'text'],
  ['minutes', 'numeric'],
  ['technique', 'text'],
  ['tool', 'text'],
  ['heat', 'text'],
] as const;

/** While a trial is blind its tested steps show the bottle's code and no product. */
const masked = (steps: Row['steps']): Row['steps'] =>
  steps.map((step) =>
    step.code === null || step.planned === null
      ? step
      : { ...step, productId: null, planned: { ...step.planned, productId: null } },
  );

function whole(db: Client, rows: readonly Row[]): Promise<WashDay[]> {
  const dated = rows.map((row) => ({
    ...row,
    steps: masked(row.steps),
    localDate: localDate(row.startedAt, row.timeZone),
  }));
  return withWeather(db, dated, Date.now());
}

export async function readWashDays(db: Client, of: { trialId: string }): Promise<WashDay[]> {
  const { rows } = await db.query<Row>(`${WASH_DAYS} where d.trial_id = $1 order by d.started_at`, [
    of.trialId,
  ]);
  return whole(db, rows);
}

export async function readWashDay(db: Client, id: string): Promise<WashDay> {
  const { rows } = await db.query<Row>(`${WASH_DAYS} where d.id = $1`, [id]);
  const [day] = await whole(db, rows);
  if (!day) throw notFound('wash day');
  return day;
}

/** Refuses changes to a wash day whose trial is over, or that was abandoned. */
async function openWashDay(client: Client, id: string): Promise<WashDay> {
  await client.query('select 1 from wash_day where id = $1 for update', [id]);
  const day = await readWashDay(client, id);
  const { rows } = await client.query<{ ended: boolean }>(
    'select ended_at is not null as ended from trial where id = $1',
    [day.trialId],
  );
  if (rows[0]?.ended) throw new Refusal(409, 'This trial is over; its wash days are closed.');
  if (day.status === 'abandoned') throw new Refusal(409, 'This wash day was abandoned and stays as it was.');
  return day;
}

/**
 * Begins the next allocated wash day: opens its place in the allocation and copies plan and arm into its steps.
 * Sent twice with one id it does nothing more. An abandoned day's place comes up again with the same arm.
 */
export async function startWashDay(db: Db, start: v.InferOutput<typeof StartWashDay>): Promise<WashDay> {
  return transaction(db, async (client) => {
    const trial = await client.query<{ ended_at: string | null; plan_id: string; design: Design }>(
      'select ended_at, plan_id, design from trial where id = $1 for update',
      [start.trialId],
    );
    if (!trial.rows[0]) throw notFound('trial');
    const twice = await client.query('select 1 from wash_day where id = $1', [start.id]);
    if (twice.rowCount) return readWashDay(client, start.id);
    if (trial.rows[0].ended_at) throw new Refusal(409, 'This trial is over; it takes no more wash days.');
    const open = await client.query<{ position: number; done: boolean }>(
      `select position, routine_done_at is not null as done from wash_day
       where trial_id = $1 and abandoned_at is null and wear_ended_at is null`,
      [start.trialId],
    );
    if (open.rows[0])
      throw new Refusal(
        409,
        open.rows[0].done
          ? `Wash day ${open.rows[0].position + 1} is still being worn. Say how its wear ended first.`
          : `Wash day ${open.rows[0].position + 1} is still under way. Finish or abandon it first.`,
      );
    const before = await client.query<{ last: string | null }>(
      'select max(coalesce(wear_ended_at, abandoned_at)) as last from wash_day where trial_id = $1',
      [start.trialId],
    );
    const last = before.rows[0]?.last;
    if (last && Date.parse(start.startedAt) < Date.parse(last))
      throw atField('startedAt', 'This wash day would begin before the last one ended. Check the time.');
    const next = await client.query<{ position: number; arm_id: string; right_arm_id: string | null }>(
      `select l.position, l.arm_id, r.arm_id as right_arm_id
       from allocation l left join allocation r on r.trial_id = l.trial_id and r.position = l.position and r.half = 'right'
       where l.trial_id = $1 and l.half is distinct from 'right' and not exists (
         select 1 from wash_day d where d.trial_id = l.trial_id and d.position = l.position and d.abandoned_at is null)
       order by l.position limit 1`,
      [start.trialId],
    );
    const place = next.rows[0];
    if (!place) throw new Refusal(409, 'All planned wash days of this trial have been run.');
    await readStations(client, new Date());
    await client.query(
      `update trial set status = 'running', started_at = coalesce(started_at, $2) where id = $1`,
      [start.trialId, start.startedAt],
    );
    await client.query(
      'insert into wash_day (id, trial_id, position, arm_id, right_arm_id, started_at) values ($1, $2, $3, $4, $5, $6)',
      [start.id, start.trialId, place.position, place.arm_id, place.right_arm_id, start.startedAt],
    );
    // A tested step of a half-head is done twice, once for each half with its own arm.
    await client.query(
      `insert into wash_step (id, wash_day_id, plan_step_id, position, half, slot, status, product_id,
         ${DOSE_COLUMN_NAMES}, sections, wetness, minutes, technique, tool, heat, extra, planned)
       select gen_random_uuid(), $1, p.id, p.position + case when h.half = 'right' then 0.5 else 0 end, h.half, p.slot,
         case when x.skipped then 'skipped' else 'waiting' end, coalesce(x.product_id, p.product_id),
         ${['kind', 'low', 'high', 'measure', 'per'].map(startDose).join(', ')},
         ${OVERRIDES.map(
           ([column, type]) =>
             `case when x.settings ? '${column}' then (x.settings->>'${column}')::${type} else p.${column} end`,
         ).join(', ')},
         p.extra || coalesce(x.settings->'extra', '{}'),
         planned_settings(p.id, case when h.half = 'right' then $3::uuid else $2::uuid end, h.half)
       from step p
       cross join lateral unnest(case when p.part = 'tested' and $3::uuid is not null
         then array['left', 'right'] else array[null::text] end) as h(half)
       left join arm_step x on x.step_id = p.id
         and x.arm_id = case when h.half = 'right' then $3::uuid else $2::uuid end
       where p.routine_id = $4`,
      [start.id, place.arm_id, place.right_arm_id, trial.rows[0].plan_id],
    );
    if (trial.rows[0].design === 'dose-run-in') await nextDose(client, start.trialId, start.id);
    return readWashDay(client, start.id);
  });
}

export async function changeWashDay(
  db: Db,
  id: string,
  change: v.InferOutput<typeof WashDayChange>,
): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await openWashDay(client, id);
    const given = Object.entries(change).filter(([, value]) => value !== undefined);
    const next = { ...day, ...(Object.fromEntries(given) as Partial<WashDay>) };
    const order = [
      ['washedAt', 'The wash', next.washedAt, day.startedAt, 'the wash day began'],
      ['dry80At', '80 % dry', next.dry80At, next.washedAt ?? day.startedAt, 'the wash'],
      [
        'dry90At',
        '90 % dry',
        next.dry90At,
        next.dry80At ?? next.washedAt ?? day.startedAt,
        'what came before it',
      ],
      [
        'dryAt',
        'Dry',
        next.dryAt,
        next.dry90At ?? next.dry80At ?? next.washedAt ?? day.startedAt,
        next.dry90At || next.dry80At ? 'what came before it' : 'the wash',
      ],
      [
        'revealAt',
        'The reveal',
        next.revealAt,
        next.dryAt ?? next.washedAt ?? day.startedAt,
        'the hair was dry',
      ],
    ] as const;
    for (const [field, what, at, earlier, than] of order)
      if (at !== null && Date.parse(at) < Date.parse(earlier) - 60_000)
        throw atField(field, `${what} cannot come before ${than}. Check the times.`);
    await client.query(
      `update wash_day set temperature_c = $2, humidity = $3, washed_at = $4, dry_at = $5, reveal_at = $6, note = $7,
         wind_ms = $8, dry80_at = $9, dry90_at = $10, dose_felt = $11
       where id = $1`,
      [
        id,
        next.temperatureC,
        next.humidity,
        next.washedAt,
        next.dryAt,
        next.revealAt,
        next.note,
        next.windMs,
        next.dry80At,
        next.dry90At,
        next.doseFelt,
      ],
    );
    return readWashDay(client, id);
  });
}

/** Wash, dry and reveal times that their steps tell, where none has been given and they come in order. */
const CLOCKS = `
  with told as (
    select min(done_at) filter (where slot = 'cleanse') as washed,
      max(done_at) filter (where slot in ('dry', 'set')) as dry,
      max(done_at) filter (where slot = 'break-cast') as revealed
    from wash_step where wash_day_id = $1 and status = 'done'),
  first as (
    select coalesce(d.washed_at, t.washed) as washed, coalesce(d.dry_at, t.dry) as dry,
      coalesce(d.reveal_at, t.revealed) as revealed from wash_day d, told t where d.id = $1)
  update wash_day d set washed_at = f.washed,
    dry_at = case when f.dry >= f.washed or f.washed is null or d.dry_at is not null then f.dry end,
    reveal_at = case when f.revealed >= f.dry or f.dry is null or d.reveal_at is not null then f.revealed end
  from first f where d.id = $1`;

/** Records what was really done in a step; a step the plan does not have is added at its place. */
export async function saveWashStep(
  db: Db,
  washDayId: string,
  step: v.InferOutput<typeof WashStepInput>,
): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await openWashDay(client, washDayId);
    // The bottle behind a code is hidden from who sends this; what stands in it stays.
    const hidden = day.steps.some(({ id, code }) => id === step.id && code !== null);
    const { rowCount } = await client.query(
      `insert into wash_step (id, wash_day_id, position, slot, status, product_id, ${DOSE_COLUMN_NAMES}, sections,
         wetness, minutes, technique, tool, heat, extra, note, started_at, done_at)
       select s.id, $1, s.position, s.slot, s.status, s."productId", ${doseColumns('s.dose')}, s.sections, s.wetness,
         s.minutes, s.technique, s.tool, s.heat, s.extra, s.note, s."startedAt", s."doneAt"
       from jsonb_to_record($2::jsonb) as s(id uuid, position numeric, slot text, status text, "productId" uuid,
         dose jsonb, sections int, wetness text, minutes numeric, technique text, tool text, heat text, extra jsonb,
         note text, "startedAt" timestamptz, "doneAt" timestamptz)
       on conflict (id) do update set status = excluded.status,
         product_id = coalesce(excluded.product_id, case when $3 then wash_step.product_id end),
         dose_kind = excluded.dose_kind, dose_low = excluded.dose_low, dose_high = excluded.dose_high,
         dose_measure = excluded.dose_measure, dose_per = excluded.dose_per, sections = excluded.sections,
         wetness = excluded.wetness, minutes = excluded.minutes, technique = excluded.technique, tool = excluded.tool,
         heat = excluded.heat, extra = excluded.extra, note = excluded.note, started_at = excluded.started_at, done_at = excluded.done_at
       where wash_step.wash_day_id = $1`,
      [washDayId, JSON.stringify(step), hidden],
    );
    if (rowCount === 0) throw notFound('step');
    await client.query(CLOCKS, [washDayId]);
    return readWashDay(client, washDayId);
  });
}

/** Takes an added step away again; a planned one can only be skipped. */
export async function removeAddedStep(db: Db, washDayId: string, stepId: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    await openWashDay(client, washDayId);
    await client.query('delete from wash_step where id = $1 and wash_day_id = $2 and plan_step_id is null', [
      stepId,
      washDayId,
    ]);
    return readWashDay(client, washDayId);
  });
}

/** Ends the routine; what was never reached counts as skipped, but for a refresh, whose day is still to come. The wash time falls back to the first cleanse or rinse. */
export async function finishRoutine(db: Db, id: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    await openWashDay(client, id);
    await client.query(
      `update wash_step set status = 'skipped' where wash_day_id = $1 and status = 'waiting' and slot <> 'refresh'`,
      [id],
    );
    await client.query(
      `update wash_day set routine_done_at = coalesce(routine_done_at, now()),
         washed_at = coalesce(washed_at, (select min(done_at) from wash_step
           where wash_day_id = $1 and slot in ('cleanse', 'rinse') and status = 'done'
             and done_at >= wash_day.started_at), started_at)
       where id = $1`,
      [id],
    );
    return readWashDay(client, id);
  });
}

export async function abandonWashDay(db: Db, id: string, reason: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await openWashDay(client, id);
    if (day.status === 'finished')
      throw new Refusal(409, 'This wash day was worn to its end and cannot be abandoned.');
    await client.query('update wash_day set abandoned_at = now(), abandon_reason = $2 where id = $1', [
      id,
      reason,
    ]);
    return readWashDay(client, id);
  });
}

export async function endWear(db: Db, id: string, end: v.InferOutput<typeof WearEndInput>): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await openWashDay(client, id);
    if (day.revealAt === null)
      throw new Refusal(
        409,
        'This hair was never revealed. Record the reveal, or abandon the wash day with its reason.',
      );
    if (Date.parse(end.at) < Date.parse(day.revealAt))
      throw atField('at', 'The wear cannot end before the reveal. Check the time.');
    await client.query(
      `update wash_step set status = 'skipped' where wash_day_id = $1 and status = 'waiting'`,
      [id],
    );
    await client.query('update wash_day set wear_end_kind = $2, wear_ended_at = $3 where id = $1', [
      id,
      end.kind,
      end.at,
    ]);
    await finishIfComplete(client, day.trialId);
    return readWashDay(client, id);
  });
}

/** Takes back an ending entered by mistake: before the next wash day, and soon where it closed the trial. */
export async function reopenWear(db: Db, id: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await readWashDay(client, id);
    const later = await client.query('select 1 from wash_day where trial_id = $1 and started_at > $2', [
      day.trialId,
      day.startedAt,
    ]);
    if (later.rowCount) throw new Refusal(409, 'The next wash day has begun; this wear stays ended.');
    await client.query('update wash_day set wear_end_kind = null, wear_ended_at = null where id = $1', [id]);
    const closed = await client.query<{ late: boolean }>(
      `select ended_at < now() - interval '10 minutes' as late from trial where id = $1 and ended_at is not null`,
      [day.trialId],
    );
    if (closed.rows[0]?.late) throw new Refusal(409, 'This trial is over; its wash days are closed.');
    await client.query(
      `update trial set status = 'running', ended_at = null where id = $1 and status = 'finished'`,
      [day.trialId],
    );
    return readWashDay(client, id);
  });
}
