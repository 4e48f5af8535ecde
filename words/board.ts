import type { BoardColumn } from '@sabor/core/board/board';
import type { ItemEffect } from '@sabor/core/board/carried';
import type { ColumnKey, WishKey } from '@sabor/core/board/columns';
import { COLUMNS } from '@sabor/core/board/columns';
import type { JointPair } from '@sabor/core/board/draws';
import type { Agreement, Effect } from '@sabor/core/board/network';
import type { OverHeads } from '@sabor/core/board/over-heads';
import type { PairWays, TrialToTell } from '@sabor/core/board/pair';
import type { Turn } from '@sabor/core/board/turns';
import type { Usual } from '@sabor/core/board/usual';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { SLOTS } from '@sabor/core/step/slots';
import { counted, fixed } from './numbers.ts';

/** A column's number as it is said: "6.4", "38 %", "42 min". */
export function sizeInWords(key: ColumnKey, value: number): string {
  const { places, unit } = COLUMNS[key];
  const size = fixed(Math.round(value * 10 ** places) / 10 ** places, places);
  return unit === 'points' ? size : `${size} ${unit}`;
}

const plainSize = (key: ColumnKey, value: number) => Math.abs(value).toFixed(COLUMNS[key].places);
/** A difference with its sign. */
export function signedInWords(key: ColumnKey, value: number): string {
  const size = plainSize(key, value);
  return Number(size) === 0 ? size : `${value > 0 ? '+' : '−'}${size}`;
}

/** An effect with the interval it has alone: "+1.2 (0.3 to 2.1)"; without one it says so. */
export function effectInWords(key: ColumnKey, { value, interval }: Effect): string {
  return interval
    ? `${signedInWords(key, value)} (${signedInWords(key, interval.low)} to ${signedInWords(key, interval.high)})`
    : `${signedInWords(key, value)} (too few wash days for an interval)`;
}

export const WISH_LABELS: Readonly<Record<WishKey, string>> = {
  ...(Object.fromEntries(
    Object.entries(OUTCOMES).map(([key, { label, better }]) => [
      key,
      better === 'lower' ? `Little ${label.toLowerCase()}` : label,
    ]),
  ) as Record<keyof typeof OUTCOMES, string>),
  length: 'Length',
  lasting: 'Lasting long',
};

/** Why nothing can be told as wished: what is weighed and was never read on that day. */
export const unreadWishInWords = (wishes: readonly WishKey[], day: number): string =>
  wishes.length === 0
    ? ''
    : ` The wishes weigh ${wishes.map((wish) => (wish === 'length' ? 'length' : OUTCOMES[wish as keyof typeof OUTCOMES].label.toLowerCase())).join(' and ')}, which none of these trials read on day ${day}: order by another column, or weigh ${wishes.length === 1 ? 'it' : 'them'} at nothing.`;

/** What a column is about, after "In": "In definition"; as wished stands by itself. */
export const columnInWords = (key: ColumnKey): string =>
  key === 'wish' ? 'As the wishes weigh it' : `In ${COLUMNS[key].label.toLowerCase()}`;

/** How often something comes first: "first in 82 of 100", never quite none or all of them. */
export function firstInWords(share: number): string {
  const times = Math.round(100 * share);
  if (times >= 100) return 'first in over 99 of 100';
  return times < 1 ? 'first in under 1 of 100' : `first in ${times} of 100`;
}

/** Where a thing stands on its island in a column, as far as the data carry it. */
export function standingInWords(
  column: Pick<BoardColumn, 'key' | 'joint' | 'first' | 'leaders'>,
  node: string,
  island: number,
  nameOf: (node: string) => string,
): string {
  const leader = column.leaders.find((one) => one.island === island);
  if (!leader) return 'nothing to compare it with yet';
  const share = firstInWords(column.first[node] ?? 0);
  if (leader.node === node) {
    const firm = { firm: 'firmly first', leaning: 'leaning', open: 'still open' }[leader.firmness];
    if (leader.heldBack === 'own trial')
      return `${share}: leaning, because the trials that held it and ${nameOf(leader.next)} cannot tell the two apart`;
    if (leader.heldBack === 'together')
      return `${share}: leaning, because its lead is not clear over all of them together`;
    return `${share}: ${firm}`;
  }
  const behind = column.joint.find(
    (pair) =>
      (pair.node === node && pair.from === leader.node) || (pair.from === node && pair.node === leader.node),
  );
  if (!behind) return `${share}; too few wash days to say how far from ${nameOf(leader.node)}`;
  const clear = behind.low > 0 || behind.high < 0;
  return clear
    ? `${share}; behind ${nameOf(leader.node)} by ${plainSize(column.key, behind.value)} (${rangeOf(column.key, behind)})`
    : `${share}; no clear difference from ${nameOf(leader.node)}`;
}

