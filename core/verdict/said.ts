import type { Outcome } from '../outcomes/outcomes.ts';
import type { About } from './evidence.ts';

/** Something a verdict's free words say that figures can hold them to. */
export type Said =
  | { kind: 'better' | 'worse' | 'as good'; name: string | null; about: About | null; words: string }
  | { kind: 'lasts'; days: number; words: string }
  | { kind: 'health'; words: string };

const BETTER =
  /\b(better|best|beats?|beat(?:en)? everything|outperform(?:s|ed)?|superior|winner|wins|number one|holy grail|more (?:defined|definition|hold|shine|volume)|less frizz(?:y)?|stronger|softer|longer(?:[- ]lasting)?)\b/i;
const WORSE =
  /\b(worse|worst|weaker|inferior|loses to|frizzier|less (?:defined|definition|hold|shine|volume))\b/i;
const EQUAL =
  /\b(as good as|just as (?:good|well)|the same as|equal(?:s)? to|equivalent|identical|a dupe|dupe (?:of|for)|no different (?:from|to|than)|indistinguishable|every bit as)\b/i;
/** "No better than", "not the best": nothing is claimed to be ahead. */
const DENIED = /\b(?:no|not|never|isn[’']t|wasn[’']t|hardly|neither)\b(?:\s+\w+){0,2}\s*$/i;
const LASTING =
  /\b(last(?:s|ed|ing)?|h[eo]ld(?:s|ing)?|stay(?:s|ed)?|keep(?:s)?|kept|good|defined|survive[sd]?|through)\b/i;
const NUMBERS: Readonly<Record<string, number>> = {
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  ten: 10,
};
const DAYS = new RegExp(
  `\\b(?:\\d{1,2}\\s*(?:-|–|to)\\s*)?(\\d{1,3}|${Object.keys(NUMBERS).join('|')})[\\s-]*(?:full |whole |good )?(days?|nights?|hours?|hrs?|h)\\b`,
  'gi',
);
const WEEK = /\b(?:all|a|the|one)\b(?:\s+(?:whole|full|entire))?\s+week\b|\bweek-?long\b/i;
/** What a comparison is about, by its words; the first that fits. */
const ABOUT: readonly (readonly [RegExp, About])[] = [
  [/\blonger\b|\blast(?:s|ed|ing)?\b|\bmore days\b/i, 'good-days'],
  [/\bdefin/i, 'definition'],
  [/\bfrizz/i, 'frizz'],
  [/\bhold\b|\bstronger\b|\bweaker\b/i, 'hold'],
  [/\bvolume\b|\bbody\b|\bflatter\b/i, 'volume'],
  [/\bshin(?:e|ier|y)\b|\bgloss/i, 'shine'],
  [/\bsoft/i, 'softness'],
  [/\bscalp\b|\bitch/i, 'scalp' satisfies Outcome],
];
const aboutIn = (sentence: string): About | null =>
  ABOUT.find(([words]) => words.test(sentence))?.[1] ?? null;

const HEALTH =
  /\b(cures?|heals?|treats? (?:dandruff|eczema|psoriasis|hair loss|alopecia)|hair growth|regrow\w*|grows? hair|stops? hair loss|anti[- ]?dandruff|eczema|psoriasis|hypoallergenic|safe for (?:everyone|children|babies|pregnan\w+)|non[- ]?toxic|medical\w*|repairs? (?:damage|bonds|split ends))\b/i;

const sentencesOf = (text: string): string[] =>
  text
    .split(/(?<=[.!?])\s+|\n+|;/)
    .map((sentence) => sentence.trim())
    .filter(Boolean);

const asserted = (sentence: string, what: RegExp): boolean => {
  const found = what.exec(sentence);
  return found !== null && !DENIED.test(sentence.slice(0, found.index));
};

/** Most of a text that is read for what it says, in characters. */
export const READ_AT_MOST = 4000;

/** The days that a sentence says something lasts; hours count as the days they reach into. */
function daysIn(sentence: string): number | null {
  if (!LASTING.test(sentence)) return null;
  const told = [...sentence.matchAll(DAYS)].map(([, amount, unit]) => {
    const number = NUMBERS[amount!.toLowerCase()] ?? Number(amount);
    return /^h/i.test(unit!) ? Math.ceil(number / 24) : number;
  });
  if (WEEK.test(sentence)) told.push(7);
  return told.length > 0 ? Math.max(...told) : null;
}

/**
 * What free words claim that figures can speak to: ahead of, behind or as good as something (`names` are those of the other
 * products; a sentence that names none is about all of them), how many days it lasts, and what is for doctors to say. English
 * turns of speech, our own list: it misses what is said otherwise, and what it finds is shown, never changed.
 */
export function saidIn(text: string, names: readonly string[]): Said[] {
  return sentencesOf(text.slice(0, READ_AT_MOST)).flatMap((words): Said[] => {
    const lower = words.toLowerCase();
    const named = names.filter((name) => name.trim() !== '' && lower.includes(name.toLowerCase()));
    const about = (kind: 'better' | 'worse' | 'as good'): Said[] =>
      (named.length > 0 ? named : [null]).map((name) => ({ kind, name, about: aboutIn(words), words }));
    const days = daysIn(words);
    const equal = asserted(words, EQUAL);
    return [
      ...(equal ? about('as good') : []),
      ...(!equal && asserted(words, BETTER) ? about('better') : []),
      ...(!equal && asserted(words, WORSE) ? about('worse') : []),
      ...(days === null ? [] : [{ kind: 'lasts' as const, days, words }]),
      ...(HEALTH.test(words) ? [{ kind: 'health' as const, words }] : []),
    ];
  });
}
