import type { Outcome } from '../outcomes/outcomes.ts';
import type { Difference } from './difference.ts';
import { departuresOf, differencesOf } from './differences.ts';
import { GRAVITIES, type Gravity } from './gravity.ts';
import { groundDifferences } from './ground-differences.ts';
import { type FairnessRule, speaksOf } from './rule.ts';
import { FAIRNESS_RULES } from './rules.ts';
import type { HairState, Run, RunPlan } from './run.ts';

/** What a rule makes of a difference for one outcome. */
export interface Judgement {
  gravity: Gravity;
  because: string;
  source: string;
}

/** One line of a fairness check. */
export interface SlipItem extends Judgement {
  difference: Difference;
  /** Wash day it belongs to; null for one of the arms as a whole. */
  washDayId: string | null;
  /** What the rules said, where the tester judged otherwise, with the tester's reason. */
  overruled: { was: Gravity; reason: string } | null;
}

export interface Overruling {
  washDayId: string | null;
  difference: string;
  gravity: Gravity;
  reason: string;
}

const WORST = Object.keys(GRAVITIES) as Gravity[];
const rank = (gravity: Gravity) => WORST.indexOf(gravity);

/** What a difference does to one outcome: the first rule that speaks of it, else a note. */
export function judge(
  difference: Difference,
  outcome: Outcome,
  halves: boolean,
  rules: readonly FairnessRule[] = FAIRNESS_RULES,
): Judgement {
  const rule = rules.find((one) => speaksOf(one, difference, halves));
  return rule
    ? { gravity: rule.does[outcome] ?? rule.does.other, because: rule.because, source: rule.source }
    : { gravity: 'note', because: 'Too small for any rule to weigh.', source: 'none' };
}

const worstFirst = (items: SlipItem[]): SlipItem[] =>
  items
    .map((item, place) => ({ item, place }))
    .sort((a, b) => rank(a.item.gravity) - rank(b.item.gravity) || a.place - b.place)
    .map(({ item }) => item);

function item(
  difference: Difference,
  washDayId: string | null,
  outcome: Outcome,
  halves: boolean,
  overrulings: readonly Overruling[],
): SlipItem {
  const judgement = judge(difference, outcome, halves);
  const over = overrulings.find((one) => one.washDayId === washDayId && one.difference === difference.key);
  return {
    difference,
    washDayId,
    ...judgement,
    gravity: over?.gravity ?? judgement.gravity,
    overruled: over ? { was: judgement.gravity, reason: over.reason } : null,
  };
}

/** The fairness check of two wash days or two halves, worst first. */
export function slipOfPair(a: Run, b: Run, outcome: Outcome): SlipItem[] {
  const halves = a.washDayId !== null && a.washDayId === b.washDayId;
  return worstFirst(differencesOf(a, b).map((found) => item(found, null, outcome, halves, [])));
}

const mean = (values: readonly (number | null)[]) => {
  const known = values.flatMap((x) => x ?? []);
  return known.length ? known.reduce((sum, x) => sum + x, 0) / known.length : null;
};

/** What the wash days of one arm had on average, as one side. */
function averageOf(runs: readonly Run[], arm: string): Run {
  const [first] = runs;
  const events: Record<string, number> = {};
  for (const { events: own } of runs)
    for (const [kind, n] of Object.entries(own)) events[kind] = (events[kind] ?? 0) + n / runs.length;
  return {
    ...first!,
    side: { is: 'wash days of arm', arm },
    washDayId: null,
    half: null,
    steps: [],
    since: {},
    bottleDays: {},
    // Counted nights and events are told for each wash day; on average only what differs by one or more.
    events: Object.fromEntries(Object.entries(events).map(([kind, n]) => [kind, Math.round(n)])),
    dewPointC: mean(runs.map(({ dewPointC }) => dewPointC)),
    windMs: mean(runs.map(({ windMs }) => windMs)),
    outdoorHours: mean(runs.map(({ outdoorHours }) => outdoorHours)),
    buildUp: mean(runs.map(({ buildUp }) => buildUp)),
    protein: mean(runs.map(({ protein }) => protein)),
    rater: [...new Set(runs.map(({ rater }) => rater))].sort().join(', '),
  };
}

