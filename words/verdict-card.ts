import type { VerdictContent } from '@sabor/contract/verdict';
import { STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { COLUMNS } from '@sabor/core/board/columns';
import { FELT } from '@sabor/core/felt/felt';
import { CLAIMS } from '@sabor/core/ingredients/claims';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { ROLES, STAKES, type Stake } from '@sabor/core/shelf/products';
import type { ClaimFact } from '@sabor/core/verdict/claims';
import type { About, Evidence, Versus } from '@sabor/core/verdict/evidence';
import type { Objection } from '@sabor/core/verdict/held';
import type { Place } from '@sabor/core/verdict/place';
import {
  type Against,
  BUY_AGAIN,
  CLAIM_STATES,
  type ForWhom,
  SUITS,
  type Suits,
} from '@sabor/core/verdict/words-of-verdict';
import { signedInWords } from './board.ts';
import { doseInWords } from './dose.ts';
import { moneyInWords } from './money.ts';
import { capital, counted, rounded } from './numbers.ts';

/** What stood behind a verdict, without what only its claims were read from. */
export type Figures = Omit<Evidence, 'rated' | 'felt' | 'lastOn' | 'versusIn'>;

/** What a comparison is about: "definition", "how long it stays good". */
const aboutInWords = (about: About): string =>
  about === 'good-days' ? 'how long it stays good' : OUTCOMES[about].label.toLowerCase();
const inAbout = (about: About | null): string => (about === null ? '' : `In ${aboutInWords(about)} `);
const startOf = (about: About | null, rest: string): string => capital(`${inAbout(about)}${rest}`);

/** A trait and its value as they are said: "3B", "low porosity", "fine strand", "long". */
export function traitInWords(trait: Suits, value: string): string {
  const { label, options } = SUITS[trait];
  const says = (options as Readonly<Record<string, { label: string }>>)[value]?.label ?? value;
  if (trait === 'pattern' || trait === 'experience' || trait === 'transitioning') return says;
  return trait === 'length' ? `${says} hair` : `${says} ${label.toLowerCase()}`;
}

/** Whom it suits and whom not, what was tested apart from what is a guess: up to four sentences. */
export function forWhomInWords(all: readonly ForWhom[]): string[] {
  const part = (how: ForWhom['how'], suits: boolean) =>
    all
      .filter((one) => one.how === how && one.suits === suits)
      .map(({ trait, value }) => traitInWords(trait, value))
      .join(', ');
  const say = (start: string, words: string) => (words === '' ? [] : [`${start}: ${words}.`]);
  return [
    ...say('Suited, tested on such a head', part('tested', true)),
    ...say('Did not suit, tested on such a head', part('tested', false)),
    ...say('My guess, it suits', part('guess', true)),
    ...say('My guess, it does not suit', part('guess', false)),
  ];
}

/** A sentence that stands beside a verdict, because it says more than its figures. */
export function besideInWords(one: Objection): string {
  switch (one.kind) {
    case 'impression':
      return 'An impression: no finished trial stands behind it.';
    case 'cannot tell':
      return startOf(
        one.about,
        one.than === null
          ? 'the trials cannot tell it from all others of its step.'
          : `the trials cannot tell it from ${one.than}.`,
      );
    case 'only in':
      return `Against ${one.than} it was shown in ${aboutInWords(one.about)} alone.`;
    case 'other way':
      return startOf(one.about, `the trials say the opposite of what is said here about ${one.than}.`);
    case 'never met':
      return `No trial on this head joins it with ${one.than}.`;
    case 'as good':
      return `That two are as good was not shown${one.than === null ? '' : `: ${one.than}`}. Not finding a difference does not show that there is none; that takes a trial planned for it.`;
    case 'not seen so long':
      return `It was seen to day ${one.seen}, not to day ${one.said}.`;
    case 'not so long':
      return `${OUTCOMES[one.by].label} stayed good ${rounded(one.good)} days on average, not ${one.said}.`;
    case 'claim':
      return `“${one.claim}”: said to be ${CLAIM_STATES[one.said].label}; what was read comes to “${CLAIM_STATES[one.found].label}”.`;
    case 'not tested on':
      return `It was not tested on ${traitInWords(one.trait, one.value)}.`;
    case 'amount':
      return `It was tested at ${doseInWords(one.tested)}.`;
    case 'health':
      return 'Health of scalp and hair is for a doctor or dermatologist to judge; a hair trial cannot show it.';
    case 'weakened':
      return 'Its fairness check found something that weakens it.';
  }
}

/** What always travels with a verdict: how the tester stands to the product, what it rests on, how far it was seen. */
export function restsInWords(figures: Figures | null, stake: Stake | null): string[] {
  const told =
    stake === null
      ? []
      : [STAKES[stake].discloses ? `To declare: ${STAKES[stake].label}.` : 'The tester bought the product.'];
  if (figures === null) return [...told, 'No trial stands behind this.'];
  const { trials, washDays, seenTo, dose } = figures;
  const blind = trials.filter((one) => one.blind).length;
  const weak = trials.filter(({ fair }) => fair !== 'clean').length;
  return [
    ...told,
    `${counted(trials.length, 'trial')}, ${counted(washDays, 'wash day')} with it, on one head; seen to day ${seenTo}.`,
    blind === 0
      ? 'Not rated blind.'
      : blind === trials.length
        ? 'Rated blind.'
        : `Rated blind in ${blind} of ${trials.length} trials.`,
    weak === 0
      ? 'The fairness check found nothing that counts against it.'
      : `The fairness check weakens ${weak} of ${counted(trials.length, 'trial')}.`,
    `Tested at ${dose ? doseInWords(dose) : 'an amount that was not recorded'}.`,
  ];
}

/** How it stands to others of its step, by what holds over all of them; `nameOf` a product's. */
export function versusInWords(
  { column, versus, decided }: Pick<Figures, 'column' | 'versus' | 'decided'>,
  nameOf: (productId: string) => string,
): string[] {
  const where = column === 'wish' ? 'as wished' : `in ${COLUMNS[column].label.toLowerCase()}`;
  const of = (state: Versus['state']) => versus.filter((one) => one.state === state);
  const names = (all: readonly Versus[]) => all.map(({ productId }) => nameOf(productId)).join(', ');
  const clear = ({ productId, by }: Versus, word: string) =>
    by === null
      ? `${word} ${nameOf(productId)} ${where}, at each amount.`
      : `${word} ${nameOf(productId)} ${where}: ${signedInWords(column, by.value)} (${signedInWords(column, by.low)} to ${signedInWords(column, by.high)}).`;
  return [
    ...decided.map(
      ({ about, productId, state }) =>
        `Decided by a trial: ${state === 'ahead' ? 'ahead of' : 'behind'} ${nameOf(productId)} in ${aboutInWords(about)}.`,
    ),
    ...of('ahead').map((one) => clear(one, 'Clearly ahead of')),
    ...of('behind').map((one) => clear(one, 'Clearly behind')),
    ...(of('cannot tell').length > 0
      ? [
          `${column === 'wish' ? 'As wished, no clear difference' : `No clear difference ${where}`} from ${names(of('cannot tell'))}.`,
        ]
      : []),
  ];
}

/** What a claim was set against: "flakes: none as the middle word of 8 wash days, a few at most". */
export function claimFactInWords(fact: ClaimFact, degrees: (celsius: number) => string): string {
  switch (fact.kind) {
    case 'days':
      return fact.good === null
        ? `No days were counted; seen to day ${fact.seenTo}.`
        : `${OUTCOMES[fact.good.by].label} stayed good ${rounded(fact.good.value)} days on average, counted to day ${fact.good.to}; ${fact.days} are claimed.`;
    case 'other days':
      return `It speaks of ${OUTCOMES[fact.asks].label.toLowerCase()}; days were counted by ${OUTCOMES[fact.by].label.toLowerCase()}.`;
    case 'hold':
      return `Hold was rated ${rounded(fact.value)} of 10 on average, from ${counted(fact.days, 'number')}.`;
    case 'felt': {
      const { label, words } = FELT[fact.quality];
      return `${label}: “${words[fact.middle]}” as the middle word of ${counted(fact.days, 'wash day')}, “${words[fact.worst]}” at most.`;
    }
    case 'colour':
      return `Colour in the rinse: “${FELT.colour.words[fact.worst]}” at most on ${counted(fact.days, 'wash day')}${fact.since === null ? ', with no colouring on record' : `, ${counted(fact.since, 'day')} after colouring`}. Soon after colouring that proves little.`;
    case 'list':
      return fact.items.length === 0
        ? `Read from its list: nothing speaks against “${CLAIMS[fact.claim].label}”.`
        : `Read from its list, against “${CLAIMS[fact.claim].label}”: ${fact.items.slice(0, 4).join(', ')}.`;
    case 'air':
      return fact.high === null
        ? 'In which air it was worn is not known.'
        : `The dampest air it was worn in had a dew point of ${degrees(fact.high)}.`;
    case 'laboratory':
      return 'No wash day can show this: it takes a laboratory. Keep to the label.';
    case 'not read':
      return 'Nothing that was read speaks to it.';
  }
}

const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
];
/** The tester's own place of a product among its kind: "Third of five of its kind (mousse or foam)." */
export function placeInWords({ kind, place, of, shared }: Place): string {
  const words = ORDINALS[place - 1] ?? `${place}th`;
  const label = (ROLES as Readonly<Record<string, { label: string }>>)[kind]?.label.toLowerCase() ?? kind;
  return `${capital(words)} of ${of} of its kind (${label})${shared ? ', sharing the place' : ''}.`;
}

