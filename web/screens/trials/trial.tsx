import type { TrialDetail } from '@sabor/contract/trial-record';
import { isOutcome } from '@sabor/core/compare/main-result';
import { type Weighed, weighedBy } from '@sabor/core/step/weighed';
import { DESIGNS, isCompared } from '@sabor/core/trial/designs';
import { TRIAL_STATUSES } from '@sabor/core/trial/statuses';
import { Navigate, useParams } from 'react-router';
import { v7 } from 'uuid';
import { useChange, useShelf, useTrial, useWearer } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { AllocationStrip } from '../../drawings/allocation-strip.tsx';
import { planRows, ribbonColumns, washDayRows } from '../../drawings/ribbon-rows.ts';
import { RibbonStack } from '../../drawings/ribbon-stack.tsx';
import { put } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { showDate } from '../../ui/show.ts';
import { Caution, Failed, Heading, Loading, Tag } from '../../ui/states.tsx';
import { Memos } from '../memos/list.tsx';
import { Amendments } from './amend.tsx';
import { BlindPart } from './blind-part.tsx';
import { EndTrial } from './end-trial.tsx';
import { EnterPast } from './enter-past.tsx';
import { Facts } from './facts.tsx';
import { IdeasPart } from './ideas-part.tsx';
import { OnRecordPart } from './on-record.tsx';
import { PanelPart } from './panel-part.tsx';
import { Prepared, PreparePart, usePrepared } from './prepare-part.tsx';
import { RetestPart } from './retest-part.tsx';
import { WashDayList } from './wash-day-list.tsx';

export function TrialScreen() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  const shelf = useShelf();
  if (trial.isPending || shelf.isPending) return <Loading what="the trial" />;
  if (trial.isLoadingError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  // A wash day by itself is its own page.
  if (trial.data.logged) {
    const [day] = trial.data.washDayRecords;
    return <Navigate to={day ? `/wash-days/${day.id}` : '/wash-days'} replace />;
  }
  return <TrialPage trial={trial.data} weighed={weighedBy(shelf.data.products)} />;
}

function TrialPage({ trial, weighed }: { trial: TrialDetail; weighed: Weighed }) {
  const voice = useVoice();
  // What lies here begins from its envelope alone.
  const { envelope, start } = usePrepared(trial.id);
  const wearer = useWearer(trial.wearerId);
  const washDays = trial.washDayRecords;
  const columns = ribbonColumns(trial, washDays, voice);
  const rows = [
    ...planRows(trial, columns, voice),
    ...washDayRows(trial, washDays, columns, voice, (day) => showDate(day.localDate), weighed),
  ];
  const open = washDays.find((day) => day.status === 'under way' || day.status === 'worn');
  return (
    <>
      <Heading
        kicker={
          <>
            Trial · {trial.wearerName} ·{' '}
            <Tag tone={trial.endedAt ? 'plain' : 'held'}>{TRIAL_STATUSES[trial.status].label}</Tag>
          </>
        }
        title={trial.question}
        actions={
          <>
            {open ? (
              <ButtonLink look="main" to={`/wash-days/${open.id}`}>
                {open.status === 'worn'
                  ? `Wash day ${open.position + 1}`
                  : `Continue wash day ${open.position + 1}`}
              </ButtonLink>
            ) : trial.endedAt || envelope || start ? null : (
              <StartWashDay trial={trial} />
            )}
            {!trial.endedAt && <ButtonLink to={`/trials/${trial.id}/lay-out`}>Lay out</ButtonLink>}
            {washDays.length > 0 && (
              <ButtonLink look={trial.endedAt ? 'main' : 'plain'} to={`/trials/${trial.id}/compare`}>
                Compare
              </ButtonLink>
            )}
            {trial.endedAt &&
              !trial.masked &&
              trial.plan.filter(({ part }) => part === 'tested').length > 1 && (
                <ButtonLink to={`/trials/new/plan?follow=${trial.id}`}>
                  Plan a follow-up: swap one product
                </ButtonLink>
              )}
            {trial.status === 'planned' && (
              <ButtonLink to={`/trials/${trial.id}/plan`}>Change the plan</ButtonLink>
            )}
            {trial.status === 'planned' && isCompared(trial.design) && isOutcome(trial.primary) && (
              <ButtonLink to={`/trials/${trial.id}/sample`}>Try it with sample ratings</ButtonLink>
            )}
          </>
        }
      />
      {trial.endReason && (
        <p className="mb-4 border-l-4 border-mango pl-4">
          Ended early: <q>{trial.endReason}</q>
        </p>
      )}
      {wearer.data?.underAge && (
        <div className="mb-4">
          <Caution>
            {trial.wearerName} is under age: consent by {wearer.data.guardian}. No essential oils or strong
            cooling agents, nothing near the eyes, short sessions, no tight styles.
          </Caution>
        </div>
      )}
      <Prepared trial={trial} />
      <Facts trial={trial} />
      <section className="mt-8" aria-labelledby="ribbons">
        <h2 id="ribbons" className="text-xl">
          The wash days, step by step
        </h2>
        <p className="mb-3 text-soft">
          The green band is what stays the same; what is under test stands out in the option’s colour.
        </p>
        <RibbonStack caption="Planned and actual wash days" columns={columns} rows={rows} />
      </section>
      <div className="mt-8 grid gap-10 lg:grid-cols-2">
        <section aria-labelledby="lot">
          <h2 id="lot" className="text-xl">
            Random order
          </h2>
          <AllocationStrip trial={trial} />
          <p className="mt-2 text-soft">
            {trial.seed === null
              ? 'Drawn and stored. Which option a wash day has shows when it begins, so that nothing before it can lean towards one.'
              : `Drawn as “${DESIGNS[trial.design].label}” from seed ${trial.seed}: ${DESIGNS[trial.design].says.toLowerCase()}`}
          </p>
        </section>
        <WashDayList trial={trial} />
      </div>
      <Memos of={{ kind: 'trial', id: trial.id }} />
      <PanelPart trial={trial} />
      <BlindPart trial={trial} />
      <IdeasPart trial={trial} />
      <RetestPart trial={trial} />
      <Amendments trial={trial} />
      <PreparePart trial={trial} />
      <OnRecordPart trial={trial} />
      <div className="mt-10 flex flex-wrap gap-3 border-t border-rule pt-5">
        <a
          className="inline-flex min-h-10 items-center underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
          href={`/api/trials/${trial.id}/readings.csv`}
          download
        >
          Readings as CSV
        </a>
        {!trial.endedAt && trial.status === 'running' && <EndTrial trial={trial} />}
      </div>
    </>
  );
}

function StartWashDay({ trial }: { trial: TrialDetail }) {
  const leave = useGoOn();
  const start = useChange((id: string) =>
    put(`/wash-days/${id}`, { trialId: trial.id, startedAt: new Date().toISOString() }),
  );
  const begin = () => {
    const id = v7();
    const goOn = leave();
    // The promise outlives this button, which goes as soon as the day is under way.
    start.mutateAsync(id).then(
      () => goOn(`/wash-days/${id}`),
      () => {},
    );
  };
  return (
    <>
      <Button look="main" onClick={begin} disabled={start.isPending}>
        Start wash day {trial.washDaysDone + 1}
      </Button>
      {start.isError && (
        <p role="alert" className="font-semibold text-brick">
          {start.error.message}
        </p>
      )}
      <EnterPast trial={trial} />
    </>
  );
}
