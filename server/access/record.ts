import type { Client } from '../db/pool.ts';

/** Something that was done, as it is put on record; rows are only ever added. */
export interface Recorded {
  act: string;
  person?: string | null;
  device?: string | null;
  path?: string | null;
  before?: unknown;
  after?: unknown;
}

const json = (value: unknown) => (value === undefined ? null : JSON.stringify(value));

export const putOnRecord = (
  db: Client,
  { act, person = null, device = null, path = null, before, after }: Recorded,
): Promise<unknown> =>
  db.query(
    'insert into change_log (act, person, device, path, before, after) values ($1, $2, $3, $4, $5, $6)',
    [act, person, device, path, json(before), json(after)],
  );
