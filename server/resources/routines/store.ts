import type { Routine, RoutineInput, Step } from '@sabor/contract/routine';
import { DOSE_TOLERANCE } from '@sabor/core/doses/dose';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { notFound } from '../../http/problems.ts';
import { mustKnowMixes } from './mixes.ts';
import { SETTINGS_COLUMNS, SETTINGS_RECORD, settingsOfRecord, stepJson } from './step-sql.ts';

const ROUTINES = `
  select r.id, r.wearer_id as "wearerId", r.name, r.note, r.archived_at as "archivedAt", r.version,
    (select coalesce(json_agg(${stepJson('s')} order by s.position), '[]') from step s where s.routine_id = r.id) as steps
  from routine r where not r.is_plan`;

export async function readRoutines(db: Client): Promise<Routine[]> {
  return (await db.query<Routine>(`${ROUTINES} order by r.created_at`)).rows;
}

export async function readRoutine(db: Client, id: string): Promise<Routine> {
  const { rows } = await db.query<Routine>(`${ROUTINES} and r.id = $1`, [id]);
  if (!rows[0]) throw notFound('routine');
  return rows[0];
}

/** A step as a routine or a plan stores it, at its place. */
type StoredStep = Omit<Step, 'note'> & {
  note: string;
  routineId: string;
  position: number;
  part?: string;
  optional?: boolean;
  tolerance?: number;
};

/** Stores steps of one routine or many. */
export async function insertSteps(client: Client, steps: readonly StoredStep[]): Promise<void> {
  await client.query(
    `insert into step (id, routine_id, position, slot, part, note, optional, tolerance, ${SETTINGS_COLUMNS})
     select s.id, s."routineId", s.position, s.slot, coalesce(s.part, 'held'), s.note, coalesce(s.optional, false),
       coalesce(s.tolerance, ${DOSE_TOLERANCE}), ${settingsOfRecord('s')}
     from jsonb_to_recordset($1::jsonb) as s(id uuid, "routineId" uuid, position int, slot text, part text, note text,
       optional boolean, tolerance numeric, ${SETTINGS_RECORD})`,
    [JSON.stringify(steps)],
  );
}

/** Replaces a routine's steps by the given ones, in their order. */
export async function replaceSteps(
  client: Client,
  routineId: string,
  steps: readonly (Step & { part?: string; optional?: boolean; tolerance?: number })[],
): Promise<void> {
  await mustKnowMixes(
    client,
    steps.map(({ extra }) => extra),
  );
  await client.query('delete from step where routine_id = $1', [routineId]);
  await insertSteps(
    client,
    steps.map((step, position) => ({ ...step, routineId, position })),
  );
}

export async function saveRoutine(
  db: Db,
  routine: v.InferOutput<typeof RoutineInput>,
  from: number | null = null,
): Promise<Routine> {
  return transaction(db, async (client) => {
    await mustBeNewest(client, 'routine', routine.id, from, () => readRoutine(client, routine.id));
    const { rowCount } = await client.query(
      `insert into routine (id, wearer_id, name, note) values ($1, $2, $3, $4)
       on conflict (id) do update set wearer_id = excluded.wearer_id, name = excluded.name, note = excluded.note
       where not routine.is_plan`,
      [routine.id, routine.wearerId, routine.name, routine.note],
    );
    if (rowCount === 0) throw notFound('routine');
    await replaceSteps(client, routine.id, routine.steps);
    return readRoutine(client, routine.id);
  });
}
