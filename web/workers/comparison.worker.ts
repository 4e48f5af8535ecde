import { compareTrial, daysNeededAfter } from '@sabor/core/compare/comparison';
import { panelReach, panelTest } from '@sabor/core/trial/panel';
import { expose } from 'comlink';

const api = { compareTrial, daysNeededAfter, panelTest, panelReach };
export type ComparisonWorker = typeof api;

expose(api);
