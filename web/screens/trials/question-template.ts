import type { Routine } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { type Dose, timesDose } from '@sabor/core/doses/dose';
import { suitsSlot } from '@sabor/core/shelf/products';
import { SLOTS } from '@sabor/core/step/slots';
import { usualDays } from '@sabor/core/trial/designs';
import { doseInWords } from '@sabor/words/dose';
import { capital } from '@sabor/words/numbers';
import { v7 } from 'uuid';

/** Kinds of question a plan can begin with. */
export const TEMPLATES = {
  which: { label: 'Which of two …' },
  amount: { label: 'How much of …' },
  without: { label: 'With or without …' },
} as const;
export type Template = keyof typeof TEMPLATES;

type Step = Routine['steps'][number];
type ArmStep = TrialInput['arms'][number]['steps'][number];

export interface Asked {
  template: Template;
  routine: Routine;
  /** The routine's step under test, by its id. */
  stepId: string;
  products: readonly [Product | undefined, Product | undefined];
}

/** Half of an amount; null where it is not known. */
const halved = (dose: Dose | null): Dose | null => (dose?.kind === 'unknown' ? null : timesDose(dose, 0.5));

/** The steps of a routine that a kind of question can be asked of. */
export const stepsFor = (template: Template, { steps }: Routine): Step[] =>
  steps.filter((step) =>
    template === 'which'
      ? SLOTS[step.slot].product
      : template === 'amount'
        ? halved(step.dose) !== null
        : step.slot !== 'rinse',
  );

/** The steps at which a product would be used, by what it is used as; all of them while there is none. */
export const suitingSteps = (steps: readonly Step[], product: Product | undefined): readonly Step[] =>
  product ? steps.filter(({ slot }) => suitsSlot(product.roles, slot)) : steps;

/**
 * A plan of two options that asks this question: the routine's steps kept the same, one of them under test. Null while
 * something of the question is not chosen, or both products are one.
 */
export function fromTemplate(
  { template, routine, stepId, products: [first, second] }: Asked,
  all: readonly Product[],
): Pick<TrialInput, 'question' | 'design' | 'routineName' | 'plan' | 'arms' | 'washDays'> | null {
  const tested = stepsFor(template, routine).find(({ id }) => id === stepId);
  if (!tested) return null;
  if (template === 'which' && (!first || !second || first.id === second.id)) return null;
  const ids = new Map(routine.steps.map(({ id }) => [id, v7()]));
  const where = SLOTS[tested.slot].label.toLowerCase();
  const name = all.find(({ id }) => id === tested.productId)?.name ?? `the ${where}`;
  const own = (to: Partial<ArmStep>): ArmStep => ({
    stepId: ids.get(stepId)!,
    productId: null,
    dose: null,
    skipped: false,
    settings: {},
    ...to,
  });
  const half = halved(tested.dose);
  const options: [string, Partial<ArmStep>][] = {
    which: [
      [first?.name ?? '', { productId: first?.id ?? null }],
      [second?.name ?? '', { productId: second?.id ?? null }],
    ] as [string, Partial<ArmStep>][],
    amount: [
      [doseInWords(tested.dose), { productId: tested.productId, dose: tested.dose }],
      [doseInWords(half), { productId: tested.productId, dose: half }],
    ] as [string, Partial<ArmStep>][],
    without: [
      [`With ${name}`, { productId: tested.productId }],
      [`Without ${name}`, { skipped: true }],
    ] as [string, Partial<ArmStep>][],
  }[template];
  return {
    question: {
      which: `Which does better as ${where}: ${first?.name} or ${second?.name}?`,
      amount: `Is ${doseInWords(half)} of ${name} enough, or does it take ${doseInWords(tested.dose)}?`,
      without: `Is it better with or without ${name}?`,
    }[template],
    design: 'complete',
    routineName: routine.name,
    plan: routine.steps.map((step) => ({
      ...step,
      id: ids.get(step.id)!,
      part: step.id === stepId ? ('tested' as const) : ('held' as const),
      optional: false,
      tolerance: 0.2,
    })),
    arms: options.map(([label, to]) => ({ id: v7(), name: capital(label), steps: [own(to)] })),
    washDays: usualDays('complete', 2),
  };
}
