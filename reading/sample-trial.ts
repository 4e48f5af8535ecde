import type { CheckIn } from '@sabor/contract/check-in';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { mainResult } from '@sabor/core/compare/main-result';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { normals, seededRandom } from '@sabor/core/random';
import { stepsOfDay } from '@sabor/core/step/steps-of-day';
import { plusDays } from '@sabor/core/time/dates';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate } from '@sabor/core/time/zones';
import { armsOfCode, DESIGNS, isCompared, schemeOf } from '@sabor/core/trial/designs';
import { keysOf } from '@sabor/core/vocabulary';
import { NOTHING_TOLD } from './nothing-told.ts';
import { sidesOf } from './side-of.ts';

/** How the made-up hair behaves, in points. Model assumptions, near what the demo's heads do. */
const MADE_UP = { level: 6.5, betweenDays: 0.5, betweenZones: 0.4, fadesADay: 0.4, spills: 0.4 } as const;
/** How many times the difference worth switching for the best option stands over the last. */
const APART = 1.5;
/** The day is begun at eight, washed at a quarter past, dry at ten and finished a quarter of an hour later, in ms. */
const CLOCK = { washed: 15 * 60_000, dry: 120 * 60_000, finished: 135 * 60_000 } as const;

const toScale = (x: number) => Math.min(10, Math.max(0, Math.round(x * 2) / 2));

export interface Sample {
  /** The trial as if it had been run to its end; nothing of it is stored. */
  trial: TrialDetail;
  /** What was put into the made-up ratings: the first option is so many points better than the last. */
  truth: { better: string; worse: string; points: number };
}

/**
 * A planned trial played through with made-up ratings: its own steps, design, days and zones, every step done as planned.
 * `seed` picks one of many samples, `now` (ms) is when it ended. Null where it compares nothing, or is judged in words.
 */
export function sampleTrial(
  trial: TrialDetail,
  wearer: Pick<Wearer, 'zones' | 'curls' | 'timeZone'>,
  seed: number,
  now: number,
): Sample | null {
  const { felt, like } = mainResult(trial.primary);
  if (!isCompared(trial.design) || felt !== null || trial.arms.length < 2) return null;
  const random = seededRandom(seed);
  const normal = normals(random);
  const codes = schemeOf(trial.design, trial.arms.length, trial.washDays).sample(random);
  const points = Math.max(1, APART * trial.matters);
  const last = trial.arms.length - 1;
  /** Points better than the middle. */
  const goodness = (arm: number) => points * (0.5 - arm / last);
  const sideOf = sidesOf(wearer);
  const plan = trial.plan.map(
    (step, position) => ({ ...step, position }) as Parameters<typeof stepsOfDay>[0][number],
  );
  const every = Math.max(1, trial.cadenceDays ?? trial.wearDays);
  const first = now - (trial.washDays * every + 1) * DAY_MS;
  let ids = 0;
  const newId = () => `sample-${++ids}`;

  const dayAt = (code: number, position: number): WashDay => {
    const { left, right } = armsOfCode(trial.design, code);
    const halves = DESIGNS[trial.design].halves;
    const id = newId();
    const start = first + position * every * DAY_MS;
    const at = (ms: number) => new Date(start + ms).toISOString();
    const shared = MADE_UP.betweenDays * normal();
    const own = [left, right].map(() => (MADE_UP.betweenDays / 2) * normal());
    const steps = stepsOfDay(
      plan,
      { left: trial.arms[left]!.steps, right: halves ? trial.arms[right]!.steps : null },
      trial.bySide ?? false,
      newId,
    ).map((step) => ({
      ...step,
      note: '',
      status: step.status === 'skipped' ? step.status : ('done' as const),
      startedAt: null,
      doneAt: step.status === 'skipped' ? null : at(CLOCK.washed),
      skipReason: null,
      code: null,
      ...NOTHING_TOLD,
    }));
    const rating = (outcome: Outcome, zoneId: string, day: number): number => {
      const isRight = halves && sideOf(zoneId) === 'right';
      const spill = outcome === like ? 1 : outcome === 'scalp' ? 0 : MADE_UP.spills;
      const good =
        MADE_UP.level +
        spill * goodness(isRight ? right : left) +
        shared +
        own[isRight ? 1 : 0]! -
        (outcome === 'scalp' ? 0 : MADE_UP.fadesADay * (day - 1)) +
        MADE_UP.betweenZones * normal();
      return toScale(OUTCOMES[outcome].better === 'higher' ? good : 10 - good);
    };
    const checkIns = Array.from(
      { length: trial.wearDays },
      (_, i): CheckIn => ({
        id: newId(),
        washDayId: id,
        stage: 'wear',
        day: i + 1,
        part: 'first',
        at: at(CLOCK.finished + i * DAY_MS),
        note: '',
        rater: '',
        air: null,
        ratings: keysOf(OUTCOMES).flatMap((outcome) =>
          trial.weights.map(({ zoneId }) => ({ outcome, zoneId, value: rating(outcome, zoneId, i + 1) })),
        ),
        felt: [],
        curls: [],
      }),
    );
    const on = localDate(at(0), wearer.timeZone);
    return {
      id,
      database: id,
      trialId: trial.id,
      wearerId: trial.wearerId,
      position,
      armId: trial.arms[left]!.id,
      rightArmId: halves ? trial.arms[right]!.id : null,
      doseFelt: null,
      strain: null,
      patience: null,
      shedHairs: null,
      shedCounted: false,
      cameFrom: null,
      fastened: null,
      styleDays: null,
      styleMeant: null,
      accepts: [],
      status: 'finished',
      startedAt: at(0),
      enteredLater: false,
      localDate: on,
      washedAt: at(CLOCK.washed),
      dry80At: null,
      dry90At: null,
      dryAt: at(CLOCK.dry),
      revealAt: at(CLOCK.finished),
      routineDoneAt: at(CLOCK.finished),
      temperatureC: null,
      humidity: null,
      windMs: null,
      air: null,
      days: Array.from({ length: trial.wearDays }, (_, i) => ({
        on: plusDays(on, i),
        place: null,
        air: null,
        outdoorHours: null,
        indoorHours: null,
      })),
      note: '',
      abandonReason: null,
      wearEnd: { kind: 'washed-schedule', at: at((trial.wearDays - 0.1) * DAY_MS) },
      steps,
      checkIns,
      events: [],
      devices: [],
      photographs: [],
      tapsHeard: 0,
    };
  };

  const washDayRecords = codes.map(dayAt);
  const over = new Date(now).toISOString();
  return {
    trial: {
      ...trial,
      status: 'finished',
      masked: false,
      startedAt: washDayRecords[0]!.startedAt,
      endedAt: over,
      outcomesShownAt: over,
      allocation: washDayRecords.map(({ armId, rightArmId }) => ({
        left: armId,
        right: rightArmId ?? armId,
      })),
      washDaysDone: washDayRecords.length,
      washDayRecords,
      amendments: [],
      overrules: [],
      guesses: [],
    },
    truth: { better: trial.arms[0]!.name, worse: trial.arms[last]!.name, points },
  };
}
