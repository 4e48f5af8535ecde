import type { Trial } from '@sabor/contract/trial-record';
import { mainResult } from '@sabor/core/compare/main-result';
import { byText, type SieveOf } from '@sabor/core/table/sift';
import { TRIAL_STATUSES } from '@sabor/core/trial/statuses';
import { keysOf } from '@sabor/core/vocabulary';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useTrials } from '../../api/queries.ts';
import { AllocationStrip } from '../../drawings/allocation-strip.tsx';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { PutAway } from '../../ui/put-away.tsx';
import { SieveFields, useGrowing, useSieve } from '../../ui/sieve.tsx';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';

const SIEVE: SieveOf<Trial> = {
  text: ({ question, wearerName, routineName, arms }) =>
    [question, wearerName, routineName, ...arms.map(({ name }) => name)].join(' '),
  facts: { status: ({ status }) => [status], whose: ({ wearerId }) => [wearerId] },
  sorts: {
    newest: (a, b) => b.createdAt.localeCompare(a.createdAt),
    oldest: (a, b) => a.createdAt.localeCompare(b.createdAt),
    question: (a, b) => byText(a.question, b.question),
  },
};
const SORTS = [
  { key: 'newest', label: 'newest first' },
  { key: 'oldest', label: 'oldest first' },
  { key: 'question', label: 'question' },
];
const STATUSES = keysOf(TRIAL_STATUSES).map((key) => ({ key, label: TRIAL_STATUSES[key].label }));

export function TrialsScreen() {
  const trials = useTrials();
  const [archived, setArchived] = useState(false);
  const here = useMemo(
    () => (trials.data ?? []).filter((trial) => (trial.archivedAt !== null) === archived),
    [trials.data, archived],
  );
  const { sieve, set, shown } = useSieve(here, SIEVE, 'newest');
  const { limit, end } = useGrowing(shown.length);
  if (trials.isPending) return <Loading what="the trials" />;
  if (trials.isLoadingError) return <Failed error={trials.error} retry={trials.refetch} />;
  const away = trials.data.filter((trial) => trial.archivedAt !== null).length;
  const wearers = new Map(here.map(({ wearerId, wearerName }) => [wearerId, wearerName]));
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
        {archived
          ? 'Put away, not deleted: what was found in them still counts on the board.'
          : 'One question each: a routine kept the same, one step under test, options in random order.'}
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
      <SieveFields
        sieve={sieve}
        set={set}
        sorts={SORTS}
        facts={{
          status: { label: 'Status', options: STATUSES },
          whose: { label: 'Whose', options: [...wearers].map(([key, label]) => ({ key, label })) },
        }}
        shown={shown.length}
        all={here.length}
      />
      <ul className="divide-y divide-rule border-y border-rule">
        {shown.slice(0, limit).map((trial) => (
          <TrialRow key={trial.id} trial={trial} />
        ))}
      </ul>
      {end}
    </>
  );
}

function TrialRow({ trial }: { trial: Trial }) {
  return (
    <li className="grid gap-x-8 gap-y-2 py-5 md:grid-cols-[1fr_auto]">
      <div>
        <p className="flex flex-wrap items-center gap-2 text-sm text-soft">
          {trial.wearerName} · {mainResult(trial.primary).label.toLowerCase()}
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
