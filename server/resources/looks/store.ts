import type { LookInput, Looks, Own, WaitingLook } from '@sabor/contract/looks';
import { mainResult } from '@sabor/core/compare/main-result';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import type { Caller } from '../../http/caller.ts';
import { notFound, Refusal } from '../../http/problems.ts';
import { saveCheckIn } from '../wash-days/check-ins.ts';
import { nextLook } from '../wash-days/next-look.ts';
import { readOpenDays } from '../wash-days/read.ts';
import { readConsents } from '../wearers/consents.ts';

type Person = Caller['person'];

/** Whether a head is this person’s business: a rater’s are all, a wearer’s their own. */
const theirs = ({ role, wearerId }: Person, head: string) => role === 'rater' || wearerId === head;

type Trial = {
  id: string;
  wearerId: string;
  primary: Parameters<typeof mainResult>[0];
  wearDays: number;
  counting: string[];
};
type Said = NonNullable<WaitingLook['said']> & Pick<WaitingLook, 'washDayId' | 'stage' | 'day'>;

/**
 * The looks that wait for somebody, and those they began on wash days that are still open. Nothing of what was used on the
 * hair is asked for here, and nothing of what others rated is told.
 */
export async function readLooks(db: Client, person: Person): Promise<Looks> {
  const open = (await readOpenDays(db)).filter(
    ({ revealAt, dryAt, status }) => status === 'worn' || revealAt || dryAt,
  );
  const { rows: trials } = await db.query<Trial>(
    `select t.id, t.wearer_id as "wearerId", t.primary_outcome as "primary", t.wear_days as "wearDays",
       (select coalesce(json_agg(z.zone_id order by z.zone_id), '[]') from trial_zone z where z.trial_id = t.id) as counting
     from trial t where t.id = any($1::uuid[]) and t.ended_at is null and not t.logged`,
    [open.map(({ trialId }) => trialId)],
  );
  const own = new Map(
    trials.filter(({ wearerId }) => theirs(person, wearerId)).map((trial) => [trial.id, trial]),
  );
  const { rows: heads } = await db.query<Looks['heads'][number]>(
    `select w.id, w.name, w.time_zone as "timeZone", (select coalesce(json_agg(json_build_object('id', z.id, 'place', z.place,
         'side', z.side, 'ownName', z.own_name) order by z.position), '[]') from zone z where z.wearer_id = w.id) as zones
     from wearer w where w.id = any($1::uuid[]) or w.id = $2 order by w.name, w.id`,
    [[...own.values()].map(({ wearerId }) => wearerId), person.wearerId],
  );
  const { rows: said } = await db.query<Said>(
    `select c.id, c.wash_day_id as "washDayId", c.stage, c.day, c.at, c.note,
       (select coalesce(json_agg(json_build_object('outcome', r.outcome, 'zoneId', r.zone_id, 'value', r.value)
          order by r.outcome, r.zone_id), '[]') from reading r where r.check_in_id = c.id and r.obtained = 'rated') as ratings
     from check_in c where c.wash_day_id = any($1::uuid[]) and c.part = 'first' and c.rater = $2 order by c.at, c.id`,
    [open.map(({ id }) => id), person.name],
  );
  const zoneOf = new Map(heads.map(({ id, timeZone }) => [id, timeZone]));
  const looks = open.flatMap((day): WaitingLook[] => {
    const trial = own.get(day.trialId);
    if (!trial) return [];
    const { wearerId, counting } = trial;
    const timeZone = zoneOf.get(wearerId)!;
    const of = {
      washDayId: day.id,
      wearerId,
      washedOn: day.localDate,
      main: mainResult(trial.primary).like,
      counting,
    };
    const begun = said.filter(({ washDayId }) => washDayId === day.id);
    const next = nextLook(day, trial.wearDays, new Date(), timeZone);
    return [
      ...(next === null || next === 'end' ? [] : [{ ...of, ...next, said: null }]),
      ...begun.map(({ washDayId: _, stage, day: n, ...mine }) => ({
        ...of,
        stage,
        day: n,
        said: mine,
      })),
    ];
  });
  return { heads, looks };
}

