import type { HeardTap } from '@sabor/contract/taps';
import { v7 } from 'uuid';
import type { Client } from '../../db/pool.ts';

type Said<T> = T extends unknown ? Omit<T, 'id' | 'at'> : never;

/**
 * Records what a page of the bench said of a wash day as a tap of now: so that an older tap, heard later, does not
 * overwrite it. Within the transaction that stores the change itself.
 */
export async function recordAsTap(
  client: Client,
  washDayId: string,
  device: string,
  said: Partial<Said<HeardTap>> & { kind: HeardTap['kind'] },
): Promise<void> {
  const { kind, ...body } = said;
  await client.query(
    'insert into wash_tap (id, wash_day_id, device, at, kind, body) values ($1, $2, $3, clock_timestamp(), $4, $5)',
    [v7(), washDayId, device, kind, JSON.stringify(body)],
  );
}
