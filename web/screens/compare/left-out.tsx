import type { Comparison, TrialRecord } from '@sabor/core/compare/comparison';
import { readPrimary } from '@sabor/core/compare/sentences';

/** The second analysis: the same, without the wash days that something breaks. */
export function LeftOut({
  days,
  record,
  comparison,
}: {
  /** Numbers of the wash days left out. */
  days: readonly number[];
  record: TrialRecord;
  comparison: Comparison;
}) {
  const { headline, because } = readPrimary(record, comparison);
  return (
    <section aria-labelledby="left-out" className="mt-6 max-w-4xl border-l-4 border-rule pl-5">
      <h2 id="left-out" className="text-xl">
        Without what is broken
      </h2>
      <p className="text-soft">
        The second analysis leaves out wash day {days.join(', ')}. As run stands first; this shows whether it
        hangs on those days.
      </p>
      <p className="mt-2 font-semibold">{headline}</p>
      {because.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </section>
  );
}
