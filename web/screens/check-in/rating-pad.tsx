import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { useState } from 'react';
import { valueTint } from '../../drawings/tint.ts';
import { FootBar } from '../../ui/foot-bar.tsx';
import { Caution } from '../../ui/states.tsx';

/** What 0, 5 and 10 look like, and the numbers to tap, in wholes or halves. */
export function RatingPad({
  outcome,
  zones,
  rate,
}: {
  outcome: Outcome;
  /** How many zones the next number is for. */
  zones: number;
  rate: (value: number) => void;
}) {
  const [half, setHalf] = useState(false);
  const { label, says, anchors } = OUTCOMES[outcome];
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
      <p className="mb-1 font-semibold sm:mb-2" aria-live="polite">
        {zones === 0 ? 'Choose a zone on the head.' : `For ${zones === 1 ? 'one zone' : `${zones} zones`}:`}
      </p>
      <FootBar className="grid-cols-5 gap-1.5 bg-paper py-1 sm:grid-cols-6 sm:gap-2">
        {Array.from({ length: 11 }, (_, i) => (half ? Math.min(10, i + 0.5) : i)).map((value, i) =>
          half && i === 10 ? null : (
            <button
              key={value}
              type="button"
              disabled={zones === 0}
              onClick={() => rate(value)}
              className="figure min-h-16 rounded-tag border border-ink/30 text-2xl disabled:opacity-40"
              style={{ background: valueTint(value) }}
              aria-label={`Rate ${value}`}
            >
              {value}
            </button>
          ),
        )}
        <button
          type="button"
          aria-pressed={half}
          onClick={() => setHalf(!half)}
          className={`min-h-16 rounded-tag border px-2 font-semibold ${half ? 'border-ink bg-ink text-paper' : 'border-ink/30 bg-sheet'}`}
        >
          {half ? 'whole points' : '½ points'}
        </button>
      </FootBar>
    </>
  );
}
