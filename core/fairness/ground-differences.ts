import { dewPointBand } from '../climate/dew-point-bands.ts';
import { EVENTS, type EventKind } from '../outcomes/events.ts';
import { type Difference, type DifferenceKind, type Names, round } from './difference.ts';
import { HAIR_STATES, type HairState, type Run } from './run.ts';

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);

/** Nights slept without any protection are counted; what protects is `good`. */
const PROTECTS = (Object.keys(EVENTS) as EventKind[]).filter((kind) => EVENTS[kind].good);
const DISTURBS = (Object.keys(EVENTS) as EventKind[]).filter(
  (kind) => !EVENTS[kind].good && kind !== 'bonnet-missed' && kind !== 'spot-refresh',
);

/** Everything outside the steps. Numbers differ from the smallest amount anybody would speak of. */
export function groundDifferences(a: Run, b: Run, name: Names): Difference[] {
  const found: Difference[] = [];
  const otherArms = a.arm !== b.arm;
  const put = (
    kind: DifferenceKind,
    says: () => string,
    size: number,
    to: Partial<Pick<Difference, 'key' | 'detail' | 'ofArm'>> = {},
  ) =>
    found.push({
      kind,
      key: to.key ?? kind,
      says: () => capital(says()),
      size,
      slot: null,
      detail: to.detail ?? null,
      ofArm: to.ofArm ?? false,
    });
  const apart = (
    kind: DifferenceKind,
    x: number | null,
    y: number | null,
    least: number,
    words: (x: number, y: number) => string,
    ofArm = false,
  ) => {
    if (x !== null && y !== null && Math.abs(x - y) >= least)
      put(kind, () => words(x, y), Math.abs(x - y), { ofArm });
  };
  if (a.wearerId !== b.wearerId) put('head', () => `${a.name} and ${b.name} are on two heads.`, 1);
  const [dewA, dewB] = [a.dewPointC, b.dewPointC];
  if (dewA !== null && dewB !== null && Math.abs(dewA - dewB) >= 1) {
    const [bandA, bandB] = [dewPointBand(dewA), dewPointBand(dewB)];
    if (bandA !== bandB)
      put(
        'dew-point',
        () =>
          `the air was ${bandA.label} on ${a.name} (dew point ${round(dewA)} °C) and ${bandB.label} on ${b.name} (${round(dewB)} °C).`,
        Math.abs(dewA - dewB),
      );
  }
  apart(
    'wind',
    a.windMs,
    b.windMs,
    3,
    (x, y) => `wind up to ${round(x)} m/s on ${a.name}, ${round(y)} m/s on ${b.name}.`,
  );
  apart(
    'outdoors',
    a.outdoorHours,
    b.outdoorHours,
    1,
    (x, y) => `${round(x)} h a day out of doors on ${a.name}, ${round(y)} h on ${b.name}.`,
    otherArms,
  );
  apart(
    'build-up',
    a.buildUp,
    b.buildUp,
    0.25,
    (x, y) =>
      `${a.name} began with ${round(x, 2)} g of residue on the hair, ${b.name} with ${round(y, 2)} g.`,
  );
  apart(
    'protein',
    a.protein,
    b.protein,
    0.15,
    (x, y) =>
      `${a.name} began with ${round(x, 2)} g of protein on the hair, ${b.name} with ${round(y, 2)} g.`,
  );
  for (const state of STATES) {
    const [x, y] = [a.since[state], b.since[state]];
    if ((x === undefined && y === undefined) || x === y) continue;
    const when = (days: number | undefined) => (days === undefined ? 'never before' : `${days} days before`);
    put(
      'state',
      () => `${HAIR_STATES[state].label} ${when(x)} ${a.name}, ${when(y)} ${b.name}.`,
      x === undefined || y === undefined ? Number.POSITIVE_INFINITY : Math.abs(x - y),
      { key: `state ${state}`, detail: state },
    );
  }
  for (const id of Object.keys(a.bottleDays)) {
    const [x, y] = [a.bottleDays[id], b.bottleDays[id]];
    if (x !== undefined && y !== undefined && Math.abs(x - y) >= 60)
      put(
        'bottle',
        () => `${name(id)} had been open ${x} days on ${a.name}, ${y} on ${b.name}.`,
        Math.abs(x - y),
        {
          key: `bottle ${id}`,
        },
      );
  }
  if (a.judgedOn !== b.judgedOn && a.judgedOn !== null && b.judgedOn !== null)
    put('judged', () => `${a.name} was judged on day ${a.judgedOn}, ${b.name} on day ${b.judgedOn}.`, 1);
  const covered = (run: Run) => PROTECTS.reduce((sum, kind) => sum + (run.events[kind] ?? 0), 0);
  const missed = (run: Run) => run.events['bonnet-missed'] ?? 0;
  if (missed(a) !== missed(b))
    put(
      'sleep',
      () => `${nights(missed(a))} uncovered on ${a.name}, ${nights(missed(b))} on ${b.name}.`,
      Math.abs(missed(a) - missed(b)),
    );
  else if (
    a.washDayId === b.washDayId ? covered(a) !== covered(b) : (covered(a) === 0) !== (covered(b) === 0)
  )
    put(
      'sleep',
      () => `${nights(covered(a))} protected on ${a.name}, ${nights(covered(b))} on ${b.name}.`,
      Math.abs(covered(a) - covered(b)),
      {
        key: 'sleep protected',
      },
    );
  for (const kind of DISTURBS) {
    const [x, y] = [a.events[kind] ?? 0, b.events[kind] ?? 0];
    if (x !== y)
      put(
        'event',
        () => `${EVENTS[kind].label}: ${times(x)} on ${a.name}, ${times(y)} on ${b.name}.`,
        Math.abs(x - y),
        { key: `event ${kind}`, detail: kind },
      );
  }
  if (a.rater !== b.rater)
    put(
      'rater',
      () => `rated by ${a.rater || 'the tester'} on ${a.name}, by ${b.rater || 'the tester'} on ${b.name}.`,
      1,
    );
  if (a.blind !== b.blind)
    put(
      'blind',
      () => `rated blind on ${a.blind ? a.name : b.name}, not on ${a.blind ? b.name : a.name}.`,
      1,
    );
  if (otherArms && a.stake !== b.stake)
    put('stake', () => `${a.name}: ${a.stake ?? 'bought'}; ${b.name}: ${b.stake ?? 'bought'}.`, 1);
  return found;
}

const STATES = Object.keys(HAIR_STATES) as HairState[];
const nights = (n: number) => (n === 1 ? '1 night' : `${n} nights`);
const times = (n: number) => (n === 0 ? 'not' : n === 1 ? 'once' : `${n} times`);
