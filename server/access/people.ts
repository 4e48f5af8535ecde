import type { Access, Invitation, PassphraseInput, PersonInput } from '@sabor/contract/access';
import { CODE_MINUTES, codeShown } from '@sabor/core/access/people';
import { type Client, type Db, transaction } from '../db/pool.ts';
import { atField, notFound, Refusal } from '../http/problems.ts';
import { putOnRecord } from './record.ts';
import { hashOf, newCode } from './tokens.ts';

type Kept = Pick<Access, 'open' | 'guarded' | 'people'>;

/** Who is let in. */
export async function readAccess(db: Db): Promise<Kept> {
  const { rows } = await db.query<Kept>(
    `select open, passphrase is not null as guarded,
       (select coalesce(json_agg(json_build_object('id', p.id, 'name', p.name, 'role', p.role, 'wearerId', p.wearer_id,
          'devices', (select coalesce(json_agg(json_build_object('id', d.id, 'name', d.name, 'letInAt', d.let_in_at,
              'seenAt', d.seen_at, 'signedInUntil', (select max(s.ends_at) from session s where s.device_id = d.id
                and s.ends_at > now())) order by d.let_in_at, d.id), '[]')
            from device d where d.person_id = p.id)) order by p.made_at, p.id), '[]') from person p) as people
     from access`,
  );
  return rows[0]!;
}

/** Remembers whether the door is to be open, for the next start too. */
export const saveOpen = async (db: Db, open: boolean): Promise<void> => {
  await transaction(db, async (client) => {
    await client.query('update access set open = $1', [open]);
    await putOnRecord(client, { act: open ? 'door opened' : 'door closed' });
  });
};

export const isOpen = async (db: Db): Promise<boolean> =>
  (await db.query<{ open: boolean }>('select open from access')).rows[0]!.open;

/** Memory, rounds and lanes for a passphrase. Source: OWASP Password Storage Cheat Sheet, Argon2id, from memory. */
const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Takes another passphrase, or none. */
export async function savePassphrase(db: Db, { passphrase }: PassphraseInput): Promise<void> {
  const kept = passphrase === null ? null : await (await import('@node-rs/argon2')).hash(passphrase, ARGON);
  await transaction(db, async (client) => {
    await client.query('update access set passphrase = $1', [kept]);
    await putOnRecord(client, { act: kept ? 'passphrase set' : 'passphrase taken away' });
  });
}

/** Throws a Refusal where the list is guarded and these are not the words. */
export async function passGuard(db: Db, said: string): Promise<void> {
  const { rows } = await db.query<{ passphrase: string | null }>('select passphrase from access');
  const kept = rows[0]!.passphrase;
  if (kept === null) return;
  if (!said) throw new Refusal(403, 'Who may come in is guarded by a passphrase: type it first.');
  const { verify } = await import('@node-rs/argon2');
  if (!(await verify(kept, said))) throw new Refusal(403, 'That is not the passphrase.');
}

export async function savePerson(db: Db, { id, name, role, wearerId }: PersonInput): Promise<void> {
  await transaction(db, async (client) => {
    // Ratings are known by who gave them.
    const { rowCount } = await client.query('select from person where lower(name) = lower($1) and id <> $2', [
      name,
      id,
    ]);
    if (rowCount) throw atField('name', 'Somebody of this name is on the list already. Add a letter.');
    const head =
      wearerId &&
      (await client.query('select from wearer where id = $1 and archived_at is null', [wearerId]));
    if (head && !head.rowCount) throw atField('wearerId', 'Sabor has no such head. Choose it again.');
    await client.query(
      `insert into person (id, name, role, wearer_id) values ($1, $2, $3, $4)
       on conflict (id) do update set name = excluded.name, role = excluded.role, wearer_id = excluded.wearer_id`,
      [id, name, role, wearerId],
    );
    await putOnRecord(client, { act: 'person let in', after: { id, name, role } });
  });
}

/** Remembers what devices were known by, so that one that comes again is told, and clears what it keeps. */
const rememberStruckOut = (client: Client, devices: string, id: string) =>
  client.query(
    `insert into struck_out (token_hash)
     select s.token_hash from (select token_hash, device_id from session union all select token_hash, device_id from ended_session) s
       join device d on d.id = s.device_id where ${devices} = $1
     on conflict do nothing`,
    [id],
  );

/** Takes somebody off the list, with all devices of theirs. */
export async function removePerson(db: Db, id: string): Promise<void> {
  await transaction(db, async (client) => {
    await rememberStruckOut(client, 'd.person_id', id);
    const { rows } = await client.query<{ name: string }>('delete from person where id = $1 returning name', [
      id,
    ]);
    if (rows[0]) await putOnRecord(client, { act: 'person struck out', before: { id, name: rows[0].name } });
  });
}

/** Strikes a device out: it is not known any more. */
export async function strikeOut(db: Db, id: string): Promise<void> {
  await transaction(db, async (client) => {
    await rememberStruckOut(client, 'd.id', id);
    const { rows } = await client.query<{ name: string }>('delete from device where id = $1 returning name', [
      id,
    ]);
    if (rows[0]) await putOnRecord(client, { act: 'device struck out', before: { id, name: rows[0].name } });
  });
}

/** Ends what a device is signed in by; it stays on the list and may sign in again with a new code. */
export async function endSessions(db: Db, deviceId: string): Promise<void> {
  await transaction(db, async (client) => {
    const { rowCount } = await client.query(
      `with ended as (delete from session where device_id = $1 returning token_hash, device_id)
       insert into ended_session (token_hash, device_id) select * from ended`,
      [deviceId],
    );
    if (rowCount) await putOnRecord(client, { act: 'sign-in ended', before: { device: deviceId } });
  });
}

/** Makes a code that lets one device of this person in; an earlier one of theirs is not good any more. */
export async function invite(db: Db, personId: string, addresses: readonly string[]): Promise<Invitation> {
  const code = newCode();
  return transaction(db, async (client) => {
    const { rows } = await client.query<{ name: string }>('select name from person where id = $1', [
      personId,
    ]);
    if (!rows[0]) throw notFound('person');
    await client.query('delete from invitation where person_id = $1 or expires_at < now()', [personId]);
    const { rows: made } = await client.query<{ expiresAt: string }>(
      `insert into invitation (code_hash, person_id, expires_at) values ($1, $2, now() + make_interval(mins => $3))
       returning expires_at as "expiresAt"`,
      [hashOf(code), personId, CODE_MINUTES],
    );
    await putOnRecord(client, { act: 'code made', person: rows[0].name });
    const shown = codeShown(code);
    return {
      code: shown,
      expiresAt: made[0]!.expiresAt,
      links: addresses.map((address) => `${address}/sign-in#${shown}`),
    };
  });
}
