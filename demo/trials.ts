import type { EventKind, WearEnd } from '@sabor/core/outcomes/events';
import type { Outcome } from '@sabor/core/outcomes/outcomes';
import type { Slot } from '@sabor/core/step/slots';
import { EMPTY_SETTINGS, type RoutineStep } from '@sabor/core/step/step';
import type { Design } from '@sabor/core/trial/designs';
import { EARLIER } from './earlier-trials.ts';
import type { HairTruth, Rated } from './readings.ts';
import { productId } from './shelf.ts';
import { ANVIL, BRAMBLE, FOAM, JELLY, KELP, SPINDRIFT } from './truths.ts';

type DemoStep = Omit<RoutineStep, 'id'> & { key: string };

const coin = (amount: number) => ({ kind: 'exact', amount, measure: 'coin', per: 'section' }) as const;

/** The company's coast routine: everything held but the hold product. */
export const COAST_ROUTINE: readonly DemoStep[] = [
  {
    ...EMPTY_SETTINGS,
    key: 'detangle',
    slot: 'detangle',
    tool: 'wide-comb',
    minutes: 5,
    wetness: 'dry',
    note: 'Ends first.',
  },
  {
    ...EMPTY_SETTINGS,
    key: 'cleanse',
    slot: 'cleanse',
    productId: productId('low-tide'),
    dose: { kind: 'exact', amount: 3, measure: 'pump', per: 'head' },
    wetness: 'soaking',
    minutes: 3,
    technique: 'massage',
    note: '',
  },
  {
    ...EMPTY_SETTINGS,
    key: 'condition',
    slot: 'condition',
    productId: productId('slack-water'),
    dose: { kind: 'exact', amount: 15, measure: 'g', per: 'head' },
    wetness: 'wet',
    minutes: 5,
    tool: 'brush',
    note: 'Brush through, then squeeze water in.',
  },
  { ...EMPTY_SETTINGS, key: 'rinse', slot: 'rinse', minutes: 2, note: 'Cool.' },
  {
    ...EMPTY_SETTINGS,
    key: 'leave-in',
    slot: 'leave-in',
    productId: productId('spindrift'),
    dose: coin(1),
    sections: 4,
    wetness: 'wet',
    technique: 'praying',
    note: '',
  },
  {
    ...EMPTY_SETTINGS,
    key: 'hold',
    slot: 'hold',
    productId: productId('kelp-fold'),
    dose: { kind: 'exact', amount: 12, measure: 'g', per: 'head' },
    sections: 4,
    wetness: 'wet',
    technique: 'rake',
    note: 'On the scale.',
  },
  { ...EMPTY_SETTINGS, key: 'blot', slot: 'blot', tool: 'shirt', minutes: 1, note: '' },
  {
    ...EMPTY_SETTINGS,
    key: 'dry',
    slot: 'dry',
    tool: 'diffuser',
    heat: 'low',
    minutes: 30,
    extra: { posture: 'upright', stopAt: 100 },
    note: 'Head upright, to fully dry.',
  },
  {
    ...EMPTY_SETTINGS,
    key: 'break',
    slot: 'break-cast',
    technique: 'scrunch',
    tool: 'fingers',
    wetness: 'dry',
    note: 'Dry hands.',
  },
  { ...EMPTY_SETTINGS, key: 'protect', slot: 'protect', tool: 'bonnet', note: 'Every night.' },
];

export interface DemoArm {
  key: string;
  /** What it puts on in the tested step. */
  product: string;
  /** Of a whole line: what it puts on in the other tested steps, and what it is called. */
  line?: { name: string; products: Readonly<Record<string, string>> };
  truth: HairTruth;
}

export interface DemoTrial {
  key: string;
  wearer: string;
  question: string;
  /** Days before today on which each wash day began; fewer than planned for a trial under way. */
  washDaysAgo: number[];
  planned: number;
  wearDays: number;
  seed: number;
  line: number;
  design: Design;
  primary: Outcome;
  /** Day of wear it is judged on. */
  onDay: number;
  blind: boolean;
  /** Nothing happens in wear but the bonnet. */
  steady: boolean;
  /** What befell one side alone, by wash day (from 0) and night. */
  oneSided?: readonly { before: number; kind: EventKind; night: number; side: 'left' | 'right' }[];
  arms: readonly DemoArm[];
  /** The tested step of the coast routine; of several, the first. */
  tested: Slot;
  /** The other steps that are tested with it, where whole lines are. */
  testedWith?: readonly Slot[];
  leaveOut: readonly string[];
  /** What of the routine was planned otherwise in this trial, by step. */
  otherwise?: Readonly<Record<string, Partial<RoutineStep>>>;
  /** The outcomes that were rated while worn; all where it is not said. */
  rated?: readonly Rated[];
  /** Days it was worn where it was washed early, by wash day (from 0). */
  cutShort?: Readonly<Record<number, number>>;
  /** Departures by wash day (from 0): step key, with its half where it has one → what was done instead. */
  departures: Record<number, Record<string, Partial<RoutineStep> & { skipped?: boolean }>>;
  /** A wash day given up, before the one with this index. */
  abandoned: { before: number; daysAgo: number; reason: string } | null;
  endings: WearEnd;
}

