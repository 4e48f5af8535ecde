import type { Routine } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import { SLOTS } from '@sabor/core/step/slots';
import { keysOf } from '@sabor/core/vocabulary';
import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { benchChip } from '../../ui/five-words.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { fromTemplate, stepsFor, suitingSteps, TEMPLATES, type Template } from './question-template.ts';

/** A question of a known kind, answered by a few choices, that fills in a new plan; all of it can be changed after. */
export function BeginWith({
  routines,
  products,
  shortlist,
  fill,
}: {
  routines: readonly Routine[];
  products: readonly Product[];
  /** Products that come with the address: the first two are proposed. */
  shortlist: readonly string[];
  fill: (plan: NonNullable<ReturnType<typeof fromTemplate>>) => void;
}) {
  const kept = routines.filter(({ archivedAt, steps }) => archivedAt === null && steps.length > 0);
  const [template, setTemplate] = useState<Template | null>(null);
  const [routineId, setRoutineId] = useState(kept.length === 1 ? kept[0]!.id : null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [first, setFirst] = useState<string | null>(shortlist[0] ?? null);
  const [second, setSecond] = useState<string | null>(shortlist[1] ?? null);
  const [asked, setAsked] = useState(false);
  const routine = kept.find(({ id }) => id === routineId);
  const steps = template && routine ? stepsFor(template, routine) : [];
  const product = (id: string | null) => products.find((known) => known.id === id);
  // Of one kind of step there is often only one, and for a kind of product too.
  const suiting = template === 'which' ? suitingSteps(steps, product(first)) : steps;
  const stepId = chosen ?? (suiting.length === 1 ? suiting[0]!.id : null);
  const rows = products
    .filter(({ archivedAt }) => archivedAt === null)
    .map(({ id, name }) => ({ key: id, label: name }));
  const plan =
    template && routine && stepId
      ? fromTemplate({ template, routine, stepId, products: [product(first), product(second)] }, products)
      : null;
  const empty = (value: string | null, says: string) => (asked && value === null ? says : undefined);
  return (
    <section aria-labelledby="begin-with" className="space-y-3 rounded-tag border border-rule bg-sheet p-4">
      <h2 id="begin-with" className="text-xl">
        Begin with a question
      </h2>
      <div role="group" aria-label="Kind of question" className="flex flex-wrap gap-2">
        {keysOf(TEMPLATES).map((key) => (
          <button
            key={key}
            type="button"
            className={benchChip}
            aria-pressed={template === key}
            onClick={() => {
              setTemplate(template === key ? null : key);
              setChosen(null);
            }}
          >
            {TEMPLATES[key].label}
          </button>
        ))}
      </div>
      {template && (
        <>
          <div className="grid items-start gap-4 sm:grid-cols-2">
            <ChoiceField
              label="In which routine"
              options={kept.map(({ id, name }) => ({ key: id, label: name }))}
              value={routineId}
              onChange={(id) => {
                setRoutineId(id);
                setChosen(null);
              }}
              error={empty(routineId, 'Choose the routine that is kept the same.')}
            />
            {template === 'which' && (
              <>
                <ChoiceField
                  label="One product"
                  options={rows}
                  value={first}
                  onChange={setFirst}
                  error={empty(first, 'Choose the first product.')}
                />
                <ChoiceField
                  label="The other"
                  options={rows}
                  value={second}
                  onChange={setSecond}
                  error={
                    asked && first !== null && first === second
                      ? 'Choose two different products.'
                      : empty(second, 'Choose the second product.')
                  }
                />
              </>
            )}
            <ChoiceField
              label="At which step"
              options={steps.map(({ id, slot, productId }) => ({
                key: id,
                label: [SLOTS[slot].label, product(productId)?.name].filter(Boolean).join(', '),
              }))}
              value={stepId}
              onChange={setChosen}
              error={empty(stepId, 'Choose the step that is tested.')}
              hint={
                template === 'amount' && routine && steps.length === 0
                  ? 'No step of this routine names an amount. Give it one first.'
                  : undefined
              }
            />
          </div>
          <Button
            onClick={() => {
              setAsked(true);
              if (plan) fill(plan);
            }}
          >
            Fill in the plan
          </Button>
        </>
      )}
    </section>
  );
}
