import type { Trial } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { MainResult } from '@sabor/core/compare/main-result';
import { DESIGNS, type Design } from '@sabor/core/trial/designs';
import { toTrialRecord } from '@sabor/reading/trial-record';
import { compareInWorker } from '../workers/comparison.ts';
import { useTrials, useTrialsWhole } from './queries.ts';
import { useWorked } from './worked.ts';

export interface LearnedNoise {
  trialId: string;
  question: string;
  sd: number;
  freedom: number;
  bias: number | null;
  /** Where the ratings lay on the scale, on average. */
  level: number;
}

/** What earlier trials of a wearer say of the noise of an outcome: half-heads for halves, whole heads for wash days. */
export function useNoise(
  wearer: Wearer | undefined,
  design: Design,
  {
    primary: outcome,
    onDay = 1,
    line,
    wearDays,
  }: { primary: MainResult; onDay?: number | undefined; line: number; wearDays: number },
) {
  const trials = useTrials();
  const { halves } = DESIGNS[design];
  const like = (trial: Trial) =>
    trial.wearerId === wearer?.id &&
    trial.endedAt !== null &&
    !trial.masked &&
    DESIGNS[trial.design].seeks !== 'dose' &&
    DESIGNS[trial.design].halves === halves;
  const found = (trials.data ?? []).filter(like);
  const whole = useTrialsWhole(found.map(({ id }) => id));
  return useWorked(
    'noise',
    wearer && trials.data && whole.data
      ? [wearer, halves, outcome, onDay, line, wearDays, ...whole.data]
      : null,
    async (): Promise<LearnedNoise[]> => {
      const learned = await Promise.all(
        whole.data!.map(async (trial) => {
          const { id, question } = trial;
          const record = toTrialRecord({ ...trial, primary: outcome }, [], wearer!);
          const { primary } = await compareInWorker({
            ...record,
            promise: {
              ...record.promise,
              ...{ primary: outcome, onDay, line },
              wearDays: Math.min(wearDays, record.promise.wearDays),
            },
          });
          const { noise } = primary;
          return noise === null ? [] : [{ trialId: id, question, ...noise }];
        }),
      );
      return learned.flat();
    },
  );
}
