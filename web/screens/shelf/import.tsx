import { PRODUCT_COLUMNS, type ProductColumn, type ProductColumns } from '@sabor/core/shelf/product-table';
import { ROLES } from '@sabor/core/shelf/products';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { queryClient, useSettings } from '../../api/queries.ts';
import { post } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { inputLook } from '../../ui/field.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { saveFile } from '../../ui/save-file.ts';
import { Heading } from '../../ui/states.tsx';
import type { ProductFile } from '../../workers/product-file.worker.ts';

type Opened = Awaited<ReturnType<ProductFile['open']>>;
type Read = ReturnType<ProductFile['read']>;

/** Products that go up in one request. */
const AT_ONCE = 250;

function openProductFile(): { file: Remote<ProductFile>; close: () => void } {
  const worker = new Worker(new URL('../../workers/product-file.worker.ts', import.meta.url), {
    type: 'module',
  });
  return { file: wrap<ProductFile>(worker), close: () => worker.terminate() };
}

/** Products from a CSV: columns named, rows read and told one by one, then stored in parts. */
export function ShelfImportScreen() {
  const held = useRef<ReturnType<typeof openProductFile> | null>(null);
  const stopping = useRef(false);
  const settings = useSettings();
  const [opened, setOpened] = useState<Opened | null>(null);
  const [columns, setColumns] = useState<ProductColumns>([]);
  const [read, setRead] = useState<Read | null>(null);
  const [error, setError] = useState<string>();
  const [sent, setSent] = useState(0);
  const [result, setResult] = useState({ stored: 0, known: 0 });
  const [state, setState] = useState<'waiting' | 'storing' | 'stopped' | 'done'>('waiting');
  useEffect(() => () => held.current?.close(), []);
  const fresh = () => {
    setSent(0);
    setResult({ stored: 0, known: 0 });
    setState('waiting');
  };
  const choose = async (file: File | undefined) => {
    if (!file) return;
    held.current?.close();
    held.current = openProductFile();
    setError(undefined);
    setRead(null);
    fresh();
    const first = await held.current.file.open(file);
    if (first.rows === 0) {
      setOpened(null);
      return setError('This file holds no rows under its headings. Choose a CSV with one product a row.');
    }
    setOpened(first);
    setColumns(first.columns);
  };
  const store = async () => {
    if (!read) return;
    stopping.current = false;
    setState('storing');
    setError(undefined);
    let at = sent;
    let all = result;
    try {
      while (at < read.taken && !stopping.current) {
        const rows = await held.current!.file.part(at, AT_ONCE);
        const answer = await post<{ stored: number; known: number }>('/shelf/import', {
          products: rows.map((row) => ({
            ...row,
            id: v7(),
            lineId: null,
            currency: row.price === null ? null : (row.currency ?? settings.currency),
          })),
        });
        at += rows.length;
        all = { stored: all.stored + answer.stored, known: all.known + answer.known };
        setSent(at);
        setResult(all);
      }
      setState(at < read.taken ? 'stopped' : 'done');
    } catch (problem) {
      setState('stopped');
      setError((problem as Error).message);
    }
    void queryClient.invalidateQueries();
  };
  const saveReport = async () =>
    saveFile(await held.current!.file.report(), 'text/csv', 'products not taken.csv');
  const named = columns.includes('name');
  return (
    <>
      <Heading
        kicker="Shelf"
        title="Products from a file"
        actions={<ButtonLink to="/shelf">Back to the shelf</ButtonLink>}
      >
        A CSV with one product a row, under headings. What Sabor writes under “Export the shelf as CSV” comes
        back the same.
      </Heading>
      <FileField
        label="Product file, CSV"
        error={error}
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        disabled={state === 'storing'}
        onChoose={(file) => void choose(file)}
      />
      {opened && (
        <div className="mt-5 space-y-4">
          <p>{opened.rows.toLocaleString('en')} rows.</p>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The file’s columns">
            <table className="text-left text-sm">
              <thead>
                <tr>
                  {opened.header.map((heading, i) => (
                    <th
                      key={`${heading} ${i + 1}`}
                      scope="col"
                      className="pr-2 pb-1 align-bottom font-semibold"
                    >
                      <span className="block max-w-40 truncate">{heading}</span>
                      <select
                        aria-label={`What ${heading} holds`}
                        className={`${inputLook} min-w-36 font-normal`}
                        value={columns[i] ?? ''}
                        onChange={(e) => {
                          const kind = (e.target.value || null) as ProductColumn | null;
                          setColumns(columns.map((old, j) => (i === j ? kind : old === kind ? null : old)));
                          setRead(null);
                          fresh();
                        }}
                      >
                        <option value="">left alone</option>
                        {Object.entries(PRODUCT_COLUMNS).map(([key, { label }]) => (
                          <option key={key} value={key}>
                            {label}
                          </option>
                        ))}
                      </select>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {opened.sample.map((row) => (
                  <tr key={row.join('|')} className="border-t border-rule">
                    {opened.header.map((heading, j) => (
                      <td key={`${heading} ${j + 1}`} className="max-w-56 truncate py-1 pr-2">
                        {row[j]}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {!named ? (
            <p role="status" className="font-semibold text-mango-deep">
              Say which column holds the name.
            </p>
          ) : (
            !read && (
              <Button onClick={() => void held.current!.file.read(columns).then(setRead)}>
                Read {opened.rows.toLocaleString('en')} rows
              </Button>
            )
          )}
        </div>
      )}
      {read && (
        <section aria-label="What the file holds" className="mt-5 space-y-3 border-l-4 border-leaf/50 pl-4">
          <p role="status">
            <span className="font-semibold">{read.taken.toLocaleString('en')} products</span> can be stored.{' '}
            {read.refusedCount === 0
              ? 'Every row was read.'
              : `${read.refusedCount.toLocaleString('en')} rows were not taken.`}
          </p>
          <ul className="text-sm text-soft">
            {read.sample.map(({ name, line, roles }) => (
              <li key={`${line} ${name}`}>
                {line ? `${line}: ` : ''}
                {name}, {roles.map((role) => ROLES[role].label.toLowerCase()).join(', ')}
              </li>
            ))}
          </ul>
          {read.refusedCount > 0 && (
            <details open>
              <summary className="min-h-10 cursor-pointer py-2 font-semibold">Row by row</summary>
              <ul className="max-h-64 overflow-y-auto text-sm">
                {read.refused.map(({ line, reason }) => (
                  <li key={line} className="border-b border-rule py-1">
                    Line {line}: {reason}
                  </li>
                ))}
              </ul>
              <Button look="quiet" className="px-0!" onClick={() => void saveReport()}>
                Save the whole report as CSV
              </Button>
            </details>
          )}
          {state === 'waiting' && read.taken > 0 && (
            <Button onClick={() => void store()}>Store {read.taken.toLocaleString('en')} products</Button>
          )}
          {state !== 'waiting' && (
            <div>
              <progress
                className="h-3 w-full accent-leaf"
                aria-label="Stored so far"
                max={read.taken}
                value={sent}
              />
              <p role="status">
                {sent.toLocaleString('en')} of {read.taken.toLocaleString('en')} sent,{' '}
                {result.stored.toLocaleString('en')} new
                {result.known > 0 &&
                  `, ${result.known.toLocaleString('en')} on the shelf already and left as they are`}
                .
              </p>
              {state === 'storing' && (
                <Button
                  onClick={() => {
                    stopping.current = true;
                  }}
                >
                  Stop here
                </Button>
              )}
              {state === 'stopped' && <Button onClick={() => void store()}>Go on</Button>}
              {state === 'done' && <ButtonLink to="/shelf">To the shelf</ButtonLink>}
            </div>
          )}
        </section>
      )}
    </>
  );
}
