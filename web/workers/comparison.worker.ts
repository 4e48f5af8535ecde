import { compareTrial } from '@sabor/core/compare/comparison';
import { panelTest } from '@sabor/core/trial/panel';
import { expose } from 'comlink';

expose({ compareTrial, panelTest });
