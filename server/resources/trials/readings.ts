import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { CAME_FROM, FASTENED } from '@sabor/core/basin/came-from';
import { EFFORT, type Effort } from '@sabor/core/basin/effort';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { FELT, type Felt } from '@sabor/core/felt/felt';
import { PLACES, zoneLabel } from '@sabor/core/hair/zones';
import { dayOfWear } from '@sabor/core/outcomes/day-of-wear';
import { EVENT_CAME, EVENTS, eventOf } from '@sabor/core/outcomes/events';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { TOOLS } from '@sabor/core/step/choices';
import { MARKS, SKIP_REASONS } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import { BOM, guarded } from '@sabor/core/table/formula-guard';
import { localDate } from '@sabor/core/time/zones';
import { airOf } from '@sabor/reading/air-of';
import { sidesOf } from '@sabor/reading/side-of';
import { doseInWords } from '@sabor/words/dose';
import Papa from 'papaparse';

/**
 * A trial's readings as CSV, one a row, with the wash day's arm and air beside each: ratings, lengths, readings in words,
 * what was done to the hair and what happened to it. `nameOf`: a product's name by its id.
 */
export function readingsCsv(trial: TrialDetail, wearer: Wearer, nameOf: (id: string) => string): string {
  const arms = new Map(trial.arms.map((arm) => [arm.id, arm.name]));
  const zones = new Map(wearer.zones.map((zone) => [zone.id, zoneLabel(zone)]));
  const curls = new Map(wearer.curls.map((curl) => [curl.id, curl.name]));
  const sideOf = sidesOf(wearer);
  const rows = trial.washDayRecords.flatMap((day) => {
    const { temperatureC: t, humidity } = airOf(day);
    const dew = t === null || humidity === null ? null : dewPoint(t, humidity);
    const base = {
      wash_day: day.position + 1,
      abandoned: day.abandonReason === null ? 'no' : 'yes',
      date: day.localDate,
      temperature_c: t,
      humidity_percent: humidity,
      wind_m_s: day.windMs,
      dew_point_c: dew === null ? null : Math.round(dew * 10) / 10,
    };
    const armOf = ({ armId, rightArmId }: WashDay, half: 'left' | 'right') =>
      arms.get(half === 'right' ? (rightArmId ?? armId) : armId) ?? '';
    const armAt = (where: string | null) => {
      const name = (id: string) => arms.get(id) ?? '';
      const side = where === null ? 'both' : sideOf(where);
      if (day.rightArmId === null || day.rightArmId === day.armId || side === 'left')
        return guarded(name(day.armId));
      return guarded(
        side === 'right' ? name(day.rightArmId) : `${name(day.armId)} | ${name(day.rightArmId)}`,
      );
    };
    const zoneOf = (zoneId: string | null) =>
      guarded(zoneId === null ? 'Whole head' : (zones.get(zoneId) ?? ''));
    const nothing = {
      zone: '',
      curl: '',
      value: null,
      unit: '',
      word: '',
      product: '',
      amount: '',
      tool: '',
    };
    const atSteps = day.steps.flatMap((step) => {
      const arm = step.half === null ? armAt(null) : guarded(armOf(day, step.half));
      const where = {
        ...base,
        ...nothing,
        stage: SLOTS[step.slot].label,
        day_of_wear: null,
        at: step.doneAt,
        arm,
      };
      return [
        ...(Object.entries(step.inHand) as [Felt, number][]).map(([quality, value]) => ({
          ...where,
          outcome: FELT[quality].label,
          value,
          unit: '0-4',
          word: FELT[quality].words[value],
        })),
        ...(step.skipReason === null
          ? []
          : [{ ...where, outcome: 'Skipped', word: SKIP_REASONS[step.skipReason].label }]),
        ...step.marks.map(({ mark, places, at }) => ({
          ...where,
          at,
          outcome: 'Mark',
          zone: places.map((place) => PLACES[place].label).join('; '),
          word: MARKS[mark].label,
        })),
      ];
    });
    const events = day.events.map((event) => ({
      ...base,
      ...nothing,
      stage: event.announced ? 'Announced' : 'Worn',
      day_of_wear:
        day.revealAt === null ? null : dayOfWear(localDate(day.revealAt, wearer.timeZone), event.on),
      at: event.on,
      arm: armAt(event.zoneIds.length === 0 ? null : event.zoneIds[0]!),
      outcome: EVENTS[event.kind].label,
      zone:
        event.zoneIds.length === 0
          ? 'Whole head'
          : guarded(event.zoneIds.map((zone) => zones.get(zone) ?? '').join('; ')),
      word: [
        event.how && eventOf(event.kind).as?.[event.how]?.label,
        event.came && EVENT_CAME[event.came].label,
        event.spoiledAt && 'spoiled',
      ]
        .filter(Boolean)
        .join('; '),
      product: event.productId === null ? '' : guarded(nameOf(event.productId)),
      amount: event.dose === null ? '' : doseInWords(event.dose),
      tool: event.tool === null ? '' : TOOLS[event.tool].label,
    }));
    const ofDay = [
      ...(day.cameFrom === null ? [] : [['Came out of', CAME_FROM[day.cameFrom].label] as const]),
      ...(day.fastened === null ? [] : [['Held by', FASTENED[day.fastened].label] as const]),
      ...(day.styleDays === null ? [] : [['Kept in, days', String(day.styleDays)] as const]),
      ...(Object.keys(EFFORT) as Effort[]).flatMap((effort) => {
        const value = day[effort];
        return value === null ? [] : [[EFFORT[effort].label, EFFORT[effort].words[value]!] as const];
      }),
    ].map(([outcome, word]) => ({
      ...base,
      ...nothing,
      stage: 'Wash day',
      day_of_wear: null,
      at: day.startedAt,
      arm: armAt(null),
      outcome,
      word,
    }));
    const looks = day.checkIns.flatMap((checkIn) => {
      const look = {
        ...base,
        ...nothing,
        stage: stageLabel(checkIn.stage, checkIn.day, checkIn.part),
        day_of_wear: checkIn.day,
        at: checkIn.at,
      };
      return [
        ...checkIn.ratings.map((rating) => ({
          ...look,
          arm: armAt(rating.zoneId),
          outcome: OUTCOMES[rating.outcome].label,
          zone: zoneOf(rating.zoneId),
          value: rating.value,
          unit: '0-10',
        })),
        ...checkIn.felt.map(({ quality, zoneId, value }) => ({
          ...look,
          arm: armAt(zoneId),
          outcome: FELT[quality].label,
          zone: zoneOf(zoneId),
          value,
          unit: '0-4',
          word: FELT[quality].words[value],
        })),
        ...checkIn.curls.flatMap((curl) =>
          (['restingMm', 'stretchedMm'] as const).map((length) => ({
            ...look,
            arm: armAt(curl.curlId),
            outcome: length === 'restingMm' ? 'Resting length' : 'Stretched length',
            curl: guarded(curls.get(curl.curlId) ?? ''),
            value: curl[length],
            unit: 'mm',
          })),
        ),
      ];
    });
    return [...ofDay, ...atSteps, ...looks, ...events];
  });
  const columns = [
    'wash_day',
    'abandoned',
    'date',
    'arm',
    'temperature_c',
    'humidity_percent',
    'wind_m_s',
    'dew_point_c',
    'stage',
    'day_of_wear',
    'at',
    'outcome',
    'zone',
    'curl',
    'value',
    'unit',
    'word',
    'product',
    'amount',
    'tool',
  ];
  return (
    BOM +
    Papa.unparse({
      fields: columns,
      data: rows.map((row) => columns.map((c) => row[c as keyof typeof row])),
    })
  );
}
