import type { CheckIn, WearEvent } from '@sabor/contract/check-in';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import type { FeltReading } from '@sabor/core/compare/felt-by-arm';
import type { WashDayRecord } from '@sabor/core/compare/wash-day-record';
import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { type EventKind, eventOf } from '@sabor/core/outcomes/events';
import { holdTest } from '@sabor/core/outcomes/hold-test';
import { PARTS_OF_DAY } from '@sabor/core/outcomes/stages';
import { hourOf } from '@sabor/core/time/zones';
import { sidesOf } from './side-of.ts';

export type Half = 'left' | 'right';
type Head = Pick<Wearer, 'zones' | 'curls' | 'timeZone'>;

/** Events that did happen: an announced one only once it was said what it came to. */
export const happened = ({ events }: Pick<WashDay, 'events'>): WearEvent[] =>
  events.filter(({ announced, came }) => came !== 'off' && (!announced || came !== null));

/** Whether something was on a half: everywhere, or in a zone that lies there. */
const isOn = (half: Half | null, zoneIds: readonly string[], sideOf: ReturnType<typeof sidesOf>) =>
  half === null || zoneIds.length === 0 || zoneIds.some((zone) => [half, 'both'].includes(sideOf(zone)));

/** Whether a check-in of the promised day lies within the hours that were promised for it. */
function inHours({ at }: CheckIn, { judgedFrom, judgedTo }: TrialDetail, timeZone: string): boolean {
  if (judgedFrom == null || judgedTo == null) return true;
  const hour = hourOf(at, timeZone);
  return hour >= judgedFrom && hour < judgedTo;
}

/** The check-ins that are judged: of each day worn the first before any refresh; of the promised day within its hours. */
export function judgedLooks(day: WashDay, trial: TrialDetail, timeZone: string): CheckIn[] {
  const sorted = day.checkIns.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const seen = new Set<number>();
  return sorted.filter((look) => {
    if (look.stage !== 'wear' || look.day === null) return true;
    if (!PARTS_OF_DAY[look.part ?? 'first'].judged || seen.has(look.day)) return false;
    if (look.day === trial.onDay && !inHours(look, trial, timeZone)) return false;
    seen.add(look.day);
    return true;
  });
}

/** Zones that no longer test the wash-day product, by the date from which on: refreshed there on an earlier date. */
function withoutRefreshed(day: WashDay, looks: readonly CheckIn[], { zones, timeZone }: Head): CheckIn[] {
  const refreshed = happened(day).filter(({ kind }) => eventOf(kind).refreshes);
  if (refreshed.length === 0) return [...looks];
  const all = zones.map(({ id }) => id);
  return looks.map((look) => {
    const on = wearDate(look.at, timeZone);
    const gone = new Set(
      refreshed.filter((event) => event.on < on).flatMap(({ zoneIds }) => (zoneIds.length ? zoneIds : all)),
    );
    return { ...look, ratings: look.ratings.filter(({ zoneId }) => zoneId === null || !gone.has(zoneId)) };
  });
}

/** What spoiled hair while worn, each with its date: marked before the first rating of that date, or it does not count. */
function spoilsOf(day: WashDay, looks: readonly CheckIn[], timeZone: string): WearEvent[] {
  return happened(day).filter(({ spoiledAt, on }) => {
    if (spoiledAt === null) return false;
    const rated = looks.find(
      ({ stage, at, ratings }) => stage === 'wear' && ratings.length > 0 && wearDate(at, timeZone) === on,
    );
    return rated === undefined || Date.parse(spoiledAt) < Date.parse(rated.at);
  });
}

/** The day of wear on which a wear ended; null while it is worn. */
function endDay({ revealAt, wearEnd }: WashDay, timeZone: string): number | null {
  if (revealAt === null || wearEnd === null) return null;
  return dayOfWear(wearDate(revealAt, timeZone), wearDate(wearEnd.at, timeZone));
}

const ofHalf = (look: CheckIn, half: Half | null, sideOf: ReturnType<typeof sidesOf>): CheckIn =>
  half === null
    ? look
    : {
        ...look,
        ratings: look.ratings.filter(({ zoneId }) => zoneId !== null && sideOf(zoneId) === half),
        curls: look.curls.filter(({ curlId }) => sideOf(curlId) === half),
      };

/**
 * A wash day's check-ins, or those of one half, as they are judged. From the date something spoiled it on, a half is not
 * judged, and with it goes the other, so that pairs stay pairs; its longevity is cut short there. On a whole head the
 * spoiled zones go.
 */
