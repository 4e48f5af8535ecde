import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Comparison } from '@sabor/core/compare/comparison';
import { mainResult, ratedBy } from '@sabor/core/compare/main-result';
import { brokenDays, type SlipItem } from '@sabor/core/fairness/slip';
import { isCompared } from '@sabor/core/trial/designs';
import { stakesInWords } from '@sabor/words/stakes';
import { useNotAtDose } from '../../api/doses.ts';
import { useVoice } from '../../api/voice.ts';
import { StandingTag } from './slip-part.tsx';

/** What the main result says and why, how blind it was, and how far the fairness check bears it. */
export function MainSays({
  trial,
  products,
  wearer,
  comparison,
  items,
  because,
  working,
  sample,
}: {
  trial: TrialDetail;
  products: readonly Product[];
  wearer: Wearer;
  comparison: Comparison;
  items: readonly SlipItem[];
  because: readonly string[];
  /** How many wash days it would take is still being worked out. */
  working: boolean;
  sample: boolean;
}) {
  const compared = new Set(
    trial.arms.flatMap((arm) => arm.steps.flatMap(({ productId }) => productId ?? [])),
  );
  const stakes = stakesInWords(products.filter(({ id }) => compared.has(id)));
  const compares = isCompared(trial.design);
  const broken = brokenDays(items);
  const brokenCounted = trial.washDayRecords
    .filter(({ id }) => broken.has(id))
    .map(({ position }) => position + 1);
  const notAtDose = useNotAtDose(trial.wearerId, [...compared]);
  const voice = useVoice();
  const { state } = comparison.primary;
  return (
    <section
      aria-label="What the main result says"
      className={`-mt-3 mb-8 max-w-4xl border-l-4 pl-5 ${state === 'decided' ? 'border-leaf' : 'border-mango'}`}
    >
      {because.map((sentence) => (
        <p key={sentence} className="mb-1 text-lg">
          {sentence}
        </p>
      ))}
      {working && <p className="mb-1 text-lg text-soft">Working out how many wash days it would take …</p>}
      {/* Nobody rated a sample, on nobody's hair. */}
      {!sample && (
        <p className="mt-2 text-soft">
          <Blinding trial={trial} /> {stakes}{' '}
          {compares &&
            notAtDose.length > 0 &&
            `Amount not yet found on this head: ${notAtDose.map(voice.product).join(', ')}.`}{' '}
          Seen on {wearer.name}’s hair alone.
        </p>
      )}
      {brokenCounted.length > 0 && (
        <p className="mb-1 text-mango-deep">
          {brokenCounted.length === 1 ? 'Wash day' : 'Wash days'} {brokenCounted.join(', ')}{' '}
          {brokenCounted.length === 1 ? 'is' : 'are'} broken by what was changed and{' '}
          {brokenCounted.length === 1 ? 'counts' : 'count'} here all the same, as they were run; the fairness
          check says why.
        </p>
      )}
      <p className="mt-2">
        {compares ? 'The comparison is' : 'As they were run these wash days are'}{' '}
        <StandingTag items={items} />{' '}
        <a className="whitespace-nowrap underline underline-offset-4" href="#slip">
          see the fairness check
        </a>
      </p>
    </section>
  );
}

/** What can be said of blinding: none, still sealed, or how often the rater guessed right. */
function Blinding({ trial }: { trial: TrialDetail }) {
  if (trial.arms.length === 1)
    return <>Nothing was under test; it tells how far ratings differ by themselves.</>;
  if (!trial.blind)
    return (
      <>
        Not blind: whoever {mainResult(ratedBy(trial.primary)).measured ? 'styled and measured' : 'rated'}{' '}
        knew which option it was, and expectation can explain part of a difference.
      </>
    );
  if (trial.masked)
    return <>Blind: the options go by their codes until the trial is over and its key is opened.</>;
  const told = trial.guesses.filter(({ right }) => right !== null);
  const hits = told.filter(({ right }) => right).length;
  if (told.length === 0) return <>Rated blind; the rater gave no guesses.</>;
  return (
    <>
      Rated blind. The rater guessed {hits} of {told.length} right; chance alone gives about{' '}
      {Math.round(told.length / trial.arms.length)}.
    </>
  );
}
