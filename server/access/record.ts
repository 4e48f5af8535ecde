import type { OnRecord } from '@sabor/contract/access';
import Papa from 'papaparse';
import type { Client } from '../db/pool.ts';

/** Something that was done, as it is put on record; rows are only ever added. */
export interface Recorded {
  act: string;
  person?: string | null;
  device?: string | null;
  before?: unknown;
  after?: unknown;
}

const json = (value: unknown) => (value === undefined ? null : JSON.stringify(value));

export const putOnRecord = (
  db: Client,
  { act, person = null, device = null, before, after }: Recorded,
): Promise<unknown> =>
  db.query('insert into change_log (act, person, device, before, after) values ($1, $2, $3, $4, $5)', [
    act,
    person,
    device,
    json(before),
    json(after),
  ]);

/** What was changed of a trial since its first wash day began, the latest first. */
export async function readRecord(db: Client, trialId: string): Promise<OnRecord[]> {
  const { rows } = await db.query<OnRecord>(
    `select id, at, person, device, act, before, after from change_log where trial_id = $1 order by id desc`,
    [trialId],
  );
  return rows;
}

/** Most of what happened at the door that is shown. */
const SHOWN = 100;

/** What happened at the door of late: codes, sign-ins, who was struck out; the latest first. */
export async function readDoorRecord(db: Client): Promise<OnRecord[]> {
  const { rows } = await db.query<OnRecord>(
    `select id, at, person, device, act, before, after from change_log where trial_id is null order by id desc limit $1`,
    [SHOWN],
  );
  return rows;
}

/** The same as a table, the earliest first. */
export const recordCsv = (record: readonly OnRecord[]): string =>
  Papa.unparse(
    record.toReversed().map(({ at, person, device, act, before, after }) => ({
      at,
      person: person ?? '',
      device: device ?? '',
      act,
      before: before ? JSON.stringify(before) : '',
      after: after ? JSON.stringify(after) : '',
    })),
    // What a spreadsheet would take for a formula is text.
    { columns: ['at', 'person', 'device', 'act', 'before', 'after'], escapeFormulae: true, newline: '\r\n' },
  );
