import { DOSE_TOLERANCE } from '@sabor/core/doses/dose';
import { type Random, seededRandom, standardNormal } from '@sabor/core/random';
import { halfDose, settingsInArm } from '@sabor/core/step/in-arm';
import { settingsOf } from '@sabor/core/step/step';
import { armsOfCode, DESIGNS, schemeOf } from '@sabor/core/trial/designs';
import { toldOfDay, toldOfSteps } from './basin.ts';
import { feltRows } from './felt.ts';
import { demoId } from './ids.ts';
import { type Lots, RATED, type Rated, rate, washDayLuck } from './readings.ts';
import { type calendar, push, type Row, type Rows, settingsRow } from './rows.ts';
import { productId } from './shelf.ts';
import { COAST_ROUTINE, type DemoArm, type DemoTrial } from './trials.ts';
import { curlId, type DemoWearer, RATED_PLACES, wearerId, zoneId } from './wearers.ts';

type Calendar = ReturnType<typeof calendar>;

interface Day {
  trial: DemoTrial;
  wearer: DemoWearer;
  /** The same twice for a whole head. */
  left: DemoArm;
  right: DemoArm;
  id: string;
  daysAgo: number;
  index: number;
}

const planOf = (trial: DemoTrial) =>
  COAST_ROUTINE.filter((step) => !trial.leaveOut.includes(step.key)).map((step) => ({
    ...step,
    ...trial.otherwise?.[step.key],
  }));
const stepId = (trial: DemoTrial, key: string) => demoId(`plan step ${trial.key} ${key}`);
const armId = (trial: DemoTrial, arm: DemoArm) => demoId(`arm ${trial.key} ${arm.key}`);
const isTested = (trial: DemoTrial, key: string) =>
  key === trial.tested || (trial.testedWith?.some((one) => one === key) ?? false);
const productOf = (trial: DemoTrial, arm: DemoArm, key: string) =>
  productId(key === trial.tested ? arm.product : arm.line!.products[key]!);

interface Placed {
  planned: (typeof COAST_ROUTINE)[number];
  position: number;
  half: 'left' | 'right' | null;
}

/** Hours a step of a wash day begins and is done at; what comes after the drying waits for it. */
function hoursOf(position: number, dryAt: { position: number; hour: number } | null): [number, number] {
  if (dryAt === null || position < dryAt.position) return [9 + position * 0.1, 9.05 + position * 0.1];
  if (position === dryAt.position) return [9 + position * 0.1, dryAt.hour];
  const after = dryAt.hour + (position - dryAt.position) * 0.03;
  return [after, after + 0.02];
}

function steps(day: Day, calendar: Calendar, reached: number, dryHour: number | null = null): Row[] {
  const { trial } = day;
  const rows = planOf(trial).flatMap((planned, place): Placed[] => {
    const split = isTested(trial, planned.key) && DESIGNS[trial.design].halves;
    return split
      ? (['left', 'right'] as const).map((half, i) => ({ planned, position: place + i / 2, half }))
      : [{ planned, position: place, half: null }];
  });
  const drying = rows.find(({ planned }) => planned.slot === 'dry');
  const dryAt = drying && dryHour !== null ? { position: drying.position, hour: dryHour } : null;
  return rows.map(({ planned, position, half }) => {
    const [begun, over] = hoursOf(position, dryAt);
    const today = trial.departures[day.index];
    const own = today?.[half ? `${planned.key} ${half}` : planned.key] ?? today?.[planned.key];
    const arm = half === 'right' ? day.right : day.left;
    const product = isTested(trial, planned.key) ? productOf(trial, arm, planned.key) : planned.productId;
    const done = position < reached && !own?.skipped;
    const plan = settingsInArm({ ...settingsOf(planned), productId: product }, undefined, half);
    const { dose = planned.dose } = own ?? {};
    return {
      id: demoId(`wash step ${day.id} ${planned.key}${half === 'right' ? ' right' : ''}`),
      wash_day_id: day.id,
      plan_step_id: stepId(trial, planned.key),
      position,
      half,
      slot: planned.slot,
      status: position >= reached ? 'waiting' : done ? 'done' : 'skipped',
      ...settingsRow({ ...plan, ...own, dose: half === null ? dose : halfDose(dose) }),
      planned: {
        ...plan,
        part: isTested(trial, planned.key) ? 'tested' : 'held',
        optional: false,
        tolerance: DOSE_TOLERANCE,
        skipped: false,
      },
      note: own?.note ?? '',
      started_at: done ? calendar.at(day.daysAgo, begun) : null,
      done_at: done ? calendar.at(day.daysAgo, over) : null,
    };
  });
}

