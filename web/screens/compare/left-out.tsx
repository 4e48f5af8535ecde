import type { Comparison } from '@sabor/core/compare/comparison';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import { readPrimary } from '@sabor/words/verdict';

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
  const { because } = readPrimary(record, comparison);
  return (
    <section aria-labelledby="left-out" className="mt-6 max-w-4xl border-l-4 border-rule pl-5">
      <h2 id="left-out" className="text-xl">
        Without what is broken
      </h2>
      <p className="text-soft">
        A second look leaves out wash day {days.join(', ')}. Only all wash days as they were run can settle
        anything; this shows whether the result hangs on those.
      </p>
      {because.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </section>
  );
}
