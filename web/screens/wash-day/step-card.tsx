import type { Product } from '@sabor/contract/shelf';
import type { NewTap, StepSet } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { unpausedMs } from '@sabor/core/basin/minutes';
import { departures } from '@sabor/core/step/departures';
import { SKIP_REASONS } from '@sabor/core/step/marks';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { weighedBy } from '@sabor/core/step/weighed';
import { doseInWords } from '@sabor/words/dose';
import { departureInWords, stepInWords } from '@sabor/words/step';
import { lazy, type ReactNode, Suspense, useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { useVoice } from '../../api/voice.ts';
import { MessageRoom } from '../../ui/message-room.tsx';
import { Asides, toldOf } from './asides.tsx';
import type { RunningStep } from './clock.ts';
import { StepBar } from './step-bar.tsx';
import { StepTold } from './step-told.tsx';
import { TakeDownStop } from './take-down-stop.tsx';

const loadChange = () => import('./change-step.tsx');
const ChangeStep = lazy(async () => ({ default: (await loadChange()).ChangeStep }));

/** What answers the Enter key by itself. */
const PRESSED_ITSELF = 'a, button, input, select, textarea, summary, [role="dialog"], [contenteditable]';

/** One step of the wash day: what to do, large; accept it as planned, or say what was done instead. */
export function StepCard({
  step,
  day,
  daysSince,
  tonight,
  n,
  of,
  next,
  toGo,
  running,
  products,
  cautions,
  tell,
  settle,
  back,
  goOn,
  addStep,
  takeOut,
  photo,
  aboutDay,
}: {
  step: WashStep;
  day: WashDay;
  daysSince: number | null;
  /** The date of the night that comes, or is under way, where the wearer lives. */
  tonight: string;
  n: number;
  of: number;
  /** What comes after it, in words; null for the last. */
  next: string | null;
  /** Minutes until hands are free, as far as it can be told. */
  toGo: number;
  running: RunningStep | undefined;
  products: readonly Product[];
  cautions: readonly { id: string; says: string }[];
  tell: (said: NewTap, words: string, undo?: NewTap) => void;
  settle: (to: StepSet, said: string) => void;
  back: () => void;
  goOn: () => void;
  addStep: (slot: Slot) => void;
  takeOut: (() => void) | null;
  /** What is worth a photograph before this step is done. */
  photo: ReactNode;
  /** What can be done about the whole wash day, beside this step. */
  aboutDay: ReactNode;
}) {
  /** What lies over the step. */
  const [over, setOver] = useState<'change' | 'notes' | null>(null);
  const slot = SLOTS[step.slot];
  const product = products.find(({ id }) => id === step.productId);
  /** The minutes its clock has run, where it ran; they are stored with the step. */
  const timed = (): { minutes?: number } => {
    if (step.status !== 'waiting' || step.startedAt === null) return {};
    const ran = unpausedMs(Date.parse(step.startedAt), Date.now(), step.pauses) / 60_000;
    return ran > 0.05 ? { minutes: Math.round(ran * 10) / 10 } : {};
  };
  const done = (to: StepSet = {}) =>
    settle(
      { status: 'done', doneAt: step.doneAt ?? new Date().toISOString(), ...timed(), ...to },
      `${slot.label}: done.`,
    );
  const taking = step.slot === 'set' && step.status === 'waiting';
  const [asking, setAsking] = useState(false);
  const accept = () => (taking ? setAsking(true) : done());
  const shortcut = useRef(accept);
  shortcut.current = accept;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === 'Enter' && !(event.target instanceof Element && event.target.closest(PRESSED_ITSELF)))
        shortcut.current();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
  const voice = useVoice();
  const how = stepInWords({ ...step, productId: null, dose: null, minutes: null }, voice, { between: ' · ' });
  const against = (as: WashStep) =>
    departures(as, weighedBy(products)).map((one) => departureInWords(one, voice));
  const departed = against(step);
  // Said on the button before it is stored.
  const wouldDepart =
    step.status === 'waiting'
      ? against({ ...step, ...timed(), status: 'done' }).filter((says) => !departed.includes(says))
      : [];
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.focus({ preventScroll: true });
    // Changing a step must not wait for the server.
    loadChange().catch(() => {});
  }, []);
  const summary = (
    <p className="text-lg">
      {[step.code !== null && `bottle ${step.code}`, product?.name, step.dose && doseInWords(step.dose), how]
        .filter(Boolean)
        .join(' · ')}
    </p>
  );
  return (
    <section className="flex flex-1 flex-col" aria-labelledby="step">
      <div className="flex-1">
        <p className="text-lg text-paper/80">
          Step {n} of {of}
          {step.planned === null && ' · not in the plan'}
          {step.status !== 'waiting' && ` · ${step.status}`}
        </p>
        {step.half && <HalfBand half={step.half} />}
        <h1
          id="step"
          ref={heading}
          tabIndex={-1}
          className={`${over ? 'text-3xl' : 'text-5xl sm:text-6xl'} leading-tight outline-none`}
        >
          {slot.label}
        </h1>
        {over === 'notes' && summary}
        {/* What was said of the step before lies over nothing here either. */}
        {over === 'change' && <MessageRoom>{summary}</MessageRoom>}
        {over === 'notes' ? (
          <>
            <Asides
              step={step}
              day={day}
              daysSince={daysSince}
              tonight={tonight}
              products={products}
              tell={tell}
            />
            <div className="mt-6 flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-paper/30 pt-4">
              {aboutDay}
            </div>
          </>
        ) : over === 'change' ? (
          <Suspense>
            <ChangeStep
              step={step}
              products={products}
              cancel={() => setOver(null)}
              keep={(to) => {
                setOver(null);
                settle(
                  { ...to, status: 'done', doneAt: step.doneAt ?? new Date().toISOString() },
                  `${slot.label}: done, with changes.`,
                );
              }}
              addStep={addStep}
              takeOut={takeOut}
            />
          </Suspense>
        ) : (
          <StepTold
            step={step}
            product={product}
            how={how}
            departed={departed}
            cautions={cautions}
            running={running}
            tell={tell}
            goOn={goOn}
            photo={photo}
          />
        )}
      </div>
      {asking ? (
        <TakeDownStop
          stopAt={typeof step.planned?.extra.stopAt === 'number' ? step.planned.extra.stopAt : null}
          cancel={() => setAsking(false)}
          dry={(percent) => done({ extra: { ...step.extra, stopAt: percent } })}
          early={(percent, what) => {
            setAsking(false);
            if (what === 'wait') return;
            tell(
              {
                kind: 'mark',
                stepId: step.id,
                markId: v7(),
                mark: what === 'spot-dry' ? 'spot-dried' : 'early',
                reason: 'untold',
              },
              '',
            );
            if (what === 'spot-dry')
              tell(
                { kind: 'step', stepId: step.id, set: { heat: 'low' } },
                'Spot-dry, then say again how dry it is.',
              );
            else if (what === 'loose') done({ extra: { ...step.extra, stopAt: percent } });
            else setOver('change');
          }}
        />
      ) : over === 'change' ? null : (
        <StepBar
          step={step}
          ran={timed().minutes}
          wouldDepart={wouldDepart}
          next={next}
          toGo={toGo}
          told={toldOf(step)}
          overNotes={over === 'notes'}
          accept={accept}
          skip={(skipReason) =>
            settle(
              { status: 'skipped', doneAt: null, skipReason },
              `${slot.label}: skipped, ${SKIP_REASONS[skipReason].label}.`,
            )
          }
          back={back}
          open={setOver}
        />
      )}
    </section>
  );
}

/** Which half, so large and so far to its side that it cannot be taken for the other. */
function HalfBand({ half }: { half: 'left' | 'right' }) {
  return (
    <p
      className={`my-2 flex w-2/3 items-center gap-3 bg-paper px-4 py-2 text-4xl font-bold text-ink uppercase ${half === 'left' ? 'rounded-r-full' : 'ml-auto justify-end rounded-l-full'}`}
    >
      {half === 'left' && <span aria-hidden="true">◀</span>}
      {half} half
      {half === 'right' && <span aria-hidden="true">▶</span>}
    </p>
  );
}
