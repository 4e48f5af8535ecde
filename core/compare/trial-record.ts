import type { Design } from '../trial/designs.ts';
import type { MainResult } from './main-result.ts';
import type { WashDayRecord } from './wash-day-record.ts';

/** What was promised before the data, and what the trial's plan was. */
export interface TrialPromise {
  design: Design;
  arms: readonly string[];
  plannedWashDays: number;
  primary: MainResult;
  /** Day of wear on which the outcomes are compared; 1 is the reveal. */
  onDay: number;
  /** Days of wear that were planned; longevity is counted up to here. */
  wearDays: number;
  /** Good enough from (or up to) this value of the main result. */
  line: number;
  /** Smallest difference in the main result that matters to the wearer, in points. */
  matters: number;
  alpha: number;
  /** Promised zone weights, by zone id. */
  weights: ReadonlyMap<string, number>;
  /** The side each of those zones lies on; 'both' counts for neither half. */
  sides: ReadonlyMap<string, 'left' | 'right' | 'both'>;
  /** One look, when all is in, or two: the first half-way at α .01, the last at .04 (methods.md 3). */
  looks: 1 | 2;
}

/** Promises that the result hangs on, in words. */
export const PROMISES = {
  primary: { label: 'the main result', decides: true },
  onDay: { label: 'the day it is judged on', decides: true },
  line: { label: 'what is good enough', decides: true },
  matters: { label: 'the difference worth switching for', decides: false },
} as const;
export type Promised = keyof typeof PROMISES;

/** A wash day that was begun and given up. */
export interface Abandoned {
  position: number;
  reason: string;
  /** The hair had been revealed; a day run again after that makes the result a description. */
  revealed: boolean;
}

export interface TrialRecord {
  promise: TrialPromise;
  /** The design's code by position; known as far as it has been opened, whole once the trial has ended. */
  allocation: readonly number[];
  /** How it ended; 'look' for the promised first look, taken half-way. */
  ended: 'no' | 'look' | 'as planned' | 'early';
  washDays: readonly WashDayRecord[];
  /** Promises changed after the first reading; with one that decides, the result is a description. */
  changed: readonly Promised[];
  abandoned: readonly Abandoned[];
  /** Positions left aside in this analysis. Only the analysis of all, as run, has a p and names an arm (methods.md 3). */
  leftOut: readonly number[];
  /** The arms' results were opened before the trial was over, promised looks aside. */
  openedEarly: boolean;
}
