import { PLACES } from '../hair/zones.ts';
import type { KeyOf } from '../vocabulary.ts';

/** How wet the hair is when a step begins. The names people agree on. */
export const WETNESS = {
  soaking: { label: 'soaking', says: 'drips freely' },
  wet: { label: 'wet', says: 'squeezed, no stream' },
  moist: { label: 'wet to damp', says: 'squeezed twice, cool drops' },
  damp: { label: 'damp', says: 'towelled' },
  barely: { label: 'barely damp', says: 'cool to the touch' },
  dry: { label: 'dry', says: 'fully dry' },
} as const;
export type Wetness = KeyOf<typeof WETNESS>;

export const TECHNIQUES = {
  rake: { label: 'rake' },
  praying: { label: 'praying hands' },
  scrunch: { label: 'scrunch' },
  'brush-styling': { label: 'brush styling' },
  'finger-coils': { label: 'finger coils' },
  shingling: { label: 'shingling' },
  'single-strand': { label: 'single-strand twists' },
  'two-strand': { label: 'two-strand twists' },
  'three-strand': { label: 'three-strand twists' },
  'flat-twists': { label: 'flat twists' },
  braids: { label: 'braids' },
  cornrows: { label: 'cornrows' },
  rods: { label: 'rods' },
  smooth: { label: 'smooth over' },
  massage: { label: 'massage' },
} as const;
export type Technique = KeyOf<typeof TECHNIQUES>;

export const TOOLS = {
  fingers: { label: 'fingers' },
  'wide-comb': { label: 'wide comb' },
  brush: { label: 'brush' },
  towel: { label: 'towel' },
  shirt: { label: 'cotton shirt' },
  diffuser: { label: 'diffuser' },
  hood: { label: 'hooded dryer' },
  nozzle: { label: 'dryer with nozzle' },
  'comb-nozzle': { label: 'dryer with comb' },
  'brush-dryer': { label: 'brush dryer' },
  'flat-iron': { label: 'flat iron' },
  clips: { label: 'root clips' },
  cap: { label: 'cap' },
  bonnet: { label: 'bonnet' },
  scarf: { label: 'scarf' },
  pillowcase: { label: 'satin pillowcase' },
  pick: { label: 'pick' },
} as const;
export type Tool = KeyOf<typeof TOOLS>;
/** Tools that run on mains and blow or press heat. */
export const HEAT_TOOLS: readonly Tool[] = [
  'diffuser',
  'hood',
  'nozzle',
  'comb-nozzle',
  'brush-dryer',
  'flat-iron',
];

export const HEATS = {
  none: { label: 'no heat' },
  cool: { label: 'cool' },
  low: { label: 'low' },
  medium: { label: 'medium' },
  high: { label: 'high' },
} as const;
export type Heat = KeyOf<typeof HEATS>;

/** Where warmth comes from while something soaks; `thing` is what to lay ready for it. */
export const WARMTHS = {
  own: { label: 'the head’s own', thing: '' },
  towel: { label: 'a warm towel', thing: 'warm towel' },
  steamer: { label: 'a steamer', thing: 'steamer' },
  hood: { label: 'a hood', thing: 'hood' },
  bath: { label: 'bath water', thing: '' },
  shower: { label: 'shower steam', thing: '' },
} as const;

/** Where on the head a step is done: the head map's places, and what testers say besides. */
export const WHERE = {
  ...PLACES,
  left: { label: 'Left side' },
  right: { label: 'Right side' },
  roots: { label: 'Roots' },
  lengths: { label: 'Lengths' },
  scalp: { label: 'Scalp' },
  parting: { label: 'Along the parting' },
  perimeter: { label: 'Perimeter, all round' },
} as const;

/** Rods and rollers by what testers call them, with about their width. Common practice, no source. */
export const RODS = {
  tiny: { label: 'tiny (about 5 mm)' },
  small: { label: 'small (about 9 mm)' },
  medium: { label: 'medium (about 13 mm)' },
  large: { label: 'large (about 19 mm)' },
  xlarge: { label: 'very large (about 25 mm)' },
  roller: { label: 'roller (about 40 mm)' },
} as const;

/** What a coil or twist is turned over. */
export const COILED_OVER = {
  finger: { label: 'a finger (about 15 mm)' },
  pencil: { label: 'a pencil (about 7 mm)' },
  straw: { label: 'a straw (about 5 mm)' },
  itself: { label: 'itself' },
} as const;

/** How large a section is, in words, with about its width. Common practice, no source. */
export const SECTION_SIZES = {
  small: { label: 'small (about 10 mm)' },
  medium: { label: 'medium (about 20 mm)' },
  inch: { label: 'about an inch (25 mm)' },
  large: { label: 'large (about 40 mm)' },
  bigger: { label: 'bigger than usual' },
  smaller: { label: 'smaller than usual' },
} as const;
