import { compareTrial } from '@sabor/core/compare/comparison';
import { expose } from 'comlink';

expose({ compareTrial });
