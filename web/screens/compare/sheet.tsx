import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Comparison } from '@sabor/core/compare/comparison';
import { type MainResult, mainResult, ratedBy } from '@sabor/core/compare/main-result';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { weighedBy } from '@sabor/core/step/weighed';
import { isCompared } from '@sabor/core/trial/designs';
import { spoiledInWords } from '@sabor/words/felt';
import { mainInWords, oneNumberInWords } from '@sabor/words/main-result';
import { readPrimary } from '@sabor/words/verdict';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useUsual } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { useWorked } from '../../api/worked.ts';
import { ribbonColumns, washDayRows } from '../../drawings/ribbon-rows.ts';
import { showDate } from '../../ui/show.ts';
import { Heading } from '../../ui/states.tsx';
import { WhenSeen } from '../../ui/when-seen.tsx';
import { daysNeededInWorker } from '../../workers/comparison.ts';
import { MainSays } from './main-says.tsx';
import { OutcomeTable } from './outcome-table.tsx';
import { OverTheDays } from './over-the-days.tsx';
import { SlipPart } from './slip-part.tsx';

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

/** What a comparison is made from. */
export interface Parts {
  trial: TrialDetail;
  products: readonly Product[];
  wearer: Wearer;
  /** Nothing of it is stored, and nothing of it leaves the page. */
  sample?: boolean;
}

/** A trial's comparison as it is read: the main result, then everything beside it. */
export function ComparisonSheet({
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
  const compares = isCompared(trial.design);
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
      <MainSays
        {...{ trial, products, wearer, comparison, items, sample }}
        because={reading.because}
        working={asksForMore && needed.isPending}
      />

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
        <OverTheDays {...{ trial, wearer, comparison, arms, shown }} show={setShown} />
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
