import pg from 'pg';

const CHANNEL = 'sabor_wash_day';
/** How long a lost connection is left alone before it is tried again, ms. */
const AGAIN_MS = 1000;

/**
 * Hears of every wash day that changes, whichever server on the database changed it (LISTEN and NOTIFY), on a connection of its
 * own. While it has none, whoever waits is let go and asks again.
 */
export class Live {
  private readonly waiting = new Map<string, Set<() => void>>();
  private readonly url: string;
  private client: pg.Client | null = null;
  private closed = false;
  private timer: NodeJS.Timeout | undefined;

  constructor(url: string) {
    this.url = url;
  }

  /** Whether changes are heard at present. */
  get hears(): boolean {
    return this.client !== null;
  }

  async open(): Promise<void> {
    if (this.closed) return;
    const client = new pg.Client({
      connectionString: this.url,
      connectionTimeoutMillis: 10_000,
      keepAlive: true,
    });
    let lost = false;
    const again = () => {
      if (lost) return;
      lost = true;
      if (this.client === client) this.client = null;
      client.end().catch(() => {});
      this.letAllGo();
      if (!this.closed) this.timer = setTimeout(() => void this.open(), AGAIN_MS).unref();
    };
    client.on('error', again);
    client.on('end', again);
    client.on('notification', ({ payload }) => this.letGo(payload ?? ''));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      if (this.closed) return void client.end().catch(() => {});
      if (!lost) this.client = client;
      // What changed while nothing was heard.
      this.letAllGo();
    } catch {
      again();
    }
  }

  /** Waits for the next change of a wash day, `ms` at most; `stop` ends the waiting. */
  next(id: string, ms: number, stop: AbortSignal): Promise<void> {
    return new Promise((resolve) => {
      const own = this.waiting.get(id) ?? new Set();
      this.waiting.set(id, own);
      const over = () => {
        clearTimeout(timer);
        stop.removeEventListener('abort', over);
        own.delete(over);
        if (own.size === 0 && this.waiting.get(id) === own) this.waiting.delete(id);
        resolve();
      };
      const timer = setTimeout(over, ms);
      own.add(over);
      if (stop.aborted) over();
      else stop.addEventListener('abort', over);
    });
  }

  private letGo(id: string): void {
    for (const over of [...(this.waiting.get(id) ?? [])]) over();
  }

  private letAllGo(): void {
    for (const id of [...this.waiting.keys()]) this.letGo(id);
  }

  async close(): Promise<void> {
    this.closed = true;
    clearTimeout(this.timer);
    this.letAllGo();
    await this.client?.end().catch(() => {});
  }
}