/** Days a wash day was worn. */
const wornDays = ({ trial, index }: Pick<Day, 'trial' | 'index'>) =>
  trial.cutShort?.[index] ?? trial.wearDays;

/** What the hair came out of: a bun now and then, where the trial is not the steady one. */
const cameFrom = ({ trial, index }: Day): Row =>
  !trial.steady && index % 3 === 1
    ? { came_from: 'bun', fastened: 'scrunchie', style_days: 1, ...MEANT }
    : { came_from: 'loose', fastened: null, style_days: null, ...MEANT };
const MEANT = { style_meant: 'wash-and-go', accepts: ['shrinkage'] };

/** The looks at the hair from the reveal to the last day of wear, with their ratings and lengths. */
function wear(rows: Rows, day: Day, calendar: Calendar, lots: Lots): void {
  const { trial, wearer } = day;
  const { hair: random } = lots;
  const luck = washDayLuck(lots);
  const curlLuck = 0.02 * standardNormal(random);
  const looks = [
    { stage: 'wet', day: null, at: calendar.at(day.daysAgo, 9.8) },
    { stage: 'cast', day: null, at: calendar.at(day.daysAgo, 10.6) },
    ...Array.from({ length: wornDays(day) }, (_, i) => ({
      stage: 'wear',
      day: i + 1,
      at: calendar.at(day.daysAgo - i, i === 0 ? 11 : 8.5),
    })),
  ];
  const lookId = (look: { stage: string; day: number | null }) =>
    demoId(`check-in ${day.id} ${look.stage} ${look.day}`);
  for (const look of looks) {
    const id = lookId(look);
    push(rows, 'check_in', {
      id,
      wash_day_id: day.id,
      stage: look.stage,
      day: look.day,
      at: look.at,
      note: '',
      rater: '',
    });
    const outcomes: readonly Rated[] =
      look.stage === 'wear' ? (trial.rated ?? RATED) : ['definition', 'frizz'];
    for (const outcome of outcomes)
      for (const place of RATED_PLACES)
        for (const side of ['left', 'right'] as const)
          push(rows, 'reading', {
            id: demoId(`reading ${id} ${outcome} ${place} ${side}`),
            check_in_id: id,
            outcome,
            zone_id: zoneId(wearer.key, place, side),
            curl_id: null,
            value: rate(
              side === 'right' ? day.right.truth : day.left.truth,
              luck,
              outcome,
              place,
              look.day ?? 1,
              lots,
            ),
            unit: 'points',
            obtained: 'rated',
          });
    if (look.stage === 'wear')
      for (const curl of wearer.curls) {
        const loosened = 1 + 0.012 * (look.day! - 1) + curlLuck + 0.008 * standardNormal(random);
        push(rows, 'reading', {
          id: demoId(`reading ${id} ${curl.key}`),
          check_in_id: id,
          outcome: 'resting-length',
          zone_id: null,
          curl_id: curlId(wearer.key, curl.key),
          value: Math.min(curl.stretchedMm, Math.round(curl.restingMm * loosened)),
          unit: 'mm',
          obtained: 'measured',
        });
      }
  }
  feltRows(
    rows,
    day,
    calendar,
    looks.map((look) => ({ ...look, id: lookId(look) })),
    RATED_PLACES,
  );
  const event = (kind: string, on: number, zoneIds: readonly string[] = []) => {
    const id = demoId(`event ${day.id} ${kind} ${on}`);
    push(rows, 'event', { id, wash_day_id: day.id, kind, happened_on: calendar.date(on), note: '' });
    for (const zone_id of zoneIds) push(rows, 'event_zone', { event_id: id, zone_id });
  };
  for (const { before, kind, night, side } of trial.oneSided ?? [])
    if (before === day.index)
      event(
        kind,
        day.daysAgo - night,
        RATED_PLACES.map((place) => zoneId(wearer.key, place, side)),
      );
  for (let night = 0; night < wornDays(day) - 1; night++) {
    event(!trial.steady && random.below(9) === 0 ? 'bonnet-missed' : 'bonnet', day.daysAgo - night);
    if (trial.steady) continue;
    if (wearer.key === 'tomasz') event('workout', day.daysAgo - night);
    else if (random.below(6) === 0) event(random.below(2) ? 'wind' : 'rain', day.daysAgo - night);
  }
}

