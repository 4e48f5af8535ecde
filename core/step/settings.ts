import type { Dose } from '../doses/dose.ts';
import { PARTINGS } from '../hair/wishes.ts';
import type { UnitPreferences } from '../units/preferences.ts';
import type { Vocabulary } from '../vocabulary.ts';
import type { Beside } from './beside.ts';
import {
  COILED_OVER,
  HEATS,
  RODS,
  SECTION_SIZES,
  TECHNIQUES,
  TOOLS,
  WARMTHS,
  WETNESS,
  WHERE,
} from './choices.ts';
import type { MixPart } from './mix.ts';
import { SLOTS, type Slot } from './slots.ts';

/**
 * A setting of a step. `held` says how strictly it is held: the same or not; within the step's tolerance as a share;
 * within so many of its own unit, where a share would mislead; the same where both sides recorded it; or not at all, as
 * what only explains.
 */
export type Setting = {
  label: string;
  /** Its name within a sentence, where the label does not read well there. */
  noun?: string;
  /** In a column of its own, which every step has, or among the step's `extra` settings. */
  stored: 'column' | 'extra';
  held: 'same' | 'share' | 'if recorded' | 'not' | { within: number };
  /** Slots it suits; all of them where left out. */
  slots?: readonly Slot[];
  /** It belongs in the shortest telling of a step. */
  brief?: boolean;
  /** Seldom set, everywhere or in these slots: forms keep it one tap away. */
  rare?: true | readonly Slot[];
} & (
  | { kind: 'product' | 'dose' | 'tick' | 'mix' | 'beside' }
  | { kind: 'text'; longest: number }
  | {
      kind: 'number';
      unit: string;
      units?: string;
      /** It is shown in the unit the tester prefers; its own is the stored one. */
      scale?: keyof UnitPreferences;
      least: number;
      most: number;
      whole?: boolean;
    }
  | {
      kind: 'choice' | 'several';
      options: Vocabulary;
      /** How a choice stands among other settings, % being its label. */
      said?: string;
      /** The wearer's own zones are choices too, by name. */
      ownZones?: true;
    }
);

const STYLED = ['leave-in', 'emollient', 'hold', 'technique', 'second-coat'] as const;
const SOAKED = ['pre-wash', 'treat', 'condition'] as const;
const SHAPED = ['technique', 'hold', 'set'] as const;
const DRIED = ['half-dry', 'dry', 'set'] as const;
const WITH_PRODUCT = (Object.keys(SLOTS) as Slot[]).filter((slot) => SLOTS[slot].product);
const PLACED = [
  'pre-wash',
  'detangle',
  'cleanse',
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
  'edges',
  'refresh',
] as const;

/**
 * Every setting a step can have, in the order of telling. A new one is a row here: forms, wire, storage, comparison and
 * words read this table. One that suits only some slots is stored as `extra`. `places`: the step is for these alone.
 */
