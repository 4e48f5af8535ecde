import { Button } from '../../ui/button.tsx';
import { saveFile } from '../../ui/save-file.ts';
import type { FileRead } from './from-file.tsx';
import type { Upload } from './use-upload.ts';

const count = (n: number, one: string, many: string) => `${n.toLocaleString('en')} ${n === 1 ? one : many}`;

/** What a file's rows came to: what can be stored, what was not taken and why, where hours are missing; then the storing. */
export function FileReport({
  report,
  name,
  timeZone,
  csv,
  upload,
  store,
}: {
  report: FileRead;
  name: string;
  timeZone: string;
  csv: () => Promise<string>;
  upload: Upload;
  store: () => void;
}) {
  const when = (at: string) =>
    new Intl.DateTimeFormat('en-GB', { timeZone, dateStyle: 'medium', timeStyle: 'short' }).format(
      new Date(at),
    );
  const save = async () => saveFile(await csv(), 'text/csv', `not taken from ${name}`);
  const { state } = upload;
  return (
    <section aria-label="What the file holds" className="space-y-3 border-l-4 border-leaf/50 pl-4">
      <p role="status">
        <span className="font-semibold">{count(report.taken, 'reading', 'readings')}</span> can be stored
        {report.first && report.last && `, ${when(report.first)} to ${when(report.last)}`}.{' '}
        {report.refusedCount === 0
          ? 'Every row was read.'
          : `${count(report.refusedCount, 'row was', 'rows were')} not taken.`}{' '}
        {report.gapCount > 0 &&
          `${count(report.missing, 'reading is', 'readings are')} missing in ${count(report.gapCount, 'gap', 'gaps')}.`}
      </p>
      {(report.refusedCount > 0 || report.gapCount > 0) && (
        <details>
          <summary className="min-h-10 cursor-pointer py-2 font-semibold">Row by row</summary>
          <ul className="max-h-64 overflow-y-auto text-sm">
            {report.refused.map(({ line, reason }) => (
              <li key={line} className="border-b border-rule py-1">
                Line {line}: {reason}
              </li>
            ))}
            {report.gaps.map(({ from, to, missing }) => (
              <li key={from} className="border-b border-rule py-1">
                {count(missing, 'reading', 'readings')} missing between {when(from)} and {when(to)}.
              </li>
            ))}
          </ul>
          <Button look="quiet" className="px-0!" onClick={() => void save()}>
            Save the whole report as CSV
          </Button>
        </details>
      )}
      {state === 'waiting' && report.taken > 0 && (
        <Button onClick={store}>Store {count(report.taken, 'reading', 'readings')}</Button>
      )}
      {state !== 'waiting' && (
        <div>
          <progress
            className="h-3 w-full accent-leaf"
            aria-label="Stored so far"
            max={report.taken}
            value={upload.sent}
          />
          <p role="status">
            {upload.sent.toLocaleString('en')} of {report.taken.toLocaleString('en')} sent,{' '}
            {upload.stored.toLocaleString('en')} new
            {state === 'done' && upload.stored < upload.sent
              ? '; the place already had the others, and they stay as they were.'
              : '.'}
          </p>
          {upload.problem && (
            <p role="alert" className="font-semibold text-brick">
              {upload.problem}
            </p>
          )}
          <div className="mt-2 flex flex-wrap gap-3">
            {state === 'storing' && <Button onClick={upload.stop}>Stop here</Button>}
            {(state === 'stopped' || state === 'failed') && <Button onClick={store}>Go on</Button>}
            {state !== 'storing' && upload.stored > 0 && (
              <Button look="quiet" onClick={() => void upload.takeBack()}>
                Undo this import
              </Button>
            )}
          </div>
        </div>
      )}
    </section>
  );
}