/** A joint interval without its sign: how far apart, from the near end to the far one. */
function rangeOf(key: ColumnKey, { low, high }: JointPair): string {
  const ends = [Math.abs(low), Math.abs(high)].toSorted((a, b) => a - b);
  return `${plainSize(key, ends[0]!)} to ${plainSize(key, ends[1]!)}`;
}

/** Which things a column says are better than which, all holding together; each as a sentence. */
export function betterInWords(
  { key, joint }: Pick<BoardColumn, 'key' | 'joint'>,
  nameOf: (node: string) => string,
): string[] {
  const { wanted, label } = COLUMNS[key];
  return joint.flatMap((pair) => {
    if (pair.low <= 0 && pair.high >= 0) return [];
    const over = pair.low > 0 === (wanted === 'higher');
    const [better, worse] = over ? [pair.node, pair.from] : [pair.from, pair.node];
    return [
      `${nameOf(better)} is better than ${nameOf(worse)} ${key === 'wish' ? 'as wished' : `in ${label.toLowerCase()}`}, by ${rangeOf(key, pair)}.`,
    ];
  });
}

/** Where a number of this head usually lies: "usual 5.2 to 8.1". */
export function usualInWords(key: ColumnKey, usual: Usual, nameOf: (node: string) => string): string {
  if (usual.known === 'too few') return 'too few wash days to say what is usual';
  const whole = Object.hasOwn(OUTCOMES, key) && usual.low <= 0 && usual.high >= 10;
  if (whole) return 'differs too much to say what is usual';
  const range = `${sizeInWords(key, usual.low)} to ${sizeInWords(key, usual.high)}`;
  return usual.known === 'band' ? `usual ${range}` : `usual with ${nameOf(usual.product)} ${range}`;
}

/** How two things are known of each other, way by way; `through` are the things between them where they never met. */
export function waysInWords(
  key: ColumnKey,
  { both, direct, others }: PairWays,
  [a, b]: readonly [string, string],
  through: readonly string[],
): string[] {
  const say = (effect: Effect) => `${a} ${effectInWords(key, effect)} against ${b}`;
  const trials = counted(direct.trials.length, 'trial');
  if (!both)
    return [
      direct.trials.length > 0 || through.length > 0
        ? `${columnInWords(key)} too little was read to set ${a} and ${b} against each other.`
        : `Nothing joins ${a} and ${b}: no trial held both, and none leads from one to the other.`,
    ];
  return [
    `Over all: ${say(both)}.`,
    direct.trials.length === 0
      ? `No trial held both; they are known through ${through.join(', ')}.`
      : direct.effect
        ? `Side by side in ${trials}, ${counted(direct.washDays, 'wash day')}: ${say(direct.effect)}.`
        : `Side by side in ${trials}, with too few numbers to say.`,
    ...(others.effect && direct.trials.length > 0
      ? [`Through others alone, in ${counted(others.trials.length, 'trial')}: ${say(others.effect)}.`]
      : []),
  ];
}

/** How far the direct way lies from the way through others; `disagree` where that is beyond luck, over all pairs that can be checked. */
export function apartInWords(
  key: ColumnKey,
  { value, low, high }: NonNullable<PairWays['apart']>,
  disagree: boolean,
): string {
  const range = `${signedInWords(key, low)} to ${signedInWords(key, high)}`;
  return disagree
    ? `The two ways disagree, by ${signedInWords(key, value)} (${range}): look for what differed between these trials before trusting either.`
    : `The two ways agree as far as they can tell: ${signedInWords(key, value)} apart (${range}).`;
}

/** Chance under which the trials of an island are said to disagree. */
const DISAGREE = 0.05;

/** Whether the trials that a column's island rests on agree, in words; `pairs` where a pair can be opened. */
export function agreementInWords({ p, ratio }: Agreement, pairs = true): string {
  if (ratio === null || p === null)
    return 'Nothing to check it against: no two ways lead to one answer here.';
  return p < DISAGREE
    ? `These trials disagree by more than their wash days do; every interval is wider for it.${pairs ? ' Open a pair to see where.' : ''}`
    : 'Where two ways lead to one answer, they agree.';
}

