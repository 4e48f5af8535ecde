import { boardOf, disagreements, pairWays, trialsToTell, turnsOf } from '@sabor/core/board/board';
import { lastingByClass } from '@sabor/core/board/by-class';
import { expose } from 'comlink';

const api = { boardOf, lastingByClass, disagreements, pairWays, trialsToTell, turnsOf };
export type BoardWorker = typeof api;

expose(api);
