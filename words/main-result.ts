import { type MainResult, mainResult, ratedBy } from '@sabor/core/compare/main-result';
import { FELT } from '@sabor/core/felt/felt';
import { counted, fixed, withThousands } from './numbers.ts';

/** A main result in the turns of speech that sentences need. */
export interface MainWords {
  /** What it is called: "definition"; "nearness to a light cast". */
  word: string;
  /** "gives more definition", "comes nearer to the wanted cast (light)". */
  gives: string;
  gave: string;
  /** Of several: "had the most", "the least". */
  most: string;
  least: string;
}

/** How a main result's numbers are said: in points, or in a unit of their own. */
export interface NumberWords {
  /** A size: "1.2", "0.42". */
  size: (x: number) => string;
  /** A size with its unit: "1.2", "0.42 mm". */
  amount: (x: number) => string;
  /** A difference with its sign; what is told as nothing has none: "+1.2", "−0.42", "0.00". */
  signed: (x: number) => string;
  /** Decimal places a size is told with. */
  places: number;
  /** Less than this is nothing. */
  nothing: number;
  /** What is counted: "points", "mm"; of a number without a unit nothing. */
  unit: string;
  /** How a value came about: it was scored, or read; hair stays good for days. */
  did: 'scored' | 'read' | 'stayed good';
  /** More and less of it: "higher", "longer". */
  more: string;
  less: string;
}

export function numbersOf(key: MainResult): NumberWords {
  const { measured, lasting } = mainResult(key);
  const places = measured?.places ?? 1;
  const told = (x: number) => Math.round(x * 10 ** places) / 10 ** places;
  const size = (x: number) => withThousands(fixed(told(x), places));
  const unit = measured ? measured.unit : 'points';
  return {
    size,
    amount: (x) => (measured ? `${size(x)} ${unit}`.trimEnd() : size(x)),
    signed: (x) => `${told(Math.abs(x)) === 0 ? '' : x > 0 ? '+' : '−'}${size(Math.abs(x))}`,
    places,
    nothing: 0.5 / 10 ** places,
    unit,
    did: lasting ? 'stayed good' : measured ? 'read' : 'scored',
    more: lasting ? 'longer' : 'higher',
    less: lasting ? 'shorter' : 'lower',
  };
}

/** A promised number as it was typed: "1 point", "0.4 mm", "0.35". */
export function promisedInWords(key: MainResult, value: number): string {
  const { measured } = mainResult(key);
  if (measured?.what === 'days') return counted(value, 'day');
  return measured ? `${value} ${measured.unit}`.trimEnd() : counted(value, 'point');
}

/** What a wash day's one number is made of. */
export function oneNumberInWords(key: MainResult, zones: number): string {
  const { label, measured, lasting } = mainResult(key);
  const averaged = zones === 1 ? 'one zone' : `${zones} zones averaged`;
  if (lasting) return `good days are counted over each wear, from ${averaged}`;
  if (!measured) return averaged;
  const from = {
    photographs: 'is read in pictures',
    curls: 'is the mean of the tagged curls',
    clock: 'go by the steps’ clocks',
    wear: '',
  }[measured.from];
  return `${label.toLowerCase()} ${from}, ratings are ${averaged}`;
}

export function mainInWords(key: MainResult): MainWords {
  const { label, better, felt, measured, lasting } = mainResult(key);
  if (lasting) {
    const of = mainResult(lasting).label.toLowerCase();
    return {
      word: `good days (${of})`,
      gives: `keeps ${of} good for longer`,
      gave: `kept ${of} good for longer`,
      most: 'lasted longest',
      least: 'shortest',
    };
  }
  if (felt) {
    const wanted = `the wanted ${FELT[felt.quality].label.toLowerCase()} (${felt.word})`;
    return {
      word: `nearness to ${wanted}`,
      gives: `comes nearer to ${wanted}`,
      gave: `came nearer to ${wanted}`,
      most: 'came nearest',
      least: 'stayed furthest',
    };
  }
  const word = label.toLowerCase();
  if (measured?.from === 'clock') {
    const [more, most, least] =
      better === 'higher' ? ['more', 'most', 'fewest'] : ['fewer', 'fewest', 'most'];
    return {
      word,
      gives: `takes ${more} ${word}`,
      gave: `took ${more} ${word}`,
      most: `took the ${most}`,
      least: `the ${least}`,
    };
  }
  if (measured) {
    const [more, most, least] =
      better === 'higher' ? ['higher', 'highest', 'lowest'] : ['lower', 'lowest', 'highest'];
    return {
      word,
      gives: `reads ${more} in ${word}`,
      gave: `read ${more} in ${word}`,
      most: `read ${most}`,
      least,
    };
  }
  const [more, most, least] = better === 'higher' ? ['more', 'most', 'least'] : ['less', 'least', 'most'];
  return {
    word,
    gives: `gives ${more} ${word}`,
    gave: `gave ${more} ${word}`,
    most: `had the ${most}`,
    least: `the ${least}`,
  };
}

/** When a day is good enough by its main result: "frizz up to 4", "cast at most one word from light". */
export function goodEnoughInWords(key: MainResult, line: number): string {
  const { label, better, felt, measured } = mainResult(ratedBy(key));
  return felt
    ? `${FELT[felt.quality].label.toLowerCase()} near ${felt.word}, from ${line}`
    : `${label.toLowerCase()} ${better === 'higher' ? 'from' : 'up to'} ${line} ${measured?.unit ?? ''}`.trimEnd();
}
