import { isOutcome, MAIN_RESULTS, type MainResult, mainResult } from '@sabor/core/compare/main-result';
import { MEASURED, type Measured, measuredFacts } from '@sabor/core/compare/measured-result';
import { FELT, type Felt } from '@sabor/core/felt/felt';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { alsoMoved } from '@sabor/words/also-moved';
import type { ReactNode } from 'react';
import { ChoiceField } from '../../ui/inputs.tsx';

const READINGS = [...new Set(MAIN_RESULTS.flatMap((key) => mainResult(key).felt?.quality ?? []))].map(
  (key) => ({ key, label: `${FELT[key].label}, in words` }),
);
const FROM = {
  photographs: 'measured in pictures',
  curls: 'from tagged curls',
  clock: 'by the steps’ clocks',
} as const;
const HOW = {
  photographs:
    'Read in the photographs of the day it is judged on: from behind, in half-heads each half from its own side, clumps and curls from near. Take one view twice on a wash day, so that the picture’s own error is known.',
  curls: 'From resting and stretched lengths at the check-in of the day it is judged on.',
  clock:
    'From the wash day itself, conducted step by step; one that is told afterwards has no clock to go by. Pauses are taken out.',
} as const;
/** The choice that counts the good days of an outcome. */
const LASTING = 'lasting';
const MEASURES = (Object.keys(MEASURED) as Measured[]).map((key) => {
  const { label, from } = measuredFacts(key);
  return {
    key,
    label: `${label}, ${FROM[from]}`,
  };
});
const RATED = Object.entries(OUTCOMES).map(([key, { label }]) => ({ key, label }));
const KINDS = [...RATED, { key: LASTING, label: 'How many days it stays good' }, ...MEASURES, ...READINGS];
const WAYS = [
  { key: 'less', label: 'less of it' },
  { key: 'more', label: 'more of it' },
] as const;

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
  const { felt, measured, lasting, better } = mainResult(value);
  const what = measured && measured.what !== 'days' ? measured.what : null;
  const choose = (key: string | null) => {
    if (key === null) return;
    if (key === LASTING) {
      onChange(`lasting:${isOutcome(value) ? value : 'definition'}`);
      return;
    }
    if (Object.hasOwn(MEASURED, key)) {
      onChange(`${key as Measured}:${measuredFacts(key as Measured).usual}`);
      return;
    }
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
        value={isOutcome(value) ? value : lasting ? LASTING : (measured?.what ?? felt!.quality)}
        onChange={choose}
        error={error}
      />
      {lasting && (
        <ChoiceField
          label="Good by which outcome"
          hint="Counted from the finished hair to the last day it is good enough; a wear that is cut short counts for what was seen of it. Check in on every day worn."
          options={RATED}
          value={lasting}
          onChange={(outcome) => outcome !== null && onChange(`lasting:${outcome as Outcome}`)}
        />
      )}
      {what && (
        <ChoiceField
          label="What is wanted"
          hint={[HOW[measuredFacts(what).from], ...alsoMoved(what)].join(' ')}
          options={WAYS}
          value={better === 'higher' ? 'more' : 'less'}
          onChange={(way) => way !== null && onChange(`${what}:${way}`)}
        />
      )}
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
