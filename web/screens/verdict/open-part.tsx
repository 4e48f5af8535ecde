import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { TextField } from '../../ui/inputs.tsx';

interface Open {
  what: string;
  due: string;
}

/** What is still open, each with the date it comes back on. */
export function OpenPart({
  value,
  change,
  problem,
}: {
  value: readonly Open[];
  change: (to: Open[]) => void;
  problem: (path: string) => string | undefined;
}) {
  const set = (i: number, to: Partial<Open>) =>
    change(value.map((one, j) => (i === j ? { ...one, ...to } : one)));
  return (
    <fieldset className="space-y-3">
      <legend className="text-sm font-semibold">Still open; each comes back on Today</legend>
      {value.map((one, i) => (
        <div key={i} className="flex flex-wrap items-end gap-3">
          <TextField
            className="min-w-60 flex-1"
            label="What is open"
            value={one.what}
            onChange={(what) => set(i, { what })}
            error={problem(`open.${i}.what`)}
          />
          <DateField
            label="Back on"
            value={one.due}
            onChange={(due) => set(i, { due })}
            error={problem(`open.${i}.due`)}
          />
          <Button look="quiet" onClick={() => change(value.filter((_, j) => j !== i))}>
            Remove
          </Button>
        </div>
      ))}
      <Button onClick={() => change([...value, { what: '', due: '' }])}>Add what is open</Button>
    </fieldset>
  );
}
