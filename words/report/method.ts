import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { mainResult } from '@sabor/core/compare/main-result';
import { SLOTS } from '@sabor/core/step/slots';
import { DESIGNS, isTested } from '@sabor/core/trial/designs';
import { dateInWords } from '../dates.ts';
import { doseInWords } from '../dose.ts';
import { goodEnoughInWords, numbersOf } from '../main-result.ts';
import { counted } from '../numbers.ts';
import { traitInWords } from '../verdict-card.ts';

/** One item of the method, in the order that reports of trials on one person are read in. */
export interface MethodItem {
  heading: string;
  sentences: string[];
}

export interface Told {
  trial: TrialDetail;
  /** What the wearer is called in the report. */
  who: string;
  wearer: Wearer;
  products: readonly Product[];
  /** Today, by which dates are said with or without their year. */
  today: string;
}

const list = (names: readonly string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** The head, by its traits: "3B, medium porosity, …". */
function headInWords({ pattern, porosity, strand, density }: Wearer): string {
  const told = (
    [
      ['pattern', pattern],
      ['porosity', porosity],
      ['strand', strand],
      ['density', density],
    ] as const
  ).flatMap(([trait, value]) => (value === null ? [] : [traitInWords(trait, value)]));
  return told.join(', ') || 'nothing told of it';
}

/** What was kept the same, step by step: "cleanse with Low Tide Shampoo (3 pumps)". */
function keptInWords({ plan }: TrialDetail, nameOf: (id: string) => string): string {
  return plan
    .filter(({ part }) => part === 'held')
    .map(({ slot, productId, dose }) =>
      [
        SLOTS[slot].label.toLowerCase(),
        productId ? ` with ${nameOf(productId)}` : '',
        productId && dose ? ` (${doseInWords(dose)})` : '',
      ].join(''),
    )
    .join('; ');
}

const MONTH = (moment: string) => moment.slice(0, 10);

/**
 * The method of a trial, plainly, from its record, in the order of the CENT 2015 list for trials on one person (Vohra & al.,
 * BMJ 350, h1738; the order from memory, unchecked): design, head, options, outcomes, number of wash days, order, sealing,
 * blinding, statistics, what went otherwise, dates.
 */
export function methodOf({ trial, who, wearer, products, today }: Told): MethodItem[] {
  const design = DESIGNS[trial.design];
  const nameOf = (id: string) => products.find((one) => one.id === id)?.name ?? 'a removed product';
  const { label, better, lasting } = mainResult(trial.primary);
  const say = numbersOf(trial.primary);
  const arms = trial.arms.map(({ name }) => name);
  const abandoned = trial.washDayRecords.filter(({ status }) => status === 'abandoned');
  const raters = [
    ...new Set(trial.washDayRecords.flatMap(({ checkIns }) => checkIns.map(({ rater }) => rater ?? ''))),
  ].filter(Boolean);
  const dates = trial.washDayRecords.map(({ localDate }) => localDate).sort();
  const tested = trial.plan
    .filter(({ part }) => part === 'tested')
    .map(({ slot }) => SLOTS[slot].label.toLowerCase());
  return [
    {
      heading: 'Design',
      sentences: [
        `A trial on one head: ${counted(arms.length, 'option')} in ${counted(trial.washDays, 'planned wash day')}${design.halves ? ', two at a time on the two halves of the head' : ', one a wash day'}; each worn ${counted(trial.wearDays, 'day')}.`,
      ],
    },
    {
      heading: 'Head',
      sentences: [`${who}: ${headInWords(wearer)}${wearer.underAge ? '; under age' : ''}.`],
    },
    {
      heading: 'What was compared',
      sentences: [
        `In the step ${list(tested)}: ${list(arms)}.`,
        `Kept the same: ${keptInWords(trial, nameOf) || 'nothing else is on record'}.`,
      ],
    },
    {
      heading: 'Main result, promised before the first wash day',
      sentences: [
        lasting
          ? `${label}: days good enough, ${goodEnoughInWords(trial.primary, trial.line)}, counted to day ${trial.wearDays}.`
          : `${label} on day ${trial.onDay}; ${better === 'higher' ? 'more' : 'less'} is wanted. Good enough ${goodEnoughInWords(trial.primary, trial.line)}.`,
        `A difference of ${say.amount(trial.matters)} counts as worth switching for.`,
        raters.length === 0 ? 'Rated by the tester.' : `Rated by ${list(raters)}.`,
      ],
    },
    {
      heading: 'Order',
      sentences: [
        isTested(trial.design)
          ? `Drawn at random before the start${trial.seed === null ? '' : ` (seed ${trial.seed})`}; each wash day’s option stayed sealed until that wash day began.`
          : 'Not drawn at random.',
      ],
    },
    {
      heading: 'Blinding',
      sentences: [
        trial.blind
          ? 'The options went by codes; the key was opened after the last rating.'
          : 'Not blind: whoever rated knew which option it was.',
      ],
    },
    {
      heading: 'Reckoning',
      sentences: isTested(trial.design)
        ? [
            `A randomisation test over all orders that could have been drawn, at ${trial.alpha.toFixed(2)}; intervals from the same test.${trial.looks === 2 ? ' One look half way was promised.' : ''} Everything but the main result is described, not tested.`,
          ]
        : ['Described only.'],
    },
    {
      heading: 'What went otherwise',
      sentences: [
        abandoned.length === 0
          ? 'No wash day was abandoned.'
          : `Abandoned and run again: ${abandoned.map(({ position, abandonReason }) => `wash day ${position + 1} (${abandonReason ?? 'no reason given'})`).join(', ')}.`,
        trial.amendments.length === 0
          ? 'The plan was not changed.'
          : `The plan was changed ${counted(trial.amendments.length, 'time')}: ${trial.amendments.map(({ reason }) => reason).join('; ')}.`,
        ...(trial.status === 'finished' || trial.endedAt === null
          ? []
          : [`It ended as: ${trial.status}${trial.endReason ? `, ${trial.endReason}` : ''}.`]),
      ],
    },
    {
      heading: 'When',
      sentences: [
        dates.length === 0
          ? 'Not begun.'
          : `First wash day ${dateInWords(dates[0]!, today)}, last ${dateInWords(dates.at(-1)!, today)}${trial.endedAt ? `; over on ${dateInWords(MONTH(trial.endedAt), today)}` : ''}.`,
      ],
    },
  ];
}

/** What such a list asks for and the record does not hold: told to the tester, who can still say it. */
export function missingIn({ trial }: Pick<Told, 'trial'>): string[] {
  const days = trial.washDayRecords.filter(({ status }) => status !== 'abandoned');
  const rated = (outcome: string) =>
    days.some(({ checkIns }) =>
      checkIns.some(({ ratings }) => ratings.some((one) => one.outcome === outcome)),
    );
  return [
    ...(trial.blind ? [] : ['It was not rated blind.']),
    ...(rated('scalp') ? [] : ['Scalp comfort was not rated: nothing can be said of harm.']),
    ...(days.some(({ photographs }) => photographs.length > 0) ? [] : ['There is no photograph.']),
    ...(days.some(({ checkIns }) => checkIns.some(({ rater }) => rater))
      ? []
      : ['Who rated is not on record.']),
    ...(days.some(({ temperatureC, air }) => temperatureC !== null || air !== null)
      ? []
      : ['The air of the wash days is not on record.']),
    'It stands in no public register: the plan was locked in Sabor alone.',
  ];
}
