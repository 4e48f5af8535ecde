import type { CareKind } from '@sabor/core/hair/care-kinds';
import type { CareMark } from '@sabor/core/hair/wash-care';
import { careOfStep } from '@sabor/core/ingredients/care-of-step';
import type { Role } from '@sabor/core/shelf/products';
import type { Slot } from '@sabor/core/step/slots';
import type { Client } from '../../db/pool.ts';

/** What tells of the care a head has had. */
export interface CareOf {
  wearerId: string;
  name: string;
  events: { kind: CareMark; on: string }[];
  cadence: Partial<Record<CareKind, number | null>>;
  /** Kinds that take turns with another. */
  alternate: CareKind[];
}

interface Told {
  wearerId: string;
  kind: CareMark;
  on: string;
}

/** Care that products of wash days were, oldest first, each kind once a day. What is behind a code counts for nothing. */
export async function readWashCare(db: Client, wearerIds: readonly string[]): Promise<Told[]> {
  const { rows } = await db.query<{
    wearerId: string;
    on: string;
    slot: Slot;
    roles: Role[];
    ingredients: string;
  }>(
    `select distinct t.wearer_id as "wearerId", (d.started_at at time zone w.time_zone)::date as "on", s.slot,
       p.roles::text[] as roles, case when s.slot in ('treat', 'pre-wash') then p.ingredients else '' end as ingredients
     from wash_step s join wash_day d on d.id = s.wash_day_id join trial t on t.id = d.trial_id
       join wearer w on w.id = t.wearer_id join product p on p.id = s.product_id
     where t.wearer_id = any($1::uuid[]) and d.washed_at is not null and s.status = 'done'
       and s.slot in ('cleanse', 'condition', 'treat', 'pre-wash')
       and not (t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested')
     order by 2`,
    [wearerIds],
  );
  const seen = new Set<string>();
  return rows.flatMap(({ wearerId, on, slot, roles, ingredients }) =>
    careOfStep(slot, { roles, ingredients }).flatMap((kind) => {
      const key = `${wearerId} ${on} ${kind}`;
      if (seen.has(key)) return [];
      seen.add(key);
      return [{ wearerId, kind, on }];
    }),
  );
}

/** Events, care on wash days and cadence of every head that is not put away, in the order they were made. */
export async function readCareOfAll(db: Client): Promise<CareOf[]> {
  const wearers = await db.query<{ id: string; name: string }>(
    'select id, name from wearer where archived_at is null order by created_at',
  );
  const ids = wearers.rows.map(({ id }) => id);
  const events = await db.query<Told>(
    'select wearer_id as "wearerId", kind, happened_on as "on" from hair_event where wearer_id = any($1::uuid[])',
    [ids],
  );
  const washed = await readWashCare(db, ids);
  const cadence = await db.query<{
    wearerId: string;
    kind: CareKind;
    everyDays: number | null;
    alternates: boolean;
  }>(
    'select wearer_id as "wearerId", kind, every_days as "everyDays", alternates from care_cadence where wearer_id = any($1::uuid[])',
    [ids],
  );
  const told = new Map<string, Told[]>();
  for (const one of [...events.rows, ...washed]) {
    const own = told.get(one.wearerId);
    if (own) own.push(one);
    else told.set(one.wearerId, [one]);
  }
  return wearers.rows.map(({ id, name }) => ({
    wearerId: id,
    name,
    events: told.get(id) ?? [],
    cadence: Object.fromEntries(
      cadence.rows.flatMap(({ wearerId, kind, everyDays }) => (wearerId === id ? [[kind, everyDays]] : [])),
    ),
    alternate: cadence.rows.flatMap(({ wearerId, kind, alternates }) =>
      wearerId === id && alternates ? [kind] : [],
    ),
  }));
}
