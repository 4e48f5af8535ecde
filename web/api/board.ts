import type { BoardTrial } from '@sabor/core/board/read';
import { type ForBoard, forBoard } from '@sabor/reading/board-of';
import { useMemo } from 'react';
import { useGround } from './fairness.ts';
import { useHairFile, useShelf, useTrials, useTrialsWhole, useWearer } from './queries.ts';

/** A head's trials as its board reads them. */
export interface OwnBoard {
  trials: BoardTrial[];
  /** Trials that are not on it, and why. */
  waiting: { id: string; question: string; why: Exclude<ForBoard['why'], null> }[];
}

/** What a head's board is made of; undefined data until all of it is there. */
export function useBoardTrials(wearerId: string): {
  data: OwnBoard | undefined;
  error: Error | null;
  retry: () => unknown;
} {
  const list = useTrials();
  const wearer = useWearer(wearerId || 'new');
  const file = useHairFile(wearerId);
  const shelf = useShelf();
  const ground = useGround(wearerId);
  const own = (list.data ?? []).filter((trial) => trial.wearerId === wearerId && !trial.logged);
  const whole = useTrialsWhole(own.filter(({ endedAt }) => endedAt !== null).map(({ id }) => id));
  const ready =
    list.data && wearer.data && file.data && shelf.data && whole.data && (ground.data || ground.isError);
  const data = useMemo((): OwnBoard | undefined => {
    if (!ready) return undefined;
    const read = whole.data!.map((trial) => ({
      trial,
      found: forBoard({
        trial,
        wearer: wearer.data!,
        file: file.data!,
        shelf: shelf.data!.products,
        ground: ground.data ?? new Map(),
      }),
    }));
    return {
      trials: read.flatMap(({ found }) => found.trial ?? []),
      waiting: [
        ...read.flatMap(({ trial, found }) =>
          found.why === null ? [] : [{ id: trial.id, question: trial.question, why: found.why }],
        ),
        ...(list.data ?? [])
          .filter((trial) => trial.wearerId === wearerId && trial.endedAt === null && !trial.logged)
          .map(({ id, question }) => ({ id, question, why: 'running' as const })),
      ],
    };
  }, [ready, list.data, wearer.data, file.data, shelf.data, whole.data, ground.data, wearerId]);
  const failed = [list, wearer, file, shelf].find(({ error }) => error) ?? (whole.error ? whole : undefined);
  return { data, error: failed?.error ?? null, retry: () => failed?.refetch() };
}
