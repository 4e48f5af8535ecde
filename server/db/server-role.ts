import pg from 'pg';
import { type Db, transaction } from './pool.ts';

/** Who the server is to Sabor’s own cluster. */
export const SERVER_ROLE = 'sabor_server';

/**
 * What the server may do in a database: read and write what is told, and add to what is on record, but never change or take
 * away from it, nor its triggers, nor the schema. Told by the database’s owner, after each change of the schema.
 */
async function grant(owner: pg.PoolClient, role: string): Promise<void> {
  const to = pg.escapeIdentifier(role);
  for (const sql of [
    `grant usage on schema public to ${to}`,
    `grant select, insert, update, delete, truncate on all tables in schema public to ${to}`,
    `grant usage, select on all sequences in schema public to ${to}`,
    `revoke update, delete, truncate on change_log from ${to}`,
    `revoke insert, update, delete, truncate on schemaversion from ${to}`,
  ])
    await owner.query(sql);
}

/** Gives a role that is there already what the server needs in this database. */
export const grantServer = (owner: Db, role: string): Promise<void> =>
  transaction(owner, (client) => grant(client, role));

/** Makes the server’s own role in the cluster, or gives it another password, and what it needs in this database. */
export async function makeServerRole(owner: Db, password: string): Promise<void> {
  await transaction(owner, async (client) => {
    await client.query(`select pg_advisory_xact_lock(hashtext('sabor server role'))`);
    const { rowCount } = await client.query('select from pg_roles where rolname = $1', [SERVER_ROLE]);
    // The nightly backup is tried by reading it into a database of its own.
    await client.query(
      `${rowCount ? 'alter' : 'create'} role ${SERVER_ROLE} login nosuperuser nocreaterole createdb password ${pg.escapeLiteral(password)}`,
    );
    await grant(client, SERVER_ROLE);
  });
}

/** The same database, as the server. */
export function asServer(url: string, password: string): string {
  const own = new URL(url);
  own.username = SERVER_ROLE;
  own.password = password;
  return own.href;
}
