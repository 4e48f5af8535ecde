import type { Slot } from '../step/slots.ts';
import type { KeyOf } from '../vocabulary.ts';

const STYLERS = ['leave-in', 'emollient', 'hold', 'second-coat'] as const;
const RINSED = ['pre-wash', 'treat', 'condition'] as const;

/**
 * What the hand, the nose and the basin tell while a product is in use: five words each, least first, one tap.
 * Common practice, our own wording, no source. `slots`: the steps it belongs to.
 */
export const IN_THE_HAND = {
  slip: {
    label: 'Slip',
    words: ['drags', 'little', 'some', 'good', 'glides'],
    slots: ['detangle', ...RINSED, 'leave-in'],
  },
  lather: { label: 'Lather', words: ['none', 'thin', 'some', 'rich', 'a cloud'], slots: ['cleanse'] },
  spread: {
    label: 'Spread',
    words: ['sits on top', 'patchy', 'works in', 'even', 'runs by itself'],
    slots: [...RINSED, ...STYLERS],
  },
  scent: {
    label: 'Scent',
    words: ['none', 'faint', 'plain', 'strong', 'too strong'],
    slots: ['cleanse', ...RINSED, ...STYLERS, 'refresh'],
  },
  tack: { label: 'Tack', words: ['none', 'slight', 'some', 'sticky', 'glue'], slots: STYLERS },
  drip: { label: 'Drip', words: ['none', 'a drop', 'some', 'much', 'down the neck'], slots: STYLERS },
  clean: {
    label: 'Felt clean',
    words: ['coated', 'hardly', 'nearly', 'clean', 'squeaks'],
    slots: ['cleanse', 'rinse'],
  },
  colour: {
    label: 'Colour in the rinse',
    words: ['clear', 'a tinge', 'tinted', 'coloured', 'much colour'],
    slots: ['cleanse', 'condition', 'rinse'],
  },
} as const satisfies Record<string, { label: string; words: readonly string[]; slots: readonly Slot[] }>;
export type InHand = KeyOf<typeof IN_THE_HAND>;

/** Readings that belong to a slot, in their order. */
export const inHandOf = (slot: Slot): InHand[] =>
  (Object.keys(IN_THE_HAND) as InHand[]).filter((key) =>
    (IN_THE_HAND[key].slots as readonly Slot[]).includes(slot),
  );

/** Steps at which shed hairs are counted. */
export const SHED_SLOTS: readonly Slot[] = ['detangle', 'cleanse', 'condition', 'rinse'];
