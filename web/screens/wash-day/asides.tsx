import type { Product } from '@sabor/contract/shelf';
import type { NewTap } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { FELT, feltAtStep, SHED_SLOTS } from '@sabor/core/felt/felt';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { keysOf } from '@sabor/core/vocabulary';
import { useState } from 'react';
import { FiveWords } from '../../ui/five-words.tsx';
import { TellMemo } from '../memos/tell.tsx';
import { AmountWas } from './amount-was.tsx';
import { chip, small } from './big.ts';
import { HowDry, Shed, Tonight } from './hand-extras.tsx';
import { NextTime } from './next-time.tsx';
import { Otherwise, QUICK } from './otherwise.tsx';
import { Weigh } from './weigh.tsx';

export type Tell = (said: NewTap, words: string, undo?: NewTap) => void;

export interface Parts {
  step: WashStep;
  day: WashDay;
  /** Days since the hair was last detangled; null where that is not known. */
  daysSince: number | null;
  tonight: string;
  products: readonly Product[];
  tell: Tell;
}

const SIDES = {
  hand: { label: 'How it applies' },
  otherwise: { label: 'Changed something' },
  idea: { label: 'Next time' },
  weigh: { label: 'Weigh' },
  memo: { label: 'A note' },
} as const;
type Side = keyof typeof SIDES;

const DRIED: readonly Slot[] = ['dry', 'half-dry', 'set'];
const NIGHTLY: readonly Slot[] = ['set', 'protect'];
const hasHand = (slot: Slot) =>
  feltAtStep(slot).length > 0 || DRIED.includes(slot) || NIGHTLY.includes(slot) || SHED_SLOTS.includes(slot);

const toldBySide = (step: WashStep): Record<Side, number> => ({
  hand: Object.keys(step.inHand).length,
  otherwise: step.marks.filter(({ mark }) => QUICK.includes(mark)).length,
  idea: step.ideas.length,
  weigh: Number(step.weighed.before !== null) + Number(step.weighed.after !== null),
  memo: 0,
});
/** How many things were told of a step beside doing it. */
export const toldOf = (step: WashStep): number =>
  Object.values(toldBySide(step)).reduce((sum, n) => sum + n, 0);

/**
 * What can be told of a step in one tap, beside doing it: how it felt, what went otherwise, what to try next time. It lies
 * over the step, its first part open.
 */
export function Asides(parts: Parts) {
  const { step } = parts;
  const sides = keysOf(SIDES).filter(
    (side) => (side !== 'hand' || hasHand(step.slot)) && (side !== 'weigh' || SLOTS[step.slot].product),
  );
  const [open, setOpen] = useState<Side>(sides[0]!);
  const told = toldBySide(step);
  return (
    <div className="mt-3">
      <div role="group" aria-label="Notes on" className="grid grid-cols-3 gap-2 sm:grid-cols-5">
        {sides.map((side) => (
          <button
            key={side}
            type="button"
            className={`${small} leading-tight`}
            aria-pressed={open === side}
            onClick={() => setOpen(side)}
          >
            {SIDES[side].label}
            {told[side] > 0 && (
              <>
                {' '}
                <span className="figure">{told[side]}</span>
              </>
            )}
          </button>
        ))}
      </div>
      <section aria-label={SIDES[open].label} className="mt-3 border-l-4 border-paper/40 pl-3">
        {open === 'hand' ? (
          <Hand {...parts} />
        ) : open === 'otherwise' ? (
          <Otherwise {...parts} />
        ) : open === 'weigh' ? (
          <Weigh
            step={step}
            product={parts.products.find(({ id }) => id === step.productId)}
            tell={parts.tell}
          />
        ) : open === 'memo' ? (
          <div className="rounded-tag bg-paper p-4 text-ink">
            <TellMemo about={{ kind: 'wash-day', id: parts.day.id }} />
          </div>
        ) : (
          <NextTime {...parts} />
        )}
      </section>
    </div>
  );
}

/** Five words for each thing the hand, nose and basin tell. */
function Hand({ step, day, daysSince, tonight, tell }: Parts) {
  return (
    <div className="space-y-3">
      {NIGHTLY.includes(step.slot) && <Tonight day={day} on={tonight} tell={tell} />}
      {DRIED.includes(step.slot) && <HowDry step={step} day={day} tell={tell} />}
      {feltAtStep(step.slot).map((quality) => {
        const { label, words } = FELT[quality];
        const now = step.inHand[quality] ?? null;
        const say = (value: number | null): NewTap => ({
          kind: 'in-hand',
          stepId: step.id,
          quality,
          value,
        });
        return (
          <FiveWords
            key={quality}
            label={label}
            words={words}
            value={now}
            chip={chip}
            choose={(value, word) =>
              tell(say(value), `${label}: ${word}${value === null ? ', taken back' : ''}.`, say(now))
            }
          />
        );
      })}
      {SLOTS[step.slot].product && <AmountWas step={step} tell={tell} />}
      {SHED_SLOTS.includes(step.slot) && <Shed day={day} daysSince={daysSince} tell={tell} />}
    </div>
  );
}
