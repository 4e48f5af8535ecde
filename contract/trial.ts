import { MAIN_RESULTS, type MainResult, mainResult } from '@sabor/core/compare/main-result';
import { measuredFacts } from '@sabor/core/compare/measured-result';
import { FELT } from '@sabor/core/felt/felt';
import { RATING_RANGE } from '@sabor/core/outcomes/outcomes';
import { COMMON_KEYS } from '@sabor/core/step/settings';
import { SLOTS } from '@sabor/core/step/slots';
import { DESIGNS, designOf, designProblem } from '@sabor/core/trial/designs';
import * as v from 'valibot';
import { eachOnce, id, name, nearDate, note, number, oneOf, positive, whole } from './fields.ts';
import { Dose, STEP_PARTS, StepInput, settings } from './routine.ts';

export const PlanStepInput = v.object({
  ...StepInput.entries,
  part: oneOf(STEP_PARTS, 'kept the same, tested or may vary'),
  /** Leaving it out is no departure. */
  optional: v.optional(v.boolean(), false),
  /** How far dose and minutes may be off and still count as held, as a share. */
  tolerance: v.optional(number('The tolerance', 0.01, 1), 0.2),
});

const { productId: _product, dose: _dose, ...otherSettings } = settings;
/** What an arm sets otherwise than the plan in a tested step, product and dose aside. */
export const ArmSettings = v.partial(v.object(otherSettings));
export type ArmSettings = v.InferOutput<typeof ArmSettings>;

export const ArmInput = v.object({
  id,
  name: name('An option'),
  /** What this arm uses in each tested step; a null product or dose keeps the plan's. */
  steps: v.pipe(
    v.array(
      v.object({
        stepId: id,
        productId: v.nullable(id),
        dose: v.nullable(Dose),
        /** This arm leaves the step out. */
        skipped: v.optional(v.boolean(), false),
        settings: v.optional(ArmSettings, {}),
      }),
    ),
    eachOnce(({ stepId }) => stepId, 'An option sets each step once.'),
  ),
});

/** A time of day as an hour, to the half. */
const halfHour = (what: string, least: number, most: number) =>
  v.pipe(
    number(what, least, most),
    v.check((hour) => Number.isInteger(hour * 2), `${what} is told to the half hour: 7, 7:30 or 7.5.`),
  );

export const fields = v.object({
  id,
  wearerId: v.pipe(v.string('Choose whose hair is tested.'), v.uuid('Choose whose hair is tested.')),
  question: v.pipe(
    v.string('Ask the trial’s question in a sentence.'),
    v.trim(),
    v.nonEmpty('Ask the trial’s question in a sentence.'),
    v.maxLength(300, 'Keep the question under 300 characters.'),
  ),
  design: v.optional(oneOf(DESIGNS, 'a design'), 'complete'),
  routineName: name('The routine'),
  plan: v.pipe(
    v.array(PlanStepInput),
    v.minLength(1, 'Choose a routine with at least one step.'),
    v.maxLength(60, 'Sixty steps are the most a wash day can hold.'),
    eachOnce(({ id }) => id, 'Each step stands once.'),
  ),
  arms: v.pipe(
    v.array(ArmInput),
    v.minLength(1, 'A trial needs an option.'),
    v.maxLength(6, 'Six options are the most one head can carry.'),
    eachOnce(({ id }) => id, 'Each option stands once.'),
  ),
  primary: v.picklist(MAIN_RESULTS as [MainResult, ...MainResult[]], 'Choose the main result from the list.'),
  /** Day of wear on which the outcomes are compared. */
  onDay: v.optional(whole('The day it is judged on', 1, 14), 1),
  /** In points, or in the unit of what is measured. */
  line: number('The good-enough value', 0, 100_000),
  matters: positive('The difference worth switching for', 100_000),
  washDays: whole('The number of wash days', 2, 40),
  wearDays: whole('The days worn', 1, 14),
  /** Hours of the promised day, on the wearer's clock, within which its check-in is read; null for any. */
  judgedFrom: v.optional(v.nullable(halfHour('The first hour it is judged in', 0, 23.5)), null),
  judgedTo: v.optional(v.nullable(halfHour('The last hour it is judged in', 0.5, 24)), null),
  /** Readings in five words that its check-ins ask for. */
  asked: v.optional(
    v.pipe(
      v.array(oneOf(FELT, 'a reading')),
      v.maxLength(25),
      eachOnce((key) => key, 'Ask for each reading once.'),
    ),
    [],
  ),
  /** Days from wash to wash, for every arm alike. */
  cadenceDays: v.optional(v.nullable(whole('The days from wash to wash', 1, 30)), null),
  /** Two looks are promised beforehand: the first half-way at α .01, the last at .04. */
  looks: v.optional(v.picklist([1, 2], 'Plan one test or two.'), 1),
  blind: v.optional(v.boolean(), false),
  /** Half-heads: one side is styled through, then the other; else both sides step by step. */
  bySide: v.optional(v.boolean(), false),
  /** Allergies on the wearer's file that were seen in the plan's products and accepted, by the keys of `allergiesIn`. */
  acknowledged: v.optional(v.array(v.string()), []),
  weights: v.pipe(
    v.array(v.object({ zoneId: id, weight: positive('A zone’s weight', 100) })),
    v.minLength(1, 'Choose at least one zone that counts.'),
    eachOnce(({ zoneId }) => zoneId, 'Weigh each zone once.'),
  ),
});

