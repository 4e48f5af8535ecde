import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Comparison } from '@sabor/core/compare/comparison';
import { isOutcome, type MainResult, mainResult, ratedBy } from '@sabor/core/compare/main-result';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import type { RunPlan } from '@sabor/core/fairness/run';
import { brokenDays, type SlipItem, slipOfTrial } from '@sabor/core/fairness/slip';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { weighedBy } from '@sabor/core/step/weighed';
import { isCompared } from '@sabor/core/trial/designs';
import { keysOf } from '@sabor/core/vocabulary';
import { blocksOfDays } from '@sabor/reading/fairness-runs';
import { toTrialRecord } from '@sabor/reading/trial-record';
import { spoiledInWords } from '@sabor/words/felt';
import { mainInWords, numbersOf, oneNumberInWords } from '@sabor/words/main-result';
import { stakesInWords } from '@sabor/words/stakes';
import { readPrimary } from '@sabor/words/verdict';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useNotAtDose } from '../../api/doses.ts';
import { useRuns } from '../../api/fairness.ts';
import { useShelf, useTrial, useUsual, useWearer } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { useWorked } from '../../api/worked.ts';
import { armStyle } from '../../drawings/arm-style.ts';
import { ribbonColumns, washDayRows } from '../../drawings/ribbon-rows.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, InSlices, Loading, Nothing } from '../../ui/states.tsx';
import { WhenSeen } from '../../ui/when-seen.tsx';
import { compareInWorker, daysNeededInWorker } from '../../workers/comparison.ts';
import { airMarks } from './air-marks.ts';
import { nightMarks } from './night-marks.ts';
import { OutcomeTable } from './outcome-table.tsx';
import { SlipPart, StandingTag } from './slip-part.tsx';

const BeforeOutcomes = lazy(async () => ({
  default: (await import('./before-outcomes.tsx')).BeforeOutcomes,
}));
const WearAndMoney = lazy(async () => ({
  default: (await import('./wear-and-money.tsx')).WearAndMoney,
}));
const ToldByArm = lazy(async () => ({ default: (await import('./told-by-arm.tsx')).ToldByArm }));
const RibbonStack = lazy(async () => ({
  default: (await import('../../drawings/ribbon-stack.tsx')).RibbonStack,
}));
const JudgeIt = lazy(async () => ({ default: (await import('./judge-it.tsx')).JudgeIt }));
const LeftOut = lazy(async () => ({ default: (await import('./left-out.tsx')).LeftOut }));
const InPictures = lazy(async () => ({ default: (await import('./in-pictures.tsx')).InPictures }));
const ZoneDifference = lazy(async () => ({
  default: (await import('./zone-difference.tsx')).ZoneDifference,
}));
const WearCurve = lazy(async () => ({ default: (await import('../../drawings/wear-curve.tsx')).WearCurve }));

export function ComparisonScreen() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  const shelf = useShelf();
  const wearer = useWearer(trial.data?.wearerId ?? 'new');
  if (trial.isLoadingError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  if (!trial.data || !shelf.data || !wearer.data) return <Loading what="the comparison" />;
  return (
    <InSlices what="the comparison">
      <Compared trial={trial.data} products={shelf.data.products} wearer={wearer.data} />
    </InSlices>
  );
}

interface Parts {
  trial: TrialDetail;
  products: readonly Product[];
  wearer: Wearer;
  /** Nothing of it is stored, and nothing of it leaves the page. */
  sample?: boolean;
}

/** A trial's comparison, worked out from its record. */
export function Compared({ trial, products, wearer, sample = false }: Parts) {
  const record = useMemo(() => toTrialRecord(trial, products, wearer), [trial, products, wearer]);
  const runs = useRuns(trial);
  const comparison = useWorked(
    'comparison',
    record.washDays.length > 0 ? [record] : null,
    () => compareInWorker(record),
    // One sample must not stand under another's banner.
    sample ? null : trial.id,
  );
  if (comparison.isError)
    return <Failed error={new Error('The comparison could not be computed.')} retry={comparison.refetch} />;
  if (record.washDays.length === 0)
    return (
      <Nothing
        whole
        title="Nothing to compare yet"
        action={
          <ButtonLink look="main" to={`/trials/${trial.id}`}>
            Open trial
          </ButtonLink>
        }
      >
        No wash day of this trial has been worn.
      </Nothing>
    );
  if (!runs || (!comparison.data && trial.outcomesShownAt !== null)) return <Loading what="the comparison" />;
  return (
    <InSlices what="the comparison">
      <HeldAgainstItsRuns
        {...{ trial, products, wearer, sample, record, runs }}
        comparison={comparison.data}
      />
    </InSlices>
  );
}

