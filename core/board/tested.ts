import { amountOf, DOSE_TOLERANCE, type Dose } from '../doses/dose.ts';
import { type ArmStep, type PlannedStep, stepOnArm } from '../step/in-arm.ts';
import { SETTING_KEYS, type StepSettings, settingValue } from '../step/settings.ts';
import type { Slot } from '../step/slots.ts';

/** What kind of thing an arm stands for on the board. */
export type TestedKind =
  /** A product in a role. */
  | 'product'
  /** One product or none, done in another way: a technique, a tool, a time. */
  | 'way'
  /** The step left out. */
  | 'without'
  /** Several steps at once: a whole line, or a routine. */
  | 'line';

/** One step of a whole line: its product, none, or left out. */
export type LineItem = readonly [slot: Slot, productId: string | null];

/** What one arm of a trial tested. */
export interface Tested {
  kind: TestedKind;
  /** The step under test; 'line' where there are several. */
  role: Slot | 'line';
  /** Same key, same thing: the product in its role, amounts aside. */
  key: string;
  productId: string | null;
  /** The amount it was tested at, on a whole head. */
  dose: Dose | null;
  /** What a line is made of, step by step; null for anything else. */
  items: readonly LineItem[] | null;
  /** Of a way, what it sets otherwise than the other arms, setting by setting; null for anything else. */
  ways: readonly (readonly [setting: string, value: unknown])[] | null;
}

/** Settings that tell two arms of one step apart, product and dose aside. */
const otherwise = (steps: readonly StepSettings[]) =>
  SETTING_KEYS.filter(
    (key) =>
      key !== 'productId' &&
      key !== 'dose' &&
      new Set(steps.map((step) => JSON.stringify(settingValue(step, key) ?? null))).size > 1,
  );

/**
 * What each arm of a plan stands for: the one step they differ in, by product, by the way it is done, or left out; or several
 * steps together. Null where the arms do not differ.
 */
export function testedBy(
  plan: readonly (PlannedStep & { slot: Slot })[],
  arms: readonly { name: string; steps: readonly ArmStep[] }[],
): Tested[] | null {
  const tested = plan
    .filter(({ part }) => part === 'tested')
    .map((step) => ({ slot: step.slot, done: arms.map((arm) => stepOnArm(step, arm)) }));
  const [only, ...more] = tested.filter(
    ({ done }) => new Set(done.map((one) => JSON.stringify(one))).size > 1,
  );
  if (!only) return null;
  if (more.length > 0)
    return arms.map((_, arm) => {
      // All that is tested: a follow-up that swaps one item holds the same steps, of which fewer differ.
      const items = tested.map(({ slot, done }): LineItem => {
        const one = done[arm]!;
        return [slot, one === 'left out' ? null : one.productId];
      });
      return {
        kind: 'line',
        role: 'line',
        key: `line ${JSON.stringify(items)}`,
        productId: null,
        dose: null,
        items,
        ways: null,
      };
    });
  const { slot, done } = only;
  const told = done.filter((one): one is StepSettings => one !== 'left out');
  const apart = otherwise(told);
  return done.map((one): Tested => {
    if (one === 'left out')
      return {
        kind: 'without',
        role: slot,
        key: 'without',
        productId: null,
        dose: null,
        items: null,
        ways: null,
      };
    const ways = apart.map((key) => [key, settingValue(one, key) ?? null] as const);
    const way = ways.map(([key, value]) => `${key} ${JSON.stringify(value)}`).join(', ');
    return {
      kind: way ? 'way' : 'product',
      role: slot,
      key: `${one.productId ?? 'no product'}${way && ` ${way}`}`,
      productId: one.productId,
      dose: one.dose,
      items: null,
      ways: way ? ways : null,
    };
  });
}

/** Whether two amounts are one: of one measure and scope, within the tolerance that holds for a kept one; unknown ones are any. */
function sameAmount(a: Dose | null, b: Dose | null): boolean {
  const [x, y] = [amountOf(a), amountOf(b)];
  if (x === null || y === null || a === null || b === null) return true;
  const scope = (dose: Dose) => (dose.kind === 'unknown' ? '' : `${dose.measure} ${dose.per}`);
  return scope(a) === scope(b) && Math.abs(x - y) <= DOSE_TOLERANCE * Math.max(x, y);
}

/**
 * Amounts of one thing over all its trials, each arm's given as the place of the amount it counts as; the most tested first. More
 * than one and the amounts stand on the board as things of their own.
 */
export function amountsOf(doses: readonly (Dose | null)[]): { amounts: (Dose | null)[]; of: number[] } {
  const groups: { dose: Dose | null; members: number[] }[] = [];
  for (const [i, dose] of doses.entries()) {
    const group = groups.find((one) => sameAmount(one.dose, dose));
    if (!group) groups.push({ dose, members: [i] });
    else {
      group.members.push(i);
      group.dose ??= dose;
    }
  }
  const sorted = groups.toSorted((a, b) => b.members.length - a.members.length);
  return {
    amounts: sorted.map(({ dose }) => dose),
    of: doses.map((_, i) => sorted.findIndex(({ members }) => members.includes(i))),
  };
}
