import type { Client } from '../../db/pool.ts';
import { atField } from '../../http/problems.ts';

/** Wash days of one head that begin closer together than this are one wash, told twice. */
export const APART_MINUTES = 60;

/** Two washes of one head cannot begin at one time. Throws a Refusal at `startedAt`. */
export async function mustBeApart(
  client: Client,
  wearerId: string,
  startedAt: string,
  except: string,
): Promise<void> {
  const { rowCount } = await client.query(
    `select from wash_day d join trial t on t.id = d.trial_id
     where t.wearer_id = $1 and d.id <> $3 and d.abandoned_at is null
       and abs(extract(epoch from d.started_at - $2::timestamptz)) < ${APART_MINUTES * 60}`,
    [wearerId, startedAt, except],
  );
  if (rowCount)
    throw atField(
      'startedAt',
      'Another wash day of this head begins within an hour of that. Check the time.',
    );
}
