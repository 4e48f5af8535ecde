import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import type { BoardDay, BoardTrial, Fair } from '@sabor/core/board/read';
import { testedBy } from '@sabor/core/board/tested';
import { outcomeByDay, shrinkageByDay, type WashDayRecord } from '@sabor/core/compare/wash-day-record';
import { weightsOf } from '@sabor/core/compare/wear';
import { slipOfTrial } from '@sabor/core/fairness/slip';
import { middleWord } from '@sabor/core/felt/felt';
import { WEAR_ENDS } from '@sabor/core/outcomes/events';
import type { DayValue } from '@sabor/core/outcomes/good-days';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { DESIGNS, designOf, isCompared } from '@sabor/core/trial/designs';
import { type FairnessSources, runsOfTrial } from './fairness-runs.ts';
import { toTrialRecord } from './trial-record.ts';

/** What a trial came to for the board: it is in, or why it is not. */
export type ForBoard =
  | { trial: BoardTrial; why: null }
  | { trial: null; why: 'running' | 'blind' | 'unopened' | 'compares nothing' };

const OUTCOME_KEYS = Object.keys(OUTCOMES) as Outcome[];

function ratedOf(
  checkIns: WashDayRecord['checkIns'],
  weights: ReadonlyMap<string, number>,
): Partial<Record<Outcome, DayValue[]>> {
  return Object.fromEntries(
    OUTCOME_KEYS.flatMap((outcome) => {
      const days = outcomeByDay({ checkIns }, outcome, weights);
      return days.length > 0 ? [[outcome, days]] : [];
    }),
  );
}

/**
 * A trial as the board reads it: once it has ended, its key is open and its outcomes have been shown, what each arm tested and
 * every wash day's numbers; `sources` are what its fairness check reads. Blind trials whose key is shut, and trials whose
 * outcomes nobody has seen, stay shut here as well.
 */
export function forBoard(sources: FairnessSources & { wearer: Wearer }): ForBoard {
  const { trial, wearer, shelf } = sources;
  const none = (why: Exclude<ForBoard['why'], null>): ForBoard => ({ trial: null, why });
  if (trial.endedAt === null) return none('running');
  if (trial.masked) return none('blind');
  if (trial.logged || !isCompared(trial.design) || DESIGNS[trial.design].seeks === 'dose')
    return none('compares nothing');
  if (trial.outcomesShownAt === null) return none('unopened');
  const tested = testedBy(trial.plan, trial.arms);
  if (!tested) return none('compares nothing');
  const record = toTrialRecord(trial, shelf, wearer);
  const runs = runsOfTrial(sources);
  const dewPoints = new Map(runs.map(({ run }) => [run.washDayId, run.dewPointC]));
  const fairIn = (outcome: Outcome): Fair => {
    const items = slipOfTrial(runs, trial.arms, outcome, trial.overrules);
    const has = (gravity: 'breaks' | 'weakens') => items.some((item) => item.gravity === gravity);
    return has('breaks') ? 'broken' : has('weakens') ? 'weakened' : 'clean';
  };
  // One given up before it does not stand for a position.
  const kept = new Map(
    trial.washDayRecords.flatMap((day) => (day.status === 'abandoned' ? [] : [[day.position, day]])),
  );
  return {
    why: null,
    trial: {
      id: trial.id,
      question: trial.question,
      wearerId: trial.wearerId,
      blind: trial.blind,
      halves: DESIGNS[trial.design].halves,
      block: designOf(trial.design).block,
      fair: Object.fromEntries(OUTCOME_KEYS.map((key) => [key, fairIn(key)])) as Record<Outcome, Fair>,
      wearDays: trial.wearDays,
      endedOn: trial.endedAt,
      arms: trial.arms.map(({ name }, i) => ({ ...tested[i]!, name })),
      days: record.washDays.map((day) => {
        const own = kept.get(day.position)!;
        return dayOf(
          day,
          own,
          record.promise,
          dewPoints.get(own.id) ?? null,
          new Set(tested.map(({ role }) => role)),
        );
      }),
    },
  };
}

/** What was told of the tested steps, and of the hair while worn: the middle word of each. */
function feltOf({ felt }: WashDayRecord, slots: ReadonlySet<string>): BoardDay['felt'] {
  const own = felt.filter(({ where }) =>
    where.at === 'step' ? slots.has(where.slot) : where.stage !== 'before',
  );
  return Object.fromEntries(
    [...new Set(own.map(({ quality }) => quality))].map((quality) => [
      quality,
      middleWord(own.flatMap((one) => (one.quality === quality ? one.value : [])))!,
    ]),
  );
}

/** A wash day of a record, or one half of it, as the board reads it. */
export function dayOf(
  record: WashDayRecord,
  kept: WashDay,
  promise: Parameters<typeof weightsOf>[0],
  dewPointC: number | null,
  slots: ReadonlySet<string> = new Set(),
): BoardDay {
  const weights = weightsOf(promise, record);
  const forLooks = record.wearEnd !== null && WEAR_ENDS[record.wearEnd].event;
  const cost = record.cost.cost?.usual ?? null;
  return {
    washDayId: kept.id,
    position: record.position,
    half: record.half,
    arm: record.arm,
    on: kept.localDate,
    dewPointC,
    rated: ratedOf(record.checkIns, weights),
    worn: ratedOf(record.worn, weights),
    washedOn: forLooks ? record.wearEndDay : null,
    over: record.wearEnd !== null || record.spoiled !== null,
    shrinkage: shrinkageByDay(record).map(({ day, value }) => ({ day, value: 100 * value })),
    minutesToDry: record.minutes.dry,
    handsOn: record.minutes.handsOn,
    costPerWash: cost,
    currency: cost === null ? null : record.cost.currency,
    felt: feltOf(record, slots),
  };
}
