import type { Wearer } from '@sabor/contract/wearer';
import { SCHOOLS } from '@sabor/core/hair/wishes';
import { VERDICTS } from '@sabor/core/ingredients/judge/screen';
import { Tag } from '../../ui/states.tsx';
import type { LabelReading } from '../../workers/screening.worker.ts';
import { Reasons } from './reasons.tsx';
import { useWeigh } from './use-weigh.ts';

/** What a label is for one wearer: the verdict with its reasons, and where schools differ. */
export function Judged({
  screening,
  wearer,
}: {
  screening: NonNullable<LabelReading['screening']>;
  wearer: Wearer;
}) {
  const weigh = useWeigh(wearer);
  const { verdict, reasons, others, unknown } = screening;
  return (
    <>
      <section aria-labelledby="judged">
        <h2 id="judged" className="mb-2 text-xl">
          For {wearer.name}:{' '}
          <Tag wraps tone={VERDICTS[verdict].tone}>
            {VERDICTS[verdict].label}
          </Tag>
        </h2>
        <Reasons reasons={reasons} weigh={weigh} />
        {unknown.length > 0 && (
          <p className="mt-2 text-soft">Not judged, because unknown: {unknown.join(', ')}.</p>
        )}
      </section>
      {others.length > 0 && (
        <section aria-labelledby="schools">
          <h2 id="schools" className="mb-2 text-xl">
            Where approaches differ
          </h2>
          <ul className="grid gap-4 sm:grid-cols-2">
            {others.map((other) => (
              <li key={other.school} className="border-t-2 border-rule pt-2">
                <p className="font-semibold">
                  {SCHOOLS[other.school].label}:{' '}
                  <Tag wraps tone={VERDICTS[other.verdict].tone}>
                    {VERDICTS[other.verdict].label}
                  </Tag>
                </p>
                <ul className="mt-1 text-sm">
                  {other.reasons.map(({ ruleId, says, effect }) => (
                    <li key={ruleId}>
                      <span aria-hidden="true">
                        {effect === 'for' ? '+' : effect === 'against' ? '−' : '·'}
                      </span>{' '}
                      {says}
                    </li>
                  ))}
                </ul>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
