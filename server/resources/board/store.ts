import type { OwnBoard } from '@sabor/contract/board';
import type { Wearer } from '@sabor/contract/wearer';
import { forBoard } from '@sabor/reading/board-of';
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

/** A head's trials as its board reads them, from one state of the database. */
async function makeBoard(db: Client, wearerId: string): Promise<OwnBoard> {
  const sources = await readSources(db, wearerId);
  const { rows } = await db.query<{ id: string; question: string; over: boolean }>(
    `select id, question, ended_at is not null as over from trial where wearer_id = $1 and not logged
     order by created_at desc, id`,
    [wearerId],
  );
  const board: OwnBoard = { trials: [], waiting: [] };
  for (const { id, question, over } of rows) {
    const { trial, why } = over
      ? forBoard({ ...sources, trial: await readTrial(db, id) })
      : { trial: null, why: 'running' as const };
    if (trial) board.trials.push(trial);
    else board.waiting.push({ id, question, why });
  }
  return board;
}

/** What was last made for each head, with the state of the database it was made from. */
type Kept = Map<string, { state: string; board: Promise<OwnBoard> }>;
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
    const board = makeBoard(client, wearerId);
    own.delete(wearerId);
    own.set(wearerId, { state, board });
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
