import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { SLOTS } from '@sabor/core/routine/slots';
import { armStyle } from '../../drawings/arm-style.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { DoseFields, productChoices } from '../../ui/step-settings.tsx';
import { useSay } from '../../ui/undo.tsx';

type Change = (next: (old: TrialInput) => TrialInput) => void;
type Arm = TrialInput['arms'][number];

/** The arms: what each uses in the tested steps. */
export function ArmsEditor({
  value,
  change,
  products,
  problem,
  newArm,
}: {
  value: TrialInput;
  change: Change;
  products: readonly Product[];
  problem: (path: string) => string | undefined;
  newArm: (n: number) => Arm;
}) {
  const say = useSay();
  const tested = value.plan.filter((step) => step.part === 'tested');
  const edit = (arm: Arm, to: Partial<Arm>) =>
    change((old) => ({
      ...old,
      arms: old.arms.map((known) => (known.id === arm.id ? { ...known, ...to } : known)),
    }));
  const choose = (arm: Arm, stepId: string, to: Partial<Arm['steps'][number]>) => {
    const own = arm.steps.find((step) => step.stepId === stepId) ?? { stepId, productId: null, dose: null };
    const steps = [...arm.steps.filter((step) => step.stepId !== stepId), { ...own, ...to }];
    const named = products.find(({ id }) => id === to.productId)?.name;
    const unnamed = /^Arm [A-F]$/.test(arm.name) || products.some(({ name }) => name === arm.name);
    edit(arm, { steps, ...(named && unnamed ? { name: named } : {}) });
  };
  const add = () =>
    change((old) => ({
      ...old,
      arms: [
        ...old.arms,
        {
          ...newArm(old.arms.length),
          steps: tested.map(({ id }) => ({ stepId: id, productId: null, dose: null })),
        },
      ],
    }));
  const take = (arm: Arm) => {
    const before = value.arms;
    change((old) => ({ ...old, arms: old.arms.filter(({ id }) => id !== arm.id) }));
    say(`${arm.name} is taken out.`, () => change((old) => ({ ...old, arms: before })));
  };
  return (
    <section className="space-y-4" aria-labelledby="arms">
      <h2 id="arms" className="text-xl">
        The arms
      </h2>
      {tested.length === 0 && (
        <p className="text-soft">Tick a step under test first; then say what each arm uses there.</p>
      )}
      {tested.length > 0 && (
        <div className="grid gap-4 md:grid-cols-2">
          {value.arms.map((arm, i) => (
            <fieldset
              key={arm.id}
              className="space-y-3 rounded-tag border-2 bg-sheet p-4"
              style={{ borderColor: armStyle(i).hue }}
            >
              <legend className="px-1 font-semibold">
                <span aria-hidden="true" style={{ color: armStyle(i).hue }}>
                  {armStyle(i).marker}
                </span>{' '}
                Arm {String.fromCharCode(65 + i)}
              </legend>
              {tested.map((step) => {
                const own = arm.steps.find(({ stepId }) => stepId === step.id);
                const at = own ? arm.steps.indexOf(own) : 0;
                return (
                  <div key={step.id} className="space-y-3">
                    <ChoiceField
                      label={`Product in ${SLOTS[step.slot].label.toLowerCase()}`}
                      options={productChoices(products, step.slot, own?.productId ?? null)}
                      value={own?.productId ?? null}
                      onChange={(productId) => choose(arm, step.id, { productId })}
                    />
                    <DoseFields
                      none="as in the routine"
                      dose={own?.dose ?? null}
                      onChange={(dose) => choose(arm, step.id, { dose })}
                      problem={(path) => problem(`arms.${i}.steps.${at}.${path}`)}
                    />
                  </div>
                );
              })}
              {problem(`arms.${i}.steps`) && (
                <p role="alert" className="font-semibold text-brick">
                  {problem(`arms.${i}.steps`)}
                </p>
              )}
              <TextField
                label="It goes by"
                value={arm.name}
                onChange={(name) => edit(arm, { name })}
                error={problem(`arms.${i}.name`)}
              />
              {value.arms.length > 2 && (
                <Button look="quiet" onClick={() => take(arm)}>
                  Take this arm out
                </Button>
              )}
            </fieldset>
          ))}
        </div>
      )}
      {tested.length > 0 && value.arms.length < 6 && <Button onClick={add}>Add an arm</Button>}
      {problem('arms') && (
        <p role="alert" className="font-semibold text-brick">
          {problem('arms')}
        </p>
      )}
    </section>
  );
}
