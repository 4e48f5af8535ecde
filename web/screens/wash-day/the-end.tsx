import type { Product } from '@sabor/contract/shelf';
import type { NewTap } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { EFFORT, type Effort } from '@sabor/core/basin/effort';
import { SLOTS } from '@sabor/core/step/slots';
import { isForLater } from '@sabor/core/step/step';
import type { ReactNode } from 'react';
import { FootBar } from '../../ui/foot-bar.tsx';
import { MessageRoom } from '../../ui/message-room.tsx';
import { big, chip } from './big.ts';
import { DayFigures } from './day-figures.tsx';

/** After the last step: what was passed over, the day in figures, how hard it was, and the end of the routine. */
export function TheEnd({
  day,
  daysSince,
  products,
  tell,
  finish,
  back,
  goTo,
  photo,
}: {
  day: WashDay;
  daysSince: number | null;
  products: readonly Product[];
  tell: (said: NewTap, words: string, undo?: NewTap) => void;
  finish: () => void;
  back: () => void;
  goTo: (step: WashStep) => void;
  /** What is worth a photograph now. */
  photo: ReactNode;
}) {
  const left = day.steps.filter((step) => step.status === 'waiting');
  const waiting = left.filter((step) => !isForLater(step));
  const later = left.filter(isForLater);
  const scale = (field: Effort) => (
    <fieldset className="mt-4">
      <legend className="text-xl">{EFFORT[field].label}:</legend>
      <div className="flex flex-wrap gap-2">
        {EFFORT[field].words.map((word, value) => (
          <button
            key={word}
            type="button"
            className={chip}
            aria-pressed={day[field] === value}
            onClick={() =>
              tell(
                { kind: 'day', set: { [field]: day[field] === value ? null : value } },
                `${EFFORT[field].label}: ${word}.`,
                { kind: 'day', set: { [field]: day[field] } },
              )
            }
          >
            {word}
          </button>
        ))}
      </div>
    </fieldset>
  );
  return (
    <section className="flex flex-1 flex-col" aria-labelledby="end">
      <div className="flex-1">
        <h1 id="end" className="text-5xl sm:text-6xl">
          The routine is through
        </h1>
        <p className="mt-3 text-xl">
          {day.steps.filter(({ status }) => status === 'done').length} done,{' '}
          {day.steps.filter(({ status }) => status === 'skipped').length} skipped.
        </p>
        {waiting.length > 0 && (
          <div className="mt-4 border-l-4 border-amber pl-4 text-lg">
            <p>Not recorded yet; finishing counts them as skipped:</p>
            <ul className="mt-2 flex flex-wrap gap-3">
              {waiting.map((step) => (
                <li key={step.id}>
                  <button
                    type="button"
                    className="min-h-12 underline underline-offset-4"
                    onClick={() => goTo(step)}
                  >
                    {SLOTS[step.slot].label}
                    {step.half ? ` ${step.half}` : ''}
                  </button>
                </li>
              ))}
            </ul>
          </div>
        )}
        {later.length > 0 && (
          <p className="mt-4 text-lg">
            {later.map(({ slot }) => SLOTS[slot].label).join(', ')}: waits for its day; the wash day’s page
            takes you there.
          </p>
        )}
        {scale('strain')}
        {scale('patience')}
        <DayFigures day={day} daysSince={daysSince} products={products} dark />
        <p className="mt-4 text-lg text-paper/80">Days are counted from the finished hair.</p>
        {photo}
      </div>
      <FootBar className="grid-cols-3 gap-3 bg-ink pt-4 pb-2">
        {/* Who tells the effort finds no message over the patience. */}
        <MessageRoom className="col-span-3">
          <p className="text-lg leading-snug text-paper/80">
            Next: check in while it is wet, in the cast, and once it is finished.
          </p>
        </MessageRoom>
        <button type="button" className={`${big} col-span-2 bg-hibiscus text-paper`} onClick={finish}>
          Finish the routine
        </button>
        <button type="button" className={`${big} border-2 border-paper/60`} onClick={back}>
          Back
        </button>
      </FootBar>
    </section>
  );
}
