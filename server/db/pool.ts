import { AsyncLocalStorage } from 'node:async_hooks';
import pg from 'pg';

export type Db = pg.Pool;
export type Client = pg.Pool | pg.PoolClient;

// Dates stay yyyy-mm-dd; numbers come as numbers; moments as ISO text.
const types = new pg.TypeOverrides();
types.setTypeParser(pg.types.builtins.DATE, (text) => text);
types.setTypeParser(pg.types.builtins.NUMERIC, Number);
types.setTypeParser(pg.types.builtins.INT8, Number);
types.setTypeParser(pg.types.builtins.TIMESTAMPTZ, (text) => new Date(text).toISOString());

/** Longest a statement may run, or wait for another's lock, ms; what takes longer by nature lifts it for itself. */
const STATEMENT_LIMIT = 30_000;
const LOCK_LIMIT = 10_000;
const IDLE_LIMIT = 60_000;

/** In whose name the database is asked, and from which device; nobody's on the machine itself, where nobody signs in. */
export const inName = new AsyncLocalStorage<{ person: string; device: string }>();

/** Says in whose name a transaction is, for what it puts on record. */
async function sayWho(client: pg.PoolClient): Promise<void> {
  const who = inName.getStore();
  if (who)
    await client.query(`select set_config('sabor.person', $1, true), set_config('sabor.device', $2, true)`, [
      who.person,
      who.device,
    ]);
}

/** Statements that change something. */
const CHANGES = /^\s*(insert|update|delete|with\b[\s\S]*\b(insert|update|delete)\b)/i;

/** A pool of connections. Sabor's queries are short: compiling one (JIT) would take longer than running it. */
export function openPool(connectionString: string): Db {
  const pool = new pg.Pool({
    connectionString,
    max: 10,
    types,
    connectionTimeoutMillis: 10_000,
    options: `-c jit=off -c statement_timeout=${STATEMENT_LIMIT} -c lock_timeout=${LOCK_LIMIT} -c idle_in_transaction_session_timeout=${IDLE_LIMIT}`,
  });
  // A connection lost while idle is replaced on the next query; one lost at work fails that work. Without listeners
  // either would end the process.
  pool.on('error', () => {});
  pool.on('connect', (client) => client.on('error', () => {}));
  const ask = pool.query.bind(pool) as (...all: unknown[]) => unknown;
  // A change by itself, in somebody's name, is a transaction that says so.
  pool.query = ((...all: unknown[]) =>
    inName.getStore() && typeof all[0] === 'string' && CHANGES.test(all[0])
      ? transaction(pool, (client) => (client.query as (...given: unknown[]) => Promise<unknown>)(...all))
      : ask(...all)) as typeof pool.query;
  return pool;
}

/** Faults of running beside others, which are the database's to undo and ours to try again. Source: PostgreSQL, appendix A. */
const TRY_AGAIN = new Set(['40001', '40P01']);
const TRIES = 4;

/** Runs `work` in one transaction: committed when it returns, rolled back when it throws; again after a deadlock. */
export async function transaction<T>(db: Db, work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  for (let left = TRIES - 1; ; left--) {
    const client = await db.connect();
    let lost: Error | undefined;
    try {
      await client.query('begin');
      await sayWho(client);
      const result = await work(client);
      await client.query('commit');
      return result;
    } catch (error) {
      await client.query('rollback').catch((gone: Error) => (lost = gone));
      if (left <= 0 || !TRY_AGAIN.has((error as { code?: string }).code ?? '')) throw error;
    } finally {
      // A connection that cannot roll back is not given to the next.
      client.release(lost);
    }
  }
}
