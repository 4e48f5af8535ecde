import { boardOf, disagreements, pairWays, turnsOf } from '@sabor/core/board/board';
import { expose } from 'comlink';

const api = { boardOf, disagreements, pairWays, turnsOf };
export type BoardWorker = typeof api;

expose(api);
