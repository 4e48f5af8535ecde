import type { OnRecord } from '@sabor/contract/access';
import { actInWords } from '@sabor/words/on-record';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { resource } from '../../api/queries.ts';
import { showMoment } from '../../ui/show.ts';
import { Failed, Loading } from '../../ui/states.tsx';

/** What happened at the door of late; asked for when it is opened. */
export function Lately() {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-10 cursor-pointer font-display text-xl font-semibold">
        What happened at the door
      </summary>
      {open && <Record />}
    </details>
  );
}

function Record() {
  const record = useQuery(resource<OnRecord[]>('/access/record'));
  if (record.isPending) return <Loading what="what happened" />;
  if (record.isLoadingError) return <Failed error={record.error} retry={record.refetch} part />;
  if (record.data.length === 0) return <p className="mt-2 text-soft">Nothing yet.</p>;
  return (
    <ol className="mt-2 space-y-1 text-sm">
      {record.data.map(({ id, at, act, person, device, before, after }) => (
        <li key={id}>
          <span className="font-semibold">{actInWords(act)}</span>
          {[person, device, before?.name, after?.name]
            .filter((one): one is string => typeof one === 'string')
            .map((one) => `, ${one}`)
            .join('')}{' '}
          <span className="text-soft">{showMoment(at)}</span>
        </li>
      ))}
    </ol>
  );
}
