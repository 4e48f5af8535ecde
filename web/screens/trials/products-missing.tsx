import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { mixParts } from '@sabor/core/step/mix';
import { SLOTS } from '@sabor/core/step/slots';
import { ButtonLink } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { productChoices } from '../../ui/step-settings.tsx';

type PlanStep = TrialInput['plan'][number];

/** Steps kept the same that use something, and do not say what; until it is said what is tested, only those that wash. */
export function withoutProduct(plan: TrialInput['plan']): PlanStep[] {
  const chosen = plan.some(({ part }) => part === 'tested');
  return plan.filter(
    ({ slot, part, productId, extra, dose }) =>
      part === 'held' &&
      !productId &&
      mixParts(extra.mix).length === 0 &&
      (slot === 'cleanse' || slot === 'condition' || (chosen && dose != null)),
  );
}

/** Asked early: the shampoo and the conditioner of a trial are kept the same only once they are named. */
export function ProductsMissing({
  plan,
  products,
  name,
}: {
  plan: TrialInput['plan'];
  products: readonly Product[];
  name: (stepId: string, productId: string) => void;
}) {
  const steps = withoutProduct(plan);
  if (steps.length === 0) return null;
  return (
    <div role="group" aria-labelledby="not-named" className="space-y-3 border-l-4 border-mango pl-4">
      <p id="not-named">
        Not named yet: {steps.map(({ slot }) => SLOTS[slot].label.toLowerCase()).join(', ')}. The same product
        every time is what keeping it the same means.
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        {steps.map(({ id, slot }) => (
          <ChoiceField
            key={id}
            label={`${SLOTS[slot].label}: product`}
            none="Choose …"
            options={productChoices(products, slot, null)}
            value={null}
            onChange={(productId) => productId && name(id, productId)}
          />
        ))}
      </div>
      <ButtonLink look="quiet" className="px-0!" to="/shelf/new">
        Add a product to the shelf
      </ButtonLink>
    </div>
  );
}
