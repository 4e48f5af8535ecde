import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Refused } from '../http/http.ts';

/** The rows of a long file on their way to the server, part by part. */
export interface Parts {
  state: 'waiting' | 'storing' | 'done' | 'stopped' | 'failed';
  /** Rows sent so far, and how many of them were new. */
  sent: number;
  stored: number;
  problem: string | null;
  /** Sends what is not sent yet. */
  run: () => Promise<void>;
  /** Stops after the part under way; what is stored stays, to be gone on with. */
  stop: () => void;
  reset: () => void;
}

/** What the server answers to more than it takes at once. */
const TOO_LARGE = 413;

const NOTHING = { state: 'waiting', sent: 0, stored: 0, problem: null } as const;

/**
 * Sends `total` rows, `atOnce` at a time, each part by `send`, which says how many of them were new; a part that is too large
 * goes in halves. Going on after a stop or a lost connection sends nothing twice.
 */
export function useParts(
  total: number,
  atOnce: number,
  send: (from: number, count: number) => Promise<{ stored: number }>,
): Parts {
  const client = useQueryClient();
  const stopping = useRef(false);
  const [now, setNow] = useState<Pick<Parts, 'state' | 'sent' | 'stored' | 'problem'>>(NOTHING);
  const run = async () => {
    stopping.current = false;
    let { sent, stored } = now;
    setNow({ ...now, state: 'storing', problem: null });
    try {
      let most = atOnce;
      while (sent < total && !stopping.current) {
        const count = Math.min(most, total - sent);
        let answer: { stored: number };
        try {
          answer = await send(sent, count);
        } catch (error) {
          if (!(error instanceof Refused && error.status === TOO_LARGE && count > 1)) throw error;
          most = Math.ceil(count / 2);
          continue;
        }
        sent += count;
        stored += answer.stored;
        setNow({ state: 'storing', sent, stored, problem: null });
      }
      setNow({ state: sent < total ? 'stopped' : 'done', sent, stored, problem: null });
    } catch (error) {
      setNow({ state: 'failed', sent, stored, problem: (error as Error).message });
    }
    void client.invalidateQueries();
  };
  return {
    ...now,
    run,
    stop: () => {
      stopping.current = true;
    },
    reset: () => setNow(NOTHING),
  };
}
