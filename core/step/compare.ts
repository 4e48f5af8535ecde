import { type Dosed, doseHeld, doseInMl, type Spread } from '../doses/dose.ts';
import { sameExtra } from './extra.ts';
import {
  COMMON_KEYS,
  type ExtraKey,
  SETTINGS,
  type Setting,
  type SettingKey,
  type SettingValue,
  type StepSettings,
} from './settings.ts';

/** A step's settings; `calibrated` is one of its dose's measure in ml, where its product was weighed. */
export type Measured = StepSettings & { calibrated?: Spread | null };

/** A setting that two sides of a step do not share, or that cannot be shown to be shared. */
export interface SettingFact {
  setting: SettingKey;
  /** What each side has; null or undefined where it has none. */
  a: SettingValue;
  b: SettingValue;
  verdict: 'departed' | 'cannot show';
  /** How far off: a share for doses, minutes and sections, the setting's own unit for extra numbers, else 1. */
  off: number;
}

/** What a side is held against: its own plan, which has a direction, or an equal, which has none. */
export type Against = 'plan' | 'peer';

const TIES = 1e-9;

/** How far `x` is from `y` as a share: of the plan's value, or of the smaller of two equals. Infinite against nothing. */
function offBy(x: number, y: number, against: Against): number {
  if (x === y) return 0;
  const share = against === 'plan' ? Math.abs(x / y - 1) : Math.max(x / y, y / x) - 1;
  return Number.isFinite(share) ? share : Number.POSITIVE_INFINITY;
}

/** Whether two doses are the same to the letter, which most are. */
function sameDose(a: StepSettings, b: StepSettings): boolean {
  if (a.dose === b.dose) return a.dose?.kind !== 'unknown' || a.dose === null;
  return (
    a.dose?.kind === 'exact' &&
    b.dose?.kind === 'exact' &&
    a.dose.amount === b.dose.amount &&
    a.dose.measure === b.dose.measure &&
    a.dose.per === b.dose.per &&
    (a.dose.per === 'head' || a.sections === b.sections)
  );
}

const GRAVEST = ['departed', 'cannot show', 'held'] as const;

/** A dose against a plan's, or two equals' doses: of those the graver of the two ways to look at it, so that order is no matter. */
function doseVerdict(a: Dosed, b: Dosed, tolerance: number, against: Against): (typeof GRAVEST)[number] {
  const oneWay = doseHeld(b, a, tolerance);
  const otherWay = doseHeld(a, b, tolerance);
  // A plan in a measure that spreads cannot show that grams on a scale are what it meant.
  if (against === 'plan') return oneWay === 'held' && otherWay === 'cannot show' ? 'cannot show' : oneWay;
  return GRAVEST.find((verdict) => verdict === oneWay || verdict === otherWay)!;
}

const NONE: readonly ExtraKey[] = [];

/** Extra settings that either side has, the second's first. */
function extraKeys(a: StepSettings, b: StepSettings): readonly ExtraKey[] {
  if (a.extra === b.extra) return NONE;
  const keys = Object.keys(b.extra) as ExtraKey[];
  for (const key in a.extra) if (!(key in b.extra)) keys.push(key as ExtraKey);
  return keys;
}

/** Whether numbers that both sides have are near enough, and how far apart they are. */
function numbersApart(x: number, y: number, { held }: Setting, tolerance: number, against: Against): number {
  const off = offBy(x, y, against);
  return held === 'share' && off <= tolerance + TIES ? 0 : off;
}

/** The rows of the settings every step has, looked up once: two hundred thousand steps are compared at a time. */
const COMMON = COMMON_KEYS.map((key) => ({ key, setting: SETTINGS[key] as Setting }));

/**
 * What differs between two sides of one step, as facts in the order of the settings table. The one answer to "was it
 * held": the wash day's page and ribbon, its figures and the fairness check read it. `a` is held against `b`. Against a
 * plan, only what the plan sets counts (a tick counts when set as well as when left out), and what was not recorded cannot
 * be shown to be held; between equals only what both set, and swapping them gives the same facts. Doses are read by their
 * product's own weighing. Shares within `tolerance` are held; the limit itself is. Source: methods and trade pages
 * (± 20 %), common practice.
 */
export function compareSettings(
  a: Measured,
  b: Measured,
  tolerance: number,
  against: Against,
): SettingFact[] {
  const facts: SettingFact[] = [];
  const put = (
    setting: SettingKey,
    x: SettingValue,
    y: SettingValue,
    off = 1,
    verdict: SettingFact['verdict'] = 'departed',
  ) => facts.push({ setting, a: x, b: y, verdict, off });
  for (const { key, setting } of COMMON) {
    if (setting.kind === 'dose') {
      if (sameDose(a, b)) continue;
      const verdict = doseVerdict(a, b, tolerance, against);
      if (verdict === 'held') continue;
      const [x, y] = [doseInMl(a.dose, a.sections, a.calibrated), doseInMl(b.dose, b.sections, b.calibrated)];
      put(key, a.dose, b.dose, x && y ? offBy(x.usual, y.usual, 'peer') : 0, verdict);
      continue;
    }
    const [x, y] = [a[key], b[key]];
    if (x === y) continue;
    if (setting.kind === 'product') {
      put(key, x, y);
      continue;
    }
    // What the second side leaves open, the first may have as it will.
    if (y === null || (y === 0 && against === 'plan')) continue;
    if (x === null) {
      if (against === 'plan' && setting.held !== 'if recorded') put(key, x, y, 0, 'cannot show');
      continue;
    }
    if (typeof x === 'number' && typeof y === 'number') {
      const off = numbersApart(x, y, setting, tolerance, against);
      if (off > 0) put(key, x, y, off);
    } else put(key, x, y);
  }
  for (const key of extraKeys(a, b)) {
    const [x, y] = [a.extra[key], b.extra[key]];
    if (x === y || (SETTINGS[key] as Setting).held === 'not') continue;
    if (SETTINGS[key].kind === 'tick') {
      if ((x ?? false) !== (y ?? false)) put(key, x, y);
      continue;
    }
    if (y === undefined || (x === undefined && against === 'peer')) continue;
    if (x === undefined) put(key, x, y, 0, 'cannot show');
    else if (!(against === 'plan' ? sameExtra(key, y, x, tolerance) : sameBothWays(key, x, y, tolerance)))
      put(key, x, y, typeof x === 'number' && typeof y === 'number' ? Math.abs(x - y) : 1);
  }
  return facts;
}

const sameBothWays = (
  key: ExtraKey,
  x: Parameters<typeof sameExtra>[1],
  y: typeof x,
  tolerance: number,
): boolean => sameExtra(key, x, y, tolerance) && sameExtra(key, y, x, tolerance);
