import type { Product } from '@sabor/contract/shelf';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { minutesSpent, unpausedMs } from '@sabor/core/basin/minutes';
import { gramsUsed } from '@sabor/core/basin/stable-reading';
import { FELT, type Felt } from '@sabor/core/felt/felt';
import { PLACES } from '@sabor/core/hair/zones';
import { labelWay } from '@sabor/core/shelf/label-directions';
import { MARK_REASONS, MARKS, PAUSE_REASONS, SKIP_REASONS } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import { ideaInWords } from '@sabor/words/idea';
import { labelWayInWords } from '@sabor/words/label-directions';
import { useState } from 'react';
import { makeTap } from '../../offline/outbox.ts';
import { TextField } from '../../ui/inputs.tsx';

const pauseText = ({ from, to, reason }: WashStep['pauses'][number]) => {
  const minutes = to === null ? null : Math.round((Date.parse(to) - Date.parse(from)) / 60_000);
  const why = reason === 'untold' ? '' : `: ${PAUSE_REASONS[reason].label}`;
  return `paused${minutes === null ? '' : ` ${minutes} min`}${why}`;
};

/** A step whose planned minutes were taken over without its clock ever running. */
const notTimed = ({ status, startedAt, minutes, planned }: WashStep) =>
  status === 'done' && startedAt === null && minutes !== null && minutes === planned?.minutes;

/** What was told of a step during the wash, in phrases. */
function toldOf(step: WashStep, products: readonly Product[]): string[] {
  const named = (id: string | null) => products.find((known) => known.id === id);
  const product = named(step.productId);
  const used = gramsUsed(step.weighed.before, step.weighed.after);
  return [
    ...(Object.entries(step.inHand) as [Felt, number][]).map(
      ([quality, value]) => `${FELT[quality].label.toLowerCase()}: ${FELT[quality].words[value]}`,
    ),
    ...(used && 'grams' in used ? [`weighed: ${used.grams.toFixed(1)} g used`] : []),
    ...step.pauses
      .filter(({ from, to }) => to === null || unpausedMs(Date.parse(from), Date.parse(to), []) > 0)
      .map(pauseText),
    ...(step.status === 'done' && product ? [labelWayInWords(labelWay(step, product.labelDirections))] : []),
    ...(notTimed(step) ? ['minutes not timed'] : []),
    ...(step.skipReason === null ? [] : [`skipped: ${SKIP_REASONS[step.skipReason].label}`]),
    ...step.ideas.map((one) => `next time: ${ideaInWords(one, named(one.productId)?.name ?? null)}`),
  ];
}

/** What hand, scale and clock told during the wash, step by step; reasons may be written here later. */
export function BasinTold({
  day,
  products,
  open,
}: {
  day: WashDay;
  products: readonly Product[];
  open: boolean;
}) {
  const spent = minutesSpent(day.steps, day.startedAt);
  const rows = day.steps
    .map((step, i) => {
      const product = products.find(({ id }) => id === step.productId);
      return { step, product, minutes: spent[i] ?? null, told: toldOf(step, products) };
    })
    .filter(({ step, told }) => told.length > 0 || step.marks.length > 0);
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="told">
      <h2 id="told" className="mb-1 text-xl">
        Notes from the wash
      </h2>
      <ul>
        {rows.map(({ step, product, minutes, told }) => (
          <li key={step.id} className="border-b border-rule py-1.5">
            <span className="font-semibold">
              {SLOTS[step.slot].label}
              {step.half ? `, ${step.half} half` : ''}
            </span>{' '}
            <span className="text-soft">
              {[product?.name, minutes === null || minutes < 0.5 ? null : `${Math.round(minutes)} min`]
                .filter(Boolean)
                .join(' · ')}
            </span>
            {told.length > 0 && <span className="block">{told.join(' · ')}</span>}
            {step.marks.map((one) => (
              <div key={one.id} className="mt-1 border-l-4 border-mango pl-3">
                {MARKS[one.mark].label}
                {one.places.length > 0 &&
                  `, ${one.places.map((place) => PLACES[place].label.toLowerCase()).join(', ')}`}
                {one.reason === 'untold' ? '' : `: ${MARK_REASONS[one.reason].label}`}
                {open ? (
                  <MarkNote
                    key={one.note}
                    label={`More about “${MARKS[one.mark].label}”`}
                    words={one.note}
                    save={(note) =>
                      makeTap(day.id, {
                        kind: 'mark',
                        stepId: step.id,
                        markId: one.id,
                        mark: one.mark,
                        reason: one.reason,
                        note,
                      })
                    }
                  />
                ) : (
                  one.note && <q className="block">{one.note}</q>
                )}
              </div>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Words about a mark, sent as one tap when the field is left. */
function MarkNote({
  label,
  words,
  save,
}: {
  label: string;
  words: string;
  save: (note: string) => Promise<unknown>;
}) {
  const [text, setText] = useState(words);
  return (
    <TextField
      label={label}
      value={text}
      onChange={setText}
      onBlur={() => text !== words && void save(text)}
    />
  );
}
