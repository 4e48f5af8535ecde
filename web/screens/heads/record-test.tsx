import { HairTestInput } from '@sabor/contract/hair-file';
import { fieldsOf } from '@sabor/contract/problem';
import { outcomesOf, POROSITY_TESTS, type PorosityTestKind } from '@sabor/core/hair/porosity/tests';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { useChange } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { ChoiceField, NumberField, TextField } from '../../ui/inputs.tsx';
import { useSay } from '../../ui/undo.tsx';

/** Tests that are made; the history is read from the timeline. */
const MADE = Object.fromEntries(Object.entries(POROSITY_TESTS).filter(([kind]) => kind !== 'history'));

/** Records one result for this place: a number, or what was seen. */
export function RecordTest({
  wearerId,
  zoneId,
  place,
  asked,
  done,
}: {
  wearerId: string;
  zoneId: string | null;
  place: string;
  asked: PorosityTestKind | null;
  done: () => void;
}) {
  const say = useSay();
  const where = zoneId === null ? 'the whole head' : place.toLowerCase();
  const [kind, setKind] = useState<PorosityTestKind | null>(asked);
  const [value, setValue] = useState<number | null>(null);
  const [outcome, setOutcome] = useState<string | null>(null);
  const [on, setOn] = useState(localToday());
  const [note, setNote] = useState('');
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const save = useChange((test: HairTestInput) => put(`/hair-tests/${test.id}`, test));
  const undo = useChange((id: string) => remove(`/hair-tests/${id}`));
  const test = kind && POROSITY_TESTS[kind];
  const record = () => {
    if (!kind) return;
    const checked = v.safeParse(HairTestInput, {
      id: v7(),
      wearerId,
      zoneId,
      kind,
      value,
      outcome,
      on,
      note,
    });
    setProblems(checked.success ? [] : fieldsOf(checked.issues));
    if (!checked.success) return;
    save.mutateAsync(checked.output).then(
      () => {
        say(`${POROSITY_TESTS[kind].label} is recorded for ${where}.`, () => undo.mutate(checked.output.id));
        done();
        setKind(null);
        setValue(null);
        setOutcome(null);
        setNote('');
      },
      (error: Error) => setProblems([{ path: 'kind', message: error.message }]),
    );
  };
  return (
    <form
      noValidate
      className="mt-5 space-y-3 border-t border-rule pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        record();
      }}
    >
      <h3 className="text-lg">Record a test on {where}</h3>
      <div className="grid gap-3 sm:grid-cols-2">
        <ChoiceField<PorosityTestKind>
          label="Test"
          options={MADE}
          value={kind}
          onChange={setKind}
          error={problem('kind')}
        />
        {kind && test?.unit && (
          <NumberField
            label="Result"
            unit={test.unit}
            value={value}
            onChange={setValue}
            error={problem('value')}
          />
        )}
        {kind && test && test.unit === null && (
          <ChoiceField
            label="What you saw"
            options={outcomesOf(kind).map(([key, { label }]) => ({ key, label }))}
            value={outcome}
            onChange={setOutcome}
            error={problem('outcome')}
          />
        )}
        {kind && (
          <>
            <DateField label="On" value={on} onChange={setOn} error={problem('on')} />
            <TextField label="Note" value={note} onChange={setNote} error={problem('note')} />
          </>
        )}
      </div>
      {test && <p className="text-sm text-soft">{test.how}</p>}
      {kind && (
        <Button type="submit" disabled={save.isPending}>
          Record it
        </Button>
      )}
    </form>
  );
}
