import { doseHeld, doseInMl, doseLabel } from '../doses/dose.ts';
import { EXTRAS, type ExtraKey, extraWords, sameExtra } from '../routine/extras.ts';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from '../routine/settings.ts';
import { SLOTS, type Slot } from '../routine/slots.ts';
import type { StepSettings } from '../routine/step.ts';
import { type Alignment, align } from './align.ts';
import { type Difference, type DifferenceKind, type Names, round } from './difference.ts';
import type { Run, RunStep } from './run.ts';

/** A side's place in a sentence. */
const at = (side: string) => (side.endsWith('plan') ? `in ${side}` : `on ${side}`);

const named = (table: Readonly<Record<string, { label: string }>>, key: string) => table[key]?.label ?? key;

/** How alike two steps are for setting them beside each other: the same planned step, or the same place in a routine. */
const likeness = (a: RunStep, b: RunStep) =>
  a.key !== null && a.key === b.key
    ? 4
    : a.slot === b.slot
      ? a.productId !== null && a.productId === b.productId
        ? 2
        : 1
      : 0;

const CHOICES = [
  ['wetness', WETNESS],
  ['technique', TECHNIQUES],
  ['tool', TOOLS],
  ['heat', HEATS],
] as const;

/** Extra settings that either side has. */
function extraKeys(a: StepSettings, b: StepSettings): ExtraKey[] {
  const keys = Object.keys(a.extra) as ExtraKey[];
  for (const key in b.extra) if (!(key in a.extra)) keys.push(key as ExtraKey);
  return keys;
}

const NONE: readonly never[] = [];

/** Whether two doses are the same to the letter, which most are. */
function sameDose(a: StepSettings, b: StepSettings): boolean {
  if (a.dose === b.dose) return a.dose?.kind !== 'unknown' || a.dose === null;
  return (
    a.dose?.kind === 'exact' &&
    b.dose?.kind === 'exact' &&
    a.dose.amount === b.dose.amount &&
    a.dose.measure === b.dose.measure &&
    a.dose.per === b.dose.per &&
    (a.dose.per === 'head' || a.sections === b.sections)
  );
}

/** What differs between two sides' settings of one step; only what is set on both counts. */
function settingDifferences(
  slot: Slot,
  a: StepSettings,
  b: StepSettings,
  tolerance: number,
  sides: readonly [string, string],
  name: Names,
): Omit<Difference, 'ofArm'>[] {
  const found: Omit<Difference, 'ofArm'>[] = [];
  const where = SLOTS[slot].label;
  const differ = (
    kind: DifferenceKind,
    of: string,
    left: string,
    right: string,
    size = 1,
    detail: ExtraKey | null = null,
  ) =>
    found.push({
      kind,
      key: `${of} ${slot}`,
      says: `${where}: ${left} ${at(sides[0])}, ${right} ${at(sides[1])}.`,
      size,
      slot,
      detail,
    });
  const product = (id: string | null) => (id === null ? 'no product' : name(id));
  if (a.productId !== b.productId) differ('product', 'product', product(a.productId), product(b.productId));
  if (!sameDose(a, b)) {
    const oneWay = doseHeld(b, a, tolerance);
    const held = oneWay === 'held' && doseHeld(a, b, tolerance) === 'cannot show' ? 'cannot show' : oneWay;
    if (held !== 'held') {
      const [x, y] = [doseInMl(a.dose, a.sections), doseInMl(b.dose, b.sections)];
      const ratio = x && y ? Math.max(x.usual / y.usual, y.usual / x.usual) - 1 : 0;
      const kind = held === 'departed' ? 'dose' : 'dose-unsure';
      differ(kind, kind, doseLabel(a.dose), doseLabel(b.dose), ratio);
    }
  }
  if (a.minutes !== null && b.minutes !== null) {
    const ratio = Math.max(a.minutes / b.minutes, b.minutes / a.minutes) - 1;
    if (ratio > tolerance + 1e-9)
      differ('minutes', 'minutes', `${round(a.minutes)} min`, `${round(b.minutes)} min`, ratio);
  }
  for (const [kind, table] of CHOICES)
    if (a[kind] !== null && b[kind] !== null && a[kind] !== b[kind])
      differ(kind, kind, named(table, a[kind]), named(table, b[kind]));
  if (a.sections !== null && b.sections !== null && a.sections !== b.sections)
    differ('sections', 'sections', `${a.sections} sections`, `${b.sections} sections`);
  for (const key of a.extra === b.extra ? NONE : extraKeys(a, b)) {
    if (a.extra[key] === b.extra[key]) continue;
    const [x, y] = [a.extra[key], b.extra[key]];
    // A tick left out says as much as one that is set; of other settings only what both sides tell is compared.
    const told = EXTRAS[key].kind === 'tick' ? x !== y : x !== undefined && y !== undefined;
    if (!told || sameExtra(key, x, y, tolerance)) continue;
    const words = (value: typeof x) =>
      value === undefined ? `not ${extraWords(key, true)}` : extraWords(key, value);
    const size = typeof x === 'number' && typeof y === 'number' ? Math.abs(x - y) : 1;
    differ(key === 'stopAt' ? 'dry-fraction' : 'setting', key, words(x), words(y), size, key);
  }
  return found;
}

