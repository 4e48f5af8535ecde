import { Refusal } from '../http/problems.ts';
import type { Client } from './pool.ts';

/** Records that are edited in forms, each with the column it goes by. */
const VERSIONED = {
  line: 'id',
  recipe: 'id',
  product: 'id',
  wearer: 'id',
  wearer_wish: 'wearer_id',
  routine: 'id',
  trial: 'id',
  locality: 'id',
  verdict: 'id',
} as const;

/**
 * Takes hold of a record until the transaction ends and holds the edit to its newest state. Throws a Refusal (412) with
 * the record as it is now where it was changed meanwhile; `from` null asks for nothing.
 */
export async function mustBeNewest(
  client: Client,
  table: keyof typeof VERSIONED,
  id: string,
  from: number | null,
  read: () => Promise<unknown>,
): Promise<void> {
  const { rows } = await client.query<{ version: number }>(
    `select version from ${table} where ${VERSIONED[table]} = $1 for update`,
    [id],
  );
  if (from === null || (rows[0]?.version ?? 0) === from) return;
  throw new Refusal(
    412,
    'This was changed elsewhere while you edited it. Nothing was overwritten: choose what counts.',
    [],
    await read(),
  );
}
