import type { Dose } from '../doses/dose.ts';
import { HEATS, type Heat, WETNESS, type Wetness } from '../step/choices.ts';
import type { StepSettings } from '../step/settings.ts';
import type { KeyOf } from '../vocabulary.ts';

/** What to try next time, in one tap at the step where it comes to mind. */
export const IDEAS = {
  less: { label: 'less' },
  more: { label: 'more' },
  wetter: { label: 'wetter' },
  drier: { label: 'drier' },
  longer: { label: 'longer' },
  shorter: { label: 'shorter' },
  hotter: { label: 'hotter' },
  cooler: { label: 'cooler' },
  'leave-out': { label: 'leave it out' },
  earlier: { label: 'a step earlier' },
  later: { label: 'a step later' },
  'add-step': { label: 'add a step' },
  'other-product': { label: 'other product' },
  'other-place': { label: 'other place' },
  'other-style': { label: 'other style' },
  'other-role': { label: 'other role' },
  'other-order': { label: 'other order' },
  'after-clarify': { label: 'after a clarify' },
} as const;
export type Idea = KeyOf<typeof IDEAS>;

/** How much one idea moves a dose or the minutes. Model assumption: clearly more than the usual tolerance of a fifth. */
const STEP_UP = 1.5;

const scaled = (dose: Dose | null, by: number): Dose | null => {
  if (dose === null || dose.kind === 'unknown') return null;
  const to = (x: number) => Number((x * by).toPrecision(2));
  return dose.kind === 'exact'
    ? { ...dose, amount: to(dose.amount) }
    : { ...dose, from: to(dose.from), to: to(dose.to) };
};

/** The next choice along a vocabulary; null where nothing was chosen, or there is none. */
const shifted = <K extends string>(
  options: Readonly<Record<K, unknown>>,
  from: K | null,
  by: 1 | -1,
): K | null => {
  const keys = Object.keys(options) as K[];
  return from === null ? null : (keys[keys.indexOf(from) + by] ?? null);
};

/** Ideas that set something in their own step, and so make an arm wherever the step sets what they change. */
const SETTING: readonly Idea[] = [
  'less',
  'more',
  'wetter',
  'drier',
  'longer',
  'shorter',
  'hotter',
  'cooler',
  'leave-out',
];

/** What an idea changes of its step. */
export type IdeaArm = Partial<Pick<StepSettings, 'productId' | 'dose' | 'wetness' | 'minutes' | 'heat'>> & {
  skipped?: true;
};

/**
 * What an idea sets otherwise in its step, as an arm of a later trial; empty where the idea is not a setting of this one
 * step (another role, another order, after a clarify) or the step does not set what it would change.
 */
export function ideaAsArm(
  idea: Idea,
  step: Pick<StepSettings, 'dose' | 'wetness' | 'minutes' | 'heat'>,
): IdeaArm {
  const dose = (by: number) => {
    const to = scaled(step.dose, by);
    return to === null ? {} : { dose: to };
  };
  const wetness = (by: 1 | -1) => {
    const to = shifted<Wetness>(WETNESS, step.wetness, by);
    return to === null ? {} : { wetness: to };
  };
  const heat = (by: 1 | -1) => {
    const to = shifted<Heat>(HEATS, step.heat, by);
    return to === null ? {} : { heat: to };
  };
  const minutes = (by: number) =>
    step.minutes === null ? {} : { minutes: Number((step.minutes * by).toPrecision(2)) };
  switch (idea) {
    case 'less':
      return dose(1 / STEP_UP);
    case 'more':
      return dose(STEP_UP);
    case 'wetter':
      return wetness(-1);
    case 'drier':
      return wetness(1);
    case 'longer':
      return minutes(STEP_UP);
    case 'shorter':
      return minutes(1 / STEP_UP);
    case 'hotter':
      return heat(1);
    case 'cooler':
      return heat(-1);
    case 'leave-out':
      return { skipped: true };
    default:
      return {};
  }
}

/** Whether an idea makes an arm that differs from the step as it was done. */
export const makesArm = (idea: Idea, step: Parameters<typeof ideaAsArm>[1]): boolean =>
  Object.keys(ideaAsArm(idea, step)).length > 0;

/** Ideas that are offered at a step: those that would change nothing are not. */
export const ideasFor = (step: Parameters<typeof ideaAsArm>[1]): Idea[] =>
  (Object.keys(IDEAS) as Idea[]).filter(
    (idea) => !ASKED_APART.includes(idea) && (!SETTING.includes(idea) || makesArm(idea, step)),
  );

/** One that asks which step, and one that “earlier” and “later” say better. */
const ASKED_APART: readonly Idea[] = ['add-step', 'other-order'];

/** What an idea does to the steps of the plan it came in: `at` is the place of its step among `steps`. */
export type IdeaOfPlan =
  | { to: 'set'; own: IdeaArm }
  /** The step is done at another place instead. */
  | { to: 'move'; before: number }
  /** A step is added after this one. */
  | { to: 'add' };

/** How an idea makes an option of a later trial; null where it makes none by itself. */
export function ideaOfPlan(
  { idea, productId }: { idea: Idea; productId: string | null },
  step: Parameters<typeof ideaAsArm>[1] & Pick<StepSettings, 'productId'>,
  at: number,
  steps: number,
): IdeaOfPlan | null {
  if (productId !== null) return productId === step.productId ? null : { to: 'set', own: { productId } };
  if (idea === 'earlier') return at > 0 ? { to: 'move', before: at - 1 } : null;
  if (idea === 'later') return at < steps - 1 ? { to: 'move', before: at + 2 } : null;
  if (idea === 'add-step') return { to: 'add' };
  const own = ideaAsArm(idea, step);
  return Object.keys(own).length > 0 ? { to: 'set', own } : null;
}
