import { PARTINGS } from '../hair/wishes.ts';
import { PLACES } from '../hair/zones.ts';
import type { Vocabulary } from '../vocabulary.ts';
import { type MixPart, mixProblem, mixWords, sameMix } from './mix.ts';
import type { Slot } from './slots.ts';

/** A setting that only some slots have. Choices come from a table; numbers have a unit and a range. */
export type ExtraSetting = { label: string; slots: readonly Slot[] } & (
  | {
      kind: 'number';
      unit: string;
      least: number;
      most: number;
      /** How far it may be off and still count as held, in its own unit, where a share would mislead. */
      within?: number;
    }
  | { kind: 'choice'; options: Vocabulary }
  | { kind: 'tick' }
  | { kind: 'mix' }
  | { kind: 'several'; options: Vocabulary }
);

const STYLED = ['leave-in', 'emollient', 'hold', 'technique', 'second-coat'] as const;
const SOAKED = ['pre-wash', 'treat', 'condition'] as const;
const PLACED = [
  'pre-wash',
  'treat',
  'condition',
  'leave-in',
  'emollient',
  'hold',
  'technique',
  'second-coat',
  'dry',
  'set',
  'break-cast',
  'separate',
  'refresh',
] as const;

/** Settings beyond those every step can have, in the words of the trade. `places`: the step is for these alone. */
export const EXTRAS = {
  places: {
    label: 'Only at',
    kind: 'several',
    options: PLACES,
    slots: PLACED,
  },
  rounds: { label: 'Rounds', kind: 'number', unit: 'times', least: 1, most: 5, slots: ['cleanse', 'rinse'] },
  water: {
    label: 'Water worked in',
    kind: 'number',
    unit: 'ml',
    least: 1,
    most: 2000,
    slots: ['cleanse', 'condition', 'leave-in', 'refresh'],
  },
  dilution: {
    label: 'Parts of water to one of product',
    kind: 'number',
    unit: 'parts',
    least: 0.1,
    most: 100,
    slots: ['cleanse', 'treat', 'refresh'],
  },
  cap: { label: 'Under a cap', kind: 'tick', slots: SOAKED },
  warmth: {
    label: 'Warmth from',
    kind: 'choice',
    options: {
      own: { label: 'the head’s own' },
      towel: { label: 'a warm towel' },
      steamer: { label: 'a steamer' },
      hood: { label: 'a hood' },
    },
    slots: SOAKED,
  },
  rinsing: {
    label: 'Water is',
    kind: 'choice',
    options: { cold: { label: 'cold' }, lukewarm: { label: 'lukewarm' }, warm: { label: 'warm' } },
    slots: ['cleanse', 'rinse'],
  },
  brushed: { label: 'Brushed through', kind: 'tick', slots: ['treat', 'condition', 'rinse', 'leave-in'] },
  sectioning: {
    label: 'Sections as',
    kind: 'choice',
    options: {
      quarters: { label: 'quarters' },
      rows: { label: 'rows of about 25 mm' },
      free: { label: 'as they fall' },
    },
    slots: STYLED,
  },
  posture: {
    label: 'Head',
    kind: 'choice',
    options: { upright: { label: 'upright' }, forward: { label: 'forward' }, aside: { label: 'to a side' } },
    slots: ['cleanse', ...STYLED, 'dry'],
  },
  turning: {
    label: 'Coils turn',
    kind: 'choice',
    options: {
      away: { label: 'away from the face' },
      towards: { label: 'towards the face' },
      alternate: { label: 'alternately' },
    },
    slots: ['hold', 'technique', 'set'],
  },
  parting: {
    label: 'Parting',
    kind: 'choice',
    options: PARTINGS,
    slots: ['leave-in', 'hold', 'technique', 'dry', 'separate'],
  },
  power: {
    label: 'Dryer’s air',
    kind: 'choice',
    options: { low: { label: 'low' }, medium: { label: 'medium' }, high: { label: 'high' } },
    slots: ['dry'],
  },
  stopAt: {
    label: 'Stop when dry to',
    kind: 'number',
    unit: '%',
    least: 30,
    most: 100,
    within: 5,
    slots: ['half-dry', 'dry', 'set'],
  },
  tension: { label: 'Stretched while drying', kind: 'tick', slots: ['dry', 'set'] },
  splits: {
    label: 'Splits a coil',
    kind: 'number',
    unit: 'times',
    least: 0,
    most: 10,
    slots: ['wet-check', 'separate'],
  },
  tier: {
    label: 'How far',
    kind: 'choice',
    options: {
      spot: { label: 'spot: a few curls' },
      medium: { label: 'medium: misted over' },
      full: { label: 'full re-wet' },
    },
    slots: ['refresh'],
  },
  mix: {
    label: 'Home mix',
    kind: 'mix',
    slots: ['pre-wash', 'cleanse', 'treat', 'condition', 'rinse', 'hold', 'refresh'],
  },
  part: {
    label: 'Part of a kit, in its order',
    kind: 'number',
    unit: '',
    least: 1,
    most: 9,
    slots: ['pre-wash', 'treat'],
  },
} as const satisfies Record<string, ExtraSetting>;
export type ExtraKey = keyof typeof EXTRAS;

