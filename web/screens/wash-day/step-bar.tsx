import type { WashStep } from '@sabor/contract/wash-day';
import { SKIP_REASONS, type SkipReason } from '@sabor/core/step/marks';
import { keysOf } from '@sabor/core/vocabulary';
import { useState } from 'react';
import { FootBar } from '../../ui/foot-bar.tsx';
import { MessageRoom } from '../../ui/message-room.tsx';
import { big, chip } from './big.ts';

/** Four side by side on a phone. */
const low = 'min-h-16 rounded-tag border-2 border-paper/60 px-1 text-lg font-semibold sm:text-xl';

/** What a hand can tap at a step: done as planned, and what lies one tap away; the last message lies among it. */
export function StepBar({
  step,
  ran,
  wouldDepart,
  next,
  toGo,
  told,
  overNotes,
  accept,
  skip,
  back,
  open,
}: {
  step: WashStep;
  /** The minutes its clock has run, where it ran. */
  ran: number | undefined;
  /** What would go otherwise than planned, were it done now. */
  wouldDepart: readonly string[];
  /** What comes after it, in words; null for the last. */
  next: string | null;
  /** Minutes until hands are free, as far as it can be told. */
  toGo: number;
  /** So many things were noted at this step. */
  told: number;
  overNotes: boolean;
  accept: () => void;
  skip: (reason: SkipReason) => void;
  back: () => void;
  /** Lays something over the step, or takes it away. */
  open: (over: 'change' | 'notes' | null) => void;
}) {
  const [skipping, setSkipping] = useState(false);
  return (
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
          {overNotes ? 'Each tap is kept at once.' : whatComes(next, toGo)}
        </p>
      </MessageRoom>
      <button
        type="button"
        className={`${big} ${overNotes ? 'col-span-2 px-2 text-lg!' : 'col-span-4'} bg-hibiscus text-paper`}
        aria-describedby={wouldDepart.length > 0 ? 'would-depart' : undefined}
        onClick={accept}
      >
        {step.status === 'done' ? 'Keep it, go on' : doneLabel(step, ran)}
      </button>
      {overNotes ? (
        <button
          type="button"
          className={`${big} col-span-2 border-2 border-paper/60 px-2 text-lg!`}
          onClick={() => open(null)}
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
          <button type="button" className={low} onClick={() => open('change')}>
            Change
          </button>
          <button type="button" className={low} onClick={() => open('notes')}>
            Notes{told > 0 && <span className="figure"> {told}</span>}
          </button>
        </>
      )}
    </FootBar>
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