const weekly = Array.from({ length: 8 }, (_, i) => 58 - 7 * i);

const WHOLE = { design: 'complete', primary: 'definition', onDay: 1, blind: false, steady: false } as const;

export const TRIALS: readonly DemoTrial[] = [
  {
    key: 'gels',
    wearer: 'ines',
    question: 'Which gel keeps Ines’s curls defined through a week of damp stage doors?',
    washDaysAgo: weekly,
    planned: 8,
    wearDays: 7,
    seed: 20261,
    line: 6,
    ...WHOLE,
    arms: [
      { key: 'anvil', product: 'anvil', truth: ANVIL },
      { key: 'kelp', product: 'kelp-fold', truth: KELP },
    ],
    tested: 'hold',
    leaveOut: [],
    departures: {
      2: { dry: { minutes: 41, note: 'The socket was shared; cool shot in between.' } },
      4: {
        condition: { productId: productId('fallow-mask'), note: 'Slack Water had been left in the van.' },
      },
      6: { blot: { skipped: true, note: 'Shirt was wet.' } },
    },
    abandoned: null,
    endings: 'washed-schedule',
  },
  {
    key: 'dancer',
    wearer: 'tomasz',
    question: 'Foam or jelly for Tomasz: which one survives four nights of dancing?',
    washDaysAgo: [16, 11, 5],
    planned: 8,
    wearDays: 4,
    seed: 77,
    line: 5,
    ...WHOLE,
    arms: [
      { key: 'foam', product: 'brine-foam', truth: FOAM },
      { key: 'jelly', product: 'sedge-jelly', truth: JELLY },
    ],
    tested: 'hold',
    leaveOut: ['blot'],
    departures: { 1: { 'leave-in': { dose: { kind: 'unknown' }, note: 'Hands full, did not count.' } } },
    abandoned: {
      before: 2,
      daysAgo: 6,
      reason: 'The call was moved two hours forward; he went on with wet hair under a cap.',
    },
    endings: 'washed-schedule',
  },
  {
    key: 'understudy',
    wearer: 'pip',
    question: 'Does Heron Mist weigh Pip’s waves down less than Spindrift does?',
    washDaysAgo: [],
    planned: 6,
    wearDays: 3,
    seed: 4114,
    line: 5,
    ...WHOLE,
    arms: [
      { key: 'mist', product: 'heron-mist', truth: FOAM },
      { key: 'spindrift', product: 'spindrift', truth: JELLY },
    ],
    tested: 'leave-in',
    leaveOut: ['break', 'blot'],
    departures: {},
    abandoned: null,
    endings: 'washed-schedule',
  },
  {
    key: 'halves',
    wearer: 'tomasz',
    question: 'Spindrift or Bramble Cream under one gel: which half of Tomasz’s head stays defined?',
    washDaysAgo: Array.from({ length: 8 }, (_, i) => 62 - 5 * i),
    planned: 8,
    wearDays: 3,
    seed: 612,
    line: 6,
    design: 'half',
    primary: 'definition',
    onDay: 1,
    blind: true,
    steady: true,
    arms: [
      { key: 'spindrift', product: 'spindrift', truth: SPINDRIFT },
      { key: 'bramble', product: 'bramble-cream', truth: BRAMBLE },
    ],
    tested: 'leave-in',
    leaveOut: [],
    departures: {},
    abandoned: null,
    endings: 'washed-schedule',
  },
  {
    key: 'three',
    wearer: 'ines',
    question: 'Three holds on two halves: which keeps Ines’s frizz down overnight?',
    washDaysAgo: Array.from({ length: 6 }, (_, i) => 92 - 5 * i),
    planned: 6,
    wearDays: 3,
    seed: 2718,
    line: 4,
    design: 'half-three',
    primary: 'frizz',
    onDay: 2,
    blind: false,
    steady: false,
    arms: [
      { key: 'anvil', product: 'anvil', truth: ANVIL },
      { key: 'foam', product: 'brine-foam', truth: FOAM },
      { key: 'jelly', product: 'sedge-jelly', truth: JELLY },
    ],
    tested: 'hold',
    leaveOut: [],
    departures: {
      1: { 'leave-in': { productId: productId('heron-mist'), note: 'Spindrift had run out.' } },
      2: { dry: { extra: { stopAt: 80 }, note: 'The call came early.' } },
      4: {
        condition: { minutes: 9, note: 'Phone.' },
        'hold right': {
          dose: { kind: 'exact', amount: 21, measure: 'g', per: 'head' },
          note: 'The foam can kept on coming.',
        },
      },
    },
    oneSided: [{ before: 3, kind: 'scarf', night: 0, side: 'right' }],
    abandoned: null,
    endings: 'washed-schedule',
  },
  ...EARLIER,
];
