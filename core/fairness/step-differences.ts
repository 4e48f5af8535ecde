import { type Against, compareSettings, type Measured, type SettingFact } from '../step/compare.ts';
import { isCommon } from '../step/settings.ts';
import type { Slot } from '../step/slots.ts';
import { type Alignment, align } from './align.ts';
import type { Difference, DifferenceKind } from './difference.ts';
import type { Run, RunStep, Side } from './run.ts';

/** How alike two steps are for setting them beside each other: the same planned step, or the same place in a routine. */
const likeness = (a: RunStep, b: RunStep) =>
  a.key !== null && a.key === b.key
    ? 4
    : a.slot === b.slot
      ? a.settings.productId !== null && a.settings.productId === b.settings.productId
        ? 2
        : 1
      : 0;

/** The two sides, whether the second is the first's plan, and whether their arms may set them apart. */
interface Sides {
  a: Side;
  b: Side;
  against: Against;
  otherArms: boolean;
}

/** How the rules call a setting that differs. */
function kindOf({ setting, verdict }: SettingFact): DifferenceKind {
  if (setting === 'dose') return verdict === 'departed' ? 'dose' : 'dose-unsure';
  if (verdict === 'cannot show') return 'not-recorded';
  if (setting === 'productId') return 'product';
  if (setting === 'stopAt') return 'dry-fraction';
  return isCommon(setting) ? setting : 'setting';
}

/** What differs between two sides' settings of one step. */
function settingDifferences(
  slot: Slot,
  a: Measured,
  b: Measured,
  tolerance: number,
  { a: sideA, b: sideB, against, otherArms }: Sides,
  found: Difference[],
): void {
  for (const fact of compareSettings(a, b, tolerance, against)) {
    const kind = kindOf(fact);
    const extra = isCommon(fact.setting) ? null : fact.setting;
    const of = extra ?? (kind === 'not-recorded' ? `${kind} ${fact.setting}` : kind);
    found.push({
      kind,
      key: `${of} ${slot}`,
      fact: { what: 'setting', fact },
      a: sideA,
      b: sideB,
      size: fact.off,
      slot,
      detail: extra,
      ofArm: otherArms && kind === 'minutes' && ARM_TIMED.includes(slot),
    });
  }
}

/** Slots whose minutes an arm makes longer or shorter by itself. */
const ARM_TIMED: readonly Slot[] = ['dry', 'set', 'half-dry', 'separate', 'break-cast'];

/** How many steps two wash days begin and end with alike: these need no search. */
function alikeEnds(a: readonly RunStep[], b: readonly RunStep[]): { head: number; tail: number } {
  const same = (i: number, j: number) => a[i]!.key !== null && a[i]!.key === b[j]!.key;
  const shorter = Math.min(a.length, b.length);
  let head = 0;
  while (head < shorter && same(head, head)) head++;
  let tail = 0;
  while (tail < shorter - head && same(a.length - 1 - tail, b.length - 1 - tail)) tail++;
  return { head, tail };
}

/** What stands between the ends that are alike, set beside each other. */
function alignMiddle(a: readonly RunStep[], b: readonly RunStep[], head: number, tail: number): Alignment {
  if (head + tail === a.length && head + tail === b.length) return [];
  const middle = align(a.slice(head, a.length - tail), b.slice(head, b.length - tail), likeness);
  for (const pair of middle) {
    if (pair.a !== null) pair.a += head;
    if (pair.b !== null) pair.b += head;
  }
  return middle;
}

/** Two wash days' steps side by side, by their places. */
export function alignSteps(a: readonly RunStep[], b: readonly RunStep[]): Alignment {
  const { head, tail } = alikeEnds(a, b);
  const ends = (n: number, from: number, to: number) =>
    Array.from({ length: n }, (_, i) => ({ a: from + i, b: to + i }));
  return [
    ...ends(head, 0, 0),
    ...alignMiddle(a, b, head, tail),
    ...ends(tail, a.length - tail, b.length - tail),
  ];
}

