import type { Product } from '@sabor/contract/shelf';
import type { NewTap, StepSet } from '@sabor/contract/taps';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { routineMinutes } from '@sabor/core/basin/lay-out';
import { photoMoment } from '@sabor/core/basin/photo-moment';
import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { dayName } from '@sabor/words/day-name';
import { spokenStep } from '@sabor/words/spoken';
import { useEffect } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import { useAwake } from '../../devices/awake.ts';
import { useSpoken } from '../../devices/speaking.tsx';
import { armStyle } from '../../drawings/arm-style.ts';
import { armsOfDay } from '../../drawings/arms-of-day.ts';
import { makeTap } from '../../offline/outbox.ts';
import { SentLine } from '../../offline/sent-line.tsx';
import { ReasonDialog } from '../../ui/reason-dialog.tsx';
import { useSay } from '../../ui/undo.tsx';
import { ABANDONING, useAbandon } from './abandon.ts';
import { AirCard } from './air-card.tsx';
import { BeforeWash } from './before-wash.tsx';
import { cautionsOf } from './cautions-of.ts';
import { useClocks } from './clock.ts';
import { daysSinceDetangle } from './days-since-detangle.ts';
import { StepCard } from './step-card.tsx';
import { inputOf } from './step-input.ts';
import { TheEnd } from './the-end.tsx';
import { ClockStrip } from './timer.tsx';

interface Parts {
  day: WashDay;
  trial: TrialDetail;
  wearer: Wearer;
  products: readonly Product[];
}

/**
 * The wash day during the wash: one step fills the screen. Where we are stands in the address (`?step=`), else at the
 * first step still waiting, so that a reload comes back to the same step. Everything said goes as taps.
 */
export function Conductor({ day, trial, wearer, products }: Parts) {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const say = useSay();
  const abandon = useAbandon(day.id);
  const running = useClocks(day);
  useAwake();
  const tap = (said: NewTap) => void makeTap(day.id, said);
  const tell = (said: NewTap, words: string, undo?: NewTap) => {
    tap(said);
    if (words) say(words[0]!.toUpperCase() + words.slice(1), undo && (() => tap(undo)));
  };

  const { steps } = day;
  const asked = search.get('step');
  const waiting = steps.find((step) => step.status === 'waiting');
  const airAsked =
    asked === 'air' ||
    (asked === null && day.temperatureC === null && steps.every((step) => step.status === 'waiting'));
  const at = airAsked
    ? -1
    : asked === 'end'
      ? steps.length
      : steps.findIndex((step) => step.id === (steps.some(({ id }) => id === asked) ? asked : waiting?.id));
  const place = airAsked || at >= 0 ? at : steps.length;
  const go = (to: number) =>
    setSearch({ step: to < 0 ? 'air' : (steps[to]?.id ?? 'end') }, { replace: true });
  useEffect(() => {
    scrollTo(0, 0);
  }, [place]);

  const settle = (step: WashStep, set: StepSet, said: string) => {
    const before = Object.fromEntries(
      Object.keys(set).map((key) => [key, step[key as keyof StepSet]]),
    ) as StepSet;
    tell({ kind: 'step', stepId: step.id, set }, '');
    say(said, () => {
      tap({ kind: 'step', stepId: step.id, set: before });
      go(steps.indexOf(step));
    });
    go(steps.indexOf(step) + 1);
  };
  const addStep = (slot: Slot) => {
    const before = steps[place - 1]?.position ?? -1;
    const after = steps[place]?.position ?? before + 1;
    const stepId = v7();
    tap({ kind: 'add-step', stepId, slot, position: (before + after) / 2 });
    setSearch({ step: stepId }, { replace: true });
  };
  const takeOut = (step: WashStep) => {
    tap({ kind: 'take-out', stepId: step.id });
    go(place);
    const { id: _, slot, position, ...set } = inputOf(step);
    say(`${SLOTS[slot].label} is removed.`, () => {
      const stepId = v7();
      tap({ kind: 'add-step', stepId, slot, position });
      tap({ kind: 'step', stepId, set });
    });
  };
  const nameOf = (id: string | null) => products.find((known) => known.id === id)?.name ?? null;
  const step = steps[place];
  const following = steps[place + 1];
  const speaking = useSpoken(step ? spokenStep(step, nameOf(step.productId)) : null);
  const all = armsOfDay(trial, day);
  const arms = step?.half ? [step.half === 'right' ? all.at(-1)! : all[0]!] : all;
  const moment = photoMoment(steps, place);
  const photo = moment && !day.photographs.some(({ stage }) => stage === moment) && (
    <PhotoOffer dayId={day.id} stage={moment} />
  );
  const aboutDay = day.status === 'under way' && (
    <>
      <Link
        to={`/wash-days/${day.id}/afterwards`}
        className="inline-flex min-h-11 items-center underline underline-offset-4"
      >
        Enter it in one sheet
      </Link>
      <ReasonDialog
        trigger="Abandon this wash day"
        title="Abandon this wash day?"
        label="What happened"
        send={abandon.mutateAsync}
      >
        {ABANDONING}
      </ReasonDialog>
    </>
  );
  return (
    <div className="basin-screen fixed inset-0 z-40 overflow-y-auto bg-ink text-paper">
      <div className="mx-auto flex min-h-full max-w-3xl flex-col px-4 pt-3 sm:px-8">
        <header className="flex items-center justify-between gap-3">
          <Link
            to={trial.logged ? '/wash-days' : `/trials/${trial.id}`}
            className="inline-flex min-h-11 items-center underline underline-offset-4"
          >
            Exit (all saved)
          </Link>
          <p className="text-right text-[0.95rem]">
            {dayName(trial, day.position)}
            {!trial.logged && ' · '}
            {(trial.logged ? [] : arms).map((arm, i) => (
              <span key={arm} className="font-semibold">
                {i > 0 && ' | '}
                <span aria-hidden="true" style={{ color: armStyle(arm).hue }}>
                  {armStyle(arm).marker}
                </span>{' '}
                {trial.arms[arm]?.name}
              </span>
            ))}
          </p>
        </header>
        <Progress steps={steps} place={place} go={go} />
        <SentLine day={day} />
        <ClockStrip
          running={running.filter((one) => one.step.id !== step?.id)}
          goTo={(other) => go(steps.indexOf(other))}
        />
        {place < 0 ? (
          <AirCard
            day={day}
            save={(air) => makeTap(day.id, { kind: 'day', set: air })}
            next={() => go(waiting ? steps.indexOf(waiting) : 0)}
          >
            <BeforeWash day={day} trial={trial} timeZone={wearer.timeZone} tell={tell} />
          </AirCard>
        ) : step ? (
          <StepCard
            key={step.id}
            step={step}
            day={day}
            daysSince={daysSinceDetangle(day, trial)}
            tonight={wearDate(new Date().toISOString(), wearer.timeZone)}
            n={place + 1}
            of={steps.length}
            next={
              following
                ? `${SLOTS[following.slot].label}${following.half ? `, ${following.half} half` : ''}`
                : null
            }
            toGo={minutesToGo(steps)}
            running={running.find((one) => one.step.id === step.id)}
            products={products}
            cautions={cautionsOf(step, day, products, wearer, place === 0)}
            tell={tell}
            settle={(to, said) => settle(step, to, said)}
            back={() => go(place - 1)}
            goOn={() => go(place + 1)}
            addStep={addStep}
            takeOut={step.planStepId === null ? () => takeOut(step) : null}
            photo={photo}
            aboutDay={
              <>
                {speaking}
                {aboutDay}
              </>
            }
          />
        ) : (
          <TheEnd
            day={day}
            photo={photo}
            daysSince={daysSinceDetangle(day, trial)}
            products={products}
            back={() => go(steps.length - 1)}
            goTo={(missed) => go(steps.indexOf(missed))}
            tell={tell}
            finish={() => {
              tap({ kind: 'finish' });
              navigate(`/wash-days/${day.id}`);
            }}
          />
        )}
        {!step && (
          <div className="flex flex-wrap items-center justify-between gap-3 pt-6 pb-3">{aboutDay}</div>
        )}
      </div>
    </div>
  );
}