/** Care and changes of the hair between one wash day of a trial and the next. */
function changedUnderWay(
  runs: readonly Run[],
  shared: boolean,
): { washDayId: string | null; difference: Difference }[] {
  return runs.flatMap((after, i) => {
    const before = runs[i - 1];
    if (!before) return [];
    return (Object.keys(after.since) as HairState[]).flatMap((state) => {
      const [earlier, days] = [before.since[state], after.since[state]!];
      // Clarifying and deep conditioning between wash days are care, which the build-up tells of.
      if (state === 'clarify' || state === 'deep-condition') return [];
      if (earlier !== undefined && days >= earlier) return [];
      const difference: Difference = {
        kind: 'state',
        key: `state ${state}`,
        fact: { what: 'changed', state, days },
        a: after.side,
        b: before.side,
        size: Number.POSITIVE_INFINITY,
        slot: null,
        detail: state,
        ofArm: false,
        shared,
      };
      return { washDayId: after.washDayId, difference };
    });
  });
}

/** What each wash day did otherwise than its plan; of halves also what one did otherwise than the other. */
function ofDays(days: readonly RunPlan[]) {
  const found: { washDayId: string | null; difference: Difference; halves: boolean }[] = [];
  const byDay = new Map<string | null, RunPlan[]>();
  for (const side of days) byDay.set(side.run.washDayId, [...(byDay.get(side.run.washDayId) ?? []), side]);
  for (const [washDayId, sides] of byDay) {
    const own = sides.map(({ run, plan }) => {
      const called: Run = { ...run, side: { is: 'this day', half: run.half } };
      return { run: called, departs: departuresOf(called, plan) };
    });
    const [left, right] = own;
    if (!left) continue;
    if (!right) {
      for (const difference of left.departs) found.push({ washDayId, difference, halves: false });
      continue;
    }
    const between = differencesOf(left.run, right.run);
    const told = new Set(between.map(({ key }) => key));
    for (const difference of between) found.push({ washDayId, difference, halves: true });
    // What both halves did otherwise than planned, alike, is told once.
    for (const difference of left.departs)
      if (!told.has(difference.key) && right.departs.some(({ key }) => key === difference.key))
        found.push({ washDayId, difference: { ...difference, shared: true }, halves: true });
  }
  return found;
}

/**
 * The fairness check of a trial's arms, worst first: what each wash day did otherwise than its plan, what its halves did
 * otherwise than each other, and what the arms had unequally on average. Source of the frame: methods.md 3.
 */
export function slipOfTrial(
  days: readonly RunPlan[],
  arms: readonly { id: string; name: string }[],
  outcome: Outcome,
  overrulings: readonly Overruling[],
): SlipItem[] {
  const items = ofDays(days).map(({ washDayId, difference, halves }) =>
    item(difference, washDayId, outcome, halves, overrulings),
  );
  const split = days.some(({ run }) => run.half !== null);
  if (!split) {
    const sides = arms.map(({ id, name: armName }) => {
      const own = days.filter(({ run }) => run.arm === id).map(({ run }) => run);
      return own.length ? averageOf(own, armName) : null;
    });
    for (let i = 0; i < sides.length; i++)
      for (let j = i + 1; j < sides.length; j++) {
        const [a, b] = [sides[i], sides[j]];
        if (!a || !b) continue;
        for (const difference of differencesOf(a, b))
          items.push(
            item(
              { ...difference, key: `${difference.key} ${a.arm} ${b.arm}` },
              null,
              outcome,
              false,
              overrulings,
            ),
          );
      }
  } else
    for (const [i, one] of arms.entries())
      for (const other of arms.slice(i + 1)) {
        const [a, b] = [one, other].map(({ id }) => days.find(({ run }) => run.arm === id)?.run);
        if (!a || !b) continue;
        // Everything but the tester's stake is told of each wash day's own halves.
        const stakes = groundDifferences(
          { ...a, side: { is: 'arm', arm: one.name } },
          { ...b, side: { is: 'arm', arm: other.name } },
        ).filter(({ kind }) => kind === 'stake');
        for (const stake of stakes) {
          const key = arms.length > 2 ? `stake ${one.id} ${other.id}` : stake.key;
          items.push(item({ ...stake, key }, null, outcome, false, overrulings));
        }
      }
  const whole = days.filter(({ run }) => run.half !== 'right').map(({ run }) => run);
  for (const { washDayId, difference } of changedUnderWay(whole, split))
    items.push(item(difference, washDayId, outcome, split, overrulings));
  return worstFirst(items);
}

/** Wash days that something breaks, after overruling. */
export const brokenDays = (items: readonly SlipItem[]): Set<string> =>
  new Set(items.flatMap(({ gravity, washDayId }) => (gravity === 'breaks' && washDayId ? washDayId : [])));

/** Clean, weakened or broken: the worst that stands on a slip. */
export function standing(items: readonly SlipItem[]): 'clean' | 'weakened' | 'broken' {
  if (items.some(({ gravity }) => gravity === 'breaks')) return 'broken';
  return items.some(({ gravity }) => gravity === 'weakens') ? 'weakened' : 'clean';
}