export function looksOf(
  day: WashDay,
  trial: TrialDetail,
  wearer: Head,
  half: Half | null,
): Pick<WashDayRecord, 'checkIns' | 'worn' | 'spoiled' | 'holdTooLow' | 'wearEnd' | 'wearEndDay'> {
  const { timeZone } = wearer;
  const sideOf = sidesOf(wearer);
  const judged = judgedLooks(day, trial, timeZone);
  const tested = withoutRefreshed(day, judged, wearer);
  const spoils = spoilsOf(day, judged, timeZone);
  const own = spoils.filter(({ zoneIds }) => isOn(half, zoneIds, sideOf));
  const firstOf = (of: readonly WearEvent[]) =>
    of.toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))[0] ?? null;
  const first = firstOf(own);
  const before = (look: CheckIn, event: WearEvent | null) =>
    look.stage !== 'wear' || event === null || wearDate(look.at, timeZone) < event.on;
  /** A whole head loses the zones that were spoiled; all of them where no zone was named. */
  const unspoiled = (look: CheckIn): CheckIn => {
    if (look.stage !== 'wear') return look;
    const on = wearDate(look.at, timeZone);
    const gone = own.filter((event) => event.on <= on);
    if (gone.some(({ zoneIds }) => zoneIds.length === 0)) return { ...look, ratings: [], curls: [] };
    const zones = new Set(gone.flatMap(({ zoneIds }) => zoneIds));
    return { ...look, ratings: look.ratings.filter(({ zoneId }) => zoneId === null || !zones.has(zoneId)) };
  };
  const halved = tested.map((look) => ofHalf(look, half, sideOf));
  const worn = half === null ? halved.map(unspoiled) : halved.filter((look) => before(look, first));
  const checkIns = half === null ? worn : halved.filter((look) => before(look, firstOf(spoils)));
  // A wear that was spoiled is cut short there: how it ended later says nothing of its product.
  const cut = first !== null && (half !== null || first.zoneIds.length === 0);
  const find = (stage: CheckIn['stage'], part: CheckIn['part'] = 'first') =>
    day.checkIns
      .filter((look) => look.stage === stage && (look.part ?? 'first') === part && (look.day ?? 1) === 1)
      .map((look) => ofHalf(look, half, sideOf))[0];
  return {
    checkIns,
    worn,
    spoiled:
      first === null || day.revealAt === null
        ? null
        : { fromDay: dayOfWear(wearDate(day.revealAt, timeZone), first.on) ?? 1, kind: first.kind },
    holdTooLow: holdTest({
      cast: find('cast'),
      finished: find('wear'),
      evening: find('wear', 'evening'),
    }),
    wearEnd: cut ? null : (day.wearEnd?.kind ?? null),
    wearEndDay: cut ? null : endDay(day, timeZone),
  };
}

/** What hand and eye told of a wash day or one half of it, what it needed while worn, and what a whole head cost in effort. */
export function toldOf(
  day: WashDay,
  wearer: Head,
  half: Half | null,
): Pick<WashDayRecord, 'felt' | 'effort' | 'upkeep'> {
  const sideOf = sidesOf(wearer);
  const atSteps = day.steps
    .filter((step) => half === null || step.half === null || step.half === half)
    .flatMap((step) =>
      Object.entries(step.inHand).map(
        ([quality, value]): FeltReading => ({
          quality: quality as FeltReading['quality'],
          where: { at: 'step', slot: step.slot },
          value,
        }),
      ),
    );
  const atLooks = day.checkIns
    .filter(({ part }) => PARTS_OF_DAY[part ?? 'first'].judged)
    .flatMap(({ stage, day: n, felt = [] }) =>
      felt
        // A word for the whole head says nothing of its halves.
        .filter(({ zoneId }) => half === null || (zoneId !== null && sideOf(zoneId) === half))
        .map(({ quality, value }): FeltReading => ({ quality, where: { at: 'look', stage, day: n }, value })),
    );
  const days = new Map<EventKind, Set<string>>();
  for (const { kind, on, zoneIds } of happened(day))
    if (isOn(half, zoneIds, sideOf)) days.set(kind, (days.get(kind) ?? new Set()).add(on));
  return {
    felt: [...atSteps, ...atLooks],
    effort:
      half === null
        ? {
            ...(day.strain === null || day.strain === undefined ? {} : { strain: day.strain }),
            ...(day.patience === null || day.patience === undefined ? {} : { patience: day.patience }),
          }
        : {},
    upkeep: Object.fromEntries([...days].map(([kind, on]) => [kind, on.size])),
  };
}
