import { fieldsOf } from '@sabor/contract/problem';
import type { Product } from '@sabor/contract/shelf';
import type { StepSet } from '@sabor/contract/taps';
import { type WashStep, WashStepInput } from '@sabor/contract/wash-day';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { useState } from 'react';
import * as v from 'valibot';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { StepSettingsFields } from '../../ui/step-settings.tsx';
import { big } from './big.ts';
import { inputOf } from './step-input.ts';

const SLOT_CHOICES = Object.entries(SLOTS).map(([key, { label }]) => ({ key: key as Slot, label }));

/** What was done instead; also a step the plan does not have, before this one. */
export function ChangeStep({
  step,
  products,
  keep,
  cancel,
  addStep,
  takeOut,
}: {
  step: WashStep;
  products: readonly Product[];
  keep: (to: StepSet) => void;
  cancel: () => void;
  addStep: (slot: Slot) => void;
  takeOut: (() => void) | null;
}) {
  const [value, setValue] = useState<WashStepInput>(inputOf(step));
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const done = () => {
    const checked = v.safeParse(WashStepInput, value);
    if (checked.success) {
      const { id: _, slot: __, position: ___, ...set } = checked.output;
      keep(set);
    } else setProblems(fieldsOf(checked.issues));
  };
  return (
    <div className="mt-5 space-y-4 rounded-tag bg-paper p-4 text-ink">
      <h2 className="text-xl">What was really done</h2>
      <StepSettingsFields
        slot={step.slot}
        step={value}
        onChange={(next) => setValue({ ...value, ...next })}
        products={products}
        problem={problem}
      />
      <TextField
        label="Note or reason"
        rows={2}
        value={value.note ?? ''}
        onChange={(note) => setValue({ ...value, note })}
        error={problem('note')}
      />
      <div className="flex flex-wrap gap-3">
        <button type="button" className={`${big} bg-hibiscus text-paper`} onClick={done}>
          Done like this
        </button>
        <button type="button" className={`${big} border-2 border-ink/40`} onClick={cancel}>
          Back to the step
        </button>
        {takeOut && (
          <button type="button" className={`${big} border-2 border-ink/40`} onClick={takeOut}>
            Remove this step
          </button>
        )}
      </div>
      <ChoiceField<Slot>
        label="Did something the plan does not have, before this step?"
        none="no"
        options={SLOT_CHOICES}
        value={null}
        onChange={(slot) => slot && addStep(slot)}
      />
    </div>
  );
}