type Fields = v.InferOutput<typeof fields>;

type ArmStep = Fields['arms'][number]['steps'][number];

/** What an arm does in a tested step, so that two arms can be told apart. */
const whatArmDoes = (own: ArmStep | undefined, step: Fields['plan'][number]) =>
  own?.skipped
    ? 'left out'
    : [own?.productId ?? step.productId, own?.dose ?? step.dose, Object.entries(own?.settings ?? {}).sort()];

/** Whether a step says nothing of how it is done. */
const setsNothing = ({ extra, ...step }: Fields['plan'][number]) =>
  COMMON_KEYS.every((key) => step[key] === null) && Object.keys(extra).length === 0;

/** A run-in seeks one dose: of one step, with a product, from an amount. */
function runInFaults({ plan, arms }: Fields): { path: (string | number)[]; message: string }[] {
  const [step, ...more] = plan.filter(({ part }) => part === 'tested');
  if (!step || more.length > 0)
    return [
      {
        path: ['plan'],
        message: 'Finding your amount has one step under test: the one whose amount is sought.',
      },
    ];
  const own = arms[0]?.steps.find(({ stepId }) => stepId === step.id);
  return (own?.productId ?? step.productId) !== null && (own?.dose ?? step.dose)?.kind === 'exact'
    ? []
    : [{ path: ['arms', 0, 'steps'], message: 'Give the product and an amount to begin from.' }];
}

/** Ratings end at ten, also where their good days are counted; what is measured does not. */
export function overTheScale(
  primary: MainResult,
  { line, matters }: { line?: number; matters?: number },
): { path: string[]; message: string }[] {
  const { measured, lasting } = mainResult(primary);
  if (measured && !lasting) return [];
  return [
    ...(line !== undefined && line > RATING_RANGE.highest
      ? [{ path: ['line'], message: 'The good-enough value cannot be over 10.' }]
      : []),
    ...(matters !== undefined && !lasting && matters > RATING_RANGE.highest
      ? [{ path: ['matters'], message: 'The difference worth switching for cannot be over 10.' }]
      : []),
  ];
}

