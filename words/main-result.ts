import { type MainResult, mainResult } from '@sabor/core/compare/main-result';
import { FELT } from '@sabor/core/felt/felt';

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

export function mainInWords(key: MainResult): MainWords {
  const { label, better, felt } = mainResult(key);
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
  const { label, better, felt } = mainResult(key);
  return felt
    ? `${FELT[felt.quality].label.toLowerCase()} near ${felt.word}, from ${line}`
    : `${label.toLowerCase()} ${better === 'higher' ? 'from' : 'up to'} ${line}`;
}
