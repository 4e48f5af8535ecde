import { GRAVITIES, type Gravity } from '@sabor/core/fairness/gravity';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { differenceInWords } from '@sabor/words/fairness';
import type { Voice } from '@sabor/words/voice';
import type { ReactNode } from 'react';

const LOOK: Record<Gravity, { mark: string; edge: string; text: string }> = {
  breaks: { mark: '✕', edge: 'border-brick', text: 'text-brick' },
  weakens: { mark: '◐', edge: 'border-mango', text: 'text-mango-deep' },
  note: { mark: '·', edge: 'border-rule', text: 'text-soft' },
};

/** A comparison's differences as a slip of paper, worst first, one sentence each with its reason. */
export function FairnessSlip({
  items,
  voice,
  label,
  whose,
  action,
}: {
  items: readonly SlipItem[];
  voice: Voice;
  label: string;
  /** Says which wash day an item belongs to. */
  whose?: (item: SlipItem) => string | null;
  action?: (item: SlipItem) => ReactNode;
}) {
  if (items.length === 0)
    return (
      <p className="border-l-4 border-leaf bg-leaf-pale px-4 py-2 text-leaf">
        Nothing differs that was to stay the same: a clean comparison, as far as it was recorded.
      </p>
    );
  return (
    <div className="slip-edge bg-sheet">
      {(Object.keys(GRAVITIES) as Gravity[]).map((gravity) => {
        const own = items.filter((item) => item.gravity === gravity);
        if (own.length === 0) return null;
        const { mark, edge, text } = LOOK[gravity];
        return (
          <section key={gravity} aria-label={`${label}: ${GRAVITIES[gravity].label}`}>
            <h3 className={`px-4 pt-3 font-semibold ${text}`}>
              <span aria-hidden="true">{mark} </span>
              {gravity === 'note' ? 'To note' : `It ${GRAVITIES[gravity].label}`}
              <span className="font-normal text-soft">: {GRAVITIES[gravity].says}</span>
            </h3>
            <ul>
              {own.map((item) => (
                <li
                  key={`${item.washDayId} ${item.difference.key}`}
                  className={`mx-4 border-l-4 py-1.5 pl-3 ${edge}`}
                >
                  {whose?.(item) && <span className="font-semibold">{whose(item)}: </span>}
                  {differenceInWords(item.difference, voice)}{' '}
                  <span className="text-soft" title={`Source: ${item.source}`}>
                    {item.because}
                  </span>
                  {item.overruled && (
                    <span className="block text-sm">
                      The rules said {GRAVITIES[item.overruled.was].label}; the tester judged otherwise: “
                      {item.overruled.reason}”
                    </span>
                  )}
                  {action?.(item)}
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
