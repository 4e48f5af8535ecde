import type { Comparison } from '@sabor/core/compare/comparison';
import { mainResult } from '@sabor/core/compare/main-result';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import type { RunPlan } from '@sabor/core/fairness/run';
import { brokenDays, slipOfTrial } from '@sabor/core/fairness/slip';
import { blocksOfDays } from '@sabor/reading/fairness-runs';
import { toTrialRecord } from '@sabor/reading/trial-record';
import { lazy, Suspense, useMemo } from 'react';
import { useParams } from 'react-router';
import { useRuns } from '../../api/fairness.ts';
import { useShelf, useTrial, useWearer } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { Failed, InSlices, Loading, Nothing } from '../../ui/states.tsx';
import { compareInWorker } from '../../workers/comparison.ts';
import { ComparisonSheet, type Parts } from './sheet.tsx';

const BeforeOutcomes = lazy(async () => ({
  default: (await import('./before-outcomes.tsx')).BeforeOutcomes,
}));

export function ComparisonScreen() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  const shelf = useShelf();
  const wearer = useWearer(trial.data?.wearerId ?? 'new');
  if (trial.isLoadingError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  if (!trial.data || !shelf.data || !wearer.data) return <Loading what="the comparison" />;
  return (
    <InSlices what="the comparison">
      <Compared trial={trial.data} products={shelf.data.products} wearer={wearer.data} />
    </InSlices>
  );
}

/** A trial's comparison, worked out from its record. */
export function Compared({ trial, products, wearer, sample = false }: Parts) {
  const record = useMemo(() => toTrialRecord(trial, products, wearer), [trial, products, wearer]);
  const runs = useRuns(trial);
  const comparison = useWorked(
    'comparison',
    record.washDays.length > 0 ? [record] : null,
    () => compareInWorker(record),
    // One sample must not stand under another's banner.
    sample ? null : trial.id,
  );
  if (comparison.isError)
    return <Failed error={new Error('The comparison could not be computed.')} retry={comparison.refetch} />;
  if (record.washDays.length === 0)
    return (
      <Nothing
        whole
        title="Nothing to compare yet"
        action={
          <ButtonLink look="main" to={`/trials/${trial.id}`}>
            Open trial
          </ButtonLink>
        }
      >
        No wash day of this trial has been worn.
      </Nothing>
    );
  if (!runs || (!comparison.data && trial.outcomesShownAt !== null)) return <Loading what="the comparison" />;
  return (
    <InSlices what="the comparison">
      <HeldAgainstItsRuns
        {...{ trial, products, wearer, sample, record, runs }}
        comparison={comparison.data}
      />
    </InSlices>
  );
}

/** The comparison beside its fairness check, which comes before any outcome is shown. */
function HeldAgainstItsRuns({
  runs,
  ...shown
}: Parts & { record: TrialRecord; comparison: Comparison | undefined; runs: readonly RunPlan[] }) {
  const { trial, products, wearer, record, comparison } = shown;
  const items = useMemo(
    () => slipOfTrial(runs, trial.arms, mainResult(trial.primary).like, trial.overrules),
    [runs, trial],
  );
  const broken = useMemo(() => blocksOfDays(trial, brokenDays(items)), [items, trial]);
  const without = useWorked(
    'comparison without',
    broken.size > 0 && trial.outcomesShownAt !== null ? [record, [...broken]] : null,
    async () => {
      const rest = toTrialRecord(trial, products, wearer, broken);
      return { record: rest, comparison: await compareInWorker(rest) };
    },
  );
  if (trial.outcomesShownAt === null)
    return (
      <Suspense fallback={<Loading what="the fairness check" />}>
        <BeforeOutcomes trial={trial} items={items} />
      </Suspense>
    );
  if (!comparison) return <Loading what="the comparison" />;
  return (
    <ComparisonSheet
      {...shown}
      comparison={comparison}
      items={items}
      without={broken.size > 0 ? without.data : undefined}
      leftOut={trial.washDayRecords.filter(({ id }) => broken.has(id)).map(({ position }) => position + 1)}
    />
  );
}
