import { DATE_ORDERS, type DateOrder } from '@sabor/core/time/read-moment';
import type { ReactNode } from 'react';
import { Button } from './button.tsx';
import { inputLook } from './field.tsx';
import { ChoiceField } from './inputs.tsx';
import type { Parts } from './parts.ts';
import { saveFile } from './save-file.ts';

/** "1 row", "1,200 rows". */
export const counted = (n: number, one: string, many: string) =>
  `${n.toLocaleString('en')} ${n === 1 ? one : many}`;

/** The first rows of a file under its headings, each with a choice of what its column holds. */
export function ColumnsTable<K extends string>({
  header,
  sample,
  columns,
  options,
  change,
}: {
  header: readonly string[];
  sample: readonly (readonly string[])[];
  columns: readonly (K | null)[];
  options: Readonly<Record<K, { label: string }>>;
  change: (at: number, kind: K | null) => void;
}) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The file’s columns">
      <table className="text-left text-sm">
        <thead>
          <tr>
            {header.map((heading, i) => (
              <th key={`${heading} ${i + 1}`} scope="col" className="pr-2 pb-1 align-bottom font-semibold">
                <span className="block max-w-40 truncate" title={heading}>
                  {heading}
                </span>
                <select
                  aria-label={`What ${heading} holds`}
                  className={`${inputLook} min-w-52 font-normal`}
                  value={columns[i] ?? ''}
                  onChange={(e) => change(i, (e.target.value || null) as K | null)}
                >
                  <option value="">left alone</option>
                  {(Object.entries(options) as [K, { label: string }][]).map(([key, { label }]) => (
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
          {sample.map((row, n) => (
            <tr key={`${n + 1} ${row.join('|')}`} className="border-t border-rule">
              {header.map((heading, j) => (
                <td key={`${heading} ${j + 1}`} className="max-w-56 truncate py-1 pr-2">
                  {row[j]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Asks which comes first in a file's dates, day or month, where they do not tell. */
export function DateOrderField({
  asked,
  order,
  change,
}: {
  asked: 'either' | 'mixed';
  order: DateOrder | null;
  change: (order: DateOrder | null) => void;
}) {
  return (
    <ChoiceField
      className="max-w-72"
      label="Dates such as 03/04"
      options={DATE_ORDERS}
      value={order}
      onChange={change}
      {...(asked === 'mixed' ? { none: 'leave these rows out' } : {})}
      hint={
        asked === 'mixed'
          ? 'This file mixes two date formats. Rows that can be read one way only are taken as they are.'
          : 'Nothing in this file tells whether the day or the month comes first.'
      }
    />
  );
}

/** Rows that were not taken, each with its line and the reason. */
export function RowByRow({
  refused,
  csv,
  name,
  open = true,
  children,
}: {
  refused: readonly { line: number; reason: string }[];
  csv: () => Promise<string> | string;
  /** The name under which the whole report is saved. */
  name: string;
  open?: boolean;
  children?: ReactNode;
}) {
  return (
    <details open={open}>
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">Row by row</summary>
      <ul className="max-h-64 overflow-y-auto text-sm">
        {refused.map(({ line, reason }) => (
          <li key={`${line} ${reason}`} className="border-b border-rule py-1">
            Line {line.toLocaleString('en')}: {reason}
          </li>
        ))}
        {children}
      </ul>
      <Button
        look="quiet"
        className="px-0!"
        onClick={() => void Promise.resolve(csv()).then((text) => saveFile(text, 'text/csv', name))}
      >
        Save the whole report as CSV
      </Button>
    </details>
  );
}

/** How far the storing is, and what can be done about it. `others`: what became of rows that were not new. */
export function PartsBar({
  total,
  parts,
  others,
  undo,
  children,
}: {
  total: number;
  parts: Parts;
  others: string;
  /** Takes back what was stored; none where it cannot be. */
  undo?: () => void;
  /** Where to go once all of it is stored. */
  children?: ReactNode;
}) {
  const { state, sent, stored, problem } = parts;
  return (
    <div>
      <progress className="w-full" aria-label="Stored so far" max={total} value={sent} />
      <p role="status">
        {sent.toLocaleString('en')} of {total.toLocaleString('en')} sent, {stored.toLocaleString('en')} new
        {stored < sent ? `; ${others}.` : '.'}
      </p>
      {problem && (
        <p role="alert" className="font-semibold text-brick">
          {problem}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        {state === 'storing' && <Button onClick={parts.stop}>Stop here</Button>}
        {(state === 'stopped' || state === 'failed') && (
          <Button onClick={() => void parts.run()}>Go on</Button>
        )}
        {state === 'done' && children}
        {undo && state !== 'storing' && stored > 0 && (
          <Button look="quiet" onClick={undo}>
            Undo this import
          </Button>
        )}
      </div>
    </div>
  );
}
