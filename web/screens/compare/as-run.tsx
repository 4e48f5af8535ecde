import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { weighedBy } from '@sabor/core/step/weighed';
import { useVoice } from '../../api/voice.ts';
import { ribbonColumns, washDayRows } from '../../drawings/ribbon-rows.ts';
import { RibbonStack } from '../../drawings/ribbon-stack.tsx';
import { showDate } from '../../ui/show.ts';

/** The wash days as they were run, aligned step by step. */
export function AsRun({ trial, products }: { trial: TrialDetail; products: readonly Product[] }) {
  const voice = useVoice();
  const columns = ribbonColumns(trial, trial.washDayRecords, voice);
  const rows = washDayRows(
    trial,
    trial.washDayRecords,
    columns,
    voice,
    (day) => showDate(day.localDate),
    weighedBy(products),
  );
  return <RibbonStack caption="Actual wash days, aligned step by step" columns={columns} rows={rows} />;
}
