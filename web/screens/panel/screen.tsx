import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { mainResult } from '@sabor/core/compare/main-result';
import { numbersOf } from '@sabor/words/main-result';
import { panelHeadline } from '@sabor/words/panel';
import { pLabel } from '@sabor/words/verdict';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useTrials, useTrialsWhole, useWearers } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { armStyle } from '../../drawings/arm-style.ts';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { panelInWorker } from '../../workers/comparison.ts';
import { panelRecord } from './panel-record.ts';

/** A panel over several heads: each head's numbers, each arm's mean, and the test on the panel's own draw. */
export function PanelScreen() {
  const { id = '' } = useParams();
  const trials = useTrials();
  const wearers = useWearers();
  const own = (trials.data ?? []).filter(({ panelId }) => panelId === id);
  const details = useTrialsWhole(own.map(({ id: trial }) => trial));
  if (trials.isPending || wearers.isPending) return <Loading what="the panel" />;
  if (trials.isLoadingError) return <Failed error={trials.error} retry={trials.refetch} />;
  if (wearers.isLoadingError) return <Failed error={wearers.error} retry={wearers.refetch} />;
  if (details.error) return <Failed error={details.error} retry={details.refetch} />;
  if (own.length === 0)
    return <Nothing title="Sabor has no such panel">It may have been opened from an old link.</Nothing>;
  if (!details.data) return <Loading what="the panel’s heads" />;
  return <Panel trials={details.data} wearers={wearers.data} />;
}

function Panel({ trials, wearers }: { trials: readonly TrialDetail[]; wearers: readonly Wearer[] }) {
  const sorted = useMemo(() => trials.toSorted((a, b) => a.panelRow! - b.panelRow!), [trials]);
  const [first] = sorted as [TrialDetail];
  const record = useMemo(() => panelRecord(sorted, wearers), [sorted, wearers]);
  const over = sorted.every(({ endedAt, masked }) => endedAt !== null && !masked);
  const shown = sorted.every(({ outcomesShownAt }) => outcomesShownAt !== null);
  const outcome = mainResult(first.primary);
  const result = useWorked('panel test', over && shown ? [record] : null, () =>
    panelInWorker(record.rows, record.values, first.arms.length, outcome.better),
  );
  const means = result.data?.means.map((mean) => mean ?? Number.NaN);
  const p = result.data?.p ?? null;
  const say = numbersOf(first.primary);
  return (
    <>
      <Heading kicker={`A panel over ${sorted.length} heads`} title={first.question}>
        {outcome.label}, day {first.onDay}. Every option once on every head; each head’s own level is removed.
      </Heading>
      {!over && (
        <p className="mb-4 text-soft">The test waits until every head is through and every key open.</p>
      )}
      {over && !shown && (
        <p className="mb-4 text-soft">
          Judge each head’s slip and show its outcomes first; then the panel is put together.
        </p>
      )}
      {result.data && (
        <section
          aria-label="What the panel says"
          className={`mb-6 max-w-4xl border-l-4 pl-5 ${p !== null && p <= first.alpha ? 'border-leaf' : 'border-mango'}`}
        >
          <p className="text-lg font-semibold">
            {panelHeadline(
              result.data,
              first.arms.map(({ name }) => name),
              first.primary,
              first.alpha,
            )}
          </p>
          <p>
            {result.data.wearers} of {sorted.length} heads have every number; the means are theirs.
          </p>
          {p !== null && (
            <p>
              Of {result.data.looked.toLocaleString('en')} panels drawn anew, {(p * 100).toFixed(1)} % show a
              gap at least this wide: p {pLabel(p)}.
            </p>
          )}
        </section>
      )}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Heads and arms">
        <table className="w-full max-w-4xl text-left">
          <thead className="text-soft">
            <tr>
              <th scope="col">Head</th>
              <th scope="col">Wash days</th>
              {first.arms.map(({ id, name }, arm) => (
                <th key={id} scope="col" className="text-right">
                  <span aria-hidden="true" style={{ color: armStyle(arm).hue }}>
                    {armStyle(arm).marker}
                  </span>{' '}
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sorted.map((trial, w) => (
              <tr key={trial.id} className="border-t border-rule">
                <th scope="row">
                  <Link className="underline underline-offset-4" to={`/trials/${trial.id}`}>
                    {trial.wearerName}
                  </Link>
                </th>
                <td>
                  {trial.washDaysDone} of {trial.washDays}
                </td>
                {first.arms.map(({ id }, arm) => {
                  const day = record.rows[w]!.indexOf(arm);
                  const value = shown && day >= 0 ? record.values[w]![day] : null;
                  return (
                    <td key={id} className="figure text-right">
                      {value == null ? '–' : say.amount(value)}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
          {means && (
            <tfoot>
              <tr className="border-t-2 border-ink/40 font-semibold">
                <th scope="row">Mean</th>
                <td />
                {means.map((mean, arm) => (
                  <td key={first.arms[arm]!.id} className="figure text-right">
                    {Number.isNaN(mean) ? '–' : say.amount(mean)}
                  </td>
                ))}
              </tr>
            </tfoot>
          )}
        </table>
      </div>
    </>
  );
}
