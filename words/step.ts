import type { Dose } from '@sabor/core/doses/dose';
import { besideOf } from '@sabor/core/step/beside';
import { WHERE } from '@sabor/core/step/choices';
import type { SettingFact } from '@sabor/core/step/compare';
import type { Departure } from '@sabor/core/step/departures';
import { MARK_REASONS, MARKS } from '@sabor/core/step/marks';
import { mixParts } from '@sabor/core/step/mix';
import { ownName } from '@sabor/core/step/places';
import {
  isCommon,
  SETTING_KEYS,
  SETTINGS,
  type Setting,
  type SettingKey,
  type SettingValue,
  type StepSettings,
  settingValue,
} from '@sabor/core/step/settings';
import { unitScale } from '@sabor/core/units/preferences';
import { doseInWords } from './dose.ts';
import { capital, rounded } from './numbers.ts';
import type { Voice } from './voice.ts';

/** A number and its unit as they are said, in the unit that is preferred: ["180", "°C"], ["2", "parts"]. */
function numberInWords(
  setting: Extract<Setting, { kind: 'number' }>,
  n: number,
  { units }: Voice,
): [string, string] {
  if (setting.scale === undefined)
    return [rounded(n, 2), n === 1 ? setting.unit : (setting.units ?? setting.unit)];
  const { show, sign, digits } = unitScale(setting.scale, units);
  return [rounded(show(n), digits + 1), sign];
}

/** "2 Slack Water : 1 water". */
export const mixInWords = (value: unknown): string => {
  const parts = mixParts(value);
  return parts.length === 1
    ? parts[0]!.name
    : parts.map(({ name, parts: n }) => `${rounded(n, 2)} ${name}`).join(' : ');
};

/** What a setting is called within a sentence. */
export const settingName = (key: SettingKey): string => {
  const { label, noun }: Setting = SETTINGS[key];
  return noun ?? label[0]!.toLowerCase() + label.slice(1);
};

/** A setting's value alone: "Kelp Gel", "12 g", "rake", "90 %". */
function valueInWords(key: SettingKey, value: SettingValue, voice: Voice): string {
  const { product } = voice;
  const setting: Setting = SETTINGS[key];
  const label = (one: string) =>
    (setting as { options: Record<string, { label: string }> }).options[one]?.label ?? one;
  switch (setting.kind) {
    case 'product':
      return typeof value === 'string' ? product(value) : 'no product';
    case 'dose':
      return doseInWords((value ?? null) as Dose | null);
    case 'mix':
      return mixInWords(value);
    case 'number':
      return numberInWords(setting, Number(value), voice).join(' ').trimEnd();
    case 'choice':
      return label(String(value));
    case 'several':
      return (Array.isArray(value) ? (value as string[]) : [])
        .map((one) => ownName(one) ?? label(one).toLowerCase())
        .join(', ');
    case 'tick':
      return value === true ? 'yes' : 'no';
    case 'text':
      return String(value);
    case 'beside':
      return besideOf(value)
        .map(({ productId, dose, places }) =>
          [
            product(productId),
            ...(dose === null ? [] : [doseInWords(dose)]),
            `at ${places.map(placeInWords).join(' and ')}`,
          ].join(', '),
        )
        .join('; ');
  }
}

/** A place of a step: a sentence's "crown", or the wearer's own zone by its name. */
const placeInWords = (place: string): string =>
  ownName(place) ?? (WHERE as Record<string, { label: string }>)[place]?.label.toLowerCase() ?? place;

const isSet = (value: SettingValue) =>
  value !== null && value !== undefined && value !== false && value !== '';