export const SETTINGS = {
  productId: { label: 'Product', kind: 'product', stored: 'column', held: 'same', brief: true },
  dose: { label: 'Amount', kind: 'dose', stored: 'column', held: 'share', brief: true },
  sections: {
    label: 'Sections',
    kind: 'number',
    unit: 'section',
    units: 'sections',
    least: 1,
    most: 40,
    whole: true,
    stored: 'column',
    held: 'if recorded',
  },
  wetness: {
    label: 'Hair is',
    noun: 'wetness',
    said: 'on % hair',
    kind: 'choice',
    options: WETNESS,
    stored: 'column',
    held: 'same',
  },
  technique: {
    label: 'Technique',
    kind: 'choice',
    options: TECHNIQUES,
    stored: 'column',
    held: 'same',
    brief: true,
  },
  tool: {
    label: 'Tool',
    kind: 'choice',
    options: TOOLS,
    stored: 'column',
    held: 'same',
    brief: true,
  },
  heat: { label: 'Heat', kind: 'choice', options: HEATS, stored: 'column', held: 'same' },
  minutes: {
    label: 'Minutes',
    kind: 'number',
    unit: 'min',
    least: 0,
    most: 20_160,
    stored: 'column',
    held: 'share',
    brief: true,
  },
  places: {
    label: 'Only at',
    kind: 'several',
    stored: 'extra',
    held: 'same',
    options: WHERE,
    ownZones: true,
    slots: PLACED,
  },
  beside: {
    label: 'Another product elsewhere',
    noun: 'beside it',
    kind: 'beside',
    stored: 'extra',
    held: 'same',
    rare: true,
    slots: WITH_PRODUCT,
  },
  minutesMost: {
    rare: true,
    label: 'Minutes, at most',
    noun: 'most minutes',
    kind: 'number',
    stored: 'extra',
    held: 'share',
    unit: 'min',
    least: 1,
    most: 20_160,
    slots: [...SOAKED, 'leave-in', ...DRIED],
  },
  wearDay: {
    rare: true,
    label: 'On day worn',
    noun: 'day worn',
    kind: 'number',
    stored: 'extra',
    held: { within: 0 },
    unit: '',
    least: 1,
    most: 14,
    whole: true,
    slots: ['break-cast', 'separate', 'edges', 'refresh'],
  },
  rounds: {
    label: 'Rounds',
    kind: 'number',
    stored: 'extra',
    held: 'share',
    unit: 'times',
    least: 1,
    most: 5,
    slots: ['cleanse', 'rinse'],
  },
  water: {
    label: 'Water worked in',
    kind: 'number',
    stored: 'extra',
    held: 'share',
    unit: 'ml',
    scale: 'volume',
    least: 1,
    most: 2000,
    slots: ['cleanse', 'condition', 'leave-in', 'refresh'],
  },
  waterBy: {
    rare: true,
    label: 'Water by eye',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: {
      splash: { label: 'a splash' },
      palmful: { label: 'a palmful' },
      palmfuls: { label: 'several palmfuls' },
      running: { label: 'under running water' },
    },
    slots: ['cleanse', 'condition', 'leave-in', 'hold', 'refresh'],
  },
  misted: {
    rare: true,
    label: 'Misted section by section',
    kind: 'tick',
    stored: 'extra',
    held: 'same',
    slots: [...STYLED, 'refresh'],
  },
  dilution: {
    label: 'Parts of water to one of product',
    kind: 'number',
    stored: 'extra',
    held: 'share',
    unit: 'parts',
    least: 0.1,
    most: 100,
    slots: ['cleanse', 'treat', 'refresh'],
  },
  cap: { label: 'Under a cap', kind: 'tick', stored: 'extra', held: 'same', slots: SOAKED },
  warmth: {
    label: 'Warmth from',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: WARMTHS,
    slots: SOAKED,
  },
  rinsing: {
    label: 'Water is',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: { cold: { label: 'cold' }, lukewarm: { label: 'lukewarm' }, warm: { label: 'warm' } },
    slots: ['cleanse', 'rinse'],
  },
  brushed: {
    label: 'Brushed through',
    kind: 'tick',
    stored: 'extra',
    held: 'same',
    slots: ['treat', 'condition', 'rinse', 'leave-in'],
  },
  sectionSize: {
    rare: ['leave-in', 'emollient', 'hold', 'second-coat'],
    label: 'Size of a section',
    noun: 'section size',
    said: 'sections %',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: SECTION_SIZES,
    slots: [...STYLED, 'set'],
  },
  sectioning: {
    label: 'Sections as',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
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
    stored: 'extra',
    held: 'same',
    options: { upright: { label: 'upright' }, forward: { label: 'forward' }, aside: { label: 'to a side' } },
    slots: ['cleanse', ...STYLED, 'dry'],
  },
  layers: {
    rare: true,
    label: 'Layers in the order',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: { under: { label: 'under layer first' }, top: { label: 'top layer first' } },
    slots: [...STYLED, 'separate'],
  },
  rods: {
    rare: ['hold', 'edges'],
    label: 'Rods',
    kind: 'several',
    stored: 'extra',
    held: 'same',
    options: RODS,
    slots: SHAPED,
  },
  rodMm: {
    rare: true,
    label: 'Rod width',
    noun: 'rod width',
    kind: 'number',
    stored: 'extra',
    held: { within: 1 },
    unit: 'mm',
    scale: 'length',
    least: 2,
    most: 100,
    slots: SHAPED,
  },
  coiledOver: {
    rare: ['hold', 'edges'],
    label: 'Coiled over',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: COILED_OVER,
    slots: SHAPED,
  },
  pull: {
    rare: ['hold', 'edges'],
    label: 'Tension',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: {
      loose: { label: 'loose' },
      easy: { label: 'easy' },
      firm: { label: 'firm' },
      tight: { label: 'tight' },
    },
    slots: [...SHAPED, 'edges'],
  },
  endsDone: {
    rare: ['hold', 'edges'],
    label: 'How ends are finished',
    noun: 'ends',
    said: 'ends %',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: {
      left: { label: 'left as they are' },
      twirled: { label: 'twirled' },
      coiled: { label: 'coiled' },
      rod: { label: 'on a small rod' },
      dipped: { label: 'dipped in hot water' },
      tucked: { label: 'tucked under' },
    },
    slots: SHAPED,
  },
  lift: {
    rare: true,
    label: 'Root lift',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: {
      clips: { label: 'clips' },
      fingers: { label: 'fingers' },
      pick: { label: 'a pick' },
      'head-down': { label: 'head hung down' },
    },
    slots: ['technique', 'dry', 'set', 'separate'],
  },
  pinned: { rare: true, label: 'Pinned', kind: 'tick', stored: 'extra', held: 'same', slots: SHAPED },
  turning: {
    label: 'Coils turn',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: {
      away: { label: 'away from the face' },
      towards: { label: 'towards the face' },
      alternate: { label: 'alternately' },
    },
    slots: [...SHAPED, 'separate'],
  },
  parting: {
    label: 'Parting',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: PARTINGS,
    slots: ['leave-in', 'hold', 'technique', 'dry', 'separate'],
  },
  power: {
    label: 'Dryer’s air',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: { low: { label: 'low' }, medium: { label: 'medium' }, high: { label: 'high' } },
    slots: ['dry'],
  },
  celsius: {
    rare: true,
    label: 'Temperature',
    kind: 'number',
    stored: 'extra',
    held: { within: 10 },
    unit: '°C',
    scale: 'temperature',
    least: 20,
    most: 230,
    slots: ['technique', 'dry', 'set', 'refresh'],
  },
  offScalp: {
    rare: true,
    label: 'Held off the scalp',
    kind: 'tick',
    stored: 'extra',
    held: 'same',
    slots: ['dry', 'technique'],
  },
  takeDown: {
    rare: true,
    label: 'Taken down',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
    options: { strand: { label: 'strand by strand' }, 'at-once': { label: 'all at once' } },
    slots: ['set', 'separate'],
  },
  stopAt: {
    label: 'Stop when dry to',
    kind: 'number',
    stored: 'extra',
    held: { within: 5 },
    unit: '%',
    least: 30,
    most: 100,
    slots: ['half-dry', 'dry', 'set'],
  },
  tension: {
    label: 'Stretched while drying',
    kind: 'tick',
    stored: 'extra',
    held: 'same',
    slots: ['dry', 'set'],
  },
  splits: {
    label: 'Splits a coil',
    kind: 'number',
    stored: 'extra',
    held: 'share',
    unit: 'times',
    least: 0,
    most: 10,
    slots: ['wet-check', 'separate'],
  },
  tier: {
    label: 'How far',
    kind: 'choice',
    stored: 'extra',
    held: 'same',
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
    stored: 'extra',
    held: 'same',
    rare: ['detangle', 'leave-in', 'emollient', 'second-coat', 'set', 'break-cast', 'edges'],
    slots: [...WITH_PRODUCT, 'rinse'],
  },
  why: {
    label: 'Why so, on this head',
    noun: 'why so',
    kind: 'text',
    longest: 300,
    stored: 'extra',
    held: 'not',
    rare: true,
  },
  part: {
    label: 'Part of a kit, in its order',
    kind: 'number',
    stored: 'extra',
    held: 'share',
    unit: '',
    least: 1,
    most: 9,
    slots: ['pre-wash', 'treat'],
  },
} as const satisfies Record<string, Setting>;

