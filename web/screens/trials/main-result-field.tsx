import { isOutcome, MAIN_RESULTS, type MainResult, mainResult } from '@sabor/core/compare/main-result';
import { FELT, type Felt } from '@sabor/core/felt/felt';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import type { ReactNode } from 'react';
import { ChoiceField } from '../../ui/inputs.tsx';

const READINGS = [...new Set(MAIN_RESULTS.flatMap((key) => mainResult(key).felt?.quality ?? []))].map(
  (key) => ({ key, label: `${FELT[key].label}, in words` }),
);
const KINDS = [...Object.entries(OUTCOMES).map(([key, { label }]) => ({ key, label })), ...READINGS];

/** What a trial is judged by: an outcome that is rated, or a reading in words and the word that is wanted of it. */
export function MainResultField({
  label,
  hint,
  value,
  onChange,
  error,
  wished = {},
}: {
  label: string;
  hint?: ReactNode;
  value: MainResult;
  onChange: (key: MainResult) => void;
  error: string | undefined;
  /** Words the wearer wishes for, which a reading begins with. */
  wished?: Partial<Record<Felt, number>>;
}) {
  const { felt } = mainResult(value);
  const choose = (key: string | null) => {
    if (key === null) return;
    onChange(
      Object.hasOwn(OUTCOMES, key)
        ? (key as Outcome)
        : (`${key}:${wished[key as Felt] ?? FELT[key as Felt].wanted}` as MainResult),
    );
  };
  return (
    <>
      <ChoiceField
        label={label}
        hint={hint}
        options={KINDS}
        value={isOutcome(value) ? value : felt!.quality}
        onChange={choose}
        error={error}
      />
      {felt && (
        <ChoiceField
          label="The word that is wanted"
          hint={`10 for it, 2.5 less for each word beside it${felt.atSteps ? '; told at the step itself' : ''}.`}
          options={FELT[felt.quality].words.map((word, i) => ({ key: String(i), label: word }))}
          value={String(felt.wanted)}
          onChange={(i) => i !== null && onChange(`${felt.quality}:${i}` as MainResult)}
        />
      )}
    </>
  );
}
