import type { Stage } from '../outcomes/stages.ts';
import type { Slot } from '../step/slots.ts';
import type { KeyOf } from '../vocabulary.ts';

const STYLERS = ['leave-in', 'emollient', 'hold', 'second-coat'] as const;
const RINSED = ['pre-wash', 'treat', 'condition'] as const;
const APPLIED = ['cleanse', ...RINSED, ...STYLERS, 'refresh'] as const;
const FINISHING = ['break-cast', 'separate', 'refresh'] as const;
const DRY = ['cast', 'wear'] as const;

/**
 * What hand, eye, nose and ear tell of hair and product: five words each, least first, one tap. Common practice, our own
 * wording, no source. `wanted`: the word most want, by its place, where a wearer has not said otherwise. `slots`: the
 * steps it is asked at; `stages`: the check-ins. `places`: it is read zone by zone where that is wished.
 */
export const FELT = {
  slip: {
    label: 'Slip',
    words: ['drags', 'little', 'some', 'good', 'glides'],
    wanted: 4,
    slots: ['detangle', 'cleanse', ...RINSED, 'leave-in'],
    stages: [],
  },
  lather: {
    label: 'Lather',
    words: ['none', 'thin', 'some', 'rich', 'a cloud'],
    wanted: 3,
    slots: ['cleanse'],
    stages: [],
  },
  thickness: {
    label: 'Thickness',
    words: ['watery', 'thin', 'medium', 'thick', 'stiff'],
    wanted: 2,
    slots: APPLIED,
    stages: [],
  },
  spread: {
    label: 'Spread',
    words: ['sits on top', 'patchy', 'works in', 'even', 'runs by itself'],
    wanted: 3,
    slots: [...RINSED, ...STYLERS],
    stages: [],
  },
  scent: {
    label: 'Scent',
    words: ['none', 'faint', 'plain', 'strong', 'too strong'],
    wanted: 2,
    slots: APPLIED,
    stages: [],
  },
  liking: {
    label: 'Liking of the scent',
    words: ['can’t stand it', 'dislike', 'no opinion', 'like', 'love it'],
    wanted: 4,
    slots: APPLIED,
    stages: [],
  },
  dispenser: {
    label: 'Dispenser',
    words: ['does not work', 'a fight', 'so-so', 'fine', 'just right'],
    wanted: 4,
    slots: APPLIED,
    stages: [],
  },
  tack: {
    label: 'Tack',
    words: ['none', 'slight', 'some', 'sticky', 'glue'],
    wanted: 0,
    slots: [...STYLERS, 'refresh'],
    stages: DRY,
  },
  drip: {
    label: 'Drip',
    words: ['none', 'a drop', 'some', 'much', 'down the neck'],
    wanted: 0,
    slots: ['treat', ...STYLERS],
    stages: [],
  },
  clean: {
    label: 'Felt clean',
    words: ['coated', 'hardly', 'nearly', 'clean', 'squeaks'],
    wanted: 3,
    slots: ['cleanse', 'rinse'],
    stages: [],
  },
  colour: {
    label: 'Colour in the rinse',
    words: ['clear', 'a tinge', 'tinted', 'coloured', 'much colour'],
    wanted: 0,
    slots: ['cleanse', 'condition', 'rinse'],
    stages: [],
  },
  sound: {
    label: 'Sound when scrunched',
    words: ['silent', 'faint', 'a squish', 'loud', 'slops'],
    wanted: 2,
    slots: [...STYLERS, 'technique'],
    stages: [],
  },
  'white-film': {
    label: 'White film while wet',
    words: ['none', 'a trace', 'some', 'much', 'all over'],
    wanted: 0,
    slots: [...STYLERS, 'wet-check'],
    stages: ['wet'],
    places: true,
  },
  clumps: {
    label: 'Clump size',
    words: ['stringy', 'small', 'medium', 'large', 'over-clumped'],
    wanted: 2,
    slots: ['wet-check'],
    stages: ['wet', ...DRY],
    places: true,
  },
  cast: {
    label: 'Cast',
    words: ['none', 'light', 'soft', 'crisp', 'hard'],
    wanted: 2,
    slots: ['break-cast'],
    stages: DRY,
    places: true,
  },
  crunch: {
    label: 'Crunch',
    words: ['none', 'slight', 'some', 'crunchy', 'stiff'],
    wanted: 0,
    slots: FINISHING,
    stages: DRY,
    places: true,
  },
  flakes: {
    label: 'Flakes',
    words: ['none', 'a few', 'some', 'many', 'everywhere'],
    wanted: 0,
    slots: FINISHING,
    stages: DRY,
    places: true,
  },
  grease: {
    label: 'Grease',
    words: ['none', 'a trace', 'some', 'greasy', 'drips'],
    wanted: 0,
    slots: ['refresh'],
    stages: ['before', ...DRY],
    places: true,
  },
  bounce: {
    label: 'Bounce',
    words: ['hangs', 'little', 'some', 'springy', 'jumps back'],
    wanted: 3,
    slots: ['separate'],
    stages: ['wear'],
    places: true,
  },
  moisture: {
    label: 'Moisture',
    words: ['parched', 'dry', 'balanced', 'moist', 'soggy'],
    wanted: 2,
    slots: ['refresh'],
    stages: ['before', 'wear'],
    places: true,
  },
  feel: {
    label: 'Feel by hand',
    words: ['straw', 'rough', 'fair', 'soft', 'silky'],
    wanted: 4,
    slots: [],
    stages: ['before'],
  },
  strength: {
    label: 'Strength',
    words: ['snaps', 'weak', 'fair', 'strong', 'very strong'],
    wanted: 4,
    slots: ['detangle'],
    stages: ['before'],
  },
  tangles: {
    label: 'Tangles',
    words: ['none', 'a few', 'some', 'many', 'matted'],
    wanted: 0,
    slots: ['detangle'],
    stages: ['before', 'wear'],
    places: true,
  },
  frizzed: {
    label: 'Frizz',
    words: ['none', 'a little', 'some', 'much', 'all of it'],
    wanted: 0,
    slots: [],
    stages: ['before'],
  },
  'build-up': {
    label: 'Build-up',
    words: ['none', 'a trace', 'some', 'coated', 'heavy'],
    wanted: 0,
    slots: [],
    stages: ['before'],
  },
} as const satisfies Record<
  string,
  {
    label: string;
    words: readonly [string, string, string, string, string];
    wanted: number;
    slots: readonly Slot[];
    stages: readonly Stage[];
    places?: true;
  }
