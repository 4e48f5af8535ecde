import type { DaysStored } from '@sabor/contract/day-import';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import type { DayOfRow, KnownToRows } from '@sabor/core/spreadsheet/read-days';
import type { ReactNode } from 'react';
import { counted, RowByRow } from '../../ui/file-rows.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import type { Read } from './import.tsx';

/** A row in words: date, head, products, ratings. */
function rowInWords(day: DayOfRow, known: KnownToRows): string {
  const nameOf = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? '';
  const products = day.steps.flatMap(({ productId }) =>
    productId === null ? [] : nameOf(known.products, productId),
  );
  const ratings = day.ratings.map(
    ({ outcome, value }) => `${OUTCOMES[outcome].label.toLowerCase()} ${value}`,
  );
  return [
    nameOf(known.heads, day.wearerId),
    products.join(', ') || counted(day.steps.length, 'step', 'steps'),
    ratings.join(', '),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** What a spreadsheet's rows came to: what can be stored, names the shelf does not have, what was not taken and why. */
export function ImportRead({
  read,
  known,
  refused,
  meant,
  mean,
  csv,
  children,
}: {
  read: Read;
  known: KnownToRows;
  /** Rows that the server did not take. */
  refused: DaysStored['refused'];
  meant: Readonly<Record<string, string>>;
  mean: (meant: Record<string, string>) => void;
  csv: () => Promise<string>;
  children: ReactNode;
}) {
  const { first, last } = read;
  const day = (of: DayOfRow) => showDate(of.startedAt.slice(0, 10));
  const gone = read.refusedCount + refused.length;
  const words = [
    ...read.unknown,
    ...Object.keys(meant)
      .filter((word) => !read.unknown.some((one) => one.word === word))
      .map((word) => ({ word, rows: 0 })),
  ];
  return (
    <section aria-label="What the file holds" className="mt-5 space-y-4 border-l-4 border-leaf/50 pl-4">
      <p role="status">
        <span className="font-semibold">{counted(read.taken, 'wash day', 'wash days')}</span> can be stored
        {first && last && `, ${day(first)} to ${day(last)}`}
        {read.rated > 0 && `; ${counted(read.rated, 'has', 'have')} ratings`}.{' '}
        {gone === 0 ? 'Every row was read.' : `${counted(gone, 'row was', 'rows were')} not taken.`}
        {read.leftOut > 0 && ` ${counted(read.leftOut, 'row', 'rows')} without that word left out.`}
      </p>
      <ul className="text-sm text-soft">
        {read.sample.map((one) => (
          <li key={one.line}>
            Line {one.line}: {day(one)} · {rowInWords(one, known)}
          </li>
        ))}
      </ul>
      {words.length > 0 && (
        <section aria-labelledby="strangers">
          <h2 id="strangers" className="text-lg">
            Names the shelf does not have
          </h2>
          <p className="text-sm text-soft">
            They go into the day’s note; a row that names nothing else is not taken. Say which product one
            means, and its rows get that product; kept for the next file.
            {read.unknownCount > read.unknown.length &&
              ` The ${read.unknown.length} named most of ${read.unknownCount.toLocaleString('en')}.`}
          </p>
          <ul className="mt-2 grid max-w-4xl gap-x-6 sm:grid-cols-2">
            {words.map(({ word, rows }) => (
              <li key={word}>
                <ChoiceField
                  label={rows > 0 ? `“${word}” (${counted(rows, 'row', 'rows')})` : `“${word}”`}
                  none="a note"
                  options={known.products.map(({ id, name, line }) => ({
                    key: id,
                    label: line ? `${line} · ${name}` : name,
                  }))}
                  value={meant[word] ?? null}
                  onChange={(product) => {
                    const { [word]: _, ...rest } = meant;
                    mean(product === null ? rest : { ...rest, [word]: product });
                  }}
                />
              </li>
            ))}
          </ul>
        </section>
      )}
      {gone > 0 && (
        <RowByRow refused={[...read.refused, ...refused]} csv={csv} name="wash days not taken.csv" />
      )}
      {children}
    </section>
  );
}
