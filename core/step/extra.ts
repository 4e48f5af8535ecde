import { unitScale } from '../units/preferences.ts';
import { besideProblem, sameBeside } from './beside.ts';
import { mixProblem, sameMix } from './mix.ts';
import { ownName } from './places.ts';
import { type ExtraKey, type ExtraValue, SETTINGS, type Setting } from './settings.ts';

/** The limits of a number in the other unit it may be typed in, neither beyond its own: " (68 to 446 °F)". */
function inOtherUnit({ scale, least, most }: Extract<Setting, { kind: 'number' }>): string {
  if (scale === undefined) return '';
  const { show, sign, digits } = unitScale(scale, { volume: 'floz', length: 'in', temperature: 'f' });
  const parts = 10 ** digits;
  const within = (x: number, to: (x: number) => number) => to(Number((show(x) * parts).toFixed(6))) / parts;
  return ` (${within(least, Math.ceil)} to ${within(most, Math.floor)} ${sign})`;
}

/** A sentence against an extra setting's value, or null when it can stand. */
export function extraProblem(key: ExtraKey, value: unknown): string | null {
  const setting: Setting = SETTINGS[key];
  switch (setting.kind) {
    case 'number':
      return typeof value === 'number' && value >= setting.least && value <= setting.most
        ? null
        : `${setting.label} runs from ${setting.least} to ${setting.most}${setting.unit && ` ${setting.unit}`}${inOtherUnit(setting)}.`;
    case 'tick':
      return value === true ? null : `${setting.label} is ticked or left out.`;
    case 'mix':
      return mixProblem(value);
    case 'beside':
      return besideProblem(value);
    case 'text':
      return typeof value === 'string' && value.trim() !== '' && value.length <= setting.longest
        ? null
        : `Keep it under ${setting.longest} characters, or leave it out.`;
    case 'choice':
      return typeof value === 'string' && Object.hasOwn(setting.options, value)
        ? null
        : `Choose ${setting.label.toLowerCase()} from the list.`;
    case 'product':
    case 'dose':
      throw new Error(`${key} is no extra setting.`);
    case 'several':
      return Array.isArray(value) &&
        value.length > 0 &&
        value.every(
          (one) =>
            Object.hasOwn(setting.options, one) || (setting.ownZones === true && ownName(one) !== null),
        )
        ? null
        : `Choose ${setting.label.toLowerCase()} from the list, one at least.`;
  }
}

/** Whether two values of an extra setting say the same; numbers within `tolerance` as a share of the plan. */
export function sameExtra(
  key: ExtraKey,
  planned: ExtraValue | undefined,
  actual: ExtraValue | undefined,
  tolerance: number,
): boolean {
  const { kind, held }: Setting = SETTINGS[key];
  if (held === 'not') return true;
  if (kind === 'mix') return sameMix(planned, actual, tolerance);
  if (kind === 'beside') return sameBeside(planned, actual, tolerance);
  if (typeof planned === 'number' && typeof actual === 'number') {
    const within = typeof held === 'object' ? held.within : Math.abs(planned) * tolerance;
    return Math.abs(actual - planned) <= within + 1e-9;
  }
  if (Array.isArray(planned) && Array.isArray(actual))
    return [...planned].sort().join() === [...actual].sort().join();
  return planned === actual;
}
