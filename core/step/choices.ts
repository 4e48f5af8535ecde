import type { KeyOf } from '../vocabulary.ts';

/** How wet the hair is when a step begins. The names people agree on. */
export const WETNESS = {
  soaking: { label: 'soaking', says: 'drips freely' },
  wet: { label: 'wet', says: 'squeezed, no stream' },
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
  'two-strand': { label: 'two-strand twists' },
  'three-strand': { label: 'three-strand twists' },
  'flat-twists': { label: 'flat twists' },
  braids: { label: 'braids' },
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
  clips: { label: 'root clips' },
  cap: { label: 'cap' },
  bonnet: { label: 'bonnet' },
  scarf: { label: 'scarf' },
  pillowcase: { label: 'satin pillowcase' },
  pick: { label: 'pick' },
} as const;
export type Tool = KeyOf<typeof TOOLS>;

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
} as const;
