import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { minutesOfDay } from '@sabor/core/basin/minutes';
import { type MainResult, mainResult, nearness } from '@sabor/core/compare/main-result';
import type { WashDayRecord } from '@sabor/core/compare/wash-day-record';
import { shrinkage } from '@sabor/core/hair/shrinkage';
import { mean } from '@sabor/core/middle';
import { measuredDays } from '@sabor/core/photo/measured-days';
import { DESIGNS } from '@sabor/core/trial/designs';
import { lookedAt, shotsOf } from './pictures.ts';
import { sidesOf } from './side-of.ts';

type Rating = WashDay['checkIns'][number]['ratings'][number];

/**
 * A wash day whose check-ins carry the main result among their ratings, where that is a reading in words: how near each
 * word came to the wanted one. What spoils, refreshes and parts ratings then does the same to it.
 */
export function withNearness(day: WashDay, primary: MainResult): WashDay {
  const { felt } = mainResult(primary);
  if (felt === null || felt.atSteps) return day;
  return {
    ...day,
    checkIns: day.checkIns.map((look) => ({
      ...look,
      ratings: [
        ...look.ratings,
        ...(look.felt ?? [])
          .filter(({ quality }) => quality === felt.quality)
          .map(
            ({ zoneId, value }) =>
              ({ outcome: primary, zoneId, value: nearness(value, felt.wanted) }) as unknown as Rating,
          ),
      ],
    })),
  };
}

/** Ratings that stand for one number of a head, or of one half: of the promised zones on that side, or of the whole head. */
function asRatings(
  trial: Pick<TrialDetail, 'primary' | 'weights'>,
  sideOf: ReturnType<typeof sidesOf>,
  half: 'left' | 'right' | null,
  value: number,
): Rating[] {
  const zones =
    half === null ? [null] : trial.weights.flatMap(({ zoneId }) => (sideOf(zoneId) === half ? [zoneId] : []));
  return zones.map((zoneId) => ({ outcome: trial.primary, zoneId, value }) as unknown as Rating);
}

/** A wash day with ratings added to its check-ins of a day worn; with a check-in of their own where there is none. */
function withRatings(day: WashDay, dayWorn: number, at: number, ratings: readonly Rating[]): WashDay {
  const isIt = (look: WashDay['checkIns'][number]) => look.stage === 'wear' && look.day === dayWorn;
  if (day.checkIns.some(isIt))
    return {
      ...day,
      checkIns: day.checkIns.map((look) =>
        isIt(look) ? { ...look, ratings: [...look.ratings, ...ratings] } : look,
      ),
    };
  return {
    ...day,
    checkIns: [
      ...day.checkIns,
      {
        id: `${day.id} ${dayWorn}`,
        washDayId: day.id,
        stage: 'wear',
        day: dayWorn,
        part: 'first',
        at: new Date(at).toISOString(),
        note: '',
        rater: '',
        air: null,
        ratings: [...ratings],
        felt: [],
        curls: [],
      },
    ],
  };
}

/**
 * A trial whose check-ins carry the main result among their ratings, where it is measured: in photographs of days worn, or by
 * the lengths of tagged curls. Whatever spoils ratings then does the same to it.
 */
export function withMeasured(
  trial: TrialDetail,
  wearer: Pick<Wearer, 'zones' | 'curls' | 'timeZone'>,
): TrialDetail {
  const { measured } = mainResult(trial.primary);
  // Good days are counted from the ratings themselves.
  if (!measured || measured.what === 'days') return trial;
  const { halves } = DESIGNS[trial.design];
  const sideOf = sidesOf(wearer);
  const { what } = measured;
  if (what === 'shrinkage')
    return {
      ...trial,
      washDayRecords: trial.washDayRecords.map((day) => ({
        ...day,
        checkIns: day.checkIns.map((look) => {
          const of = (half: 'left' | 'right' | null) => {
            const value = mean(
              look.curls
                .filter(({ curlId }) => half === null || sideOf(curlId) === half)
                .map(({ stretchedMm, restingMm }) => 100 * shrinkage(stretchedMm, restingMm)),
            );
            return value === null ? [] : asRatings(trial, sideOf, half, value);
          };
          const added = halves ? [...of('left'), ...of('right')] : of(null);
          return added.length > 0 ? { ...look, ratings: [...look.ratings, ...added] } : look;
        }),
      })),
    };
  if (what === 'minutes-to-dry' || what === 'hands-on')
    return {
      ...trial,
      washDayRecords: trial.washDayRecords.map((day) => {
        // A wash day told afterwards has nobody's clock.
        if (halves || day.revealAt === null || day.enteredLater) return day;
        const { dry, handsOn } = minutesOfDay(day.steps, day.startedAt);
        const value = what === 'hands-on' ? handsOn : dry;
        return value === null
          ? day
          : withRatings(day, trial.onDay, Date.parse(day.revealAt), asRatings(trial, sideOf, null, value));
      }),
    };
  const looks = lookedAt(trial).flatMap((look) =>
    look.stage === 'wear' && look.day !== null
      ? [{ day: look.day, shots: shotsOf(trial, wearer, look) }]
      : [],
  );
  const found = measuredDays(what, looks, halves);
  return {
    ...trial,
    washDayRecords: trial.washDayRecords.map((day) =>
      found
        .filter(({ position }) => position === day.position)
        .reduce(
          (so, { day: dayWorn, at, half, value }) =>
            withRatings(so, dayWorn, at, asRatings(trial, sideOf, half, value)),
          day,
        ),
    ),
  };
}

/** The looks of a wash day with what a step told as the judged day's main result, where that is told at steps alone. */
export function withMain<L extends Pick<WashDayRecord, 'checkIns'>>(
  looks: L,
  { felt: told }: Pick<WashDayRecord, 'felt'>,
  { primary, onDay }: Pick<TrialDetail, 'primary' | 'onDay'>,
): L {
  const { felt } = mainResult(primary);
  if (!felt?.atSteps) return looks;
  const value = mean(
    told
      .filter(({ quality, where }) => quality === felt.quality && where.at === 'step')
      .map((one) => nearness(one.value, felt.wanted)),
  );
  return value === null
    ? looks
    : {
        ...looks,
        checkIns: [
          ...looks.checkIns,
          { stage: 'wear', day: onDay, ratings: [{ outcome: primary, zoneId: null, value }], curls: [] },
        ],
      };
}
