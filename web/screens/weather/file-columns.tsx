import { COLUMNS, type ColumnKind, type Columns } from '@sabor/core/climate/weather-table/columns';
import type { DateOrder } from '@sabor/core/time/read-moment';
import { ColumnsTable, DateOrderField } from '../../ui/file-rows.tsx';

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
      <ColumnsTable<ColumnKind>
        header={opened.header}
        sample={opened.sample}
        columns={columns}
        options={COLUMNS}
        change={(at, kind) => change(columns.map((old, i) => (i === at ? kind : old)))}
      />
      {asked && <DateOrderField asked={asked} order={order} change={setOrder} />}
    </div>
  );
}
