import type { Settings } from '@sabor/contract/settings';
import { DEFAULT_SETTINGS } from '@sabor/reading/default-settings';
import type { Client } from '../../db/pool.ts';

export async function readKey<T>(db: Client, key: string): Promise<T | null> {
  const { rows } = await db.query<{ value: T }>('select value from setting where key = $1', [key]);
  return rows[0]?.value ?? null;
}

export async function saveKey(db: Client, key: string, value: unknown): Promise<void> {
  await db.query(
    'insert into setting (key, value) values ($1, $2) on conflict (key) do update set value = excluded.value',
    [key, JSON.stringify(value)],
  );
}

export async function readSettings(db: Client): Promise<Settings> {
  return { ...DEFAULT_SETTINGS, ...(await readKey<Settings>(db, 'preferences')) };
}

/** Merges a change into the preferences in one statement, so that changes from two places do not undo each other. */
export async function changeSettings(db: Client, change: object): Promise<void> {
  await db.query(
    `insert into setting (key, value) values ('preferences', $1)
     on conflict (key) do update set value = setting.value || excluded.value`,
    [JSON.stringify(change)],
  );
}

/** Whether this database holds the demo scenario, was begun empty on purpose, or has not been asked yet. */
export type DemoState = 'loaded' | 'declined' | null;

export const readDemoState = (db: Client): Promise<DemoState> => readKey<DemoState>(db, 'demo');

export const saveDemoState = (db: Client, state: DemoState): Promise<void> => saveKey(db, 'demo', state);