/** What the rater took each half for; somewhat better than chance, as noses are. */
function guesses(rows: Rows, day: Day, calendar: Calendar, random: Random): void {
  const right = random.unit() < 0.55;
  for (const half of ['left', 'right'] as const) {
    const arm = (half === 'left') === right ? day.left : day.right;
    push(rows, 'blind_guess', {
      wash_day_id: day.id,
      half,
      arm_id: armId(day.trial, arm),
      at: calendar.at(day.daysAgo - day.trial.wearDays, 7.6),
    });
  }
}

/** A trial's own rows: plan, arms, allocation. */
function design(rows: Rows, trial: DemoTrial, calendar: Calendar, sequence: readonly number[]): void {
  const id = demoId(`trial ${trial.key}`);
  const planId = demoId(`plan ${trial.key}`);
  const first = trial.washDaysAgo[0];
  const last = trial.washDaysAgo.at(-1);
  const finished = trial.washDaysAgo.length === trial.planned;
  const created = calendar.at((first ?? 1) + 2, 15);
  const base = { archived_at: null, created_at: created };
  push(rows, 'routine', {
    id: planId,
    wearer_id: wearerId(trial.wearer),
    name: 'Coast wash-and-go',
    note: '',
    is_plan: true,
    ...base,
  });
  planOf(trial).forEach((step, position) => {
    push(rows, 'step', {
      id: stepId(trial, step.key),
      routine_id: planId,
      position,
      slot: step.slot,
      part: isTested(trial, step.key) ? 'tested' : 'held',
      ...settingsRow(isTested(trial, step.key) ? { ...step, productId: null } : step),
      note: step.note,
      optional: false,
      tolerance: 0.2,
    });
  });
  push(rows, 'trial', {
    id,
    wearer_id: wearerId(trial.wearer),
    plan_id: planId,
    question: trial.question,
    design: trial.design,
    on_day: trial.onDay,
    looks: 1,
    blind: trial.blind,
    cadence_days: null,
    acknowledged: [],
    looked_at: null,
    key_opened_at: trial.blind && finished ? calendar.at(last! - trial.wearDays, 7.9) : null,
    outcomes_shown_at: finished ? calendar.at(last! - trial.wearDays, 8) : null,
    status: finished ? 'finished' : first === undefined ? 'planned' : 'running',
    primary_outcome: trial.primary,
    line_value: trial.line,
    matters: 1,
    alpha: 0.05,
    wash_days: trial.planned,
    wear_days: trial.wearDays,
    seed: trial.seed,
    started_at: first === undefined ? null : calendar.at(first, 9),
    ended_at: finished ? calendar.at(last! - trial.wearDays, 7.5) : null,
    end_reason: null,
    ...base,
  });
  for (const place of RATED_PLACES)
    for (const side of ['left', 'right'])
      push(rows, 'trial_zone', { trial_id: id, zone_id: zoneId(trial.wearer, place, side), weight: 1 });
  trial.arms.forEach((arm, position) => {
    push(rows, 'arm', {
      id: armId(trial, arm),
      trial_id: id,
      position,
      name: arm.line?.name ?? NAMES[arm.product]!,
      code: trial.blind ? CODES[position]! : null,
    });
    for (const step of planOf(trial).filter(({ key }) => isTested(trial, key)))
      push(rows, 'arm_step', {
        arm_id: armId(trial, arm),
        step_id: stepId(trial, step.key),
        product_id: productOf(trial, arm, step.key),
        dose: step.dose,
        skipped: false,
        settings: {},
      });
  });
  sequence.forEach((code, position) => {
    const { left, right } = armsOfCode(trial.design, code);
    const lots = DESIGNS[trial.design].halves
      ? ([
          ['left', left],
          ['right', right],
        ] as const)
      : ([[null, left]] as const);
    for (const [half, arm] of lots)
      push(rows, 'allocation', { trial_id: id, position, half, arm_id: armId(trial, trial.arms[arm]!) });
  });
}

