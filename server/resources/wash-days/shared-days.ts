import type { WashDay } from '@sabor/contract/wash-day';
import type { Client } from '../../db/pool.ts';
import { readWashDay } from './read.ts';

/** How long what was read of a state is given to others who heard of the same state, ms. */
const SHARED_MS = 10_000;

/** Reads of wash days for screens that follow them: one read serves all that heard of the same state at the same time. */
export class SharedDays {
  private readonly db: Client;
  private readonly read = new Map<string, { pulse: string; until: number; day: Promise<WashDay> }>();

  constructor(db: Client) {
    this.db = db;
  }

  /** A wash day in the state that `pulse` names, or a later one. */
  at(id: string, pulse: string): Promise<WashDay> {
    const now = Date.now();
    for (const [key, { until }] of this.read) if (until < now) this.read.delete(key);
    const known = this.read.get(id);
    if (known?.pulse === pulse) return known.day;
    const day = readWashDay(this.db, id);
    this.read.set(id, { pulse, until: now + SHARED_MS, day });
    // What could not be read is asked for again.
    day.catch(() => this.read.delete(id));
    return day;
  }
}
