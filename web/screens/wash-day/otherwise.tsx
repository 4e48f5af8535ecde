import type { NewTap } from '@sabor/contract/taps';
import type { WashStep } from '@sabor/contract/wash-day';
import { TOOLS, type Tool } from '@sabor/core/step/choices';
import { MARK_REASONS, MARKS, type Mark, type MarkReason } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import { useState } from 'react';
import { v7 } from 'uuid';
import { productChoices } from '../../ui/step-settings.tsx';
import type { Parts } from './asides.tsx';
import { chip } from './big.ts';

/** What most often goes otherwise than planned, one tap each. */
export const QUICK: readonly Mark[] = [
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
export function Otherwise({ step, products, tell }: Parts) {
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
