import type { Product } from '@sabor/contract/shelf';
import type { NewTap, StepSet } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { unpausedMs } from '@sabor/core/basin/minutes';
import { departures } from '@sabor/core/step/departures';
import { SKIP_REASONS, type SkipReason } from '@sabor/core/step/marks';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { weighedBy } from '@sabor/core/step/weighed';
import { keysOf } from '@sabor/core/vocabulary';
import { doseInWords } from '@sabor/words/dose';
import { departureInWords, stepInWords } from '@sabor/words/step';
import { lazy, type ReactNode, Suspense, useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { useVoice } from '../../api/voice.ts';
import { FootBar } from '../../ui/foot-bar.tsx';
import { MessageRoom } from '../../ui/message-room.tsx';
import { Asides, toldOf } from './asides.tsx';
import { big, chip } from './big.ts';
import { clockMinutes, type RunningStep } from './clock.ts';
import { TakeDownStop } from './take-down-stop.tsx';
import { Timer } from './timer.tsx';

const loadChange = () => import('./change-step.tsx');
const ChangeStep = lazy(async () => ({ default: (await loadChange()).ChangeStep }));

/** Four side by side on a phone. */
const low = 'min-h-16 rounded-tag border-2 border-paper/60 px-1 text-lg font-semibold sm:text-xl';

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
  const [skipping, setSkipping] = useState(false);
  const skip = (skipReason: SkipReason) =>
    settle(
      { status: 'skipped', doneAt: null, skipReason },
      `${slot.label}: skipped, ${SKIP_REASONS[skipReason].label}.`,
    );
  const slot = SLOTS[step.slot];
  const product = products.find(({ id }) => id === step.productId);
  const minutes = clockMinutes(step);
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
  const told = toldOf(step);
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
        {over && (
          <p className="text-lg">
            {[
              step.code !== null && `bottle ${step.code}`,
              product?.name,
              step.dose && doseInWords(step.dose),
              how,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
        )}
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
          <>
            {step.code !== null && (
              <p className="figure mt-3 text-6xl leading-none">
                <span className="font-sans text-2xl">bottle </span>
                {step.code}
              </p>
            )}
            {product && <p className="mt-3 text-3xl font-semibold leading-tight">{product.name}</p>}
            {step.dose && <p className="figure mt-1 text-4xl text-amber">{doseInWords(step.dose)}</p>}
            {how && <p className="mt-2 text-2xl">{how}</p>}
            {/* What can hurt stands above the fold of a phone. */}
            {cautions.length > 0 && (
              <ul aria-label="Cautions" className="mt-4 space-y-1 rounded-tag bg-amber px-3 py-2 text-ink">
                {cautions.map(({ id, says }) => (
                  <li key={id}>{says}</li>
                ))}
              </ul>
            )}
            {minutes !== null && step.status === 'waiting' && (
              <div className="mt-5">
                <Timer
                  step={step}
                  minutes={minutes}
                  running={running}
                  start={() =>
                    tell(
                      { kind: 'step', stepId: step.id, set: { startedAt: new Date().toISOString() } },
                      `${slot.label}: ${minutes} min begun.`,
                      { kind: 'step', stepId: step.id, set: { startedAt: step.startedAt } },
                    )
                  }
                  pause={(said) => tell({ kind: 'pause', stepId: step.id, ...said }, '')}
                  goOn={goOn}
                />
              </div>
            )}
            {step.note && <p className="mt-3 text-lg">“{step.note}”</p>}
            {product?.labelDirections && (
              <p className="mt-3 text-paper/80">The label says: {product.labelDirections}</p>
            )}
            <p className="mt-2 text-lg text-paper/80">{slot.says}</p>
            {departed.length > 0 && (
              <ul className="mt-4 border-l-4 border-amber pl-3 text-lg" aria-label="Changes from plan">
                {departed.map((says) => (
                  <li key={says}>{says}</li>
                ))}
              </ul>
            )}
            {photo}
          </>
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
        <FootBar className="grid-cols-4 gap-2 bg-ink pt-4 pb-2 sm:gap-3">
          {skipping && <SkipReasons skip={skip} />}
          {wouldDepart.length > 0 && (
            <p id="would-depart" className="col-span-4 text-lg leading-snug text-amber">
              If done now: {wouldDepart.join(' ')}
            </p>
          )}
          {/* Who taps one step or one note after the other finds no message over the next. */}
          <MessageRoom className="col-span-4">
            <p className="text-lg leading-snug text-paper/80">
              {over === 'notes' ? 'Each tap is kept at once.' : whatComes(next, toGo)}
            </p>
          </MessageRoom>
          <button
            type="button"
            className={`${big} ${over === 'notes' ? 'col-span-2 px-2 text-lg!' : 'col-span-4'} bg-hibiscus text-paper`}
            aria-describedby={wouldDepart.length > 0 ? 'would-depart' : undefined}
            onClick={accept}
          >
            {step.status === 'done' ? 'Keep it, go on' : doneLabel(step, timed().minutes)}
          </button>
          {over === 'notes' ? (
            <button
              type="button"
              className={`${big} col-span-2 border-2 border-paper/60 px-2 text-lg!`}
              onClick={() => setOver(null)}
            >
              Back to the step
            </button>
          ) : (
            <>
              <button type="button" className={low} onClick={back}>
                Back
              </button>
              <button
                type="button"
                className={low}
                aria-expanded={skipping}
                onClick={() => setSkipping(!skipping)}
              >
                Skip …
              </button>
              <button type="button" className={low} onClick={() => setOver('change')}>
                Change
              </button>
              <button type="button" className={low} onClick={() => setOver('notes')}>
                Notes{told > 0 && <span className="figure"> {told}</span>}
              </button>
            </>
          )}
        </FootBar>
      )}
    </section>
  );
}

const whatComes = (next: string | null, toGo: number): string =>
  [next && `Next: ${next}`, toGo >= 1 && `about ${Math.round(toGo)} min to go`].filter(Boolean).join(' · ');

/** What Done will store of the minutes: what its clock ran, beside what was planned. */
function doneLabel(step: WashStep, ran: number | undefined): string {
  if (step.status !== 'waiting' || step.minutes === null) return 'Done';
  const minutes = (x: number) => `${Number(x.toFixed(x < 10 ? 1 : 0))} min`;
  // A clock that has only just begun has told nothing yet.
  if (ran === undefined && step.startedAt !== null) return 'Done';
  return ran === undefined
    ? 'Done · minutes not timed'
    : `Done · ${minutes(ran)} (plan ${Number(step.minutes.toFixed(1))})`;
}

/** Why a step is skipped: the tap that says why is the one that skips. */
const SkipReasons = ({ skip }: { skip: (reason: SkipReason) => void }) => (
  <fieldset className="col-span-4">
    <legend className="mb-1 text-lg">Skip it, because:</legend>
    <div className="flex flex-wrap gap-2">
      {keysOf(SKIP_REASONS).map((reason) => (
        <button key={reason} type="button" className={chip} onClick={() => skip(reason)}>
          {SKIP_REASONS[reason].label}
        </button>
      ))}
    </div>
  </fieldset>
);

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
