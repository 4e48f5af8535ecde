import type { MetarReport, Place } from '@sabor/contract/weather';
import { counted } from '@sabor/words/numbers';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange, useSettings } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { Field, inputLook } from '../../ui/field.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';
import { airLine } from './air-words.ts';

/** Pasted METAR reports, each answered for. */
export function FromMetar({ place }: { place: Place }) {
  const say = useSay();
  const settings = useSettings();
  const [text, setText] = useState('');
  const [month, setMonth] = useState('');
  const [error, setError] = useState<string>();
  const [answer, setAnswer] = useState<MetarReport | null>(null);
  const send = useChange((id: string) =>
    put<MetarReport>(`/places/${place.id}/metar/${id}`, { text, month: month || null }),
  );
  const undo = useChange((id: string) => remove(`/weather-batches/${id}`));
  const read = () => {
    const id = v7();
    setError(undefined);
    setAnswer(null);
    send.mutateAsync(id).then(
      (done) => {
        setAnswer(done);
        if (done.stored > 0) say(`${counted(done.stored, 'reading')} stored.`, () => undo.mutate(id));
        if (done.reports.every(({ reading }) => reading)) setText('');
      },
      (problem: Error) => setError(problem.message),
    );
  };
  return (
    <form
      noValidate
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        read();
      }}
    >
      <TextField
        label="METAR reports, as many as you like"
        rows={5}
        value={text}
        onChange={setText}
        placeholder="METAR XXXX 251220Z 24012G25KT 9999 FEW020 08/06 Q1002="
        error={error}
      />
      <Field label="Month" hint="Reports tell the day alone. Left empty, the newest month they fit is taken.">
        {(ids) => (
          <input
            {...ids}
            type="month"
            className={`${inputLook} max-w-52`}
            value={month}
            onChange={(e) => setMonth(e.target.value)}
          />
        )}
      </Field>
      <Button type="submit" disabled={send.isPending || text.trim() === ''}>
        Read the reports
      </Button>
      {answer && (
        <div role="status">
          <p className="font-semibold">
            {answer.reports.length} {answer.reports.length === 1 ? 'report' : 'reports'},{' '}
            {answer.reports.filter(({ reading }) => reading).length} read, {answer.stored} new.
          </p>
          <ol className="mt-1 space-y-1">
            {answer.reports.map(({ report, reading, says }, i) => (
              <li key={i} className="border-b border-rule py-1">
                <code className="block overflow-x-auto text-sm">{report}</code>
                {reading ? (
                  <span className="text-leaf">
                    {showDate(reading.at)} {reading.at.slice(11, 16)} UTC: {airLine(reading, settings)}
                  </span>
                ) : (
                  <span className="font-semibold text-brick">Not taken. {says}</span>
                )}
              </li>
            ))}
          </ol>
        </div>
      )}
    </form>
  );
}