/** What change of a wish would turn the order. */
export const turnInWords = ({ wish, now, at, node }: Turn, nameOf: (node: string) => string): string =>
  `${WISH_LABELS[wish]} at ${Math.round(100 * at)} % of all weight instead of ${Math.round(100 * now)} %: ${nameOf(node)} would be first.`;

/** How many of a thing's trials their fairness check weakens; null where none is. */
export function weakenedInWords(trials: number, weakened: number): string | null {
  if (weakened === 0) return null;
  if (trials === weakened) return trials === 1 ? 'its trial is weakened' : 'its trials are weakened';
  return weakened === 1 ? 'one of its trials is weakened' : `${weakened} of its trials are weakened`;
}

/** What a trial of two things would take, in words. */
export function toTellInWords(key: ColumnKey, { design, sd, freedom, days }: TrialToTell): string {
  const what = design === 'half' ? 'On two halves' : 'On whole heads';
  const noise = `the noise is ${sizeInWords(key, sd)} (SD, ${counted(freedom, 'degree')} of freedom)`;
  const difference = `a difference of ${sizeInWords(key, COLUMNS[key].matters)}`;
  return days === null
    ? `${what} ${noise}: ${difference} takes more wash days than a plan here holds.`
    : `${what} ${noise}: ${counted(days, 'wash day')} find ${difference} four times in five.`;
}

/** One comparison over heads, in words: what the mean is, and where the next such head may lie. */
export function overHeadsInWords(
  key: ColumnKey,
  { mean, next, heads }: OverHeads,
  [a, b]: readonly [string, string],
): string[] {
  if (heads < 2) return [`No other head’s trials join ${a} and ${b}.`];
  if (!mean) return ['Two heads are listed, not averaged: a mean takes three.'];
  const say = ({ low, high }: { low: number; high: number }) =>
    `${signedInWords(key, low)} to ${signedInWords(key, high)}`;
  return [
    `Over ${heads} heads: ${a} ${signedInWords(key, mean.value)} (${say(mean)}) against ${b}.`,
    next
      ? `On the next such head it may lie anywhere from ${say(next)}.`
      : 'What to expect on the next head takes five of them.',
  ];
}

/** On how many heads the one is clearly ahead of the other, head by head, and on how many it cannot be told. */
export function acrossInWords(
  key: ColumnKey,
  heads: readonly { effect: Effect }[],
  a: string,
  b: string,
): string {
  const sign = COLUMNS[key].wanted === 'higher' ? 1 : -1;
  const clear = (of: 1 | -1) =>
    heads.filter(({ effect: { interval } }) => {
      if (!interval) return false;
      return of * sign > 0 ? interval.low > 0 : interval.high < 0;
    }).length;
  const [ahead, behind] = [clear(1), clear(-1)];
  const said = [
    ...(ahead > 0 ? [`${a} clearly ahead on ${counted(ahead, 'head')}`] : []),
    ...(behind > 0 ? [`${b} clearly ahead on ${counted(behind, 'head')}`] : []),
    ...(ahead + behind < heads.length
      ? [`no clear difference on ${counted(heads.length - ahead - behind, 'head')}`]
      : []),
  ];
  return `Each head alone: ${said.join('; ')}.`;
}

/** Which item carried one line against another, in words; empty where they are no two lines. */
export function carriedInWords(
  key: ColumnKey,
  items: readonly ItemEffect[],
  [a, b]: readonly [string, string],
): string[] {
  if (items.length === 0) return [];
  const label = ({ slot }: ItemEffect) => SLOTS[slot].label.toLowerCase();
  const known = items.filter(({ effect }) => effect !== null);
  if (known.length === 0)
    return [`No follow-up swapped one item of ${a} and ${b} at a time: which of them did it is not known.`];
  const clear = known.filter(({ effect }) => {
    const interval = effect!.interval;
    return interval && (interval.low > 0 || interval.high < 0);
  });
  const open = items.filter(({ effect }) => effect === null);
  return [
    ...known.map(
      (item) =>
        `The ${label(item)} of ${a} alone, all else as in the follow-up: ${effectInWords(key, item.effect!)}.`,
    ),
    ...(open.length > 0 ? [`Not swapped by itself: ${open.map(label).join(', ')}.`] : []),
    clear.length === 0
      ? 'No single item is clear by itself.'
      : `Clear by itself, each alone: ${clear.map(label).join(', ')}.`,
  ];
}
