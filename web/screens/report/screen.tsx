import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Verdict } from '@sabor/contract/verdict';
import type { Wearer } from '@sabor/contract/wearer';
import type { Comparison } from '@sabor/core/compare/comparison';
import { mainResult } from '@sabor/core/compare/main-result';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import type { RunPlan } from '@sabor/core/fairness/run';
import { slipOfTrial } from '@sabor/core/fairness/slip';
import { localToday } from '@sabor/core/time/today';
import { toTrialRecord } from '@sabor/reading/trial-record';
import { missingIn } from '@sabor/words/report/method';
import { PARTS, type Part, trialReport } from '@sabor/words/report/trial-report';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useRuns } from '../../api/fairness.ts';
import { useShelf, useTrial, useWearer } from '../../api/queries.ts';
import { useVerdicts } from '../../api/verdicts.ts';
import { useVoice } from '../../api/voice.ts';
import { useWorked } from '../../api/worked.ts';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { compareInWorker } from '../../workers/comparison.ts';
import { ReportDesk } from './desk.tsx';
import { called, type Names } from './names.ts';
import { PicturesPart } from './pictures-part.tsx';

/** What leaves the house of a trial: parts picked, names chosen, shown as it will look. */
export function ReportScreen() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  const shelf = useShelf();
  const wearer = useWearer(trial.data?.wearerId ?? 'new');
  const verdicts = useVerdicts();
  const runs = useRuns(trial.data);
  const record = useMemo(
    () =>
      trial.data && shelf.data && wearer.data
        ? toTrialRecord(trial.data, shelf.data.products, wearer.data)
        : null,
    [trial.data, shelf.data, wearer.data],
  );
  const shown = trial.data !== undefined && trial.data.outcomesShownAt !== null && !trial.data.masked;
  const comparison = useWorked('comparison', record && shown ? [record] : null, () =>
    compareInWorker(record!),
  );
  const failed = [trial, shelf, wearer, verdicts].find(({ isLoadingError }) => isLoadingError);
  if (failed?.error) return <Failed error={failed.error} retry={failed.refetch} />;
  if (!trial.data || !shelf.data || !wearer.data || !verdicts.data) return <Loading what="the trial" />;
  if (!shown)
    return (
      <>
        <Heading kicker={<Link to={`/trials/${id}`}>{trial.data.question}</Link>} title="Report" />
        <Nothing title="Nothing to report yet">
          A report is made once the trial’s outcomes have been shown, and its key is open.
        </Nothing>
      </>
    );
  if (comparison.isError)
    return <Failed error={new Error('The comparison could not be computed.')} retry={comparison.refetch} />;
  if (!comparison.data || !runs || !record) return <Loading what="the report" />;
  return (
    <Making
      trial={trial.data}
      products={shelf.data.products}
      wearer={wearer.data}
      record={record}
      comparison={comparison.data}
      runs={runs}
      verdicts={verdicts.data.filter(
        ({ wearerId, archivedAt, subject }) =>
          wearerId === trial.data.wearerId &&
          archivedAt === null &&
          subject.kind === 'product' &&
          trial.data.arms.some(({ steps }) => steps.some(({ productId }) => productId === subject.productId)),
      )}
    />
  );
}

function Making({
  trial,
  products,
  wearer,
  record,
  comparison,
  runs,
  verdicts,
}: {
  trial: TrialDetail;
  products: readonly Product[];
  wearer: Wearer;
  record: TrialRecord;
  comparison: Comparison;
  runs: readonly RunPlan[];
  verdicts: readonly Verdict[];
}) {
  const voice = useVoice();
  const [parts, setParts] = useState<ReadonlySet<Part>>(new Set(Object.keys(PARTS) as Part[]));
  const [names, setNames] = useState<Names>('first');
  const [pictures, setPictures] = useState<readonly string[]>([]);
  const items = useMemo(
    () => slipOfTrial(runs, trial.arms, mainResult(trial.primary).like, trial.overrules),
    [runs, trial],
  );
  const report = useMemo(
    () =>
      trialReport({
        ...{ trial, wearer, products, record, comparison, items, verdicts, voice, parts, pictures },
        who: called(wearer.name, names),
        today: localToday(),
      }),
    [trial, wearer, products, record, comparison, items, verdicts, voice, parts, pictures, names],
  );
  const missing = missingIn({ trial });
  return (
    <ReportDesk
      report={report}
      kicker={
        <Link className="underline underline-offset-4" to={`/trials/${trial.id}/compare`}>
          {trial.question}
        </Link>
      }
      wearerName={wearer.name}
      names={names}
      setNames={setNames}
    >
      <fieldset>
        <legend className="text-sm font-semibold">In it</legend>
        {(Object.keys(PARTS) as Part[]).map((part) => (
          <label key={part} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={parts.has(part)}
              onChange={(event) => {
                const next = new Set(parts);
                if (event.target.checked) next.add(part);
                else next.delete(part);
                setParts(next);
              }}
            />
            {PARTS[part].label}
          </label>
        ))}
      </fieldset>
      {parts.has('pictures') && (
        <PicturesPart trial={trial} wearer={wearer} chosen={pictures} choose={setPictures} />
      )}
      <section aria-labelledby="missing">
        <h2 id="missing" className="text-base">
          What is not on record
        </h2>
        <p className="text-sm text-soft">Readers of such a trial look for it. This list stays with you.</p>
        <ul className="text-sm">
          {missing.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      </section>
    </ReportDesk>
  );
}
