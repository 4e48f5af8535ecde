import type { KeptReading } from '@sabor/contract/day-import';
import { isRated } from '@sabor/core/spreadsheet/columns';
import type { KnownToRows } from '@sabor/core/spreadsheet/read-days';
import type { dateOrderOf } from '@sabor/core/time/read-moment';
import { DateOrderField } from '../../ui/file-rows.tsx';
import { ChoiceField, NumberField, TextField } from '../../ui/inputs.tsx';

/** How a spreadsheet's rows are read where their columns do not say. */
export function ImportChoices({
  reading,
  known,
  dates,
  change,
}: {
  reading: KeptReading;
  known: KnownToRows;
  /** What the file's own dates say of their order. */
  dates: ReturnType<typeof dateOrderOf>;
  change: (to: Partial<KeptReading>) => void;
}) {
  const { columns } = reading;
  const has = (...kinds: string[]) => columns.some((kind) => kind !== null && kinds.includes(kind));
  const rated = columns.some(isRated);
  const named = (list: readonly { id: string; name: string }[]) =>
    list.map(({ id: key, name: label }) => ({ key, label }));
  return (
    <fieldset className="grid max-w-4xl gap-4 sm:grid-cols-2 lg:grid-cols-3">
      <legend className="sr-only">Where the columns do not say</legend>
      <ChoiceField
        label="Whose wash days"
        hint={has('head') ? 'For rows that name no head.' : undefined}
        {...(has('head') && { none: 'each row says it' })}
        options={named(known.heads)}
        value={reading.headId}
        onChange={(headId) => change({ headId })}
      />
      <ChoiceField
        label="Steps"
        none="only the products a row names"
        hint="A routine fills in what a row leaves out; a product that a row names takes its step."
        options={named(known.routines)}
        value={reading.routineId}
        onChange={(routineId) => change({ routineId })}
      />
      {(dates === 'either' || dates === 'mixed') && (
        <DateOrderField asked={dates} order={reading.order} change={(order) => change({ order })} />
      )}
      {!has('time') && (
        <TextField
          label="Time of day"
          hint="For rows that tell none."
          value={reading.timeOfDay}
          onChange={(timeOfDay) => change({ timeOfDay })}
          error={
            /^([01]\d|2[0-3]):[0-5]\d$/.test(reading.timeOfDay) ? undefined : 'Give the time of day as 18:00.'
          }
        />
      )}
      {!has('finished') && (
        <NumberField
          label="Finished hair after"
          unit="hours"
          hint="From the wash; ratings are of the finished hair, day 1. No minutes are counted from it."
          value={reading.finishedAfterHours}
          onChange={(hours) => change({ finishedAfterHours: hours ?? Number.NaN })}
          error={
            reading.finishedAfterHours >= 0 && reading.finishedAfterHours <= 72
              ? undefined
              : 'Give hours from 0 to 72.'
          }
        />
      )}
      <TextField
        label="Only rows with"
        hint="A word that a row must hold, such as “wash”. Empty: every row."
        value={reading.only}
        onChange={(only) => change({ only })}
      />
      {rated && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Ratings run from"
            value={reading.scale.from}
            onChange={(from) => change({ scale: { ...reading.scale, from: from ?? Number.NaN } })}
            hint="Carried to 0 to 10."
          />
          <NumberField
            label="to"
            value={reading.scale.to}
            onChange={(to) => change({ scale: { ...reading.scale, to: to ?? Number.NaN } })}
          />
        </div>
      )}
    </fieldset>
  );
}
