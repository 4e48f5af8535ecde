import type { TrialDetail } from '@sabor/contract/trial-record';
import { mainResult } from '@sabor/core/compare/main-result';
import type { Run, RunPlan } from '@sabor/core/fairness/run';
import { slipOfPair, standing } from '@sabor/core/fairness/slip';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { sideInWords } from '@sabor/words/fairness';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useRuns } from '../../api/fairness.ts';
import { useShelf, useTrial, useTrials } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { FairnessSlip } from '../../drawings/fairness-slip.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';
import { PairTable } from './pair-table.tsx';

const keyOf = ({ washDayId, half }: Run) => (half ? `${washDayId} ${half}` : washDayId!);

/** One side: which trial, and which of its wash days or halves. */
function useSide(asked: string | null, trials: readonly { id: string }[], others: string | null) {
  const [trialId, key] = (asked ?? '').split('/') as [string, string | undefined];
  const trial = useTrial(trialId || others || trials[0]?.id || 'new');
  const runs = useRuns(trial.data);
  return { trial, runs, key };
}

export function SideBySideScreen() {
  const trials = useTrials();
  const shelf = useShelf();
  if (trials.isPending || shelf.isPending) return <Loading what="the wash days" />;
  if (trials.isLoadingError) return <Failed error={trials.error} retry={trials.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  const begun = trials.data
    .filter(({ startedAt }) => startedAt !== null)
    .sort((a, b) => Number(b.washDaysDone >= 2) - Number(a.washDaysDone >= 2));
  if (begun.length === 0)
    return <Nothing title="No wash day yet">Two wash days that were run can be laid side by side.</Nothing>;
  return <Sides trials={begun} />;
}

function Sides({ trials }: { trials: readonly { id: string; question: string }[] }) {
  const voice = useVoice();
  const [search, setSearch] = useSearchParams();
  const a = useSide(search.get('a'), trials, null);
  const b = useSide(search.get('b'), trials, a.trial.data?.id ?? null);
  const asked = search.get('outcome') ?? '';
  const outcome: Outcome = Object.hasOwn(OUTCOMES, asked)
    ? (asked as Outcome)
    : mainResult(a.trial.data?.primary ?? 'frizz').like;
  const set = (to: Record<string, string>) =>
    setSearch({ ...Object.fromEntries(search), ...to }, { replace: true });
  const pick = (runs: RunPlan[] | null, key: string | undefined, place: number) =>
    runs?.find(({ run }) => keyOf(run) === key)?.run ?? runs?.[Math.min(place, runs.length - 1)]?.run;
  const left = pick(a.runs, a.key, 0);
  const right = pick(b.runs, b.key, 1);
  const items = useMemo(
    () => (left && right ? slipOfPair(left, right, outcome) : null),
    [left, right, outcome],
  );
  const state = items ? standing(items) : null;
  const field = (
    side: 'a' | 'b',
    label: string,
    trial: TrialDetail | undefined,
    runs: RunPlan[] | null,
    run: Run | undefined,
  ) => (
    <div className="grid gap-3 sm:grid-cols-2">
      <ChoiceField
        label={`${label}: trial`}
        options={trials.map(({ id, question }) => ({ key: id, label: question }))}
        value={trial?.id ?? null}
        onChange={(id) => id && set({ [side]: id })}
      />
      <ChoiceField
        label={`${label}: wash day`}
        options={(runs ?? []).map(({ run }) => ({ key: keyOf(run), label: labelOf(run, trial) }))}
        value={run ? keyOf(run) : null}
        onChange={(key) => key && set({ [side]: `${trial!.id}/${key}` })}
      />
    </div>
  );
  return (
    <>
      <Heading title="Two wash days side by side">
        What was the same, what was not, and what that does to a comparison of one outcome.
      </Heading>
      <div className="mb-6 grid gap-4 lg:grid-cols-[1fr_1fr_12rem]">
        {field('a', 'Left', a.trial.data, a.runs, left)}
        {field('b', 'Right', b.trial.data, b.runs, right)}
        <ChoiceField
          label="For"
          options={OUTCOMES}
          value={outcome}
          onChange={(next) => next && set({ outcome: next })}
        />
      </div>
      {!items || !left || !right ? (
        a.runs?.length === 0 ? (
          <Nothing title="No wash day of this trial has been worn" />
        ) : (
          <Loading what="both wash days" />
        )
      ) : keyOf(left) === keyOf(right) ? (
        <Nothing title="This is the same wash day twice">Choose another on one side.</Nothing>
      ) : (
        <div className="grid gap-x-10 gap-y-8 *:min-w-0 xl:grid-cols-[1.1fr_1fr]">
          <section aria-labelledby="pair">
            <h2 id="pair" className="mb-2 text-xl">
              Step by step
            </h2>
            <PairTable a={left} b={right} voice={voice} />
          </section>
          <section aria-labelledby="pair-slip">
            <h2 id="pair-slip" className="mb-2 flex items-center gap-3 text-xl">
              Fairness check{' '}
              <Tag tone={state === 'clean' ? 'held' : state === 'broken' ? 'stop' : 'due'}>{state}</Tag>
            </h2>
            <FairnessSlip voice={voice} items={items} label="Fairness check" />
          </section>
        </div>
      )}
    </>
  );
}

function labelOf(run: Run, trial: TrialDetail | undefined): string {
  const day = trial?.washDayRecords.find(({ id }) => id === run.washDayId);
  const arm = trial?.arms.find(({ id }) => id === run.arm)?.name ?? '';
  const half = run.half ? `, ${run.half}` : '';
  return `${day ? `${day.position + 1} · ${showDate(day.localDate)}` : sideInWords(run.side)}${half} · ${arm}`;
}
