import { TRIAL_STATUSES, type Trial } from '@sabor/contract/trial';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { useState } from 'react';
import { Link } from 'react-router';
import { useTrials } from '../../api/queries.ts';
import { AllocationStrip } from '../../drawings/allocation-strip.tsx';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { PutAway } from '../../ui/put-away.tsx';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';

export function Screen() {
  const trials = useTrials();
  const [archived, setArchived] = useState(false);
  if (trials.isPending) return <Loading what="the trials" />;
  if (trials.isError) return <Failed error={trials.error} retry={trials.refetch} />;
  const away = trials.data.filter((trial) => trial.archivedAt !== null).length;
  const shown = trials.data.filter((trial) => (trial.archivedAt !== null) === archived);
  return (
    <>
      <Heading
        title="Trials"
        actions={
          <ButtonLink look="main" to="/trials/new/plan">
            Plan a trial
          </ButtonLink>
        }
      >
        One question each: a routine held fixed, one step under test, options that come to wash days in random
        order.
      </Heading>
      {(away > 0 || archived) && (
        <Button look="quiet" className="mb-4" onClick={() => setArchived(!archived)}>
          {archived ? 'Back to the trials' : `Archived: ${away}`}
        </Button>
      )}
      {trials.data.length === 0 && (
        <Nothing title="No trial yet" action={<ButtonLink to="/trials/new/plan">Plan a trial</ButtonLink>}>
          It needs two products for the same use, a wearer and a routine.
        </Nothing>
      )}
      <ul className="divide-y divide-rule border-y border-rule">
        {shown.map((trial) => (
          <TrialRow key={trial.id} trial={trial} />
        ))}
      </ul>
    </>
  );
}

function TrialRow({ trial }: { trial: Trial }) {
  return (
    <li className="grid gap-x-8 gap-y-2 py-5 md:grid-cols-[1fr_auto]">
      <div>
        <p className="flex flex-wrap items-center gap-2 text-sm text-soft">
          {trial.wearerName} · {OUTCOMES[trial.primary].label.toLowerCase()} first
          <Tag tone={trial.endedAt ? 'plain' : 'held'}>{TRIAL_STATUSES[trial.status].label}</Tag>
          {!trial.attainable.decides && trial.panelId === null && <Tag tone="due">can only hint</Tag>}
        </p>
        <h2 className="text-xl">
          <Link
            to={`/trials/${trial.id}`}
            className="underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
          >
            {trial.question}
          </Link>
        </h2>
        <AllocationStrip trial={trial} />
      </div>
      <div className="flex flex-wrap items-start gap-2">
        {trial.washDaysDone > 0 && <ButtonLink to={`/trials/${trial.id}/compare`}>Compare</ButtonLink>}
        <PutAway what="trials" id={trial.id} name={trial.question} away={trial.archivedAt !== null} />
      </div>
    </li>
  );
}
