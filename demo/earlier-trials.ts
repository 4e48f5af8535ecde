import type { HairTruth } from './readings.ts';
import type { DemoArm, DemoTrial } from './trials.ts';
import {
  ANVIL,
  BRAMBLE_HOLD,
  FENLIGHT,
  FOAM,
  FOAM_IN_SUMMER,
  JELLY,
  KELP,
  KELP_ON_COILS,
  KELP_ON_FINE_COILS,
  KELP_ON_TIGHT_CURLS,
  KELP_ON_WAVY_CURLS,
} from './truths.ts';

const HOLDS = {
  kelp: 'kelp-fold',
  anvil: 'anvil',
  foam: 'brine-foam',
  jelly: 'sedge-jelly',
  bramble: 'bramble-cream',
  fenlight: 'fenlight-foam',
} as const;
const arm = (key: keyof typeof HOLDS, truth: HairTruth): DemoArm => ({ key, product: HOLDS[key], truth });
const gels = (kelp: HairTruth) => [arm('kelp', kelp), arm('anvil', ANVIL)];

/** An earlier trial of one hold against another: eight whole heads, four days apart, nothing departed. */
const earlier = ({
  firstDaysAgo,
  ...own
}: { firstDaysAgo: number } & Pick<DemoTrial, 'key' | 'question' | 'seed' | 'arms'> &
  Partial<DemoTrial>): DemoTrial => ({
  wearer: 'ines',
  washDaysAgo: Array.from({ length: 8 }, (_, i) => firstDaysAgo - 4 * i),
  ...{ planned: 8, wearDays: 3, line: 6, design: 'complete', primary: 'definition', onDay: 1 },
  ...{ blind: false, steady: true, tested: 'hold', leaveOut: [], departures: {}, abandoned: null },
  endings: 'washed-schedule',
  ...own,
});

/** Heads of the company that were asked for what the question needs, and no more. */
const BRIEF: Pick<DemoTrial, 'wearDays' | 'rated'> = {
  wearDays: 2,
  rated: ['definition', 'frizz', 'hold'],
};

/** A line as Maren tried it: its hold, and its conditioner with it. */
const line = (
  key: string,
  name: string,
  of: { hold: string; condition: string },
  truth: HairTruth,
): DemoArm => ({
  key,
  product: of.hold,
  line: { name, products: { condition: of.condition } },
  truth,
});
const TIDEWRACK = { hold: 'kelp-fold', condition: 'slack-water' };
const MARROWBY = { hold: 'anvil', condition: 'fallow-mask' };

/** The same of Maren, who wishes for volume as well. */
const BRIEF_MAREN: typeof BRIEF = { ...BRIEF, rated: ['definition', 'frizz', 'volume', 'hold'] };

/** The trials that the board puts together: six holds on one head, one pair of gels on five. */
export const EARLIER: readonly DemoTrial[] = [
  earlier({
    key: 'foam-anvil',
    question: 'Foam or the strong gel for Ines in the wet months?',
    ...{ seed: 3200, firstDaysAgo: 268 },
    arms: [arm('foam', FOAM), arm('anvil', ANVIL)],
  }),
  earlier({
    key: 'gel-foam',
    question: 'Gel or foam for Ines in the dry months?',
    ...{ seed: 3301, firstDaysAgo: 232 },
    arms: [arm('kelp', KELP), arm('foam', FOAM_IN_SUMMER)],
    // Last summer there was time to let it dry.
    otherwise: { dry: { tool: null, heat: null, minutes: 120, note: 'Outside, if it can be.' } },
  }),
  earlier({
    key: 'jelly-anvil',
    question: 'Does a jelly hold Ines’s curls as a gel does?',
    ...{ seed: 3402, firstDaysAgo: 160 },
    arms: [arm('jelly', JELLY), arm('anvil', ANVIL)],
    cutShort: { 2: 1, 5: 2 },
  }),
  earlier({
    key: 'coil-gels',
    wearer: 'tomasz',
    question: 'The gels once more, on Tomasz’s coils: does the stronger one pay?',
    ...{ seed: 3604, firstDaysAgo: 128 },
    arms: gels(KELP_ON_COILS),
  }),
  earlier({
    key: 'cream-jelly',
    question: 'Is a cream hold enough for Ines?',
    ...{ seed: 3503, firstDaysAgo: 128 },
    arms: [arm('bramble', BRAMBLE_HOLD), arm('jelly', JELLY)],
  }),
  earlier({
    key: 'fen-foam',
    question: 'Does the cheap foam do for Ines’s matinees?',
    ...{ seed: 3705, firstDaysAgo: 189 },
    arms: [arm('fenlight', FENLIGHT), arm('jelly', JELLY)],
    otherwise: { hold: { technique: 'scrunch' }, protect: { tool: 'pillowcase' } },
  }),
  earlier({
    key: 'maren-gels',
    wearer: 'maren',
    question: 'Kelp Fold or Anvil for Maren’s long evenings?',
    ...{ seed: 3806, firstDaysAgo: 150 },
    arms: gels(KELP_ON_WAVY_CURLS),
    ...BRIEF_MAREN,
  }),
  earlier({
    key: 'dario-gels',
    wearer: 'dario',
    question: 'Which gel keeps Dario’s crown from swelling?',
    ...{ seed: 3907, firstDaysAgo: 118 },
    arms: gels(KELP_ON_TIGHT_CURLS),
    ...BRIEF,
  }),
  earlier({
    key: 'oluchi-gels',
    wearer: 'oluchi',
    question: 'Does Oluchi need the stronger gel?',
    ...{ seed: 4008, firstDaysAgo: 96 },
    arms: gels(KELP_ON_FINE_COILS),
    ...BRIEF,
  }),
  earlier({
    key: 'maren-foam',
    wearer: 'maren',
    question: 'Foam instead of gel on Maren?',
    ...{ seed: 4109, firstDaysAgo: 84 },
    arms: [arm('foam', FOAM), arm('anvil', ANVIL)],
    ...BRIEF_MAREN,
  }),
  earlier({
    key: 'maren-lines',
    wearer: 'maren',
    question: 'Tidewrack or Marrowby, conditioner and gel together, on Maren?',
    ...{ seed: 4210, firstDaysAgo: 118 },
    arms: [
      line('tidewrack', 'Tidewrack', TIDEWRACK, KELP_ON_WAVY_CURLS),
      line('marrowby', 'Marrowby', MARROWBY, ANVIL),
    ],
    testedWith: ['condition'],
    ...BRIEF_MAREN,
  }),
  earlier({
    key: 'maren-swaps',
    wearer: 'maren',
    question: 'Which item carried Tidewrack against Marrowby?',
    ...{ seed: 4311, firstDaysAgo: 52 },
    washDaysAgo: Array.from({ length: 9 }, (_, i) => 52 - 3 * i),
    planned: 9,
    arms: [
      line('marrowby', 'Marrowby', MARROWBY, ANVIL),
      line('care', 'Marrowby, condition of Tidewrack', { ...MARROWBY, condition: 'slack-water' }, ANVIL),
      line('gel', 'Marrowby, hold of Tidewrack', { ...MARROWBY, hold: 'kelp-fold' }, KELP_ON_WAVY_CURLS),
    ],
    testedWith: ['condition'],
    ...BRIEF_MAREN,
  }),
];