/** A setting as it stands in a list of them: "12 g", "on wet hair" is "wet", "stop when dry to 90 %", "under a cap". */
export function settingInWords(key: SettingKey, value: SettingValue, voice: Voice): string {
  const { kind } = SETTINGS[key];
  if (!isSet(value) && kind !== 'product' && kind !== 'dose') return `${settingName(key)}: not set`;
  if (isCommon(key)) {
    const setting: Setting = SETTINGS[key];
    const words = valueInWords(key, value, voice);
    return setting.kind === 'choice' && setting.said ? setting.said.replace('%', words) : words;
  }
  if (kind === 'tick') return settingName(key);
  const words = valueInWords(key, value, voice);
  if (kind === 'mix') return `${settingName(key)} of ${words}`;
  if (kind === 'text') return `${settingName(key)}: ${words}`;
  // Names and units keep their capitals.
  return `${settingName(key)} ${kind === 'choice' ? words.toLowerCase() : words}`;
}

/** Everything a step sets, in a few words: "Kelp Gel, 12 g, 4 sections, wet, rake"; empty for nothing. */
export const stepInWords = (
  step: StepSettings,
  voice: Voice,
  {
    between = ', ',
    brief = false,
    only = () => true,
  }: { between?: string; brief?: boolean; only?: (key: SettingKey) => boolean } = {},
): string =>
  SETTING_KEYS.filter(
    (key) => isSet(settingValue(step, key)) && (!brief || (SETTINGS[key] as Setting).brief) && only(key),
  )
    .map((key) => settingInWords(key, settingValue(step, key), voice))
    .join(between);

/** One side of a fact, as it stands beside the other: "not under a cap", "minutes not recorded". */
export function sideOfFact({ setting }: SettingFact, value: SettingValue, voice: Voice): string {
  const { kind } = SETTINGS[setting];
  if (isSet(value) || kind === 'product') return settingInWords(setting, value, voice);
  if (kind === 'tick') return `not ${settingName(setting)}`;
  if (kind === 'dose') return doseInWords((value ?? null) as Dose | null);
  return isCommon(setting) ? `${settingName(setting)} not recorded` : 'not recorded';
}

/** A setting that is not as planned, `a` being what was done and `b` the plan. */
function factInWords(fact: SettingFact, tolerance: number, voice: Voice): string {
  const { setting, a, b, verdict } = fact;
  const of: Setting = SETTINGS[setting];
  const { kind } = of;
  const [done, planned] = [settingInWords(setting, a, voice), settingInWords(setting, b, voice)];
  if (kind === 'dose' && verdict === 'cannot show')
    return a === null || (a as Dose).kind === 'unknown'
      ? `Amount not recorded; ${planned} planned.`
      : `${capital(done)} may or may not be ${planned} within ${Math.round(tolerance * 100)} %: too rough a measure to tell.`;
  if (verdict === 'cannot show')
    return isCommon(setting)
      ? `${capital(settingName(setting))} not recorded; ${planned} planned.`
      : `Not recorded: ${planned}.`;
  if (!isCommon(setting)) {
    if (!isSet(b)) return `${capital(done)}, which was not planned.`;
    if (!isSet(a)) return `Not ${planned}.`;
  }
  if (of.kind === 'number') return `${capital(done)} instead of ${numberInWords(of, Number(b), voice)[0]}.`;
  if (kind === 'choice' && isCommon(setting))
    return `${capital(settingName(setting))} ${valueInWords(setting, a, voice)} instead of ${valueInWords(setting, b, voice)}.`;
  return `${capital(done)} instead of ${planned}.`;
}

/** What was not as planned in a step, in a sentence. */
export function departureInWords(departure: Departure, voice: Voice): string {
  switch (departure.what) {
    case 'added':
      return 'Added: not in the plan.';
    case 'skipped':
      return 'Skipped.';
    case 'not left out':
      return 'Done, though it was to be left out.';
    case 'mark': {
      const { mark, reason } = departure;
      const why = reason === 'untold' ? '' : ` (${MARK_REASONS[reason].label})`;
      return `${capital(MARKS[mark].label)}${why}.`;
    }
    case 'setting':
      return factInWords(departure.fact, departure.tolerance, voice);
  }
}
