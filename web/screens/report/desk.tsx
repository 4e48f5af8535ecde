import type { ReportInput } from '@sabor/contract/report';
import { asHtml } from '@sabor/words/report/as-html';
import { asText } from '@sabor/words/report/as-text';
import type { Report } from '@sabor/words/report/blocks';
import { cardOf } from '@sabor/words/report/card';
import { type ReactNode, useState } from 'react';
import { postForFile } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { saveFile } from '../../ui/save-file.ts';
import { Heading } from '../../ui/states.tsx';
import { CARDS, type CardShape, drawCard } from './cards.ts';
import { leftIn, NAMES, type Names } from './names.ts';
import { Preview } from './preview.tsx';

const fileName = (title: string) =>
  title
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

/** Where a report is made: what is in it on the left, how it will look on the right, and every form it leaves in. */
export function ReportDesk({
  report,
  kicker,
  wearerName,
  names,
  setNames,
  children,
}: {
  report: Report;
  kicker: ReactNode;
  wearerName: string;
  names: Names;
  setNames: (names: Names) => void;
  /** What goes into it, and what is missing. */
  children?: ReactNode;
}) {
  const [paper, setPaper] = useState<ReportInput['paper']>('A4');
  const [shape, setShape] = useState<CardShape>('portrait');
  const [working, setWorking] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const leaks = leftIn(report, wearerName, names);
  const leave = (what: string, make: () => Promise<BlobPart>, type: string, end: string) => async () => {
    setWorking(what);
    setProblem(null);
    try {
      saveFile(await make(), type, `${fileName(report.title)}.${end}`);
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
    card: leave(
      'the card',
      async () => drawCard(cardOf(report), shape, await picturesOf(report)),
      'image/png',
      `${shape}.png`,
    ),
  };
  return (
    <>
      <Heading kicker={kicker} title="Report">
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
            <div className="flex flex-wrap items-center gap-2">
              <InlineChoice
                label="Picture card"
                value={shape}
                onChange={setShape}
                options={(Object.keys(CARDS) as CardShape[]).map((key) => [key, CARDS[key].label] as const)}
              />
              <Button disabled={working !== null} onClick={() => void asFile.card()}>
                Save the card
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
          <InlineChoice label="The wearer goes by" value={names} onChange={setNames} options={NAMES} />
          {leaks.length > 0 && (
            <p className="text-sm text-mango-deep">
              Words you wrote yourself still name the wearer: {leaks.join(', ')}. Change the question, the
              reasons or the verdict, or leave it in.
            </p>
          )}
          {children}
        </div>
        <Preview report={report} />
      </div>
    </>
  );
}
