import type { ReportInput } from '@sabor/contract/report';
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
import { asHtml } from '@sabor/words/report/as-html';
import { asText } from '@sabor/words/report/as-text';
import type { Report } from '@sabor/words/report/blocks';
import { missingIn } from '@sabor/words/report/method';
import { PARTS, type Part, trialReport } from '@sabor/words/report/trial-report';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useRuns } from '../../api/fairness.ts';
import { useShelf, useTrial, useWearer } from '../../api/queries.ts';
import { useVerdicts } from '../../api/verdicts.ts';
import { useVoice } from '../../api/voice.ts';
import { useWorked } from '../../api/worked.ts';
import { postForFile } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { saveFile } from '../../ui/save-file.ts';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { compareInWorker } from '../../workers/comparison.ts';
import { PicturesPart } from './pictures-part.tsx';
import { Preview } from './preview.tsx';

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
  const failed = [trial, shelf, wearer, verdicts].find(({ error }) => error);
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

const NAMES = [
  ['first', 'first name'],
  ['initials', 'initials'],
  ['full', 'full name'],
  ['none', 'no name'],
] as const;
type Names = (typeof NAMES)[number][0];

/** What the wearer is called: the surname is left out unless it is asked for. */
function called(name: string, names: Names): string {
  if (names === 'none') return 'one wearer';
  if (names === 'full') return name;
  const parts = name.split(/[\s-]+/).filter(Boolean);
  return names === 'first' ? (parts[0] ?? name) : `${parts.map((part) => part[0]).join('. ')}.`;
}

/** Parts of a name that should be left out and still stand in a report: in its question, a reason, a verdict. */
function leftIn(report: Report, name: string, names: Names): string[] {
  const parts = name.split(/[\s-]+/).filter((part) => part.length > 2);
  const hidden = names === 'full' ? [] : names === 'first' ? parts.slice(1) : parts;
  const text = asText(report);
  return hidden.filter((part) => text.includes(part));
}

const fileName = (question: string) =>
  question
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')
    .slice(0, 60) || 'report';

const toDataUrl = (blob: Blob): Promise<string> =>
  new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(reader.error);
    reader.readAsDataURL(blob);
  });

/** Every picture of a report as a data address; one that cannot be had is left to say so. */
async function picturesOf(report: Report): Promise<Map<string, string>> {
  const ids = report.blocks.flatMap((block) => (block.kind === 'picture' ? block.photographId : []));
  const found = await Promise.all(
    ids.map(async (id) => {
      const answer = await fetch(`/api/photographs/${id}/image`);
      return answer.ok ? [[id, await toDataUrl(await answer.blob())] as const] : [];
    }),
  );
  return new Map(found.flat());
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
  const [paper, setPaper] = useState<ReportInput['paper']>('A4');
  const [pictures, setPictures] = useState<readonly string[]>([]);
  const [working, setWorking] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
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
  const leaks = leftIn(report, wearer.name, names);
  const leave = (what: string, make: () => Promise<BlobPart>, type: string, end: string) => async () => {
    setWorking(what);
    setProblem(null);
    try {
      saveFile(await make(), type, `${fileName(trial.question)}.${end}`);
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setWorking(null);
    }
  };
  const asFile = {
    pdf: leave('the PDF', () => postForFile('/reports/pdf', { report, paper }), 'application/pdf', 'pdf'),
    html: leave('the page', async () => asHtml(report, await picturesOf(report)), 'text/html', 'html'),
    text: leave('the text', async () => asText(report), 'text/plain', 'txt'),
  };
  return (
    <>
      <Heading
        kicker={
          <Link className="underline underline-offset-4" to={`/trials/${trial.id}/compare`}>
            {trial.question}
          </Link>
        }
        title="Report"
      >
        Pick what goes in; it leaves as one file. How you came by the products stands on every form of it.
      </Heading>
      <div className="grid *:min-w-0 gap-x-10 gap-y-8 lg:grid-cols-[20rem_1fr]">
        <div className="no-print space-y-6">
          <section aria-labelledby="leave" className="space-y-3">
            <h2 id="leave" className="text-base">
              Take it away
            </h2>
            <InlineChoice
              label="Paper"
              value={paper}
              onChange={setPaper}
              options={[
                ['A4', 'A4'],
                ['LETTER', 'Letter'],
              ]}
            />
            <div className="flex flex-wrap gap-2">
              <Button look="main" disabled={working !== null} onClick={() => void asFile.pdf()}>
                PDF
              </Button>
              <Button disabled={working !== null} onClick={() => void asFile.html()}>
                Web page, one file
              </Button>
              <Button disabled={working !== null} onClick={() => void asFile.text()}>
                Plain text
              </Button>
            </div>
            <p role="status" className="text-sm text-soft">
              {working && `Making ${working} …`}
            </p>
            {problem && (
              <p role="alert" className="text-sm font-semibold text-brick">
                {problem}
              </p>
            )}
          </section>
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
          <InlineChoice label="The wearer goes by" value={names} onChange={setNames} options={NAMES} />
          {leaks.length > 0 && (
            <p className="text-sm text-mango-deep">
              Words you wrote yourself still name the wearer: {leaks.join(', ')}. Change the question, the
              reasons or the verdict, or leave it in.
            </p>
          )}
          {parts.has('pictures') && (
            <PicturesPart trial={trial} wearer={wearer} chosen={pictures} choose={setPictures} />
          )}
          <section aria-labelledby="missing">
            <h2 id="missing" className="text-base">
              What is not on record
            </h2>
            <p className="text-sm text-soft">
              Readers of such a trial look for it. This list stays with you.
            </p>
            <ul className="text-sm">
              {missing.map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </ul>
          </section>
        </div>
        <Preview report={report} />
      </div>
    </>
  );
}
