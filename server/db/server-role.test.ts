import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { restores, writeBackup } from '../resources/backup/file.ts';
import { freshDatabase } from '../testing/open-bench.ts';
import { type Db, openPool } from './pool.ts';
import { asServer, grantServer, makeServerRole } from './server-role.ts';

let owner: Db;
let server: Db;
beforeAll(async () => {
  owner = await freshDatabase(inject('databaseUrl'), inject('template'));
  // Twice: as at every start.
  for (let i = 0; i < 2; i++) await makeServerRole(owner, 'thrown away');
  server = openPool(asServer(owner.options.connectionString!, 'thrown away'));
  await server.query(`insert into change_log (act) values ('code made')`);
});
afterAll(async () => {
  await server.end();
  await owner.end();
});

describe('the server’s own role', () => {
  it('adds to what is on record and reads it, and can change nothing of it', async () => {
    for (const sql of [
      `update change_log set act = 'nothing'`,
      'delete from change_log',
      'truncate change_log',
      'drop trigger only_added on change_log',
      'alter table change_log disable trigger only_added',
      'alter table reading disable trigger on_record',
      'drop trigger on_record on reading',
      'drop table change_log',
      'alter table change_log owner to current_user',
      `create or replace function only_added() returns trigger language plpgsql as 'begin return null; end'`,
      `create or replace function put_on_record() returns trigger language plpgsql as 'begin return null; end'`,
      `set session_replication_role = replica`,
      'grant all on change_log to public',
      'set role sabor',
    ]) {
      const refused = await server.query(sql).then(
        () => 'done',
        (error: { code?: string }) => error.code,
      );
      // A grant of what one has not is done without effect, and says so as a warning.
      if (sql.startsWith('grant')) continue;
      expect([sql, refused]).toEqual([sql, '42501']);
    }
    const { rows } = await server.query('select act from change_log');
    expect(rows).toEqual([{ act: 'code made' }]);
    // What was granted to all in vain is not there.
    await expect(server.query('delete from change_log')).rejects.toThrow('permission denied');
  });

  it('cannot say what schema it is', async () => {
    await expect(server.query('delete from schemaversion')).rejects.toThrow('permission denied');
  });

  it('keeps and reads back a backup, as every night', async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-role-'));
    const file = path.join(folder, 'backup.zip');
    await writeBackup(server, file);
    expect(await restores(server, file)).toBe(true);
    rmSync(folder, { recursive: true, force: true });
  });

  it('is given what it needs by the owner, where it is another’s', async () => {
    await owner.query(`create role "a bench's own" login password 'x'`);
    await grantServer(owner, "a bench's own");
    const url = new URL(owner.options.connectionString!);
    url.username = "a bench's own";
    url.password = 'x';
    const other = openPool(url.href);
    expect((await other.query('select count(*) as n from wearer')).rows).toEqual([{ n: 0 }]);
    await expect(other.query('delete from change_log')).rejects.toThrow('permission denied');
    await other.end();
  });
});