>;
export type Felt = KeyOf<typeof FELT>;

export const FELT_KEYS = Object.keys(FELT) as Felt[];
/** A reading's place among its five words. */
export const FELT_RANGE = { lowest: 0, highest: 4 } as const;

/** Readings that are asked at a step, in their order. */
export const feltAtStep = (slot: Slot): Felt[] =>
  FELT_KEYS.filter((key) => (FELT[key].slots as readonly Slot[]).includes(slot));

/** Readings that are asked at a check-in of a stage, in their order. */
export const feltAtStage = (stage: Stage): Felt[] =>
  FELT_KEYS.filter((key) => (FELT[key].stages as readonly Stage[]).includes(stage));

/** How many readings a trial asks for unless its tester wants more. */
export const USUALLY_ASKED = 3;

/** What a trial asks for, by the step it tests. Common practice, no source. */
const ASKED_BY_SLOT: Partial<Record<Slot, readonly Felt[]>> = {
  cleanse: ['lather', 'clean', 'moisture'],
  treat: ['strength', 'moisture', 'bounce'],
  condition: ['slip', 'moisture', 'grease'],
  'leave-in': ['spread', 'moisture', 'white-film'],
  emollient: ['spread', 'grease', 'moisture'],
  hold: ['cast', 'crunch', 'flakes'],
  'second-coat': ['cast', 'crunch', 'flakes'],
  technique: ['clumps', 'bounce', 'crunch'],
  dry: ['clumps', 'crunch', 'bounce'],
  set: ['clumps', 'bounce', 'crunch'],
  'break-cast': ['cast', 'crunch', 'grease'],
  refresh: ['tack', 'moisture', 'flakes'],
};

/** What a trial of these steps asks for unless its tester chooses: at most three, the first steps' first. */
export function usuallyAsked(tested: readonly Slot[]): Felt[] {
  const lists = tested.map((slot) => ASKED_BY_SLOT[slot] ?? []);
  const turns = Array.from({ length: USUALLY_ASKED }, (_, turn) => lists.flatMap((list) => list[turn] ?? []));
  return [...new Set(turns.flat())].slice(0, USUALLY_ASKED);
}

/** The lower median of words: one that was really said; undefined where none was. */
export const middleWord = (values: readonly number[]): number | undefined =>
  values.toSorted((a, b) => a - b)[Math.floor((values.length - 1) / 2)];

/** A rating 0–10 as the place of the nearest of five words. */
export const wordOfRating = (value: number): number => Math.round((value / 10) * FELT_RANGE.highest);

/** Steps at which shed hairs are counted. */
export const SHED_SLOTS: readonly Slot[] = ['detangle', 'cleanse', 'condition', 'rinse'];
