import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { usualDays } from '@sabor/core/trial/designs';
import { v7 } from 'uuid';

/** Places that count until the tester chooses others. */
const USUAL_PLACES = ['hairline', 'crown', 'side', 'back'];

export const usualWeights = ({ zones }: Wearer) =>
  zones.filter(({ place }) => USUAL_PLACES.includes(place)).map((zone) => ({ zoneId: zone.id, weight: 1 }));

/** The wearer where there is no other to choose. */
export const onlyOne = (wearers: readonly Wearer[]): Wearer | undefined => {
  const there = wearers.filter(({ archivedAt }) => archivedAt === null);
  return there.length === 1 ? there[0] : undefined;
};

export const blankArm = (n: number) => ({
  id: v7(),
  name: `Option ${String.fromCharCode(65 + n)}`,
  steps: [],
});

/** A new plan; products shortlisted on the Screen come in as its arms. */
export function blank(shortlist: readonly Product[], wearer: Wearer | undefined): TrialInput {
  const named = shortlist.slice(0, 6).map((product, i) => ({ ...blankArm(i), name: product.name }));
  return {
    id: v7(),
    wearerId: wearer?.id ?? '',
    question: '',
    design: named.length > 2 ? 'walk' : 'complete',
    routineName: '',
    plan: [],
    arms: named.length >= 2 ? named : [blankArm(0), blankArm(1)],
    primary: 'definition',
    onDay: 1,
    line: 6,
    matters: 1,
    washDays: usualDays(named.length > 2 ? 'walk' : 'complete', Math.max(2, named.length)),
    wearDays: 5,
    judgedFrom: null,
    judgedTo: null,
    asked: [],
    cadenceDays: null,
    looks: 1,
    blind: false,
    bySide: false,
    acknowledged: [],
    weights: wearer ? usualWeights(wearer) : [],
  };
}

const KEPT = [
  'id',
  'wearerId',
  'question',
  'design',
  'routineName',
  'plan',
  'arms',
  'primary',
  'onDay',
  'line',
  'matters',
  'washDays',
  'wearDays',
  'judgedFrom',
  'judgedTo',
  'asked',
  'cadenceDays',
  'looks',
  'blind',
  'bySide',
  'acknowledged',
  'weights',
] as const satisfies readonly (keyof TrialInput)[];

/** A stored plan as it is changed. */
export const inputOf = (trial: TrialDetail): TrialInput =>
  Object.fromEntries(KEPT.map((key) => [key, trial[key]])) as unknown as TrialInput;
