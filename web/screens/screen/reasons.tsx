import { SCHOOLS } from '@sabor/core/hair/wishes';
import type { Reason } from '@sabor/core/ingredients/judge/reason';
import { alwaysOn, EFFECTS } from '@sabor/core/ingredients/judge/rule';
import { shareWords } from '../../drawings/share-bars.tsx';
import { Button } from '../../ui/button.tsx';

const MARKS = { for: '+', against: '−', note: '·', professional: '×', forbids: '×' } as const;
const TONES = {
  for: 'text-leaf border-leaf/50',
  against: 'text-mango-deep border-mango',
  note: 'text-soft border-rule',
  professional: 'text-brick border-brick',
  forbids: 'text-brick border-brick',
} as const;

const ordinal = (n: number) =>
  `${n}${n % 100 > 10 && n % 100 < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')}`;

/** Reasons for and against, heaviest first, each with its ingredients, their places and shares, the rule and its source. */
export function Reasons({
  reasons,
  weigh,
}: {
  reasons: readonly Reason[];
  /** Switches a rule off or weighs it double for this wearer. */
  weigh?: (ruleId: string, weight: number) => void;
}) {
  if (reasons.length === 0) return <p className="text-soft">No rule speaks either way.</p>;
  return (
    <ol className="space-y-3">
      {reasons.map((reason) => (
        <li
          key={`${reason.ruleId} ${reason.where.join()}`}
          className={`border-l-4 pl-3 ${TONES[reason.effect]}`}
        >
          <p className="text-ink">
            <span aria-hidden="true" className="figure mr-1">
              {MARKS[reason.effect]}
            </span>
            <span className="sr-only">{EFFECTS[reason.effect].label}: </span>
            {reason.says}
            {reason.where.length > 0 && <span className="text-soft"> ({reason.where.join('; ')})</span>}
          </p>
          {reason.items.length > 0 && (
            <p className="text-sm">
              {reason.items.slice(0, 4).map((item, i) => (
                <span key={item.place}>
                  {i > 0 && '; '}
                  {item.name}, {ordinal(item.place)}
                  {item.share &&
                    `, about ${shareWords(item.expected)} % (${shareWords(item.share.low)} to ${shareWords(item.share.high)})`}
                </span>
              ))}
              {reason.items.length > 4 && ` and ${reason.items.length - 4} more`}
            </p>
          )}
          <div className="flex flex-wrap items-baseline justify-between gap-x-4 text-sm text-soft">
            <span className="min-w-0 flex-1 basis-60">
              {reason.effect !== 'note' &&
                (reason.sure ? 'Sure from the list' : 'Likely from the list, not certain')}
              {reason.effect !== 'note' && ' · '}
              {reason.schools && `${reason.schools.map((school) => SCHOOLS[school].label).join(', ')} · `}
              {reason.source}
            </span>
            {weigh && !alwaysOn(reason.effect) && (
              <span className="flex gap-x-4">
                {reason.effect !== 'note' && (
                  <Button
                    look="quiet"
                    className="min-h-8! px-0! text-sm"
                    aria-label={`Weigh double: ${reason.says}`}
                    onClick={() => weigh(reason.ruleId, 2)}
                  >
                    Weigh double
                  </Button>
                )}
                <Button
                  look="quiet"
                  className="min-h-8! px-0! text-sm"
                  aria-label={`Switch off: ${reason.says}`}
                  onClick={() => weigh(reason.ruleId, 0)}
                >
                  Switch off
                </Button>
              </span>
            )}
          </div>
        </li>
      ))}
    </ol>
  );
}
