import type { Place } from '@sabor/contract/weather';
import { type Columns, missingColumn } from '@sabor/core/climate/weather-table/columns';
import type { DateOrder } from '@sabor/core/time/read-moment';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { openWeatherFile } from '../../workers/weather-file.ts';
import type { WeatherFile } from '../../workers/weather-file.worker.ts';
import { FileColumns } from './file-columns.tsx';
import { FileReport } from './file-report.tsx';
import { useUpload } from './use-upload.ts';

type Opened = Awaited<ReturnType<WeatherFile['open']>>;
export type FileRead = ReturnType<WeatherFile['read']>;
type Held = ReturnType<typeof openWeatherFile>;

/** An hourly weather file: its columns are named, its rows read and told, then stored in parts. */
export function FromFile({ place }: { place: Place }) {
  const held = useRef<Held | null>(null);
  const [name, setName] = useState('');
  const [opened, setOpened] = useState<Opened | null>(null);
  const [columns, setColumns] = useState<Columns>([]);
  const [found, setFound] = useState<Awaited<ReturnType<WeatherFile['order']>>>(null);
  const [order, setOrder] = useState<DateOrder | null>(null);
  const [report, setReport] = useState<FileRead | null>(null);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  const upload = useUpload(place, name, report?.taken ?? 0, (from, count) =>
    held.current!.file.part(from, count),
  );
  useEffect(() => () => held.current?.close(), []);

  const choose = async (file: File | undefined) => {
    if (!file) return;
    held.current?.close();
    const next = openWeatherFile();
    held.current = next;
    setError(undefined);
    setReport(null);
    upload.reset();
    setBusy(true);
    setName(file.name);
    const first = await next.file.open(file);
    if (held.current !== next) return;
    setBusy(false);
    if (first.rows === 0) {
      setOpened(null);
      return setError('This file holds no rows. Choose a CSV with one reading a row.');
    }
    setOpened(first);
    setOrder(null);
    await named(first.columns as Columns);
  };
  const named = async (next: Columns) => {
    setColumns(next);
    setReport(null);
    const dates = await held.current!.file.order(next);
    setFound(dates);
    if (dates === 'dmy' || dates === 'mdy') setOrder(dates);
  };
  const read = async () => {
    setBusy(true);
    setReport(await held.current!.file.read(columns, order, place.timeZone));
    setBusy(false);
  };
  const missing = opened ? missingColumn(columns) : null;
  return (
    <div className="space-y-4">
      <FileField
        label="Hourly readings, CSV"
        error={error}
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        disabled={upload.state === 'storing'}
        onChoose={(file) => void choose(file)}
      />
      <p className="text-sm text-soft">
        Times without an offset of their own are taken as clock times at {place.name} ({place.timeZone}).
      </p>
      {opened && (
        <>
          <FileColumns
            opened={opened}
            columns={columns}
            change={(next) => void named(next)}
            asked={found === 'either' || found === 'mixed' ? found : null}
            order={order}
            setOrder={(to) => {
              setOrder(to);
              setReport(null);
            }}
          />
          {missing ? (
            <p role="status" className="font-semibold text-mango-deep">
              {missing}
            </p>
          ) : found === 'either' && order === null ? (
            <p role="status" className="font-semibold text-mango-deep">
              Say whether its dates put the day or the month first.
            </p>
          ) : (
            !report && (
              <Button disabled={busy} onClick={() => void read()}>
                Read {opened.rows.toLocaleString('en')} rows
              </Button>
            )
          )}
        </>
      )}
      {busy && <p role="status">Reading {name} …</p>}
      {report && (
        <FileReport
          report={report}
          name={name}
          timeZone={place.timeZone}
          csv={() => held.current!.file.report()}
          upload={upload}
        />
      )}
    </div>
  );
}
