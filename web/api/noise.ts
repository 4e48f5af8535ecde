import type { Trial, TrialDetail } from '@sabor/contract/trial';
import type { Wearer } from '@sabor/contract/wearer';
import type { Outcome } from '@sabor/core/outcomes/outcomes';
import { DESIGNS, type Design } from '@sabor/core/trial/designs';
import { toTrialRecord } from '@sabor/reading/trial-record';
import { useQuery } from '@tanstack/react-query';
import { get } from '../http/http.ts';
import { compareInWorker } from '../workers/comparison.ts';
import { useTrials } from './queries.ts';

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
export function useNoise(wearer: Wearer | undefined, design: Design, outcome: Outcome, onDay: number) {
  const trials = useTrials();
  const { halves } = DESIGNS[design];
  const like = (trial: Trial) =>
    trial.wearerId === wearer?.id &&
    trial.endedAt !== null &&
    !trial.masked &&
    DESIGNS[trial.design].seeks !== 'dose' &&
    DESIGNS[trial.design].halves === halves;
  const found = (trials.data ?? []).filter(like);
  return useQuery({
    queryKey: ['trials', 'noise', wearer?.id, halves, outcome, onDay, found.map(({ id }) => id)],
    enabled: wearer !== undefined && trials.data !== undefined,
    queryFn: async (): Promise<LearnedNoise[]> => {
      const learned = await Promise.all(
        found.map(async ({ id, question }) => {
          const record = toTrialRecord(await get<TrialDetail>(`/trials/${id}`), [], wearer!);
          const { primary } = await compareInWorker({
            ...record,
            promise: { ...record.promise, primary: outcome, onDay },
          });
          const { noise } = primary;
          return noise === null ? [] : [{ trialId: id, question, ...noise }];
        }),
      );
      return learned.flat();
    },
  });
}
