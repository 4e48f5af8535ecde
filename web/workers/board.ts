import type { AcrossHeads, HeadAsk } from '@sabor/core/board/across-heads';
import type { Board } from '@sabor/core/board/board';
import type { ClassLasting } from '@sabor/core/board/by-class';
import type { ByWay, byWay, WayKind, WornDay } from '@sabor/core/board/by-way';
import type { ItemEffect } from '@sabor/core/board/carried';
import type { ColumnKey } from '@sabor/core/board/columns';
import type { Disagreement, PairWays, TrialToTell } from '@sabor/core/board/pair';
import type { BoardAsk } from '@sabor/core/board/read';
import type { Turn } from '@sabor/core/board/turns';
import type { Evidence } from '@sabor/core/verdict/evidence';
import { type Remote, wrap } from 'comlink';
import type { BoardWorker } from './board.worker.ts';

let standing: Remote<BoardWorker> | null = null;

/** One worker for the board, kept: a wish that is turned is answered again and again. */
function boardWorker(): Remote<BoardWorker> {
  standing ??= wrap<BoardWorker>(
    new Worker(new URL('./board.worker.ts', import.meta.url), { type: 'module' }),
  );
  return standing;
}

export const boardInWorker = (ask: BoardAsk): Promise<Board> => boardWorker().boardOf(ask);

export const pairInWorker = (ask: BoardAsk, key: ColumnKey, a: string, b: string): Promise<PairWays> =>
  boardWorker().pairWays(ask, key, a, b);

export const turnsInWorker = (
  ask: BoardAsk,
  leader: string,
  shown: readonly string[],
): Promise<Turn[] | null> => boardWorker().turnsOf(ask, leader, shown);

export const disagreementsInWorker = (
  ask: BoardAsk,
  key: ColumnKey,
): Promise<{ found: Disagreement[]; checked: number }> => boardWorker().disagreements(ask, key);

export const trialsToTellInWorker = (ask: BoardAsk, key: ColumnKey): Promise<TrialToTell[]> =>
  boardWorker().trialsToTell(ask, key);

export const lastingByClassInWorker = (
  ask: BoardAsk,
  kindOf: Readonly<Record<string, string>>,
): Promise<{ upTo: number; kinds: ClassLasting[] }> => boardWorker().lastingByClass(ask, kindOf);

export const acrossHeadsInWorker = (
  heads: readonly HeadAsk[],
  key: ColumnKey,
  alike: boolean,
): Promise<AcrossHeads[]> => boardWorker().acrossHeads(heads, key, alike);

export const byWayInWorker = (
  days: readonly WornDay[],
  kind: WayKind,
  read: Parameters<typeof byWay>[2],
): Promise<{ upTo: number; ways: ByWay[] }> => boardWorker().byWay(days, kind, read);

export const carriedInWorker = (ask: BoardAsk, key: ColumnKey, a: string, b: string): Promise<ItemEffect[]> =>
  boardWorker().carriedBy(ask, key, a, b);

export const evidenceInWorker = (ask: BoardAsk, productId: string): Promise<Evidence | null> =>
  boardWorker().evidenceInAll(ask, productId);
