import type { Outcome } from '../outcomes/outcomes.ts';
import type { About } from './evidence.ts';

/** Something a verdict's free words say that figures can hold them to. */
export type Said =
  | { kind: 'better' | 'worse' | 'as good'; name: string | null; about: About | null; words: string }
  | { kind: 'lasts'; days: number; words: string }
  | { kind: 'health'; words: string };

/** Ahead by a comparison, which says nothing of products until it says of which. */
const BETTER =
  /\b(better|beats?|beat|outperform(?:s|ed)?|superior|wins?|won|winner|more (?:defined|definition|hold|shine|volume)|less frizz(?:y)?|stronger|softer|shinier|longer(?:[- ]lasting)?)\b/i;
const WORSE =
  /\b(worse|weaker|inferior|loses|lost to|frizzier|more frizz|less (?:defined|definition|hold|shine|volume)|shorter)\b/i;
/** Ahead of, or behind, all there are. */
const BEST =
  /\b(best|number one|no\. ?1|holy grail|beat(?:s|en)? (?:everything|them all)|unbeaten|second to none)\b/i;
const WORST = /\b(worst)\b/i;
const ALL =
  /\bthan (?:all|any(?:thing)?|every(?:thing)?|the others?|the rest|others?)\b|\b(?:beats?|outperforms?) (?:all|any|every|the others?|the rest)\b/i;
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
const clausesOf = (sentence: string): string[] =>
  sentence
    .split(/,|\bbut\b|\band\b|\bwhile\b|\bwhereas\b|[–—()]/i)
    .map((clause) => clause.trim())
    .filter(Boolean);

const asserted = (sentence: string, what: RegExp): RegExpExecArray | null => {
  const found = what.exec(sentence);
  return found !== null && !DENIED.test(sentence.slice(0, found.index)) ? found : null;
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

/** What a name ends in that tells its kind and not the product. */
const KINDS =
  /\s+(gel|jelly|foam|mousse|cream|custard|mask|conditioner|shampoo|leave-in|spray|mist|oil|wash|butter|milk|lotion)$/i;
const literal = (text: string) => text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** What comes before a product that something is set against; without it the product is what the words are about. */
const SET_AGAINST =
  /\b(?:than|against|to|with|unlike|versus|vs\.?|over|beside|from|beats?|outperforms?|like|as|for|of|under|on)\s+(?:the\s+)?$/i;

/** What a comparison may be with that is no product: another time, place or way of doing. */
const QUALIFIED = /\b(?:than|on|when|with|by|after|for|in|at|each|every|if|once|today|lately)\b/i;

interface Named {
  name: string;
  /** The sentence is about this product, not about the one that is judged. */
  subject: boolean;
}

/** Other products that a clause names, whole or by what stands before their kind ("Anvil" for "Anvil Gel"). */
function namedIn(clause: string, names: readonly string[]): Named[] {
  return names.flatMap((name): Named[] => {
    const short = name.replace(KINDS, '');
    const found = [name, ...(short.length >= 4 ? [short] : [])]
      .filter((one) => one.trim() !== '')
      .map((one) => new RegExp(`(?<![\\p{L}\\p{N}])${literal(one)}(?![\\p{L}\\p{N}])`, 'iu').exec(clause))
      .find((one) => one !== null);
    return found ? [{ name, subject: !SET_AGAINST.test(clause.slice(0, found.index)) }] : [];
  });
}

type Comparing = Extract<Said, { about: unknown }>;
const OPPOSITE = { better: 'worse', worse: 'better', 'as good': 'as good' } as const;

/**
 * What a sentence compares, clause by clause. A product that the words are about turns them round: "Anvil Gel wins" is behind it.
 * Words of two other products say nothing of this one.
 */
function comparisonsIn(sentence: string, names: readonly string[]): Comparing[] {
  const found: Comparing[] = [];
  let open: { kind: Comparing['kind']; about: About | null }[] = [];
  let last: { kind: Comparing['kind']; about: About | null }[] = [];
  let mentioned: string[] = [];
  for (const clause of clausesOf(sentence)) {
    const named = namedIn(clause, names);
    const about = aboutIn(clause);
    const [best, worst] = [asserted(clause, BEST), asserted(clause, WORST)];
    if (best && named.every(({ subject }) => !subject))
      found.push({ kind: 'better', name: null, about, words: sentence });
    if (worst && named.every(({ subject }) => !subject))
      found.push({ kind: 'worse', name: null, about, words: sentence });
    const equal = asserted(clause, EQUAL);
    const kinds: Comparing['kind'][] = equal
      ? ['as good']
      : [
          ...(asserted(clause, BETTER) ? ['better' as const] : []),
          ...(asserted(clause, WORSE) ? ['worse' as const] : []),
        ];
    let said = kinds.map((kind) => ({ kind, about }));
    // "Better than A and B": a name by itself goes with what was said last.
    if (said.length === 0 && named.length > 0 && clause.split(/\s+/).length <= 6) said = last;
    const own = [...open, ...said];
    const subjects = named.filter(({ subject }) => subject && said !== last);
    const objects = named.filter((one) => !subjects.includes(one));
    if (named.length > 0) {
      if (subjects.length === 0 || objects.length === 0)
        for (const { name } of named)
          for (const { kind, about: of } of own)
            found.push({
              kind: subjects.length > 0 ? OPPOSITE[kind] : kind,
              name,
              about: of,
              words: sentence,
            });
      open = [];
      last = said;
      mentioned = [...mentioned, ...named.map(({ name }) => name)];
    } else if (said.length > 0) {
      if (ALL.test(clause))
        found.push(...said.map(({ kind, about: of }) => ({ kind, name: null, about: of, words: sentence })));
      // "More defined and softer than A": said of what comes next, if anything does. "Better than last time" is of no product.
      else if (!QUALIFIED.test(clause)) open = [...open, ...said];
    }
  }
  // "I liked A, but this is better"; "Clearly better" by itself is said of all others.
  const of = mentioned.length > 0 ? mentioned : [null];
  for (const { kind, about } of open)
    for (const name of of) found.push({ kind, name, about, words: sentence });
  return [...new Map(found.map((one) => [`${one.kind} ${one.name} ${one.about}`, one])).values()];
}

/**
 * What free words claim that figures can speak to: ahead of, behind or as good as something (`names` are those of the other
 * products; no name is all of them), how many days it lasts, and what is for doctors to say. English turns of speech, our own
 * list: it misses what is said otherwise, and what it finds is shown, never changed.
 */
export function saidIn(text: string, names: readonly string[]): Said[] {
  return sentencesOf(text.slice(0, READ_AT_MOST)).flatMap((words): Said[] => {
    const days = daysIn(words);
    return [
      ...comparisonsIn(words, names),
      ...(days === null ? [] : [{ kind: 'lasts' as const, days, words }]),
      ...(HEALTH.test(words) ? [{ kind: 'health' as const, words }] : []),
    ];
  });
}
