import type { Product } from '@sabor/contract/shelf';
import type { NewTap } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { FELT, feltAtStep, SHED_SLOTS } from '@sabor/core/felt/felt';
import { PLACES, type Place } from '@sabor/core/hair/zones';
import { TOOLS, type Tool } from '@sabor/core/step/choices';
import { AMOUNT_MARKS, MARK_REASONS, MARKS, type Mark, type MarkReason } from '@sabor/core/step/marks';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { keysOf } from '@sabor/core/vocabulary';
import { useState } from 'react';
import { v7 } from 'uuid';
import { FiveWords } from '../../ui/five-words.tsx';
import { productChoices } from '../../ui/step-settings.tsx';
import { TellMemo } from '../memos/tell.tsx';
import { chip, small } from './big.ts';
import { HowDry, Shed, Tonight } from './hand-extras.tsx';
import { NextTime } from './next-time.tsx';
import { Weigh } from './weigh.tsx';

export type Tell = (said: NewTap, words: string, undo?: NewTap) => void;

export interface Parts {
  step: WashStep;
  day: WashDay;
  /** Days since the hair was last detangled; null where that is not known. */
  daysSince: number | null;
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
function Hand({ step, day, daysSince, tell }: Parts) {
  return (
    <div className="space-y-3">
      {NIGHTLY.includes(step.slot) && <Tonight day={day} tell={tell} />}
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

const AT: readonly Place[] = ['fringe', 'hairline', 'crown', 'side', 'back', 'nape', 'under', 'ends'];

/** How the amount turned out, at once or place by place, and whether it was disliked. */
function AmountWas({ step, tell }: Pick<Parts, 'step' | 'tell'>) {
  const say = (markId: string, mark: Mark, places: readonly Place[], gone = false): NewTap => ({
    kind: 'mark',
    stepId: step.id,
    markId,
    mark,
    reason: 'untold',
    places: [...places],
    gone,
  });
  const told = step.marks.filter(({ mark }) => (AMOUNT_MARKS as readonly Mark[]).includes(mark));
  return (
    <fieldset className="space-y-2">
      <legend className="text-lg">The amount</legend>
      <div className="flex flex-wrap gap-2">
        {[...AMOUNT_MARKS, 'disliked' as const].map((mark) => {
          const there = step.marks.find((known) => known.mark === mark);
          const id = there?.id ?? v7();
          return (
            <button
              key={mark}
              type="button"
              className={chip}
              aria-pressed={there !== undefined}
              onClick={() =>
                tell(
                  say(id, mark, there?.places ?? [], there !== undefined),
                  `${MARKS[mark].label}${there ? ', taken back' : ''}.`,
                  say(id, mark, there?.places ?? [], there === undefined),
                )
              }
            >
              {MARKS[mark].label}
            </button>
          );
        })}
      </div>
      {told.map((one) => (
        <div
          key={one.id}
          role="group"
          aria-label={`Where: ${MARKS[one.mark].label}`}
          className="flex flex-wrap gap-2"
        >
          <span className="self-center">{MARKS[one.mark].label}, only at:</span>
          {AT.map((place) => {
            const on = one.places.includes(place);
            const places = on ? one.places.filter((kept) => kept !== place) : [...one.places, place];
            return (
              <button
                key={place}
                type="button"
                className={small}
                aria-pressed={on}
                onClick={() =>
                  tell(
                    say(one.id, one.mark, places),
                    `${MARKS[one.mark].label}: ${places.length ? places.map((p) => PLACES[p].label.toLowerCase()).join(', ') : 'everywhere'}.`,
                    say(one.id, one.mark, one.places),
                  )
                }
              >
                {PLACES[place].label}
              </button>
            );
          })}
        </div>
      ))}
    </fieldset>
  );
}

const QUICK: readonly Mark[] = [
  'more',
  'wiped-off',
  'longer',
  'shorter',
  'interrupted',
  'ran-out',
  'dried-rewet',
];
const REASONS = Object.keys(MARK_REASONS).filter((key) => key !== 'untold') as MarkReason[];

/** What went otherwise than planned, with its reason now, later or never. */
function Otherwise({ step, products, tell }: Parts) {
  const [picking, setPicking] = useState<'product' | 'tool' | null>(null);
  const mark = (markId: string, of: Mark, reason: MarkReason, gone = false): NewTap => ({
    kind: 'mark',
    stepId: step.id,
    markId,
    mark: of,
    reason,
    gone,
  });
  const set = (to: Partial<Pick<WashStep, 'productId' | 'tool'>>): NewTap => ({
    kind: 'step',
    stepId: step.id,
    set: to,
  });
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap gap-2">
        {QUICK.map((one) => {
          const told = step.marks.find((known) => known.mark === one);
          return (
            <button
              key={one}
              type="button"
              className={chip}
              aria-pressed={told !== undefined}
              onClick={() => {
                const id = told?.id ?? v7();
                const reason = told?.reason ?? 'untold';
                tell(
                  mark(id, one, reason, told !== undefined),
                  `${MARKS[one].label}${told ? ' taken back' : ''}.`,
                  mark(id, one, reason, told === undefined),
                );
              }}
            >
              {MARKS[one].label}
            </button>
          );
        })}
        {SLOTS[step.slot].product && step.code === null && (
          <button
            type="button"
            className={chip}
            aria-expanded={picking === 'product'}
            onClick={() => setPicking(picking === 'product' ? null : 'product')}
          >
            other product
          </button>
        )}
        <button
          type="button"
          className={chip}
          aria-expanded={picking === 'tool'}
          onClick={() => setPicking(picking === 'tool' ? null : 'tool')}
        >
          other tool
        </button>
      </div>
      {picking === 'product' && (
        <div role="group" aria-label="Product used instead" className="flex flex-wrap gap-2">
          {productChoices(products, step.slot, step.productId)
            .filter(({ key }) => key !== step.productId)
            .map(({ key, label }) => (
              <button
                key={key}
                type="button"
                className={chip}
                onClick={() => {
                  setPicking(null);
                  tell(set({ productId: key }), `${label} instead.`, set({ productId: step.productId }));
                }}
              >
                {label}
              </button>
            ))}
        </div>
      )}
      {picking === 'tool' && (
        <div role="group" aria-label="Tool used instead" className="flex flex-wrap gap-2">
          {(Object.keys(TOOLS) as Tool[])
            .filter((tool) => tool !== step.tool)
            .map((tool) => (
              <button
                key={tool}
                type="button"
                className={chip}
                onClick={() => {
                  setPicking(null);
                  tell(set({ tool }), `${TOOLS[tool].label} instead.`, set({ tool: step.tool }));
                }}
              >
                {TOOLS[tool].label}
              </button>
            ))}
        </div>
      )}
      {step.marks
        .filter(({ mark }) => QUICK.includes(mark))
        .map((one) => (
          <fieldset key={one.id}>
            <legend className="text-lg">Why “{MARKS[one.mark].label}”?</legend>
            <div className="flex flex-wrap gap-2">
              {REASONS.map((reason) => (
                <button
                  key={reason}
                  type="button"
                  className={chip}
                  aria-pressed={one.reason === reason}
                  onClick={() =>
                    tell(
                      mark(one.id, one.mark, one.reason === reason ? 'untold' : reason),
                      `${MARKS[one.mark].label}: ${MARK_REASONS[reason].label}.`,
                      mark(one.id, one.mark, one.reason),
                    )
                  }
                >
                  {MARK_REASONS[reason].label}
                </button>
              ))}
            </div>
          </fieldset>
        ))}
    </div>
  );
}