export type SettingKey = keyof typeof SETTINGS;
type StoredAs<S extends Setting['stored']> = {
  [K in SettingKey]: (typeof SETTINGS)[K]['stored'] extends S ? K : never;
}[SettingKey];
/** Settings every step can have. */
export type CommonKey = StoredAs<'column'>;
/** Settings that only some slots have. */
export type ExtraKey = StoredAs<'extra'>;

export const SETTING_KEYS = Object.keys(SETTINGS) as SettingKey[];
export const COMMON_KEYS = SETTING_KEYS.filter((key): key is CommonKey => SETTINGS[key].stored === 'column');
export const EXTRA_KEYS = SETTING_KEYS.filter((key): key is ExtraKey => SETTINGS[key].stored === 'extra');

type ValueBy<S> = S extends { kind: 'dose' }
  ? Dose
  : S extends { kind: 'number' }
    ? number
    : S extends { kind: 'choice'; options: infer O }
      ? Extract<keyof O, string>
      : string;

/** What is set in a step, in a plan as on a wash day. Null means: not set. */
export type StepSettings = { [K in CommonKey]: ValueBy<(typeof SETTINGS)[K]> | null } & {
  /** Settings that only some slots have. */
  extra: Extra;
};

export type ExtraValue =
  | number
  | string
  | boolean
  | readonly string[]
  | readonly MixPart[]
  | readonly Beside[];
/** What a step sets beyond the common settings; what is left out is not set. */
export type Extra = { readonly [key in ExtraKey]?: ExtraValue | undefined };
/** What any setting can be set to; null and undefined for not set. */
export type SettingValue = ExtraValue | Dose | null | undefined;

export const isCommon = (key: SettingKey): key is CommonKey => SETTINGS[key].stored === 'column';

/** A step's value of a setting, wherever it is kept. */
export const settingValue = (step: StepSettings, key: SettingKey): SettingValue =>
  isCommon(key) ? step[key] : step.extra[key];

/** The step with one setting changed; null or undefined unsets it. */
export function withSetting<S extends StepSettings>(step: S, key: SettingKey, value: SettingValue): S {
  if (isCommon(key)) return { ...step, [key]: value ?? null };
  const { [key]: _, ...rest } = step.extra;
  return { ...step, extra: value === null || value === undefined ? rest : { ...rest, [key]: value } };
}

/** The settings a slot can have, in their order. */
export const settingsFor = (slot: Slot): SettingKey[] =>
  SETTING_KEYS.filter((key) => {
    const { slots }: Setting = SETTINGS[key];
    return slots === undefined || slots.includes(slot);
  });

/** Whether forms keep a setting of a slot one tap away. */
export function isRare(key: SettingKey, slot: Slot): boolean {
  const { rare = [] }: Setting = SETTINGS[key];
  return rare === true || rare.includes(slot);
}
