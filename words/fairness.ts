import { CAME_FROM } from '@sabor/core/basin/came-from';
import { STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { dewPointBand } from '@sabor/core/climate/dew-point-bands';
import type { Difference } from '@sabor/core/fairness/difference';
import { HAIR_STATES, type Run, type Side } from '@sabor/core/fairness/run';
import { FELT } from '@sabor/core/felt/felt';
import { EVENTS } from '@sabor/core/outcomes/events';
import { STAKES } from '@sabor/core/shelf/products';
import { MARKS } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import { capital, counted, rounded, temperature } from './numbers.ts';
import { sideOfFact } from './step.ts';
import type { Voice } from './voice.ts';

/** A side of a comparison as it is called: "wash day 3", "the left half of wash day 3", "the plan". */
export function sideInWords(side: Side): string {
  switch (side.is) {
    case 'wash day': {
      const day = `wash day ${side.number}`;
      return side.half === null ? day : `the ${side.half} half of ${day}`;
    }
    case 'this day':
      return side.half === null ? 'the day' : `the ${side.half} half`;
    case 'plan':
      return 'the plan';
    case 'own plan':
      return 'its own plan';
    case 'arm':
      return side.arm;
    case 'wash days of arm':
      return `${side.arm}’s wash days`;
  }
}

/** "on wash day 3", "in the plan". */
const placed = ({ is }: Side, words: string) =>
  `${is === 'plan' || is === 'own plan' ? 'in' : 'on'} ${words}`;

const nights = (n: number) => counted(n, 'night');
const times = (n: number) => (n === 0 ? 'not' : n === 1 ? 'once' : `${rounded(n)} times`);
const since = (days: number | null) =>
  days === null ? 'never before' : days === 0 ? 'on the day of' : `${counted(days, 'day')} before`;
const stakes = (of: Run['stakes'], { product }: Voice) =>
  of.length
    ? of.map(({ productId, stake }) => `${product(productId)}, ${STAKES[stake].label}`).join('; ')
    : 'all bought';

/** What differs between two sides, in a sentence. What was so on both halves alike is told of both. */
export function differenceInWords(difference: Difference, voice: Voice): string {
  const { fact, slot, shared } = difference;
  const both = shared && difference.a.is === 'this day' && difference.a.half !== null;
  const a = both ? 'both halves' : sideInWords(difference.a);
  const b = sideInWords(difference.b);
  const [onA, onB] = [placed(difference.a, a), placed(difference.b, b)];
  const step = slot === null ? '' : SLOTS[slot].label;
  switch (fact.what) {
    case 'heads':
      return capital(`${a} and ${b} are on two heads.`);
    case 'setting':
      return `${step}: ${sideOfFact(fact.fact, fact.fact.a, voice)} ${onA}, ${sideOfFact(fact.fact, fact.fact.b, voice)} ${onB}.`;
    case 'moved':
      return `${step} came at another point ${onA} than ${onB}.`;
    case 'alone': {
      const [there, elsewhere] = fact.on === 'a' ? [onA, onB] : [onB, onA];
      const product = fact.productId === null ? '' : `: ${voice.product(fact.productId)}`;
      return fact.added
        ? `${step} was added ${there}, not ${elsewhere}${product}.`
        : `${step} was done ${there} and not ${elsewhere}.`;
    }
    case 'mark':
      return `${step}: ${MARKS[fact.mark].label} ${fact.on === 'a' ? onA : onB}.`;
    case 'measure':
      return capital(measureInWords(difference, fact, [a, b], [onA, onB], voice));
    case 'since':
      return capital(`${HAIR_STATES[fact.state].label} ${since(fact.a)} ${a}, ${since(fact.b)} ${b}.`);
    case 'changed':
      return `The hair was ${HAIR_STATES[fact.state].label} ${fact.days === 1 ? 'the day' : `${fact.days} days`} before, since the last wash day.`;
    case 'bottle':
      return capital(
        `${voice.product(fact.productId)} had been open ${counted(fact.a, 'day')} ${onA}, ${rounded(fact.b)} ${onB}.`,
      );
    case 'before': {
      const { label, words } = FELT[fact.quality];
      return `${label} before the wash: ${words[fact.a]} ${onA}, ${words[fact.b]} ${onB}.`;
    }
    case 'entered-later':
      return fact.later === 'a'
        ? `Told at the basin ${onB}, entered later ${onA}.`
        : `Told at the basin ${onA}, entered later ${onB}.`;
    case 'style-meant':
      return `Meant to be worn as: ${STYLES_MEANT[fact.a].label} ${onA}, ${STYLES_MEANT[fact.b].label} ${onB}.`;
    case 'came-from':
      return `The hair came out of: ${CAME_FROM[fact.a].label} ${onA}, ${CAME_FROM[fact.b].label} ${onB}.`;
    case 'nights':
      return capital(
        `${nights(fact.a)} ${fact.covered ? 'protected' : 'uncovered'} ${onA}, ${nights(fact.b)} ${onB}.`,
      );
    case 'event':
      return capital(`${EVENTS[fact.event].label}: ${times(fact.a)} ${onA}, ${times(fact.b)} ${onB}.`);
    case 'rater':
      return `Rated by ${fact.a || 'the tester'} ${onA}, by ${fact.b || 'the tester'} ${onB}.`;
    case 'blind':
      return `Rated blind ${fact.on === 'a' ? onA : onB}, not ${fact.on === 'a' ? onB : onA}.`;
    case 'stakes':
      return capital(`${a}: ${stakes(fact.a, voice)}; ${b}: ${stakes(fact.b, voice)}.`);
  }
}

/** A difference of two measured numbers. */
function measureInWords(
  { kind }: Difference,
  { a: x, b: y }: { a: number; b: number },
  [a, b]: readonly [string, string],
  [onA, onB]: readonly [string, string],
  { units }: Voice,
): string {
  switch (kind) {
    case 'dew-point': {
      const air = (celsius: number) =>
        [dewPointBand(celsius).label, temperature(celsius, units.temperature)] as const;
      const [[bandA, dewA], [bandB, dewB]] = [air(x), air(y)];
      return `the air was ${bandA} ${onA} (dew point ${dewA}) and ${bandB} ${onB} (${dewB}).`;
    }
    case 'wind':
      return `wind up to ${rounded(x)} m/s ${onA}, ${rounded(y)} m/s ${onB}.`;
    case 'outdoors':
      return `${rounded(x)} h a day outdoors ${onA}, ${rounded(y)} h ${onB}.`;
    case 'build-up':
    case 'protein': {
      const what = kind === 'protein' ? 'protein' : 'residue';
      return `${a} began with ${rounded(x, 2)} g of ${what} on the hair, ${b} with ${rounded(y, 2)} g.`;
    }
    default:
      return `${a} was judged on day ${rounded(x)}, ${b} on day ${rounded(y)}.`;
  }
}
