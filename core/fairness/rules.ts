import type { Outcome } from '../outcomes/outcomes.ts';
import type { Slot } from '../routine/slots.ts';
import type { Difference, DifferenceKind } from './differences.ts';
import type { Gravity } from './gravity.ts';

/** What a difference does to a comparison, by outcome; a rule speaks where everything it names holds. */
export interface FairnessRule {
  id: string;
  when: {
    kind?: DifferenceKind;
    slots?: readonly Slot[];
    details?: readonly string[];
    /** Smallest size it speaks from. */
    from?: number;
    /** True: the two halves of one wash day. False: different wash days. */
    halves?: boolean;
    /** It is the same on both halves. */
    shared?: boolean;
    /** The difference may come from the arms themselves. */
    ofArm?: boolean;
  };
  /** By outcome; `other` for those not named. */
  does: Partial<Record<Outcome, Gravity>> & { other: Gravity };
  because: string;
  source: string;
}

const PRACTICE = 'common practice, no source';
const METHODS = 'methods.md 3';
const MODEL = 'model assumption';

const STYLING: readonly Slot[] = ['leave-in', 'emollient', 'hold', 'technique', 'second-coat'];
const WASHING: readonly Slot[] = ['pre-wash', 'cleanse', 'treat', 'condition', 'rinse'];
const SHAPED = { definition: 'breaks', frizz: 'breaks', volume: 'breaks', hold: 'breaks' } as const;
const SHAPED_WEAK = { definition: 'weakens', frizz: 'weakens', volume: 'weakens', hold: 'weakens' } as const;