export type ExtraValue = number | string | boolean | readonly string[] | readonly MixPart[];
/** What a step sets beyond the common settings; what is left out is not set. */
export type Extra = { readonly [key in ExtraKey]?: ExtraValue | undefined };

/** The extra settings a slot can have, in their order. */
export const extrasOf = (slot: Slot): ExtraKey[] =>
  (Object.keys(EXTRAS) as ExtraKey[]).filter((key) => (EXTRAS[key].slots as readonly Slot[]).includes(slot));

/** A sentence against an extra setting's value, or null when it can stand. */
export function extraProblem(key: ExtraKey, value: unknown): string | null {
  const setting: ExtraSetting = EXTRAS[key];
  switch (setting.kind) {
    case 'number':
      return typeof value === 'number' && value >= setting.least && value <= setting.most
        ? null
        : `${setting.label} runs from ${setting.least} to ${setting.most}${setting.unit ? ` ${setting.unit}` : ''}.`;
    case 'tick':
      return value === true ? null : `${setting.label} is ticked or left out.`;
    case 'mix':
      return mixProblem(value);
    case 'choice':
      return typeof value === 'string' && Object.hasOwn(setting.options, value)
        ? null
        : `Choose ${setting.label.toLowerCase()} from the list.`;
    case 'several':
      return Array.isArray(value) &&
        value.length > 0 &&
        value.every((one) => Object.hasOwn(setting.options, one))
        ? null
        : `Choose ${setting.label.toLowerCase()} from the list, one at least.`;
  }
}

/** An extra setting in words: "stop when dry to 90 %", "under a cap". */
export function extraWords(key: ExtraKey, value: ExtraValue | undefined): string {
  const setting: ExtraSetting = EXTRAS[key];
  const name = setting.label[0]!.toLowerCase() + setting.label.slice(1);
  if (value === undefined) return `${name}: not set`;
  if (setting.kind === 'tick') return name;
  if (setting.kind === 'mix') return `${name} of ${mixWords(value)}`;
  if (setting.kind === 'number') return `${name} ${String(value)}${setting.unit ? ` ${setting.unit}` : ''}`;
  const word = (one: string) => setting.options[one]?.label.toLowerCase() ?? one;
  return `${name} ${(setting.kind === 'several' ? (value as readonly string[]).map(word) : [word(String(value))]).join(', ')}`;
}

/** Whether two values of an extra setting say the same; numbers within `tolerance` as a share of the plan. */
export function sameExtra(
  key: ExtraKey,
  planned: ExtraValue | undefined,
  actual: ExtraValue | undefined,
  tolerance: number,
): boolean {
  const setting: ExtraSetting = EXTRAS[key];
  if (setting.kind === 'mix') return sameMix(planned, actual, tolerance);
  if (typeof planned === 'number' && typeof actual === 'number') {
    const within = setting.kind === 'number' ? setting.within : undefined;
    return Math.abs(actual - planned) <= (within ?? Math.abs(planned) * tolerance) + 1e-9;
  }
  if (Array.isArray(planned) && Array.isArray(actual))
    return [...planned].sort().join() === [...actual].sort().join();
  return planned === actual;
}
