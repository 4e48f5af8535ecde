import { Button } from '../../ui/button.tsx';
import { counted, PartsBar, RowByRow } from '../../ui/file-rows.tsx';
import type { FileRead } from './from-file.tsx';
import type { Upload } from './use-upload.ts';

/** What a file's rows came to: what can be stored, what was not taken and why, where hours are missing; then the storing. */
export function FileReport({
  report,
  name,
  timeZone,
  csv,
  upload,
}: {
  report: FileRead;
  name: string;
  timeZone: string;
  csv: () => Promise<string>;
  upload: Upload;
}) {
  const when = (at: string) =>
    new Intl.DateTimeFormat('en-GB', { timeZone, dateStyle: 'medium', timeStyle: 'short' }).format(
      new Date(at),
    );
  const { state } = upload;
  return (
    <section aria-label="What the file holds" className="space-y-3 border-l-4 border-leaf/50 pl-4">
      <p role="status">
        <span className="font-semibold">{counted(report.taken, 'reading', 'readings')}</span> can be stored
        {report.first && report.last && `, ${when(report.first)} to ${when(report.last)}`}.{' '}
        {report.refusedCount === 0
          ? 'Every row was read.'
          : `${counted(report.refusedCount, 'row was', 'rows were')} not taken.`}{' '}
        {report.gapCount > 0 &&
          `${counted(report.missing, 'reading is', 'readings are')} missing in ${counted(report.gapCount, 'gap', 'gaps')}.`}
      </p>
      {(report.refusedCount > 0 || report.gapCount > 0) && (
        <RowByRow refused={report.refused} csv={csv} name={`not taken from ${name}`} open={false}>
          {report.gaps.map(({ from, to, missing }) => (
            <li key={from} className="border-b border-rule py-1">
              {counted(missing, 'reading', 'readings')} missing between {when(from)} and {when(to)}.
            </li>
          ))}
        </RowByRow>
      )}
      {state === 'waiting' && report.taken > 0 && (
        <Button onClick={() => void upload.run()}>
          Store {counted(report.taken, 'reading', 'readings')}
        </Button>
      )}
      {state !== 'waiting' && (
        <PartsBar
          total={report.taken}
          parts={upload}
          others="the place already had the others, and they stay as they were"
          undo={() => void upload.takeBack()}
        />
      )}
    </section>
  );
}
