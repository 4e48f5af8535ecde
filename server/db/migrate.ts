import { fileURLToPath } from 'node:url';
import Postgrator from 'postgrator';
import type { Db } from './pool.ts';

const pattern = fileURLToPath(new URL('./migrations/*', import.meta.url));

/** Brings the database to the newest schema; gives the schema's number. One process at a time. */
export async function migrate(db: Db): Promise<number> {
  const client = await db.connect();
  try {
    await client.query("select pg_advisory_lock(hashtext('sabor migrations'))");
    const postgrator = new Postgrator({
      migrationPattern: pattern,
      driver: 'pg',
      execQuery: (sql) => client.query(sql),
    });
    await postgrator.migrate();
    return await postgrator.getDatabaseVersion();
  } finally {
    await client.query("select pg_advisory_unlock(hashtext('sabor migrations'))").catch(() => {});
    client.release();
  }
}
