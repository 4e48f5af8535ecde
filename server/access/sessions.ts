import type { SignInInput } from '@sabor/contract/access';
import { SESSION_DAYS } from '@sabor/core/access/people';
import { v7 } from 'uuid';
import { type Db, transaction } from '../db/pool.ts';
import type { Caller } from '../http/caller.ts';
import { Refusal } from '../http/problems.ts';
import { putOnRecord } from './record.ts';
import { hashOf, newToken } from './tokens.ts';

/** Tries to sign in, by one address and by all together, within so many minutes. */
const MOST_TRIES = { address: 10, all: 60, minutes: 10 } as const;
/** A token serves so many days; the one before it so many seconds more, for what was on its way. */
const ROTATED_AFTER_DAYS = 7;
const FORMER_SECONDS = 60;

/** Counts a try to sign in; throws a Refusal where there were too many. Counted in the database, for every server on it. */
async function countTry(db: Db, address: string): Promise<void> {
  const { rows } = await db.query<{ mine: number; all: number }>(
    `with gone as (delete from sign_in_try where at < now() - interval '1 day'),
       made as (insert into sign_in_try (address) values ($1))
     select count(*) filter (where address = $1)::int as mine, count(*)::int as all
     from sign_in_try where at > now() - make_interval(mins => $2)`,
    [address, MOST_TRIES.minutes],
  );
  const { mine, all } = rows[0]!;
  if (mine >= MOST_TRIES.address || all >= MOST_TRIES.all)
    throw new Refusal(
      429,
      `Too many codes were tried. Wait ${MOST_TRIES.minutes} minutes, then take a new code.`,
    );
}

const useless = () =>
  new Refusal(
    403,
    'This code is not good any more: it was used, replaced, or is over five minutes old. Take a new one.',
  );

/**
 * Lets a device in by its code, which is spent by it. A device that was let in before for the same person is the same one
 * again; what it was signed in by is over. Gives the token it is known by from here on, and its own id.
 */
export async function signIn(
  db: Db,
  { code, device, called }: SignInInput,
  address: string,
): Promise<{ token: string; device: string }> {
  await countTry(db, address);
  return transaction(db, async (client) => {
    const { rows: spent } = await client.query<{ personId: string; person: string; inTime: boolean }>(
      `delete from invitation i using person p where i.code_hash = $1 and p.id = i.person_id
       returning i.person_id as "personId", p.name as person, i.expires_at > now() as "inTime"`,
      [hashOf(code)],
    );
    if (!spent[0]?.inTime) throw useless();
    const { personId, person } = spent[0];
    const isId = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(device);
    const { rows: known } = await client.query<{ id: string }>(
      `insert into device (id, person_id, name, seen_at) values ($1, $2, $3, now())
       on conflict (id) do update set name = excluded.name, seen_at = now() where device.person_id = excluded.person_id
       returning id`,
      [isId ? device : v7(), personId, called],
    );
    let deviceId = known[0]?.id;
    if (!deviceId) {
      // Another person's device: from here on it is one of its own.
      deviceId = v7();
      await client.query('insert into device (id, person_id, name, seen_at) values ($1, $2, $3, now())', [
        deviceId,
        personId,
        called,
      ]);
    }
    await client.query('delete from session where device_id = $1', [deviceId]);
    const token = newToken();
    await client.query(
      `insert into session (id, device_id, token_hash, ends_at) values ($1, $2, $3, now() + make_interval(days => $4))`,
      [v7(), deviceId, hashOf(token), SESSION_DAYS],
    );
    await putOnRecord(client, { act: 'signed in', person, device: called });
    return { token, device: deviceId };
  });
}

/** Ends what a caller is signed in by. */
export async function signOut(db: Db, { sessionId, person, device }: Caller): Promise<void> {
  await transaction(db, async (client) => {
    await client.query('delete from session where id = $1', [sessionId]);
    await putOnRecord(client, { act: 'signed out', person: person.name, device: device.name });
  });
}

/** Whether the device that shows this token was struck out. */
export async function wasStruckOut(db: Db, token: string): Promise<boolean> {
  const { rowCount } = await db.query('select from struck_out where token_hash = $1', [hashOf(token)]);
  return rowCount === 1;
}

interface Found extends Caller {
  isFormer: boolean;
  isOld: boolean;
  unseen: boolean;
}

/**
 * Who shows this token; null for nobody. A session that is over lasts while a wash day is under way: nobody is
 * shut out with wet hair. `token`: another one, where this one has served long enough.
 */
export async function recognise(
  db: Db,
  token: string,
): Promise<{ caller: Caller; token: string | null } | null> {
  const { rows } = await db.query<Found>(
    `select s.id as "sessionId", json_build_object('id', p.id, 'name', p.name, 'role', p.role, 'wearerId', p.wearer_id) as person,
       json_build_object('id', d.id, 'name', d.name) as device, s.token_hash <> $1 as "isFormer",
       s.rotated_at < now() - make_interval(days => $2) as "isOld",
       coalesce(d.seen_at < now() - interval '1 minute', true) as unseen
     from session s join device d on d.id = s.device_id join person p on p.id = d.person_id
     where (s.token_hash = $1 or (s.former_hash = $1 and s.former_until > now()))
       and (s.ends_at > now() or exists (select 1 from wash_day w where w.abandoned_at is null and w.routine_done_at is null
         and w.started_at > now() - interval '1 day'))`,
    [hashOf(token), ROTATED_AFTER_DAYS],
  );
  const found = rows[0];
  if (!found) return null;
  const { isFormer, isOld, unseen, ...caller } = found;
  if (unseen) await db.query('update device set seen_at = now() where id = $1', [caller.device.id]);
  if (isFormer || !isOld) return { caller, token: null };
  const next = newToken();
  const { rowCount } = await db.query(
    `update session set former_hash = token_hash, former_until = now() + make_interval(secs => $3), token_hash = $2,
       rotated_at = now() where id = $1 and token_hash = $4`,
    [caller.sessionId, hashOf(next), FORMER_SECONDS, hashOf(token)],
  );
  return { caller, token: rowCount ? next : null };
}