/** Two wash days' steps side by side; what both begin and end with alike needs no search. */
export function alignSteps(a: readonly RunStep[], b: readonly RunStep[]): Alignment {
  const same = (i: number, j: number) => a[i]!.key !== null && a[i]!.key === b[j]!.key;
  const shorter = Math.min(a.length, b.length);
  let head = 0;
  while (head < shorter && same(head, head)) head++;
  let tail = 0;
  while (tail < shorter - head && same(a.length - 1 - tail, b.length - 1 - tail)) tail++;
  const ends = (n: number, from: number, to: number) =>
    Array.from({ length: n }, (_, i) => ({ a: from + i, b: to + i }));
  const middle = align(a.slice(head, a.length - tail), b.slice(head, b.length - tail), likeness);
  return [
    ...ends(head, 0, 0),
    ...middle.map((pair) => ({
      a: pair.a === null ? null : pair.a + head,
      b: pair.b === null ? null : pair.b + head,
    })),
    ...ends(tail, a.length - tail, b.length - tail),
  ];
}

/** Steps: missing, added, moved, or done otherwise. */
export function stepDifferences(a: Run, b: Run, name: Names): Difference[] {
  const otherArms = a.arm !== b.arm;
  const pairs = alignSteps(a.steps, b.steps);
  const loose = { a: new Set<number>(), b: new Set<number>() };
  const found: Difference[] = [];
  for (const pair of pairs) {
    if (pair.a !== null && pair.b !== null) {
      const [x, y] = [a.steps[pair.a]!, b.steps[pair.b]!];
      found.push(...pairDifferences(x, y, a, b, otherArms, name));
    } else if (pair.a !== null) loose.a.add(pair.a);
    else loose.b.add(pair.b!);
  }
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
      says: `${SLOTS[step.slot].label} stood at another place ${at(a.name)} than ${at(b.name)}.`,
      size: 1,
      slot: step.slot,
      detail: null,
      ofArm: false,
    });
    found.push(...pairDifferences(step, b.steps[j]!, a, b, otherArms, name));
  }
  const alone = (step: RunStep, on: Run, other: Run) => {
    // An arm that leaves its tested step out is the arm, not an unfairness.
    if ((step.part === 'tested' && otherArms) || step.part === 'free' || step.optional) return;
    const added = step.key === null;
    found.push({
      kind: added ? 'added' : 'missing',
      key: `${added ? 'added' : 'missing'} ${step.slot}`,
      says: added
        ? `${SLOTS[step.slot].label} was added ${at(on.name)}, not ${at(other.name)}${step.productId ? `: ${name(step.productId)}` : ''}.`
        : `${SLOTS[step.slot].label} stands ${at(on.name)} and not ${at(other.name)}.`,
      size: 1,
      slot: step.slot,
      detail: null,
      ofArm: false,
    });
  };
  for (const i of loose.a) alone(a.steps[i]!, a, b);
  for (const j of loose.b) alone(b.steps[j]!, b, a);
  return found;
}

/** Slots whose minutes an arm makes longer or shorter by itself. */
const ARM_TIMED: readonly Slot[] = ['dry', 'set', 'half-dry', 'separate', 'break-cast'];

function pairDifferences(
  x: RunStep,
  y: RunStep,
  a: Run,
  b: Run,
  otherArms: boolean,
  name: Names,
): Difference[] {
  if (x.part === 'free' || y.part === 'free') return [];
  const tolerance = Math.min(x.tolerance, y.tolerance);
  if (otherArms && (x.part === 'tested' || y.part === 'tested'))
    // What the arms set is the question itself; a side that strayed from its own plan is not.
    return [
      ...(x.planned
        ? settingDifferences(x.slot, x, x.planned, tolerance, [a.name, 'its own plan'], name)
        : []),
      ...(y.planned
        ? settingDifferences(y.slot, y, y.planned, tolerance, [b.name, 'its own plan'], name)
        : []),
    ].map((difference) => ({ ...difference, ofArm: false }));
  const found = settingDifferences(x.slot, x, y, tolerance, [a.name, b.name], name);
  if (found.length === 0) return [];
  return found.map((difference) => ({
    ...difference,
    ofArm: otherArms && difference.kind === 'minutes' && ARM_TIMED.includes(x.slot),
  }));
}
