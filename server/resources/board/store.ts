import { createHash } from 'node:crypto';
import type { OwnBoard } from '@sabor/contract/board';
import type { Wearer } from '@sabor/contract/wearer';
import { type ForBoard, forBoard } from '@sabor/reading/board-of';
import type { FairnessSources } from '@sabor/reading/fairness-runs';
import { Formulas } from '@sabor/reading/formulas';
import { groundOfDays } from '@sabor/reading/ground';
import type { Client, Db } from '../../db/pool.ts';
import { readHairFile } from '../hair-files/store.ts';
import { readLedgerDays, readOwnIngredients } from '../screening/store.ts';
import { readSettings } from '../settings/store.ts';
import { readShelf } from '../shelf/store.ts';
import { readTrial } from '../trials/read.ts';
import { readWearer } from '../wearers/store.ts';

const formulas = new Formulas();

/** What the fairness of a head's trials is read from, beside the trials. */
export async function readSources(
  db: Client,
  wearerId: string,
): Promise<Omit<FairnessSources, 'trial'> & { wearer: Wearer }> {
  const wearer = await readWearer(db, wearerId);
  const { products: shelf } = await readShelf(db);
  const { market } = await readSettings(db);
  formulas.learn(await readOwnIngredients(db));
  const ground = groundOfDays(await readLedgerDays(db, wearerId), shelf, market, formulas);
  return { wearer, shelf, ground, file: await readHairFile(db, wearerId) };
}

/**
 * A word for each trial of a head that changes whenever something is written that its reading for the board rests on, beside
 * its head, shelf and ground: rows are told by their transaction. Ratings of a trial that is over are closed.
 */
async function readPulses(db: Client, wearerId: string) {
  const ofDay = (table: string) =>
    `(select string_agg(x.xmin::text, ',' order by x.ctid) from ${table} x join wash_day d on d.id = x.wash_day_id
      where d.trial_id = t.id)`;
  const ofTrial = (table: string) =>
    `(select string_agg(x.xmin::text, ',' order by x.ctid) from ${table} x where x.trial_id = t.id)`;
  const ofHead = (table: string) =>
    `(select string_agg(x.xmin::text, ',' order by x.ctid) from ${table} x where x.wearer_id = t.wearer_id)`;
  const { rows } = await db.query<{ id: string; question: string; endedOn: string | null; pulse: string }>(
    `select t.id, t.question, t.ended_at::date + 1 as "endedOn", case when t.ended_at is not null then md5(concat_ws(' ', t.xmin,
       ${['overrule', 'amendment', 'arm', 'trial_zone', 'wash_day'].map(ofTrial).join(', ')},
       ${['wash_step', 'check_in', 'event', 'day_outdoors', 'photograph'].map(ofDay).join(', ')},
       (select string_agg(x.xmin::text, ',' order by x.ctid) from photograph_reading x join photograph p on p.id = x.photograph_id
          join wash_day d on d.id = p.wash_day_id where d.trial_id = t.id),
       ${ofHead('stay')}, (select concat(count(*), max(x.taken_at)) from weather_batch x),
       (select string_agg(x.xmin::text, ',') from locality x))) else '' end as pulse
     from trial t where t.wearer_id = $1 and not t.logged order by t.created_at desc, t.id`,
    [wearerId],
  );
  return rows;
}

/** Trials as they were last read for a board, by what they rest on. */
type Read = Map<string, { rests: string; found: ForBoard }>;

/** A head's trials as its board reads them, from one state of the database; those that nothing was written of are not read again. */
async function makeBoard(db: Client, wearerId: string, read: Read): Promise<OwnBoard> {
  const sources = await readSources(db, wearerId);
  const { wearer, shelf, file, ground } = sources;
  const hashOf = (value: unknown) => createHash('sha1').update(JSON.stringify(value)).digest('hex');
  const beside = hashOf([wearer, shelf]);
  /** What the head's history held by a date: what came later does not touch a trial that was over. */
  const historyBy = (date: string) =>
    hashOf([
      [file.events, file.washCare].map((all) => all.filter(({ on }) => on <= date)),
      [...ground].filter(([on]) => on <= date),
    ]);
  const board: OwnBoard = { trials: [], waiting: [] };
  for (const { id, question, endedOn, pulse } of await readPulses(db, wearerId)) {
    const over = endedOn !== null;
    const rests = over ? `${beside} ${historyBy(endedOn)} ${pulse}` : '';
    if (over && read.get(id)?.rests !== rests)
      read.set(id, { rests, found: forBoard({ ...sources, trial: await readTrial(db, id) }) });
    const { trial, why } = over ? read.get(id)!.found : { trial: null, why: 'running' as const };
    if (trial) board.trials.push(trial);
    else board.waiting.push({ id, question, why });
  }
  return board;
}

/** What was last made for each head, with the state of the database it was made from. */
type Kept = Map<string, { state: string; board: Promise<OwnBoard>; read: Read }>;
const kept = new WeakMap<Db, Kept>();
const HEADS_KEPT = 20;

/**
 * A head's board, made anew only once anything was written since: PostgreSQL names the state that a statement sees by its
 * snapshot, and the same snapshot is the same data. Source: PostgreSQL, “System Information Functions”, pg_current_snapshot.
 */
export async function readBoard(db: Db, wearerId: string): Promise<OwnBoard> {
  const own: Kept = kept.get(db) ?? new Map();
  kept.set(db, own);
  const client = await db.connect();
  try {
    await client.query('begin isolation level repeatable read read only');
    const { rows } = await client.query<{ state: string }>('select pg_current_snapshot()::text as state');
    const { state } = rows[0]!;
    const known = own.get(wearerId);
    if (known?.state === state) return await known.board;
    const read: Read = known?.read ?? new Map();
    const board = makeBoard(client, wearerId, read);
    own.delete(wearerId);
    own.set(wearerId, { state, board, read });
    if (own.size > HEADS_KEPT) own.delete(own.keys().next().value!);
    return await board.catch((error) => {
      if (own.get(wearerId)?.board === board) own.delete(wearerId);
      throw error;
    });
  } finally {
    await client.query('rollback').catch(() => {});
    client.release();
  }
}
