import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import type { Angle } from '@sabor/core/basin/angles';
import { CAME_FROM, FASTENED } from '@sabor/core/basin/came-from';
import { EFFORT, type Effort } from '@sabor/core/basin/effort';
import { ACCEPTED, STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { FELT, type Felt } from '@sabor/core/felt/felt';
import { PLACES, zoneLabel } from '@sabor/core/hair/zones';
import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { EVENT_CAME, EVENTS, eventOf } from '@sabor/core/outcomes/events';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { PHOTO_MEASURES } from '@sabor/core/photo/measures';
import { labelWay } from '@sabor/core/shelf/label-directions';
import { TOOLS } from '@sabor/core/step/choices';
import { MARKS, SKIP_REASONS } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import { BOM, guarded } from '@sabor/core/table/formula-guard';
import { DESIGNS } from '@sabor/core/trial/designs';
import { airOf } from '@sabor/reading/air-of';
import { sidesOf } from '@sabor/reading/side-of';
import { doseInWords } from '@sabor/words/dose';
import { labelWayInWords } from '@sabor/words/label-directions';
import { VIEWS } from '@sabor/words/photo';
import Papa from 'papaparse';

export const COLUMNS = [
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
] as const;

type Cell = string | number | null;

/** What a line tells beside its wash day; what is left out stays empty. */
interface Told {
  stage: string;
  dayWorn: number | null;
  at: string | null;
  arm: string;
  outcome: string;
  zone?: string;
  curl?: string;
  value?: number;
  unit?: string;
  word?: string | undefined;
  product?: string;
  amount?: string;
  tool?: string;
}

/**
 * A trial's readings as CSV, one a row, with the wash day's arm and air beside each: ratings, lengths, readings in words,
 * what was read in pictures, what was done to the hair and what happened to it. `productOf`: what is told of a product, by its id.
 */
export function readingsCsv(
  trial: TrialDetail,
  wearer: Wearer,
  productOf: (id: string) => { name: string; labelDirections: string | null } | undefined,
): string {
  const nameOf = (id: string) => productOf(id)?.name ?? '';
  const arms = new Map(trial.arms.map((arm) => [arm.id, arm.name]));
  const zones = new Map(wearer.zones.map((zone) => [zone.id, zoneLabel(zone)]));
  const curls = new Map(wearer.curls.map((curl) => [curl.id, curl.name]));
  const sideOf = sidesOf(wearer);
  const rows = trial.washDayRecords.flatMap((day) => {
    const { temperatureC: t, humidity } = airOf(day);
    const dew = t === null || humidity === null ? null : dewPoint(t, humidity);
    const date = [day.position + 1, day.abandonReason === null ? 'no' : 'yes', day.localDate] as const;
    const airThen = [t, humidity, day.windMs, dew === null ? null : Math.round(dew * 10) / 10] as const;
    /** A line of the file, its cells in the order of {@link COLUMNS}. */
    const line = (told: Told): Cell[] => [
      ...date,
      told.arm,
      ...airThen,
      told.stage,
      told.dayWorn,
      told.at,
      told.outcome,
      told.zone ?? '',
      told.curl ?? '',
      told.value ?? null,
      told.unit ?? '',
      told.word ?? '',
      told.product ?? '',
      told.amount ?? '',
      told.tool ?? '',
    ];
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
    /** The arms of what was on several zones: both where it was on both sides. */
    const armOver = (zoneIds: readonly string[]) => {
      const [first = null] = zoneIds;
      const alike = zoneIds.every((zone) => sideOf(zone) === sideOf(first!));
      return armAt(alike ? first : null);
    };
    const atSteps = day.steps.flatMap((step) => {
      const arm = step.half === null ? armAt(null) : guarded(armOf(day, step.half));
      const where = { stage: SLOTS[step.slot].label, dayWorn: null, at: step.doneAt, arm };
      const product = step.status === 'done' && step.productId !== null && productOf(step.productId);
      return [
        ...(product
          ? [
              line({
                ...where,
                outcome: 'Label',
                word: labelWayInWords(labelWay(step, product.labelDirections)),
                product: guarded(product.name),
              }),
            ]
          : []),
        ...(Object.entries(step.inHand) as [Felt, number][]).map(([quality, value]) =>
          line({
            ...where,
            outcome: FELT[quality].label,
            value,
            unit: '0-4',
            word: FELT[quality].words[value],
          }),
        ),
        ...(step.skipReason === null
          ? []
          : [line({ ...where, outcome: 'Skipped', word: SKIP_REASONS[step.skipReason].label })]),
        ...step.marks.map(({ mark, places, at }) =>
          line({
            ...where,
            at,
            outcome: 'Mark',
            zone: places.map((place) => PLACES[place].label).join('; '),
            word: MARKS[mark].label,
          }),
        ),
      ];
    });
    const events = day.events.map((event) =>
      line({
        stage: event.announced ? 'Announced' : 'Worn',
        dayWorn: day.revealAt === null ? null : dayOfWear(wearDate(day.revealAt, wearer.timeZone), event.on),
        at: event.on,
        arm: armOver(event.zoneIds),
        outcome: EVENTS[event.kind].label,
        zone:
          event.zoneIds.length === 0
            ? 'Whole head'
            : guarded(event.zoneIds.map((zone) => zones.get(zone) ?? '').join('; ')),
        word: [
          event.how && eventOf(event.kind).as?.[event.how]?.label,
          event.came && EVENT_CAME[event.came].label,
          event.spoiledAt && 'spoiled',
          event.kind === 'disliked' && guarded(event.note),
        ]
          .filter(Boolean)
          .join('; '),
        product: event.productId === null ? '' : guarded(nameOf(event.productId)),
        amount: event.dose === null ? '' : doseInWords(event.dose),
        tool: event.tool === null ? '' : TOOLS[event.tool].label,
      }),
    );
    const ofDay = [
      ...(day.styleMeant === null
        ? []
        : [['Meant to be worn as', STYLES_MEANT[day.styleMeant].label] as const]),
      ...(day.accepts.length === 0
        ? []
        : [['Accepted for it', day.accepts.map((key) => ACCEPTED[key].label).join('; ')] as const]),
      ...(day.cameFrom === null ? [] : [['Came out of', CAME_FROM[day.cameFrom].label] as const]),
      ...(day.fastened === null ? [] : [['Held by', FASTENED[day.fastened].label] as const]),
      ...(day.styleDays === null ? [] : [['Kept in, days', String(day.styleDays)] as const]),
      ...(Object.keys(EFFORT) as Effort[]).flatMap((effort) => {
        const value = day[effort];
        return value === null ? [] : [[EFFORT[effort].label, EFFORT[effort].words[value]!] as const];
      }),
    ].map(([outcome, word]) =>
      line({ stage: 'Wash day', dayWorn: null, at: day.startedAt, arm: armAt(null), outcome, word }),
    );
    const looks = day.checkIns.flatMap((checkIn) => {
      const { day: dayWorn, at } = checkIn;
      const stage = stageLabel(checkIn.stage, dayWorn, checkIn.part);
      return [
        ...checkIn.ratings.map(({ outcome, zoneId, value }) =>
          line({
            stage,
            dayWorn,
            at,
            arm: armAt(zoneId),
            outcome: OUTCOMES[outcome].label,
            zone: zoneOf(zoneId),
            value,
            unit: '0-10',
          }),
        ),
        ...checkIn.felt.map(({ quality, zoneId, value }) =>
          line({
            stage,
            dayWorn,
            at,
            arm: armAt(zoneId),
            outcome: FELT[quality].label,
            zone: zoneOf(zoneId),
            value,
            unit: '0-4',
            word: FELT[quality].words[value],
          }),
        ),
        ...checkIn.curls.flatMap((curl) =>
          (['restingMm', 'stretchedMm'] as const).map((length) =>
            line({
              stage,
              dayWorn,
              at,
              arm: armAt(curl.curlId),
              outcome: length === 'restingMm' ? 'Resting length' : 'Stretched length',
              curl: guarded(curls.get(curl.curlId) ?? ''),
              value: curl[length],
              unit: 'mm',
            }),
          ),
        ),
      ];
    });
    const { halves } = DESIGNS[trial.design];
    /** A picture shows the whole head, in half-head designs the half it was taken from, from near its zone. */
    const shownIn = (angle: Angle, zoneId: string | null) =>
      halves && (angle === 'left' || angle === 'right') ? guarded(armOf(day, angle)) : armAt(zoneId);
    const pictures = day.photographs.flatMap(({ stage, day: dayWorn, angle, zoneId, takenAt, measured }) =>
      (measured?.readings ?? []).map(({ measure, half, value, why }) =>
        line({
          stage: stageLabel(stage, dayWorn),
          dayWorn,
          at: takenAt,
          arm: half && halves ? guarded(armOf(day, half)) : shownIn(angle, zoneId),
          outcome: `Picture: ${PHOTO_MEASURES[measure].label}`,
          zone: guarded(
            [zones.get(zoneId ?? ''), VIEWS[angle], half && `${half} half`].filter(Boolean).join(', '),
          ),
          ...(value === null ? { word: `not read: ${why}` } : { value }),
          unit: PHOTO_MEASURES[measure].unit,
        }),
      ),
    );
    return [...ofDay, ...atSteps, ...looks, ...pictures, ...events];
  });
  return BOM + Papa.unparse({ fields: [...COLUMNS], data: rows });
}
