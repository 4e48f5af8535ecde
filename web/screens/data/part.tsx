import { localToday } from '@sabor/core/time/today';
import { readDate } from '@sabor/words/dates';
import { useState } from 'react';
import { useShelf, useWearers } from '../../api/queries.ts';
import { SaveLink } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';

/** A part of everything, to be passed on. */
export function PartOfIt() {
  const wearers = useWearers().data ?? [];
  const lines = useShelf().data?.lines ?? [];
  const [head, setHead] = useState<string | null>(null);
  const [line, setLine] = useState<string | null>(null);
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [pictures, setPictures] = useState(false);
  const [first, last] = [from, to].map((text) => (text === '' ? null : readDate(text, localToday())));
  const unread = (text: string, read: string | null | undefined) =>
    text !== '' && !read ? 'Sabor cannot read this date. Try 27 Nov or 2026-11-27.' : undefined;
  const backwards = first && last && first > last ? 'It ends before it begins.' : undefined;
  const wrong = unread(from, first) ?? unread(to, last) ?? backwards;
  const asked = new URLSearchParams([
    ...(head ? [['head', head]] : []),
    ...(line ? [['line', line]] : []),
    ...(first ? [['from', first]] : []),
    ...(last ? [['to', last]] : []),
    ...(pictures ? [] : [['pictures', 'no']]),
  ] as [string, string][]);
  return (
    <details className="mt-5">
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">A part of it, to pass on</summary>
      <p className="mb-3 text-soft">
        For other programs and other people: all that belongs to what you choose, described the same way. The
        shelf goes with it. No Sabor reads it in.
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        <ChoiceField
          label="Head"
          none="all heads"
          value={head}
          onChange={setHead}
          options={wearers.map(({ id, name }) => ({ key: id, label: name }))}
        />
        <ChoiceField
          label="Line under test"
          none="any line"
          value={line}
          onChange={setLine}
          options={lines.map(({ id, name }) => ({ key: id, label: name }))}
        />
        <DateField label="Washed from" value={from} onChange={setFrom} error={unread(from, first)} />
        <DateField label="Washed to" value={to} onChange={setTo} error={unread(to, last) ?? backwards} />
      </div>
      <label className="my-3 flex min-h-10 items-center gap-2">
        <input type="checkbox" checked={pictures} onChange={(event) => setPictures(event.target.checked)} />
        With photographs and voices; those of wearers under age only after their guardian’s yes to publishing
      </label>
      {wrong ? (
        <p className="text-soft">The dates first, then it can be saved.</p>
      ) : (
        <SaveLink href={`/api/part.zip?${asked}`}>Save this part</SaveLink>
      )}
    </details>
  );
}
