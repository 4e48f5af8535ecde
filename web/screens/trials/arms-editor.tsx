import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { setOtherwise, settingKeysOf, settingsInArm } from '@sabor/core/step/in-arm';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { settingsOf } from '@sabor/core/step/step';
import { DESIGNS, designOf } from '@sabor/core/trial/designs';
import { armStyle } from '../../drawings/arm-style.ts';
import { Button } from '../../ui/button.tsx';
import { DoseFields } from '../../ui/dose-fields.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { productChoices, StepSettingsFields } from '../../ui/step-settings.tsx';
import { Term } from '../../ui/term.tsx';
import { useSay } from '../../ui/undo.tsx';
import { fitDays } from './design-part.tsx';

type Change = (next: (old: TrialInput) => TrialInput) => void;
type Arm = TrialInput['arms'][number];
type ArmStep = Arm['steps'][number];

const blankStep = (stepId: string): ArmStep => ({
  stepId,
  productId: null,
  dose: null,
  skipped: false,
  settings: {},
});

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
  const [least, most] = DESIGNS[value.design ?? 'complete'].arms;
  const tested = value.plan.filter((step) => step.part === 'tested');
  const edit = (arm: Arm, to: Partial<Arm>) =>
    change((old) => ({
      ...old,
      arms: old.arms.map((known) => (known.id === arm.id ? { ...known, ...to } : known)),
    }));
  const choose = (arm: Arm, stepId: string, to: Partial<Arm['steps'][number]>) => {
    const own = arm.steps.find((step) => step.stepId === stepId) ?? blankStep(stepId);
    const steps = [...arm.steps.filter((step) => step.stepId !== stepId), { ...own, ...to }];
    const named = products.find(({ id }) => id === to.productId)?.name;
    const unnamed = /^(Arm|Option) [A-F]$/.test(arm.name) || products.some(({ name }) => name === arm.name);
    edit(arm, { steps, ...(named && unnamed ? { name: named } : {}) });
  };
  const add = () =>
    change((old) =>
      fitDays({
        ...old,
        arms: [...old.arms, { ...newArm(old.arms.length), steps: tested.map(({ id }) => blankStep(id)) }],
      }),
    );
  const take = (arm: Arm) => {
    const { arms, washDays } = value;
    change((old) => fitDays({ ...old, arms: old.arms.filter(({ id }) => id !== arm.id) }));
    say(`${arm.name} is removed.`, () => change((old) => ({ ...old, arms, washDays })));
  };
  const { halves } = designOf(value.design ?? 'complete');
  return (
    <section className="space-y-4" aria-labelledby="arms">
      <h2 id="arms" className="text-xl">
        The options
      </h2>
      {tested.length === 0 && (
        <p className="text-soft">
          {most === 1
            ? 'This design runs the routine as it is written; nothing needs to be under test.'
            : 'Tick a step under test first; then say what each option uses there.'}
        </p>
      )}
      {tested.length > 0 && halves && (
        <p className="text-soft">
          Amounts are for the whole head; each side of a <Term of="half">half-head</Term> takes half.
        </p>
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
                Option {String.fromCharCode(65 + i)}
                {roleOf(value, i)}
              </legend>
              {tested.map((step) => {
                const own = arm.steps.find(({ stepId }) => stepId === step.id);
                const at = own ? arm.steps.indexOf(own) : 0;
                return (
                  <div key={step.id} className="space-y-3">
                    {tested.length > 1 && <p className="font-semibold">{SLOTS[step.slot].label}</p>}
                    {!own?.skipped && SLOTS[step.slot].product && (
                      <>
                        <ChoiceField
                          label={`${productAsked(step.slot)} (${SLOTS[step.slot].label.toLowerCase()})`}
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
                      </>
                    )}
                    {!own?.skipped && (
                      <SetOtherwise
                        step={step}
                        own={own}
                        onChange={(settings) => choose(arm, step.id, { settings })}
                        problem={(path) => problem(`arms.${i}.steps.${at}.settings.${path}`)}
                      />
                    )}
                    <label className="flex min-h-8 items-center gap-2 text-[0.95rem]">
                      <input
                        type="checkbox"
                        className="size-4 accent-ink"
                        checked={own?.skipped ?? false}
                        onChange={(e) => choose(arm, step.id, { skipped: e.target.checked })}
                      />
                      {halves ? 'This side' : 'This option'} skips {SLOTS[step.slot].label.toLowerCase()}
                    </label>
                  </div>
                );
              })}
              {problem(`arms.${i}.steps`) && (
                <p role="alert" className="font-semibold text-brick">
                  {problem(`arms.${i}.steps`)}
                </p>
              )}
              <TextField
                label="Name shown"
                value={arm.name}
                onChange={(name) => edit(arm, { name })}
                error={problem(`arms.${i}.name`)}
              />
              {value.arms.length > least && (
                <Button look="quiet" onClick={() => take(arm)}>
                  Remove this option
                </Button>
              )}
            </fieldset>
          ))}
        </div>
      )}
      {tested.length > 0 && value.arms.length < most && <Button onClick={add}>Add an option</Button>}
      {problem('arms') && (
        <p role="alert" className="font-semibold text-brick">
          {problem('arms')}
        </p>
      )}
    </section>
  );
}

/** What is asked for in a step: the trade says gel or foam where the step is called hold. */
const productAsked = (slot: Slot) => (slot === 'hold' ? 'Gel or foam' : 'Product');

/** What an arm's place means in designs that give it one. */
function roleOf({ design = 'complete' }: TrialInput, i: number): string {
  const place = designOf(design).places[i];
  return place ? `: ${place}` : '';
}

/** Settings an arm has otherwise than the plan: technique, wetness, minutes and the like. */
function SetOtherwise({
  step,
  own,
  onChange,
  problem,
}: {
  step: TrialInput['plan'][number];
  own: ArmStep | undefined;
  onChange: (settings: NonNullable<ArmStep['settings']>) => void;
  problem: (path: string) => string | undefined;
}) {
  const settings = own?.settings ?? {};
  const count = settingKeysOf(settings).length;
  return (
    <details open={count > 0}>
      <summary className="cursor-pointer text-[0.95rem] underline decoration-rule underline-offset-4">
        {count > 0 ? `Different settings: ${count}` : 'Different settings: technique, wetness, minutes …'}
      </summary>
      <div className="mt-2">
        <StepSettingsFields
          slot={step.slot}
          step={settingsOf(settingsInArm(step, { stepId: step.id, productId: null, dose: null, settings }))}
          onChange={(next) => onChange(setOtherwise(step, next))}
          products={[]}
          problem={problem}
          hideProduct
          hide={['why']}
        />
      </div>
    </details>
  );
}