/** Steps: missing, added, moved, or done otherwise. */
export function stepDifferences(a: Run, b: Run, against: Against = 'peer'): Difference[] {
  const sides: Sides = { a: a.side, b: b.side, against, otherArms: a.arm !== b.arm };
  const found: Difference[] = [];
  const { head, tail } = alikeEnds(a.steps, b.steps);
  for (let i = 0; i < head; i++) pairDifferences(a.steps[i]!, b.steps[i]!, sides, found);
  const middle = alignMiddle(a.steps, b.steps, head, tail);
  if (middle.length) middleDifferences(a, b, middle, sides, found);
  for (let i = tail; i > 0; i--) pairDifferences(a.steps.at(-i)!, b.steps.at(-i)!, sides, found);
  return found;
}

/** Steps that the two sides do not begin or end with alike. */
function middleDifferences(a: Run, b: Run, middle: Alignment, sides: Sides, found: Difference[]): void {
  const loose = { a: new Set<number>(), b: new Set<number>() };
  for (const pair of middle)
    if (pair.a === null) loose.b.add(pair.b!);
    else if (pair.b === null) loose.a.add(pair.a);
    else pairDifferences(a.steps[pair.a]!, b.steps[pair.b]!, sides, found);
  // A step with a partner that stands elsewhere was moved, not missed on one side and added on the other.
  for (const i of [...loose.a]) {
    const step = a.steps[i]!;
    const j = [...loose.b].find((other) => likeness(step, b.steps[other]!) > 0);
    if (j === undefined) continue;
    loose.a.delete(i);
    loose.b.delete(j);
    found.push({
      kind: 'moved',
      key: `moved ${step.slot}`,
      fact: { what: 'moved' },
      a: sides.a,
      b: sides.b,
      size: 1,
      slot: step.slot,
      detail: null,
      ofArm: false,
    });
    pairDifferences(step, b.steps[j]!, sides, found);
  }
  const alone = (step: RunStep, on: 'a' | 'b') => {
    // An arm that leaves its tested step out is the arm, not an unfairness.
    if ((step.part === 'tested' && sides.otherArms) || step.part === 'free' || step.optional) return;
    const added = step.key === null;
    const kind = added ? 'added' : 'missing';
    found.push({
      kind,
      key: `${kind} ${step.slot}`,
      fact: { what: 'alone', on, added, productId: step.settings.productId },
      a: sides.a,
      b: sides.b,
      size: 1,
      slot: step.slot,
      detail: null,
      ofArm: false,
    });
  };
  for (const i of loose.a) alone(a.steps[i]!, 'a');
  for (const j of loose.b) alone(b.steps[j]!, 'b');
}

/** What happened at a step on one side and not on the other. */
function markDifferences(x: RunStep, y: RunStep, sides: Sides, found: Difference[]): void {
  const [of, on] = [x.marks, y.marks];
  if (of.length === 0 && on.length === 0) return;
  for (const mark of new Set([...of, ...on])) {
    if (of.includes(mark) === on.includes(mark)) continue;
    found.push({
      kind: 'mark',
      key: `${mark} ${x.slot}`,
      fact: { what: 'mark', on: of.includes(mark) ? 'a' : 'b', mark },
      a: sides.a,
      b: sides.b,
      size: 1,
      slot: x.slot,
      detail: mark,
      ofArm: false,
    });
  }
}

function pairDifferences(x: RunStep, y: RunStep, sides: Sides, found: Difference[]): void {
  if (x.part === 'free' || y.part === 'free') return;
  markDifferences(x, y, sides, found);
  const tolerance = Math.min(x.tolerance, y.tolerance);
  if (!sides.otherArms || (x.part !== 'tested' && y.part !== 'tested')) {
    settingDifferences(x.slot, x.settings, y.settings, tolerance, sides, found);
    return;
  }
  // What the arms set is the question itself; a side that strayed from its own plan is not.
  const own: Sides = { a: sides.a, b: { is: 'own plan' }, against: 'plan', otherArms: false };
  if (x.planned) settingDifferences(x.slot, x.settings, x.planned, tolerance, own, found);
  if (y.planned) settingDifferences(y.slot, y.settings, y.planned, tolerance, { ...own, a: sides.b }, found);
}
