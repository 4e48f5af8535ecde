import { COLUMNS, type ColumnKind, type Columns } from '@sabor/core/climate/weather-table/columns';
import { DATE_ORDERS, type DateOrder } from '@sabor/core/time/read-moment';
import { inputLook } from '../../ui/field.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';

/** The file's first rows, with what each column holds to be said over it. */
export function FileColumns({
  opened,
  columns,
  change,
  asked,
  order,
  setOrder,
}: {
  opened: { header: string[]; headed: boolean; sample: string[][]; rows: number };
  columns: Columns;
  change: (columns: Columns) => void;
  asked: 'either' | 'mixed' | null;
  order: DateOrder | null;
  setOrder: (order: DateOrder | null) => void;
}) {
  return (
    <div className="space-y-3">
      <p>
        {opened.rows.toLocaleString('en')} rows
        {opened.headed ? '' : ', and no headings: say what each column holds'}.
      </p>
      <div className="overflow-x-auto">
        <table className="text-left text-sm">
          <thead>
            <tr>
              {opened.header.map((heading, i) => (
                <th key={i} scope="col" className="pr-2 pb-1 align-bottom font-semibold">
                  <span className="block max-w-40 truncate">{heading}</span>
                  <select
                    aria-label={`What ${heading} holds`}
                    className={`${inputLook} min-w-36 font-normal`}
                    value={columns[i] ?? ''}
                    onChange={(e) =>
                      change(
                        columns.map((kind, j) =>
                          i === j ? ((e.target.value || null) as ColumnKind | null) : kind,
                        ),
                      )
                    }
                  >
                    <option value="">left alone</option>
                    {Object.entries(COLUMNS).map(([key, { label }]) => (
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
            {opened.sample.map((row, i) => (
              <tr key={i} className="border-t border-rule">
                {opened.header.map((_, j) => (
                  <td key={j} className="py-1 pr-2">
                    {row[j]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {asked && (
        <ChoiceField
          className="max-w-72"
          label="Dates such as 03/04"
          options={DATE_ORDERS}
          value={order}
          onChange={setOrder}
          {...(asked === 'mixed' ? { none: 'leave these rows out' } : {})}
          hint={
            asked === 'mixed'
              ? 'This file mixes two date formats. Rows that can be read one way only are taken as they are.'
              : 'Nothing in this file tells whether the day or the month comes first.'
          }
        />
      )}
    </div>
  );
}