/** The comparison beside its fairness check, which comes before any outcome is shown. */
function HeldAgainstItsRuns({
  runs,
  ...shown
}: Parts & { record: TrialRecord; comparison: Comparison | undefined; runs: readonly RunPlan[] }) {
  const { trial, products, wearer, record, comparison } = shown;
  const items = useMemo(
    () => slipOfTrial(runs, trial.arms, mainResult(trial.primary).like, trial.overrules),
    [runs, trial],
  );
  const broken = useMemo(() => blocksOfDays(trial, brokenDays(items)), [items, trial]);
  const without = useWorked(
    'comparison without',
    broken.size > 0 && trial.outcomesShownAt !== null ? [record, [...broken]] : null,
    async () => {
      const rest = toTrialRecord(trial, products, wearer, broken);
      return { record: rest, comparison: await compareInWorker(rest) };
    },
  );
  if (trial.outcomesShownAt === null)
    return (
      <Suspense fallback={<Loading what="the fairness check" />}>
        <BeforeOutcomes trial={trial} items={items} />
      </Suspense>
    );
  if (!comparison) return <Loading what="the comparison" />;
  return (
    <ComparisonSheet
      {...shown}
      comparison={comparison}
      items={items}
      without={broken.size > 0 ? without.data : undefined}
      leftOut={trial.washDayRecords.filter(({ id }) => broken.has(id)).map(({ position }) => position + 1)}
    />
  );
}