/** Minutes from the plan's clocks, and an assumed time for steps without one, until hands are free. */
const minutesToGo = (steps: readonly WashStep[]): number =>
  routineMinutes(
    steps.filter(({ status }) => status === 'waiting'),
    [],
  );

/** The wet hair, or the cast, while it is there to be photographed. */
const PhotoOffer = ({ dayId, stage }: { dayId: string; stage: 'wet' | 'cast' }) => (
  <Link
    to={`/wash-days/${dayId}/photographs/${stage}`}
    className="mt-3 inline-flex min-h-16 items-center text-xl font-semibold underline underline-offset-4"
  >
    {stage === 'wet' ? 'Photograph it wet' : 'Photograph it in the cast'}
  </Link>
);

/** Where we are on the ribbon. */
function Progress({
  steps,
  place,
  go,
}: {
  steps: readonly WashStep[];
  place: number;
  go: (to: number) => void;
}) {
  return (
    <nav aria-label="Steps" className="my-2">
      <ol className="flex">
        {steps.map((step, i) => (
          <li key={step.id} className="flex-1">
            <button
              type="button"
              onClick={() => go(i)}
              aria-current={i === place ? 'step' : undefined}
              aria-label={`${i + 1}: ${SLOTS[step.slot].label}${step.half ? ` ${step.half}` : ''}, ${step.status}`}
              className="flex min-h-8 w-full items-center"
            >
              <span
                className={`block w-full ${i === place ? 'h-5 bg-paper' : step.status === 'done' ? 'h-3 bg-done' : step.status === 'skipped' ? 'h-3 border-2 border-dashed border-mango' : 'h-3 bg-paper/25'}`}
              />
            </button>
          </li>
        ))}
      </ol>
    </nav>
  );
}
