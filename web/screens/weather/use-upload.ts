import { type Place, type ReadingRow, ROWS_AT_ONCE } from '@sabor/contract/weather';
import { useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { v7 } from 'uuid';
import { put, remove } from '../../http/http.ts';
import { type Parts, useParts } from '../../ui/parts.ts';

export interface Upload extends Parts {
  takeBack: () => Promise<void>;
}

/** A long file's readings on their way to a place, in parts of one set that can be taken back together. */
export function useUpload(
  place: Place,
  name: string,
  total: number,
  part: (from: number, count: number) => Promise<ReadingRow[]>,
): Upload {
  const client = useQueryClient();
  const set = useRef(v7());
  const parts = useParts(total, ROWS_AT_ONCE, async (from, count) =>
    put<{ stored: number }>(`/places/${place.id}/readings/${set.current}`, {
      source: 'csv',
      name: name.slice(0, 120),
      rows: await part(from, count),
    }),
  );
  const reset = () => {
    set.current = v7();
    parts.reset();
  };
  return {
    ...parts,
    reset,
    takeBack: async () => {
      await remove(`/weather-batches/${set.current}`);
      reset();
      void client.invalidateQueries();
    },
  };
}