/** What is wrong across a trial's fields, with the path of the field to mend. */
function faults(trial: Fields): { path: (string | number)[]; message: string }[] {
  const found: { path: (string | number)[]; message: string }[] = overTheScale(trial.primary, trial);
  const { design } = trial;
  const { measured, label, lasting } = mainResult(trial.primary);
  if (lasting && trial.wearDays < 2)
    found.push({
      path: ['wearDays'],
      message:
        'Good days are counted over two days of wear at least. Plan more of them, or choose another main result.',
    });
  else if (lasting && trial.matters > trial.wearDays)
    found.push({
      path: ['matters'],
      message: `The hair is worn ${trial.wearDays} days; no option can last longer than that.`,
    });
  if (DESIGNS[design].halves && measured && measured.what !== 'days' && measuredFacts(measured.what).whole)
    found.push({
      path: ['primary'],
      message: `${label} is of a whole head. Choose another main result for half-heads.`,
    });
  const problem = designProblem(design, trial.arms.length, trial.washDays);
  if (problem) {
    const [least, most] = DESIGNS[design].arms;
    const arms = trial.arms.length < least || trial.arms.length > most;
    found.push({ path: [arms ? 'arms' : 'washDays'], message: problem });
  }
  if (trial.onDay > trial.wearDays)
    found.push({
      path: ['onDay'],
      message: `The hair is worn ${trial.wearDays} days; it cannot be judged on day ${trial.onDay}.`,
    });
  if ((trial.judgedFrom === null) !== (trial.judgedTo === null))
    found.push({ path: ['judgedTo'], message: 'Give both hours, or neither.' });
  else if (trial.judgedFrom !== null && trial.judgedTo! <= trial.judgedFrom)
    found.push({ path: ['judgedTo'], message: 'The last hour comes after the first.' });
  const { firstDay, seeks } = designOf(design);
  if (trial.onDay < firstDay)
    found.push({
      path: ['onDay'],
      message: `This design is judged from day ${firstDay} on. Give that day or a later one.`,
    });
  const [, most] = DESIGNS[design].arms;
  if (most === 1) {
    if (trial.blind)
      found.push({ path: ['blind'], message: 'With one option there is nothing to be blind to.' });
    if (trial.looks === 2) found.push({ path: ['looks'], message: 'This design has no test to look at.' });
    if (seeks === 'dose') found.push(...runInFaults(trial));
    return found;
  }
  const tested = trial.plan.filter((step) => step.part === 'tested');
  if (tested.length === 0) found.push({ path: ['plan'], message: 'Mark at least one step as tested.' });
  for (const [i, arm] of trial.arms.entries()) {
    for (const step of tested) {
      const own = arm.steps.find(({ stepId }) => stepId === step.id);
      const set = own && Object.keys(own.settings).length > 0;
      // What an option leaves open, the plan may set: its product, its technique, its minutes.
      if (
        !own?.skipped &&
        !set &&
        (own?.dose ?? null) === null &&
        (own?.productId ?? step.productId) === null &&
        (SLOTS[step.slot].product || setsNothing(step))
      )
        found.push({
          path: ['arms', i, 'steps'],
          message: `Choose what ${arm.name} uses in every tested step.`,
        });
    }
  }
  if (trial.blind) {
    const doses = (arm: Fields['arms'][number]) =>
      JSON.stringify(
        tested.map((step) => arm.steps.find(({ stepId }) => stepId === step.id)?.dose ?? step.dose),
      );
    const seen = trial.arms.find(
      (arm) =>
        doses(arm) !== doses(trial.arms[0]!) ||
        arm.steps.some(({ skipped, settings }) => skipped || Object.keys(settings).length > 0),
    );
    if (seen)
      found.push({
        path: ['blind'],
        message: `${seen.name} differs in more than what is in the bottle, so it cannot be blind. Blind options share amount and settings.`,
      });
  }
  const alike = (arm: Fields['arms'][number]) =>
    JSON.stringify(
      tested.map((step) =>
        whatArmDoes(
          arm.steps.find(({ stepId }) => stepId === step.id),
          step,
        ),
      ),
    );
  for (const [i, arm] of trial.arms.entries()) {
    const twin = trial.arms.slice(0, i).find((other) => alike(other) === alike(arm));
    if (twin && tested.length > 0)
      found.push({
        path: ['arms', i, 'steps'],
        message: `${arm.name} uses the same as ${twin.name}. Give it another product, amount or setting.`,
      });
    if (trial.arms.slice(0, i).some((other) => other.name.toLowerCase() === arm.name.toLowerCase()))
      found.push({ path: ['arms', i, 'name'], message: 'Two options have this name. Change one.' });
  }
  return found;
}

export const TrialInput = v.pipe(
  fields,
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    for (const { path, message } of faults(dataset.value))
      addIssue({
        message,
        path: path.map((key) => ({
          type: 'unknown',
          origin: 'value',
          input: dataset.value,
          key,
          value: null,
        })) as [v.IssuePathItem, ...v.IssuePathItem[]],
      });
  }),
);
export type TrialInput = v.InferInput<typeof TrialInput>;

export const EndTrialInput = v.object({
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why the trial ends before its planned wash days.')),
});

/** A trial that is to be run again from a day on. */
export const RetestInput = v.object({
  from: nearDate,
  why: v.optional(
    v.pipe(v.string(), v.trim(), v.maxLength(300, 'Keep the reason under 300 characters.')),
    '',
  ),
});

/** Heads that run the same trial beside its own wearer. */
export const PanelInput = v.object({
  id,
  wearerIds: v.pipe(
    v.array(id),
    eachOnce((one) => one, 'Choose each head once.'),
    v.minLength(1, 'Choose the other heads of the panel.'),
  ),
});
export type PanelInput = v.InferInput<typeof PanelInput>;

/** The rater's guesses, a wash day (or half) each; null for "no idea". */
export const GuessInput = v.object({
  half: v.nullable(v.picklist(['left', 'right'])),
  armName: v.nullable(v.string()),
});
export type GuessInput = v.InferInput<typeof GuessInput>;

export type PlanStep = v.InferOutput<typeof PlanStepInput>;
export type Arm = v.InferOutput<typeof ArmInput>;
