import { type Place, type ReadingRow, ROWS_AT_ONCE } from '@sabor/contract/weather';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { put, remove } from '../../http/http.ts';

export interface Upload {
  state: 'waiting' | 'storing' | 'done' | 'stopped' | 'failed';
  /** Rows sent so far, and how many of them were new to the place. */
  sent: number;
  stored: number;
  problem: string | null;
  run: (
    name: string,
    total: number,
    part: (from: number, count: number) => Promise<ReadingRow[]>,
  ) => Promise<void>;
  /** Stops after the part under way; what is stored stays, to be gone on with or taken back. */
  stop: () => void;
  takeBack: () => Promise<void>;
  reset: () => void;
}

/** Sends a long file's readings in parts of one set. Going on after a stop or a lost connection sends nothing twice. */
export function useUpload(place: Place): Upload {
  const client = useQueryClient();
  const set = useRef(v7());
  const stopping = useRef(false);
  const [now, setNow] = useState<Pick<Upload, 'state' | 'sent' | 'stored' | 'problem'>>(NOTHING);
  const run: Upload['run'] = async (name, total, part) => {
    stopping.current = false;
    let { sent, stored } = now;
    setNow({ ...now, state: 'storing', problem: null });
    try {
      while (sent < total && !stopping.current) {
        const rows = await part(sent, ROWS_AT_ONCE);
        const answer = await put<{ stored: number }>(`/places/${place.id}/readings/${set.current}`, {
          source: 'csv',
          name: name.slice(0, 120),
          rows,
        });
        sent += rows.length;
        stored += answer.stored;
        setNow({ state: 'storing', sent, stored, problem: null });
      }
      setNow({ state: sent < total ? 'stopped' : 'done', sent, stored, problem: null });
    } catch (error) {
      setNow({ state: 'failed', sent, stored, problem: (error as Error).message });
    }
    void client.invalidateQueries();
  };
  const reset = () => {
    set.current = v7();
    setNow(NOTHING);
  };
  return {
    ...now,
    run,
    stop: () => {
      stopping.current = true;
    },
    takeBack: async () => {
      await remove(`/weather-batches/${set.current}`);
      reset();
      void client.invalidateQueries();
    },
    reset,
  };
}

const NOTHING = { state: 'waiting', sent: 0, stored: 0, problem: null } as const;
