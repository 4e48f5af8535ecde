import type { NewTap } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { DRY_STOPS } from '@sabor/core/basin/take-down';
import { SHED_A_DAY, SHED_VERDICTS, shedSinceDetangle } from '@sabor/core/hair/measured/shed';
import { EVENTS, eventsOf } from '@sabor/core/outcomes/events';
import { counted } from '@sabor/words/numbers';
import { v7 } from 'uuid';
import type { Tell } from './asides.tsx';
import { chip } from './big.ts';

const STOPS = Object.keys(DRY_STOPS).map(Number) as (keyof typeof DRY_STOPS)[];
const CLOCK_AT = { 75: null, 80: 'dry80At', 90: 'dry90At', 100: 'dryAt' } as const;

/** How dry the hair is judged to be at a stop; its moment goes to the day's clocks, the last one to the step. */
export function HowDry({ step, day, tell }: { step: WashStep; day: WashDay; tell: Tell }) {
  const now = step.extra.stopAt;
  return (
    <fieldset>
      <legend className="text-lg">How dry</legend>
      <div className="flex flex-wrap gap-2">
        {STOPS.map((stop) => (
          <button
            key={stop}
            type="button"
            className={chip}
            aria-pressed={now === stop}
            onClick={() => {
              const field = CLOCK_AT[stop];
              if (field && day[field] === null)
                tell({ kind: 'day', set: { [field]: new Date().toISOString() } }, '');
              tell(
                { kind: 'step', stepId: step.id, set: { extra: { ...step.extra, stopAt: stop } } },
                `${DRY_STOPS[stop].label}: ${DRY_STOPS[stop].says}.`,
                { kind: 'step', stepId: step.id, set: { extra: step.extra } },
              );
            }}
          >
            {DRY_STOPS[stop].label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

const MORE = [1, 5, 20] as const;

/** Shed hairs, counted one by one or estimated in handfuls, against what is ordinary since the last detangle. */
export function Shed({ day, daysSince, tell }: { day: WashDay; daysSince: number | null; tell: Tell }) {
  const hairs = day.shedHairs;
  const found = hairs === null || daysSince === null ? null : shedSinceDetangle(hairs, daysSince);
  const set = (shedHairs: number | null, shedCounted: boolean): NewTap => ({
    kind: 'day',
    set: { shedHairs, shedCounted },
  });
  const back = set(hairs, day.shedCounted);
  return (
    <fieldset>
      <legend className="text-lg">
        Shed hairs{hairs === null ? '' : `: ${day.shedCounted ? '' : 'about '}${hairs}`}
      </legend>
      <div className="flex flex-wrap gap-2">
        {MORE.map((n) => (
          <button
            key={n}
            type="button"
            className={chip}
            onClick={() => {
              const inAll = (hairs ?? 0) + n;
              const isCounted = n === 1 && (hairs === null || day.shedCounted);
              tell(set(inAll, isCounted), `${isCounted ? '' : 'about '}${counted(inAll, 'hair')}.`, back);
            }}
          >
            {n === 1 ? 'one more' : `about ${n} more`}
          </button>
        ))}
        <button
          type="button"
          className={chip}
          disabled={hairs === null}
          onClick={() => tell(set(null, false), 'Shed hairs taken back.', back)}
        >
          not counted
        </button>
      </div>
      {hairs !== null && found === null && (
        <p role="status" className="text-lg">
          {SHED_A_DAY.low}–{SHED_A_DAY.high} a day are ordinary; how long ago it was last detangled is not
          known here.
        </p>
      )}
      {found && (
        <p
          role="status"
          className={`text-lg ${found.verdict === 'far above' ? 'font-semibold text-amber' : ''}`}
        >
          {SHED_VERDICTS[found.verdict].says}: {found.expected.low}–{found.expected.high} are ordinary for{' '}
          {daysSince === 1 ? 'one day' : `${daysSince} days`} since the last detangle.
          {found.verdict === 'far above' &&
            ' Should it stay so, or come out in patches, see a dermatologist.'}
        </p>
      )}
    </fieldset>
  );
}

const NIGHTS = eventsOf('night');

/** What protects the hair this night; each night of a set that dries for days is asked for by itself. */
export function Tonight({ day, on, tell }: { day: WashDay; on: string; tell: Tell }) {
  return (
    <fieldset>
      <legend className="text-lg">Tonight</legend>
      <div className="flex flex-wrap gap-2">
        {NIGHTS.map((event) => {
          const told = day.events.find((known) => known.kind === event && known.on === on);
          const say = (eventId: string, gone: boolean): NewTap => ({
            kind: 'event',
            eventId,
            event,
            on,
            gone,
          });
          const id = told?.id ?? v7();
          return (
            <button
              key={event}
              type="button"
              className={chip}
              aria-pressed={told !== undefined}
              onClick={() =>
                tell(
                  say(id, told !== undefined),
                  `Tonight: ${EVENTS[event].label.toLowerCase()}${told ? ', taken back' : ''}.`,
                  say(id, told === undefined),
                )
              }
            >
              {EVENTS[event].label}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}
