import type { TrialDetail } from '@sabor/contract/trial-record';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { firstLookAfter } from '@sabor/core/inference/reach';
import { Link } from 'react-router';
import { useChange } from '../../api/queries.ts';
import { post } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { Heading } from '../../ui/states.tsx';
import { SlipPart } from './slip-part.tsx';

/** The slip is judged without knowing the outcomes; this sheet stands before them. */
export function BeforeOutcomes({ trial, items }: { trial: TrialDetail; items: readonly SlipItem[] }) {
  const show = useChange(() => post<TrialDetail>(`/trials/${trial.id}/outcomes`));
  const look = useChange(() => post<TrialDetail>(`/trials/${trial.id}/look`));
  const half = firstLookAfter(trial.washDays);
  const worn = trial.washDayRecords.filter(({ status }) => status === 'finished').length;
  const lookDue = trial.looks === 2 && trial.lookedAt === null && trial.endedAt === null && worn === half;
  const error = show.error ?? look.error;
  return (
    <>
      <Heading
        kicker={
          <Link className="underline underline-offset-4" to={`/trials/${trial.id}`}>
            {trial.question}
          </Link>
        }
        title="Was it fair? Judge before you look."
        actions={
          <>
            {lookDue && (
              <Button look="main" onClick={() => look.mutate(undefined)} disabled={look.isPending}>
                Take the first test, at α .01
              </Button>
            )}
            <Button
              look={lookDue ? 'plain' : 'main'}
              onClick={() => show.mutate(undefined)}
              disabled={show.isPending}
            >
              Show the outcomes
            </Button>
          </>
        }
      >
        What the wash days did otherwise than planned is weighed first. Once the outcomes are shown, the check
        is closed.
      </Heading>
      {lookDue && trial.attainable.first?.decides === false && (
        <p className="mb-4 max-w-3xl border-l-4 border-mango pl-4">
          In this plan the first test cannot settle anything, however large the difference; only the last one
          can.
        </p>
      )}
      {error && (
        <p role="alert" className="mb-4 font-semibold text-brick">
          {error.message}
        </p>
      )}
      <SlipPart trial={trial} items={items} />
    </>
  );
}
