import type { OnRecord } from '@sabor/contract/access';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { actInWords, byInWords, changesInWords } from '@sabor/words/on-record';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { resource } from '../../api/queries.ts';
import { showMoment } from '../../ui/show.ts';
import { Failed, Loading } from '../../ui/states.tsx';

/** What was changed since the first wash day began: asked for when it is opened. */
export function OnRecordPart({ trial }: { trial: TrialDetail }) {
  const [open, setOpen] = useState(false);
  if (trial.washDayRecords.length === 0) return null;
  return (
    <details className="mt-10" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-10 cursor-pointer font-display text-xl font-semibold">
        On record: changes since the first wash day
      </summary>
      {open && <Changes trialId={trial.id} />}
    </details>
  );
}

function Changes({ trialId }: { trialId: string }) {
  const record = useQuery(resource<OnRecord[]>(`/trials/${trialId}/record`));
  if (record.isPending) return <Loading what="what is on record" />;
  if (record.isLoadingError) return <Failed error={record.error} retry={record.refetch} part />;
  if (record.data.length === 0)
    return <p className="mt-2 text-soft">Nothing was changed since the first wash day began.</p>;
  return (
    <>
      <p className="mt-2 max-w-2xl text-soft">
        What was told stays told: a change is put beside what was there before, and nobody can take it off the
        record.{' '}
        <a className="underline underline-offset-4" href={`/api/trials/${trialId}/record.csv`} download>
          As CSV
        </a>
      </p>
      <ol className="mt-3 divide-y divide-rule">
        {record.data.map((one) => (
          <li key={one.id} className="py-2">
            <p>
              <span className="font-semibold">{actInWords(one.act)}</span>{' '}
              <span className="text-sm text-soft">
                {showMoment(one.at)}, {byInWords(one)}
              </span>
            </p>
            <ul className="text-sm">
              {changesInWords(one).map((says) => (
                <li key={says} className="break-words">
                  {says}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </>
  );
}
