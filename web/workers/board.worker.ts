import { acrossHeads } from '@sabor/core/board/across-heads';
import { boardOf } from '@sabor/core/board/board';
import { lastingByClass } from '@sabor/core/board/by-class';
import { byWay } from '@sabor/core/board/by-way';
import { carriedBy } from '@sabor/core/board/carried';
import { disagreements, pairWays, trialsToTell } from '@sabor/core/board/pair';
import { turnsOf } from '@sabor/core/board/turns';
import { evidenceInAll } from '@sabor/core/verdict/evidence';
import { expose } from 'comlink';

const api = {
  evidenceInAll,
  acrossHeads,
  boardOf,
  byWay,
  carriedBy,
  lastingByClass,
  disagreements,
  pairWays,
  trialsToTell,
  turnsOf,
};
export type BoardWorker = typeof api;

expose(api);