function ComparisonSheet({
  trial,
  products,
  wearer,
  record,
  comparison,
  items,
  without,
  leftOut,
  sample = false,
}: Parts & {
  record: TrialRecord;
  comparison: Comparison;
  items: readonly SlipItem[];
  without: { record: TrialRecord; comparison: Comparison } | undefined;
  leftOut: readonly number[];
}) {
  const rated = ratedBy(trial.primary);
  const usual = useUsual(wearer.id, 'wear', trial.onDay, trial.id);
  const [shown, setShown] = useState<MainResult>(rated);
  const { arms } = record.promise;
  const asksForMore = comparison.primary.state === 'cannot tell';
  const needed = useWorked('days needed', asksForMore ? [record, comparison] : null, () =>
    daysNeededInWorker(record, comparison),
  );
  const reading = readPrimary(record, comparison, needed.data ?? null);
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
  const columns = ribbonColumns(trial, trial.washDayRecords, voice);
  const rows = washDayRows(
    trial,
    trial.washDayRecords,
    columns,
    voice,
    (day) => showDate(day.localDate),
    weighedBy(products),
  );
  const { state } = comparison.primary;
  return (
    <>
      <Heading
        kicker={
          <Link className="underline underline-offset-4" to={`/trials/${trial.id}`}>
            {trial.question}
          </Link>
        }
        title={reading.headline}
      />
      <section
        aria-label="What the main result says"
        className={`-mt-3 mb-8 max-w-4xl border-l-4 pl-5 ${state === 'decided' ? 'border-leaf' : 'border-mango'}`}
      >
        {reading.because.map((sentence) => (
          <p key={sentence} className="mb-1 text-lg">
            {sentence}
          </p>
        ))}
        {asksForMore && needed.isPending && (
          <p className="mb-1 text-lg text-soft">Working out how many wash days it would take …</p>
        )}
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
            {brokenCounted.length === 1 ? 'counts' : 'count'} here all the same, as they were run; the
            fairness check says why.
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

      <div className="grid *:min-w-0 gap-x-12 gap-y-10 lg:grid-cols-[1.15fr_1fr]">
        <section aria-labelledby="table">
          <h2 id="table" className="text-xl">
            Day {trial.onDay}, option by option
          </h2>
          <p className="mb-3 text-soft">
            One number a wash day: {oneNumberInWords(trial.primary, trial.weights.length)}.{' '}
            {compares
              ? `The test is of ${mainInWords(trial.primary).word} alone; the rest is described.`
              : 'Described only.'}
          </p>
          <OutcomeTable record={record} comparison={comparison} usual={usual.data} />
          {comparison.spoiled.length > 0 && (
            <ul className="mt-2 text-sm text-mango-deep" aria-label="Left out because it was spoiled">
              {comparison.spoiled.map((one) => (
                <li key={`${one.position} ${one.half}`}>{spoiledInWords(one)}</li>
              ))}
            </ul>
          )}
          {comparison.partial.length > 0 && (
            <p className="mt-2 text-sm text-mango-deep">
              Rests on fewer zones than planned:{' '}
              {comparison.partial
                .map(({ position, unrated }) => `wash day ${position + 1} (${unrated} unrated)`)
                .join(', ')}
              .
            </p>
          )}
        </section>
        <section aria-labelledby="curve">
          <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
            <h2 id="curve" className="text-xl">
              Over the days
            </h2>
            <InlineChoice
              label="Outcome"
              value={shown}
              onChange={setShown}
              options={[
                ...(isOutcome(rated) ? [] : [[rated, mainResult(rated).label] as const]),
                ...keysOf(OUTCOMES).map((key) => [key, OUTCOMES[key].label] as const),
              ]}
            />
          </div>
          <p className="mb-2 flex flex-wrap gap-4 text-sm">
            {arms.map((arm, i) => (
              <ArmKey key={arm} arm={i} name={arm} />
            ))}
            <span className="text-soft">
              heavy: mean · thin: each wash day
              {shown === rated &&
                ` · dotted: good enough ${mainResult(rated).better === 'higher' ? 'from' : 'up to'} ${`${trial.line} ${mainResult(rated).measured?.unit ?? ''}`.trimEnd()}`}
            </span>
          </p>
          <WhenSeen className="min-h-96">
            <WearCurve
              curves={isOutcome(shown) ? comparison.curves[shown] : comparison.mainCurves}
              arms={arms}
              outcome={mainResult(shown).label}
              scale={mainResult(shown).measured ? numbersOf(shown) : null}
              line={shown === rated ? trial.line : null}
              nights={nightMarks(trial, wearer)}
              air={airMarks(trial, wearer)}
            />
          </WhenSeen>
        </section>
        <section aria-labelledby="wear">
          <h2 id="wear" className="text-xl">
            How long it lasts, and what it costs
          </h2>
          <WhenSeen className="min-h-96">
            <WearAndMoney trial={trial} record={record} comparison={comparison} />
          </WhenSeen>
        </section>
        {trial.washDayRecords.some(({ photographs }) => photographs.length > 0) && !sample && (
          <div className="lg:col-span-2">
            <WhenSeen className="min-h-96">
              <InPictures trial={trial} wearer={wearer} />
            </WhenSeen>
          </div>
        )}
        <div className="lg:col-span-2">
          <WhenSeen className="min-h-24">
            <ToldByArm
              trial={trial}
              arms={arms}
              wearer={wearer}
              products={products}
              comparison={comparison}
            />
          </WhenSeen>
        </div>
        <WhenSeen className="min-h-96">
          <ZoneDifference trial={trial} wearer={wearer} outcome={mainResult(shown).like} />
        </WhenSeen>
      </div>

      <div className="mt-10">
        <SlipPart trial={trial} items={items} sample={sample} />
        {without && without.record.washDays.length > 0 && (
          <Suspense>
            <LeftOut days={leftOut} record={without.record} comparison={without.comparison} />
          </Suspense>
        )}
      </div>
      <section className="mt-10" aria-labelledby="actual">
        <h2 id="actual" className="mb-2 text-xl">
          The wash days as they were run
        </h2>
        <WhenSeen className="min-h-96">
          <RibbonStack caption="Actual wash days, aligned step by step" columns={columns} rows={rows} />
        </WhenSeen>
      </section>
      {!sample && trial.endedAt !== null && !trial.masked && (
        <WhenSeen className="mt-10 min-h-24">
          <JudgeIt trial={trial} />
        </WhenSeen>
      )}
      {!sample && (
        <p className="mt-8">
          <a
            className="underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
            href={`/api/trials/${trial.id}/readings.csv`}
            download
          >
            Readings as CSV
          </a>
          {trial.endedAt !== null && !trial.masked && (
            <>
              {' · '}
              <a
                className="underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
                href={`/api/trials/${trial.id}/package.zip`}
                download
              >
                All of this trial for a statistician
              </a>
              <span className="text-soft">
                : tables, codebook, and scripts in R and Python that compute its result again.
              </span>
            </>
          )}
        </p>
      )}
    </>
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

function ArmKey({ arm, name }: { arm: number; name: string }) {
  const { hue, dash, marker } = armStyle(arm);
  return (
    <span className="inline-flex items-center gap-2 font-semibold">
      <svg width="34" height="12" aria-hidden="true">
        <line x1="0" y1="6" x2="34" y2="6" stroke={hue} strokeWidth="3" strokeDasharray={dash.join(' ')} />
      </svg>
      <span aria-hidden="true" style={{ color: hue }}>
        {marker}
      </span>
      {name}
    </span>
  );
}
