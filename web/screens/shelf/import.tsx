import { PRODUCT_COLUMNS, type ProductColumn, type ProductColumns } from '@sabor/core/shelf/product-table';
import { ROLES } from '@sabor/core/shelf/products';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { useSettings } from '../../api/queries.ts';
import { post } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { ColumnsTable, counted, PartsBar, RowByRow } from '../../ui/file-rows.tsx';
import { useParts } from '../../ui/parts.ts';
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

/** Products from a file: columns named, rows read and told one by one, then stored in parts. */
export function ShelfImportScreen() {
  const held = useRef<ReturnType<typeof openProductFile> | null>(null);
  const settings = useSettings();
  const [opened, setOpened] = useState<Opened | null>(null);
  const [columns, setColumns] = useState<ProductColumns>([]);
  const [read, setRead] = useState<Read | null>(null);
  const [error, setError] = useState<string>();
  useEffect(() => () => held.current?.close(), []);
  const parts = useParts(read?.taken ?? 0, AT_ONCE, async (from, count) => {
    const rows = await held.current!.file.part(from, count);
    return post<{ stored: number }>('/shelf/import', {
      products: rows.map((row) => ({
        ...row,
        id: v7(),
        lineId: null,
        currency: row.price === null ? null : (row.currency ?? settings.currency),
      })),
    });
  });
  const choose = async (file: File) => {
    held.current?.close();
    const next = openProductFile();
    held.current = next;
    setError(undefined);
    setOpened(null);
    setRead(null);
    parts.reset();
    try {
      const first = await next.file.open(file);
      if (held.current !== next) return;
      if (first.rows === 0)
        return setError('This file holds no rows under its headings. Choose one with a product a row.');
      setOpened(first);
      setColumns(first.columns);
    } catch (problem) {
      if (held.current === next) setError((problem as Error).message);
    }
  };
  return (
    <>
      <Heading
        kicker="Shelf"
        title="Products from a file"
        actions={<ButtonLink to="/shelf">Back to the shelf</ButtonLink>}
      >
        A CSV or XLSX with one product a row, under headings. What Sabor writes under “Export the shelf as
        CSV” comes back the same.
      </Heading>
      <FileField
        label="Product file, CSV or XLSX"
        error={error}
        accept=".csv,.tsv,.txt,.xlsx,text/csv,text/plain"
        disabled={parts.state === 'storing'}
        onChoose={(file) => void choose(file)}
      />
      {opened && (
        <div className="mt-5 space-y-4">
          <p>{counted(opened.rows, 'row', 'rows')}.</p>
          <ColumnsTable<ProductColumn>
            header={opened.header}
            sample={opened.sample}
            columns={columns}
            options={PRODUCT_COLUMNS}
            change={(at, kind) => {
              setColumns(columns.map((old, i) => (i === at ? kind : old === kind ? null : old)));
              setRead(null);
              parts.reset();
            }}
          />
          {!columns.includes('name') ? (
            <p role="status" className="font-semibold text-mango-deep">
              Say which column holds the name.
            </p>
          ) : (
            !read && (
              <Button onClick={() => void held.current!.file.read(columns).then(setRead)}>
                Read {counted(opened.rows, 'row', 'rows')}
              </Button>
            )
          )}
        </div>
      )}
      {read && (
        <section aria-label="What the file holds" className="mt-5 space-y-3 border-l-4 border-leaf/50 pl-4">
          <p role="status">
            <span className="font-semibold">{counted(read.taken, 'product', 'products')}</span> can be stored.{' '}
            {read.refusedCount === 0
              ? 'Every row was read.'
              : `${counted(read.refusedCount, 'row was', 'rows were')} not taken.`}
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
            <RowByRow
              refused={read.refused}
              csv={() => held.current!.file.report()}
              name="products not taken.csv"
            />
          )}
          {parts.state === 'waiting' && read.taken > 0 && (
            <Button onClick={() => void parts.run()}>
              Store {counted(read.taken, 'product', 'products')}
            </Button>
          )}
          {parts.state !== 'waiting' && (
            <PartsBar
              total={read.taken}
              parts={parts}
              others="the others are on the shelf already and left as they are"
            >
              <ButtonLink to="/shelf">To the shelf</ButtonLink>
            </PartsBar>
          )}
        </section>
      )}
    </>
  );
}
