import type { WashStep } from '@sabor/contract/wash-day';
import { PAUSE_REASONS, type PauseReason } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import { v7 } from 'uuid';
import { chip } from './big.ts';
import { clockText, type RunningStep } from './clock.ts';

const REASONS = Object.keys(PAUSE_REASONS).filter((key) => key !== 'untold') as PauseReason[];

export interface PauseSaid {
  pauseId: string;
  from: string;
  to: string | null;
  reason: PauseReason;
}

/** A step's clock: counts down on wall-clock time, so that a reload or sleep does not stop it; overrun is shown. */
export function Timer({
  step,
  minutes,
  running,
  start,
  pause,
  goOn,
}: {
  step: WashStep;
  minutes: number;
  running: RunningStep | undefined;
  start: () => void;
  pause: (said: PauseSaid) => void;
  goOn: () => void;
}) {
  if (!running)
    return (
      <button
        type="button"
        onClick={start}
        className="min-h-16 rounded-tag border-2 border-paper px-5 text-xl font-semibold"
      >
        Start {minutes} min
      </button>
    );
  const { left, paused } = running;
  const over = left <= 0;
  const open = step.pauses.find(({ to }) => to === null);
  const now = () => new Date().toISOString();
  return (
    <div>
      <p className="flex items-baseline gap-3">
        <span className={`figure text-6xl ${over ? 'text-amber' : ''}`} role="timer">
          {over ? '+' : ''}
          {clockText(left)}
        </span>
        <span className="text-lg">
          {paused ? 'paused' : over ? `over ${minutes} min` : `left of ${minutes} min`}
        </span>
        <span className="sr-only" aria-live="assertive">
          {over ? 'Time is up.' : ''}
        </span>
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {open ? (
          <button
            type="button"
            className={chip}
            onClick={() => pause({ pauseId: open.id, from: open.from, to: now(), reason: open.reason })}
          >
            Go on
          </button>
        ) : (
          <button
            type="button"
            className={chip}
            onClick={() => pause({ pauseId: v7(), from: now(), to: null, reason: 'untold' })}
          >
            Pause
          </button>
        )}
        <button type="button" className={chip} onClick={goOn}>
          Next step meanwhile
        </button>
      </div>
      {open && (
        <fieldset className="mt-2">
          <legend className="text-lg">Why?</legend>
          <div className="flex flex-wrap gap-2">
            {REASONS.map((reason) => (
              <button
                key={reason}
                type="button"
                className={chip}
                aria-pressed={open.reason === reason}
                onClick={() => pause({ pauseId: open.id, from: open.from, to: null, reason })}
              >
                {PAUSE_REASONS[reason].label}
              </button>
            ))}
          </div>
        </fieldset>
      )}
    </div>
  );
}

/** Clocks of other steps that run meanwhile. */
export function ClockStrip({
  running,
  goTo,
}: {
  running: readonly RunningStep[];
  goTo: (step: WashStep) => void;
}) {
  if (running.length === 0) return null;
  return (
    <ul
      aria-label="Clocks running meanwhile"
      className="sticky top-0 z-10 mb-2 flex flex-wrap gap-2 bg-ink py-1"
    >
      {running.map(({ step, left, paused }) => (
        <li key={step.id}>
          <button
            type="button"
            onClick={() => goTo(step)}
            className={`flex min-h-16 items-center gap-2 rounded-tag border-2 px-4 text-lg ${left <= 0 ? 'border-amber text-amber' : 'border-paper/50'}`}
          >
            <span>
              {SLOTS[step.slot].label}
              {step.half ? ` ${step.half}` : ''}
            </span>
            <span className="figure text-2xl">
              {left <= 0 ? '+' : ''}
              {clockText(left)}
            </span>
            {paused && <span>paused</span>}
          </button>
        </li>
      ))}
    </ul>
  );
}