/** The head a wash day is of. Throws a Refusal where it is not this person’s business, in the words for what is not there. */
async function mustBeTheirs(db: Client, person: Person, washDayId: string): Promise<void> {
  const { rows } = await db.query<{ head: string }>(
    'select t.wearer_id as head from wash_day d join trial t on t.id = d.trial_id where d.id = $1',
    [washDayId],
  );
  if (!rows[0] || !theirs(person, rows[0].head)) throw notFound('wash day');
}

/** Takes a look in the name of whoever is signed in. Refused where somebody else rated it already. */
export async function saveLook(db: Db, person: Person, device: string, input: LookInput): Promise<Looks> {
  await mustBeTheirs(db, person, input.washDayId);
  const { rows } = await db.query(
    `select from check_in c where c.wash_day_id = $1 and c.stage = $2 and c.day is not distinct from $3 and c.part = $4
       and c.rater <> $5 and exists (select from reading r where r.check_in_id = c.id and r.obtained = 'rated')`,
    [input.washDayId, input.stage, input.day, input.part, person.name],
  );
  if (rows[0])
    throw new Refusal(409, 'Somebody else has rated this look already. Yours would take its place.');
  await saveCheckIn(db, { ...input, rater: person.name, felt: [], curls: [] }, device);
  return readLooks(db, person);
}

/** The head a wearer is; a Refusal for anybody else. */
function headOf({ wearerId }: Person): string {
  if (!wearerId) throw new Refusal(403, 'This page is a wearer’s own.');
  return wearerId;
}

const OF_HEAD =
  'join wash_day d on d.id = x.wash_day_id join trial t on t.id = d.trial_id where t.wearer_id = $1';

/** A wearer’s own pictures, films and consents. */
export async function readOwn(db: Client, person: Person): Promise<Own> {
  const head = headOf(person);
  const consents = await readConsents(db, head);
  const seen = 'x.id, x.taken_at as "takenAt", x.stage, x.day';
  const latestFirst = 'and x.bytes is not null order by x.taken_at desc, x.id';
  const { rows: pictures } = await db.query<Own['pictures'][number]>(
    `select ${seen}, x.angle from photograph x ${OF_HEAD} ${latestFirst}`,
    [head],
  );
  const { rows: clips } = await db.query<Own['clips'][number]>(
    `select ${seen}, x.kind from clip x ${OF_HEAD} ${latestFirst}`,
    [head],
  );
  return { consents, pictures, clips };
}

/** What holds pictures and films of a head. */
const SEEN = ['photograph', 'clip'] as const;
export type Seen = (typeof SEEN)[number];

/** Refuses a picture or film that is not of this wearer’s head, as if it were not there. */
export async function mustBeOwn(db: Client, person: Person, table: Seen, id: string): Promise<void> {
  const { rowCount } = await db.query(`select from ${table} x ${OF_HEAD} and x.id = $2`, [
    headOf(person),
    id,
  ]);
  if (!rowCount) throw notFound(table);
}

/** Refuses a wash day of another head than this wearer’s. */
export const mustBeOwnDay = async (db: Client, person: Person, washDayId: string): Promise<void> => {
  headOf(person);
  await mustBeTheirs(db, person, washDayId);
};

/** Takes a wearer’s own picture or film away, whatever became of its trial: it is theirs. */
export async function removeOwn(db: Db, person: Person, table: Seen, id: string): Promise<Own> {
  return transaction(db, async (client) => {
    await client.query(`delete from ${table} o using ${table} x ${OF_HEAD} and x.id = $2 and o.id = x.id`, [
      headOf(person),
      id,
    ]);
    return readOwn(client, person);
  });
}

/** Takes all of a wearer’s own pictures and films away. */
export async function removeAllOwn(db: Db, person: Person): Promise<Own> {
  return transaction(db, async (client) => {
    for (const table of SEEN)
      await client.query(`delete from ${table} o using ${table} x ${OF_HEAD} and o.id = x.id`, [
        headOf(person),
      ]);
    return readOwn(client, person);
  });
}
