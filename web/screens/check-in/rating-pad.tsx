import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { type ReactNode, useState } from 'react';
import { valueTint } from '../../drawings/tint.ts';
import { FootBar } from '../../ui/foot-bar.tsx';
import { MessageRoom } from '../../ui/message-room.tsx';
import { Caution } from '../../ui/states.tsx';

/** One side of a head that is rated for itself. */
export interface PadSide {
  key: 'left' | 'right';
  /** Which option lies there, by name or code. */
  name: ReactNode;
  /** What it is rated now: a number all its zones share, or null. */
  value: number | null;
  /** Yesterday’s number, shown only once today’s is in. */
  before: number | null;
}

const NUMBERS = Array.from({ length: 11 }, (_, i) => i);
const HALVES = NUMBERS.slice(0, -1).map((i) => i + 0.5);
const toggle = (on: boolean) =>
  `min-h-11 whitespace-nowrap rounded-tag border px-2 text-[0.95rem] font-semibold ${on ? 'border-ink bg-ink text-paper' : 'border-ink/30 bg-sheet'}`;

/** What 0, 5 and 10 look like, and the numbers to tap, in wholes or halves; side by side where two options lie. */
export function RatingPad({
  outcome,
  zones,
  rate,
  sides,
  rateSide,
  goesOn,
  setGoesOn,
}: {
  outcome: Outcome;
  /** How many zones the next number is for. */
  zones: number;
  rate: (value: number) => void;
  /** Left and right, where each is rated for itself; null for the chosen zones alone. */
  sides: readonly PadSide[] | null;
  rateSide: (side: 'left' | 'right', value: number) => void;
  /** Whether the next outcome follows by itself. */
  goesOn: boolean;
  setGoesOn: (to: boolean) => void;
}) {
  const [half, setHalf] = useState(false);
  const [same, setSame] = useState(false);
  const { label, says, anchors } = OUTCOMES[outcome];
  const apart = sides !== null && !same ? sides : null;
  const numbers = half ? HALVES : NUMBERS;
  const forZones = zones === 1 ? 'For one zone:' : `For ${zones} zones:`;
  const aboutWhat = apart ? 'Each side by itself:' : zones === 0 ? 'Choose a zone on the head.' : forZones;
  const toggles = (
    <>
      <button type="button" aria-pressed={half} onClick={() => setHalf(!half)} className={toggle(half)}>
        {half ? 'whole points' : '½ points'}
      </button>
      {sides && (
        <button type="button" aria-pressed={same} onClick={() => setSame(!same)} className={toggle(same)}>
          same both sides
        </button>
      )}
      <button
        type="button"
        aria-pressed={goesOn}
        onClick={() => setGoesOn(!goesOn)}
        className={toggle(goesOn)}
      >
        go on by itself
      </button>
    </>
  );
  const pad = (press: (value: number) => void, prefix: string, chosen: number | null, tall: boolean) => (
    <div className={`grid gap-1.5 ${tall ? 'grid-cols-5 sm:grid-cols-6' : 'grid-cols-6'}`}>
      {numbers.map((value) => (
        <button
          key={value}
          type="button"
          disabled={zones === 0}
          onClick={() => press(value)}
          className={`figure rounded-tag border disabled:opacity-40 ${tall ? 'min-h-16 text-2xl' : 'min-h-11 text-xl'} ${chosen === value ? 'border-2 border-ink' : 'border-ink/30'}`}
          style={{ background: valueTint(value) }}
          aria-label={`${prefix} ${value}`}
          aria-pressed={chosen === value}
        >
          {value}
        </button>
      ))}
      {tall && (
        // Beside the last number, where it stands alone.
        <div
          className={`flex flex-wrap items-center gap-1.5 sm:col-span-6 ${half ? 'col-span-5' : 'col-span-4'}`}
        >
          {toggles}
        </div>
      )}
    </div>
  );
  return (
    <>
      <h2 id="rate" className="text-xl">
        {label} <span className="font-sans text-base font-normal text-soft">{says}</span>
      </h2>
      <dl className="my-1 text-sm leading-snug sm:my-2 sm:text-[0.95rem]">
        {([0, 5, 10] as const).map((mark) => (
          <div key={mark} className="flex gap-3">
            <dt className="figure w-6 text-right">{mark}</dt>
            <dd className="text-soft">{anchors[mark]}</dd>
          </div>
        ))}
      </dl>
      {outcome === 'scalp' && (
        <Caution>
          Burning, swelling, hives or trouble breathing: wash it out and stop using it, trial or not. Keep to
          the label, and ask a doctor; for anything severe call for help at once.
        </Caution>
      )}
      <FootBar className="gap-1 bg-paper pb-1">
        {/* What was just rated, with its way back, takes the place of this line: it hides nothing, and no number moves. */}
        <MessageRoom>
          <p className="font-semibold" aria-live="polite">
            {aboutWhat}
          </p>
        </MessageRoom>
        {apart
          ? apart.map(({ key, name, value, before }) => (
              <fieldset key={key}>
                <legend className="mb-0.5 flex w-full items-baseline gap-2">
                  <span className="font-semibold">{key === 'left' ? 'Left' : 'Right'}</span> {name}
                  <span className="figure ml-auto">{value ?? '–'}</span>
                  {value !== null && before !== null && (
                    <span className="text-sm text-soft">the day before {before.toFixed(1)}</span>
                  )}
                </legend>
                {pad((to) => rateSide(key, to), key === 'left' ? 'Left' : 'Right', value, false)}
              </fieldset>
            ))
          : pad(rate, 'Rate', null, true)}
        {apart && <div className="flex flex-wrap gap-1.5">{toggles}</div>}
      </FootBar>
    </>
  );
}