const SAYS = { better: 'better than', 'as good': 'as good as', worse: 'not as good as' } as const;

/** What is said of others: "Said to be better than Anvil Gel." Nothing where nothing is said. */
export const againstInWords = (against: readonly Against[], nameOf: (id: string) => string): string[] =>
  against.length === 0
    ? []
    : [
        `Said to be ${against.map(({ productId, says }) => `${SAYS[says]} ${nameOf(productId)}`).join(', ')}.`,
      ];

/** What a saying holds beside its score, its reason, its claims and whom it suits: each by what it is called. */
export function factsInWords(
  content: VerdictContent,
  rests: Figures | null,
  isWay: boolean,
): [label: string, value: string][] {
  const { amount, buyAgain, buyWhy, style, effort, feel, packaging, next } = content;
  const money = (label: string, value: number | null | undefined): [string, string][] =>
    value == null || !rests?.currency ? [] : [[label, moneyInWords(value, rests.currency)]];
  const told: [string, string][] = [
    ['Amount that worked', amount ? doseInWords(amount) : ''],
    [
      isWay ? 'Would do it again' : 'Would buy again',
      buyAgain ? `${BUY_AGAIN[buyAgain].label}${buyWhy ? `: ${buyWhy}` : ''}` : '',
    ],
    ['Best for', style ? STYLES_MEANT[style].label : ''],
    ...money('A wash, all products', rests?.costPerWash),
    ...money('A good day', rests?.costPerGoodDay),
    ['Effort', effort],
    ['Scent and feel', feel],
    ['Packaging', packaging],
    ['Try next', next],
  ];
  return told.filter(([, value]) => value !== '');
}