/** Codes of blind arms, drawn once by hand. */
const CODES = [471, 208, 936];

const NAMES: Record<string, string> = {
  'heron-mist': 'Heron Mist',
  spindrift: 'Spindrift',
  'bramble-cream': 'Bramble Cream',
  anvil: 'Anvil Gel',
  'kelp-fold': 'Kelp Fold Gel',
  'brine-foam': 'Brine Foam',
  'sedge-jelly': 'Sedge Jelly',
  'fenlight-foam': 'Fenlight Foam',
};

/** One trial with all that was run of it. */
export function trialRows(rows: Rows, trial: DemoTrial, wearer: DemoWearer, calendar: Calendar): void {
  const sequence = schemeOf(trial.design, trial.arms.length, trial.planned).draw(trial.seed);
  const lots = { hair: seededRandom(trial.seed + 1), scalp: seededRandom(trial.seed + 5) };
  const clock = seededRandom(trial.seed + 3);
  design(rows, trial, calendar, sequence);
  const begin = (index: number, daysAgo: number, name: string): Day => ({
    trial,
    wearer,
    left: trial.arms[armsOfCode(trial.design, sequence[index]!).left]!,
    right: trial.arms[armsOfCode(trial.design, sequence[index]!).right]!,
    id: demoId(`wash day ${trial.key} ${name}`),
    daysAgo,
    index,
  });
  const row = (day: Day): Row => ({
    id: day.id,
    trial_id: demoId(`trial ${trial.key}`),
    position: day.index,
    arm_id: armId(trial, day.left),
    right_arm_id: DESIGNS[trial.design].halves ? armId(trial, day.right) : null,
    dose_felt: null,
    started_at: calendar.at(day.daysAgo, 9),
    washed_at: calendar.at(day.daysAgo, 9.2),
    dry80_at: null,
    dry90_at: null,
    dry_at: null,
    reveal_at: null,
    routine_done_at: null,
    temperature_c: null,
    humidity: null,
    wind_ms: null,
    note: '',
    abandoned_at: null,
    abandon_reason: null,
    wear_end_kind: null,
    wear_ended_at: null,
    created_at: calendar.at(day.daysAgo, 9),
    ...toldOfDay(trial.seed * 31 + day.index),
    ...cameFrom(day),
  });
  const { abandoned } = trial;
  trial.washDaysAgo.forEach((daysAgo, index) => {
    if (abandoned?.before === index) {
      const day = begin(index, abandoned.daysAgo, 'abandoned');
      push(rows, 'wash_day', {
        ...row(day),
        abandoned_at: calendar.at(day.daysAgo, 10),
        abandon_reason: abandoned.reason,
      });
      rows.wash_step = [...(rows.wash_step ?? []), ...steps(day, calendar, 6)];
    }
    const day = begin(index, daysAgo, String(index));
    const drying = 0.95 + 0.4 * clock.unit();
    push(rows, 'wash_day', {
      ...row(day),
      dry80_at: calendar.at(daysAgo, 9.2 + 0.62 * drying),
      dry90_at: calendar.at(daysAgo, 9.2 + 0.79 * drying),
      dry_at: calendar.at(daysAgo, 9.2 + drying),
      reveal_at: calendar.at(daysAgo, 10.75),
      routine_done_at: calendar.at(daysAgo, 10.8),
      wear_end_kind: trial.endings,
      wear_ended_at: calendar.at(daysAgo - wornDays(day), 7.5),
    });
    const done = steps(day, calendar, 99, 9.2 + drying);
    rows.wash_step = [...(rows.wash_step ?? []), ...done];
    toldOfSteps(rows, done, trial.seed * 37 + index);
    wear(rows, day, calendar, lots);
    if (trial.blind) guesses(rows, day, calendar, lots.hair);
    for (let on = 0; on < wornDays(day); on++)
      push(rows, 'day_outdoors', {
        wash_day_id: day.id,
        on_date: calendar.date(daysAgo - on),
        outdoor_hours: Math.round(2 + 6 * clock.unit()) / 2,
        indoor_hours: null,
      });
  });
}
