import { EFFORT, type Effort } from '../basin/effort.ts';
import { FELT_KEYS, type Felt, middleWord } from '../felt/felt.ts';
import { STAGES, type Stage } from '../outcomes/stages.ts';
import { SLOTS, type Slot } from '../step/slots.ts';
import type { TrialRecord } from './trial-record.ts';

/** Where a reading in five words was taken: at a step, or at a check-in. */
export type FeltAt = { at: 'step'; slot: Slot } | { at: 'look'; stage: Stage; day: number | null };

/** A reading in five words of a wash day or a half of it, as a place among its words. */
export interface FeltReading {
  quality: Felt;
  where: FeltAt;
  value: number;
}

/** Five words over an arm's wash days: how many came to each word, and the middle one; null without any. */
export interface FeltOfArm {
  counts: readonly number[];
  middle: number | null;
}

export interface FeltRow {
  what: { is: 'felt'; quality: Felt; where: FeltAt } | { is: 'effort'; effort: Effort };
  arms: FeltOfArm[];
}

function ofArm(values: readonly (number | undefined)[]): FeltOfArm {
  const said = values.filter((value) => value !== undefined);
  const counts = [0, 0, 0, 0, 0];
  for (const value of said) counts[value]!++;
  return { counts, middle: middleWord(said) ?? null };
}

const stages = Object.keys(STAGES);
const slots = Object.keys(SLOTS);
/** Readings stand in the order they are taken: steps first, then the check-ins by stage and day. */
const place = (where: FeltAt): number =>
  where.at === 'step'
    ? slots.indexOf(where.slot)
    : 100 + 100 * stages.indexOf(where.stage) + (where.day ?? 0);

/**
 * Readings in five words arm by arm. One word per wash day or half goes in, the middle one of its zones; no test is made
 * of them. The state before the wash is no result of an arm and stands in the fairness check.
 */
export function feltByArm(record: TrialRecord): FeltRow[] {
  const { washDays, promise } = record;
  const arms = promise.arms.map((_, arm) => washDays.filter((day) => day.arm === arm));
  const places = new Map<number, FeltAt>();
  for (const { felt } of washDays)
    for (const { where } of felt)
      if (where.at === 'step' || where.stage !== 'before') places.set(place(where), where);
  const rows = [...places]
    .sort(([a], [b]) => a - b)
    .flatMap(([at, where]) =>
      FELT_KEYS.flatMap((quality): FeltRow[] => {
        const ofDays = arms.map((days) =>
          days.map(({ felt }) =>
            middleWord(
              felt
                .filter((one) => one.quality === quality && place(one.where) === at)
                .map(({ value }) => value),
            ),
          ),
        );
        if (ofDays.flat().every((value) => value === undefined)) return [];
        return [{ what: { is: 'felt', quality, where }, arms: ofDays.map(ofArm) }];
      }),
    );
  const efforts = (Object.keys(EFFORT) as Effort[]).flatMap((effort): FeltRow[] => {
    const ofDays = arms.map((days) => days.map((day) => day.effort[effort]));
    return ofDays.flat().every((value) => value === undefined)
      ? []
      : [{ what: { is: 'effort', effort }, arms: ofDays.map(ofArm) }];
  });
  return [...rows, ...efforts];
}
