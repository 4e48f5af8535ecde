import type { AirForWashDay, Due, Today } from '@sabor/contract/today';
import type { Trial } from '@sabor/contract/trial-record';
import { localToday } from '@sabor/core/time/today';
import { airForWashDayInWords, dueInWords } from '@sabor/words/today';
import { useToday, useTrials } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, InSlices, Loading } from '../../ui/states.tsx';
import { Memos } from '../memos/list.tsx';
import { NextUp } from './next-up.tsx';
import { FirstSteps, Road } from './road.tsx';
import { ToTryPart } from './to-try.tsx';
import { UnderWay } from './under-way.tsx';
import { wayTo } from './way-to.ts';

export function TodayScreen() {
  const today = useToday();
  const trials = useTrials();
  if (today.isPending || trials.isPending) return <Loading what="what is due" />;
  if (today.isLoadingError) return <Failed error={today.error} retry={today.refetch} />;
  if (trials.isLoadingError) return <Failed error={trials.error} retry={trials.refetch} />;
  return (
    <InSlices what="what is due">
      <WhatIsDue today={today.data} trials={trials.data} />
    </InSlices>
  );
}

function WhatIsDue({ today, trials }: { today: Today; trials: readonly Trial[] }) {
  const { due, toTry, air, empty, demo, road } = today;
  if (empty) return <FirstSteps road={road} />;
  const read = due.find((one) => one.kind === 'read');
  const rest = due.filter((one) => one !== read || !demo);
  return (
    <>
      <Heading
        title="Today"
        kicker={showDate(localToday())}
        actions={
          <>
            <ButtonLink to="/calendar">Calendar</ButtonLink>
            <ButtonLink to="/wash-days/new">Log a wash day</ButtonLink>
          </>
        }
      />
      {demo && read && (
        <section className="no-print mb-8 grid gap-6 rounded-tag bg-ink p-6 text-paper lg:grid-cols-[1fr_auto] lg:items-center">
          <div>
            <h2 className="text-2xl">A hair room picks a gel for the damp coast</h2>
            <p className="mt-2 max-w-2xl text-paper/85">
              This demo holds a finished trial: one wearer, two gels, eight wash days, everything else kept
              the same. See which did better, on which days, and how sure that is. All names and numbers are
              made up.
            </p>
          </div>
          <div className="flex flex-wrap gap-3">
            <ButtonLink look="main" to={wayTo(read).to}>
              Read the comparison
            </ButtonLink>
            <ButtonLink to="/trials/new/plan">Start your own trial</ButtonLink>
          </div>
        </section>
      )}
      {!road.compared && <Road road={road} />}
      <div className="grid gap-10 lg:grid-cols-[3fr_2fr]">
        <section aria-labelledby="due">
          <h2 id="due" className="mb-3 text-xl">
            Due
          </h2>
          {rest.length === 0 ? (
            <p className="text-soft">Nothing due today.</p>
          ) : (
            <ol className="divide-y divide-rule border-y border-rule">
              {rest.map((one) => (
                <DueRow key={`${one.kind} ${wayTo(one).to}`} due={one} />
              ))}
            </ol>
          )}
          <NextUp />
          <ToTryPart all={toTry} />
        </section>
        <div className="space-y-10">
          <AirAhead air={air} />
          <UnderWay trials={trials} />
          <Memos />
        </div>
      </div>
    </>
  );
}

/** What the air means for the wash days that wait. */
function AirAhead({ air }: { air: readonly AirForWashDay[] }) {
  const voice = useVoice();
  if (air.length === 0) return null;
  return (
    <section aria-labelledby="air">
      <h2 id="air" className="mb-3 text-xl">
        Air for the wash day
      </h2>
      <ul className="space-y-4">
        {air.map((one) => (
          <li key={one.trialId} className="border-l-4 border-leaf/50 pl-4">
            <p className="font-semibold">{one.question}</p>
            <p className="text-soft">{airForWashDayInWords(one, voice)}</p>
            <ButtonLink
              look="quiet"
              className="px-0!"
              to={one.place ? `/weather/${one.place.id}` : '/weather'}
            >
              {one.place ? 'The weather there' : 'Say where'}
              <span className="sr-only">: {one.question}</span>
            </ButtonLink>
          </li>
        ))}
      </ul>
    </section>
  );
}

function DueRow({ due }: { due: Due }) {
  const { to, label } = wayTo(due);
  const { title, says } = dueInWords(due, localToday());
  const urgent = due.kind === 'continue wash day' || due.kind === 'check-in';
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 py-4">
      <div className="min-w-0 flex-1 basis-72">
        <p className="font-semibold">{title}</p>
        <p className={due.kind === 'bottle' ? 'text-mango-deep' : 'text-soft'}>{says}</p>
      </div>
      <ButtonLink look={urgent ? 'main' : 'plain'} to={to}>
        {label}
      </ButtonLink>
    </li>
  );
}