/** The rules, worst first within a kind. A new rule is a new row. */
export const FAIRNESS_RULES: readonly FairnessRule[] = [
  {
    id: 'both-halves',
    when: { shared: true },
    does: { other: 'note' },
    because: 'It was so on both halves alike and favours neither.',
    source: METHODS,
  },
  {
    id: 'another-head',
    when: { kind: 'head' },
    does: { other: 'breaks' },
    because: 'Two heads differ in everything at once; each head is compared with itself.',
    source: METHODS,
  },
  {
    id: 'product-styling',
    when: { kind: 'product', slots: STYLING },
    does: { other: 'breaks' },
    because:
      'What stays on the hair makes the outcome; with another product there, two things are tested at once.',
    source: PRACTICE,
  },
  {
    id: 'product-washing',
    when: { kind: 'product', slots: WASHING },
    does: { ...SHAPED_WEAK, softness: 'breaks', shine: 'breaks', other: 'weakens' },
    because:
      'Another cleanser or conditioner leaves the hair another ground; softness and shine come from it directly.',
    source: PRACTICE,
  },
  {
    id: 'product-elsewhere',
    when: { kind: 'product' },
    does: { other: 'weakens' },
    because: 'Another product where one was to be held.',
    source: PRACTICE,
  },
  {
    id: 'missing-styling',
    when: { kind: 'missing', slots: STYLING },
    does: { other: 'breaks' },
    because: 'A styling layer that is there on one side only is a second thing under test.',
    source: PRACTICE,
  },
  {
    id: 'missing-cleanse',
    when: { kind: 'missing', slots: ['cleanse', 'rinse'] },
    does: { other: 'breaks' },
    because: 'Without the same cleanse, what the last wash day left is still there: carry-over.',
    source: METHODS,
  },
  {
    id: 'missing-condition',
    when: { kind: 'missing', slots: ['condition', 'treat', 'pre-wash'] },
    does: { softness: 'breaks', shine: 'breaks', other: 'weakens' },
    because: 'Slip, softness and swelling come from conditioning; the style rests on it.',
    source: PRACTICE,
  },
  {
    id: 'missing-dry',
    when: { kind: 'missing', slots: ['dry', 'set'] },
    does: { ...SHAPED, other: 'weakens' },
    because: 'Dried another way the shape sets another way.',
    source: PRACTICE,
  },
  {
    id: 'missing-cast',
    when: { kind: 'missing', slots: ['break-cast', 'separate'] },
    does: { volume: 'breaks', softness: 'breaks', other: 'weakens' },
    because: 'A cast left standing reads as hold and hides volume and softness.',
    source: PRACTICE,
  },
  {
    id: 'missing-protect',
    when: { kind: 'missing', slots: ['protect'] },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'Nights without the planned protection tell from day 2 on.',
    source: PRACTICE,
  },
  {
    id: 'missing-other',
    when: { kind: 'missing' },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'A step was to be the same on both sides.',
    source: PRACTICE,
  },
  {
    id: 'added-product',
    when: { kind: 'added', slots: STYLING },
    does: { other: 'breaks' },
    because: 'A layer on one side only is a second thing under test.',
    source: PRACTICE,
  },
  {
    id: 'added-other',
    when: { kind: 'added' },
    does: { other: 'weakens' },
    because: 'One side had more done to it than the plan says.',
    source: PRACTICE,
  },
  {
    id: 'moved-styling',
    when: { kind: 'moved', slots: STYLING },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'Layers in another order wet and film the hair in another order.',
    source: PRACTICE,
  },
  {
    id: 'moved-other',
    when: { kind: 'moved' },
    does: { other: 'note' },
    because: 'The same steps in another order.',
    source: PRACTICE,
  },
  {
    id: 'dose-double',
    when: { kind: 'dose', slots: STYLING, from: 0.5 },
    does: { other: 'breaks' },
    because: 'Half as much again is a test of dose, not of product.',
    source: MODEL,
  },
  {
    id: 'dose-off',
    when: { kind: 'dose' },
    does: { other: 'weakens' },
    because: 'The dose was off by more than the tolerance.',
    source: PRACTICE,
  },
  {
    id: 'dose-unsure',
    when: { kind: 'dose-unsure', slots: STYLING },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'A measure that is not calibrated cannot show that the dose was held.',
    source: PRACTICE,
  },
  {
    id: 'dose-unsure-else',
    when: { kind: 'dose-unsure' },
    does: { other: 'note' },
    because: 'A measure that is not calibrated cannot show that the dose was held.',
    source: PRACTICE,
  },
  {
    id: 'minutes-of-arm',
    when: { kind: 'minutes', ofArm: true },
    does: { other: 'note' },
    because: 'How long it takes to dry may come from the arm itself: an outcome, not an unfairness.',
    source: METHODS,
  },
  {
    id: 'minutes-soak',
    when: { kind: 'minutes', slots: ['condition', 'treat', 'pre-wash'] },
    does: { softness: 'weakens', shine: 'weakens', other: 'note' },
    because: 'Longer under a mask or conditioner is more of it.',
    source: PRACTICE,
  },
  {
    id: 'minutes-dry',
    when: { kind: 'minutes', slots: ['dry'] },
    does: { frizz: 'weakens', volume: 'weakens', other: 'note' },
    because: 'Longer under the dryer is more air and heat on the clumps.',
    source: PRACTICE,
  },
  {
    id: 'minutes-other',
    when: { kind: 'minutes' },
    does: { other: 'note' },
    because: 'The time was to be the same.',
    source: PRACTICE,
  },
  {
    id: 'wetness-styling',
    when: { kind: 'wetness', slots: STYLING },
    does: { ...SHAPED, other: 'weakens' },
    because: 'How wet the hair is when styled decides clumping more than most products do.',
    source: PRACTICE,
  },
  {
    id: 'wetness-other',
    when: { kind: 'wetness' },
    does: { other: 'note' },
    because: 'Wetness before styling is made good by the next rinse.',
    source: PRACTICE,
  },
  {
    id: 'technique-styling',
    when: { kind: 'technique', slots: STYLING },
    does: { ...SHAPED, other: 'weakens' },
    because: 'Another technique makes other clumps.',
    source: PRACTICE,
  },
  {
    id: 'technique-other',
    when: { kind: 'technique' },
    does: { frizz: 'weakens', other: 'note' },
    because: 'The hands were to do the same.',
    source: PRACTICE,
  },
  {
    id: 'tool-styling',
    when: { kind: 'tool', slots: [...STYLING, 'dry', 'set'] },
    does: { ...SHAPED, other: 'weakens' },
    because: 'A brush, fingers or a diffuser each shape clumps their own way.',
    source: PRACTICE,
  },
  {
    id: 'tool-other',
    when: { kind: 'tool' },
    does: { frizz: 'weakens', other: 'note' },
    because: 'Another tool where one was to be held.',
    source: PRACTICE,
  },
  {
    id: 'heat-dry',
    when: { kind: 'heat', slots: ['dry', 'set', 'half-dry'] },
    does: { frizz: 'weakens', volume: 'weakens', shine: 'weakens', other: 'note' },
    because: 'Heat sets faster and drier.',
    source: PRACTICE,
  },
  {
    id: 'heat-other',
    when: { kind: 'heat' },
    does: { other: 'note' },
    because: 'Warmth was to be the same.',
    source: PRACTICE,
  },
  {
    id: 'sections',
    when: { kind: 'sections', slots: STYLING },
    does: { definition: 'weakens', frizz: 'weakens', other: 'note' },
    because: 'More sections spread product more evenly.',
    source: PRACTICE,
  },
  {
    id: 'sections-other',
    when: { kind: 'sections' },
    does: { other: 'note' },
    because: 'The sections were to be the same.',
    source: PRACTICE,
  },
  {
    id: 'dry-fraction-far',
    when: { kind: 'dry-fraction', from: 15 },
    does: { ...SHAPED, other: 'weakens' },
    because: 'Hair touched while damp sets again in another shape; how far it was dried is what is held.',
    source: METHODS,
  },
  {
    id: 'dry-fraction',
    when: { kind: 'dry-fraction' },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'Hair touched while damp sets again in another shape.',
    source: METHODS,
  },
  {
    id: 'posture-parting',
    when: { kind: 'setting', details: ['posture', 'parting', 'turning'] },
    does: { volume: 'breaks', definition: 'weakens', frizz: 'weakens', other: 'note' },
    because: 'Head down, another parting or another turn lifts the roots another way.',
    source: PRACTICE,
  },
  {
    id: 'water-dilution',
    when: { kind: 'setting', details: ['water', 'dilution'] },
    does: { ...SHAPED_WEAK, other: 'weakens' },
    because: 'More water is less product on the hair.',
    source: PRACTICE,
  },
  {
    id: 'setting',
    when: { kind: 'setting' },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'A setting that was to be the same.',
    source: PRACTICE,
  },
  {
    id: 'dew-point-far',
    when: { kind: 'dew-point', from: 10 },
    does: { definition: 'breaks', frizz: 'breaks', volume: 'breaks', hold: 'weakens', other: 'weakens' },
    because: 'Air this different swells or dries hair more than two products differ.',
    source: MODEL,
  },
  {
    id: 'dew-point',
    when: { kind: 'dew-point' },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'Another dew-point band: humectants and films behave otherwise.',
    source: PRACTICE,
  },
  {
    id: 'wind-strong',
    when: { kind: 'wind', from: 6 },
    does: { frizz: 'weakens', definition: 'weakens', volume: 'weakens', hold: 'weakens', other: 'note' },
    because: 'Strong wind breaks clumps up.',
    source: PRACTICE,
  },
  {
    id: 'wind',
    when: { kind: 'wind' },
    does: { frizz: 'weakens', other: 'note' },
    because: 'Wind lifts strays.',
    source: PRACTICE,
  },
  {
    id: 'outdoors-of-arm',
    when: { kind: 'outdoors', ofArm: true },
    does: { other: 'note' },
    because: 'Hair that looks good goes out more: it may come from the arm itself.',
    source: METHODS,
  },
  {
    id: 'outdoors',
    when: { kind: 'outdoors' },
    does: { frizz: 'weakens', other: 'note' },
    because: 'More hours in the weather.',
    source: PRACTICE,
  },
  {
    id: 'build-up-coated',
    when: { kind: 'build-up', from: 1 },
    does: { volume: 'breaks', other: 'weakens' },
    because: 'One side began on coated hair: the ground was not equal.',
    source: MODEL,
  },
  {
    id: 'build-up',
    when: { kind: 'build-up' },
    does: { volume: 'weakens', shine: 'weakens', other: 'note' },
    because: 'One side carried more from earlier wash days: reset before every one.',
    source: MODEL,
  },
  {
    id: 'protein',
    when: { kind: 'protein' },
    does: { softness: 'weakens', other: 'note' },
    because: 'Protein adds up and stiffens.',
    source: MODEL,
  },
  {
    id: 'state-chemical',
    when: { kind: 'state', details: ['bleach', 'relaxer', 'big-cut'], from: 28 },
    does: { other: 'breaks' },
    because: 'The hair itself is another since then.',
    source: PRACTICE,
  },
  {
    id: 'state-straight',
    when: { kind: 'state', details: ['heat', 'blow-out'], from: 7 },
    does: { ...SHAPED_WEAK, definition: 'breaks', other: 'weakens' },
    because: 'Straightened hair reverts over several washes; until then its curl is not its own.',
    source: PRACTICE,
  },
  {
    id: 'state-colour',
    when: { kind: 'state', details: ['colour', 'trim', 'braids-out'], from: 28 },
    does: { other: 'weakens' },
    because: 'Colour, a trim or braids taken out change how the ends behave.',
    source: PRACTICE,
  },
  {
    id: 'state-clarify',
    when: { kind: 'state', details: ['clarify'], from: 14 },
    does: { volume: 'weakens', shine: 'weakens', other: 'note' },
    because: 'Freshly clarified hair has more lift and less slip.',
    source: PRACTICE,
  },
  {
    id: 'state-care',
    when: { kind: 'state', details: ['protein-intense', 'deep-condition'], from: 14 },
    does: { softness: 'weakens', shine: 'weakens', other: 'note' },
    because: 'A treatment is still felt for some washes.',
    source: PRACTICE,
  },
  {
    id: 'bottle-old',
    when: { kind: 'bottle', from: 180 },
    does: { other: 'weakens' },
    because: 'An old bottle has lost water and scent, and may have changed.',
    source: MODEL,
  },
  {
    id: 'scarf-one-side',
    when: { kind: 'sleep', halves: true },
    does: { definition: 'breaks', frizz: 'breaks', volume: 'breaks', hold: 'weakens', other: 'note' },
    because:
      'Protection on one side alone is a difference of sides in itself; what is felt by hand bears it.',
    source: PRACTICE,
  },
  {
    id: 'sleep-often',
    when: { kind: 'sleep', from: 2 },
    does: { ...SHAPED_WEAK, definition: 'breaks', frizz: 'breaks', other: 'note' },
    because: 'Several nights uncovered rub a style apart.',
    source: PRACTICE,
  },
  {
    id: 'sleep',
    when: { kind: 'sleep' },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'A night uncovered rubs a style apart.',
    source: PRACTICE,
  },
  {
    id: 'event-water',
    when: { kind: 'event', details: ['rain'] },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'Rain wets a style again.',
    source: PRACTICE,
  },
  {
    id: 'event-sweat',
    when: { kind: 'event', details: ['workout'], from: 2 },
    does: { ...SHAPED_WEAK, other: 'note' },
    because: 'Sweat wets the roots again and brings salt.',
    source: PRACTICE,
  },
  {
    id: 'event-pressed',
    when: { kind: 'event', details: ['ponytail', 'hat'] },
    does: { volume: 'breaks', definition: 'weakens', frizz: 'weakens', hold: 'weakens', other: 'note' },
    because: 'What presses or ties the hair takes its volume.',
    source: PRACTICE,
  },
  {
    id: 'event-other',
    when: { kind: 'event' },
    does: { frizz: 'weakens', other: 'note' },
    because: 'It happened to one side more than to the other.',
    source: PRACTICE,
  },
  {
    id: 'judged',
    when: { kind: 'judged' },
    does: { other: 'breaks' },
    because: 'Hair of different days is not compared.',
    source: METHODS,
  },
  {
    id: 'rater',
    when: { kind: 'rater' },
    does: { other: 'weakens' },
    because: 'Two people use a scale each in their own way.',
    source: METHODS,
  },
  {
    id: 'blind',
    when: { kind: 'blind' },
    does: { other: 'weakens' },
    because: 'Who knows the arm may see what is expected.',
    source: METHODS,
  },
  {
    id: 'stake',
    when: { kind: 'stake' },
    does: { other: 'weakens' },
    because: 'A gift or a payment on one side alone leans, also without meaning to.',
    source: PRACTICE,
  },
];

/** Whether a rule speaks of a difference. */
export const speaksOf = ({ when }: FairnessRule, difference: Difference, halves: boolean): boolean =>
  (when.kind === undefined || when.kind === difference.kind) &&
  (when.shared === undefined || when.shared === (difference.shared ?? false)) &&
  (when.slots === undefined || (difference.slot !== null && when.slots.includes(difference.slot))) &&
  (when.details === undefined || (difference.detail !== null && when.details.includes(difference.detail))) &&
  (when.from === undefined || difference.size >= when.from - 1e-9) &&
  (when.halves === undefined || when.halves === halves) &&
  (when.ofArm === undefined || when.ofArm === difference.ofArm);
