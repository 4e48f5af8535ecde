import pg from 'pg';

export type Db = pg.Pool;
export type Client = pg.Pool | pg.PoolClient;

// Dates stay yyyy-mm-dd; numbers come as numbers; moments as ISO text.
const types = new pg.TypeOverrides();
types.setTypeParser(pg.types.builtins.DATE, (text) => text);
types.setTypeParser(pg.types.builtins.NUMERIC, Number);
types.setTypeParser(pg.types.builtins.INT8, Number);
types.setTypeParser(pg.types.builtins.TIMESTAMPTZ, (text) => new Date(text).toISOString());

/** A pool of connections. Sabor's queries are short: compiling one (JIT) would take longer than running it. */
export function openPool(connectionString: string): Db {
  const pool = new pg.Pool({ connectionString, max: 10, types, options: '-c jit=off' });
  // A connection lost while idle is replaced on the next query; without a listener it would end the process.
  pool.on('error', () => {});
  return pool;
}

/** Runs `work` in one transaction: committed when it returns, rolled back when it throws. */
export async function transaction<T>(db: Db, work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await db.connect();
  try {
    await client.query('begin');
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (error) {
    await client.query('rollback').catch(() => {});
    throw error;
  } finally {
    client.release();
  }
}
