import type { BoardColumn } from '@sabor/core/board/board';
import type { PairWays } from '@sabor/core/board/pair';
import { describe, expect, it } from 'vitest';
import {
  acrossInWords,
  agreementInWords,
  apartInWords,
  betterInWords,
  carriedInWords,
  effectInWords,
  firstInWords,
  overHeadsInWords,
  standingInWords,
  toTellInWords,
  turnInWords,
  usualInWords,
  waysInWords,
  weakenedInWords,
} from './board.ts';

const nameOf = (node: string) => `${node[0]!.toUpperCase()}${node.slice(1)}`;
const effect = (value: number, low: number, high: number) => ({
  value,
  se: 0.3,
  freedom: 12,
  interval: { low, high },
});
const column = (to: Partial<BoardColumn> = {}): BoardColumn => ({
  key: 'definition',
  cells: [],
  joint: [
    { node: 'anvil', from: 'kelp', value: -2, low: -3, high: -1 },
    { node: 'foam', from: 'kelp', value: -0.5, low: -1.5, high: 0.5 },
  ],
  first: { kelp: 0.82, foam: 0.178, anvil: 0.002, jelly: 0 },
  leaders: [{ island: 0, node: 'kelp', next: 'foam', share: 0.82, firmness: 'leaning', heldBack: null }],
  agreement: [],
  usual: { known: 'too few', days: 2 },
  ...to,
});

describe('where a thing stands', () => {
  it('is first so often, behind by what holds together, or not clearly apart', () => {
    const say = (node: string, of = column()) => standingInWords(of, node, 0, nameOf);
    expect(say('kelp')).toBe('first in 82 of 100: leaning');
    expect(say('anvil')).toBe('first in under 1 of 100; behind Kelp by 2.0 (1.0 to 3.0)');
    expect(say('foam')).toBe('first in 18 of 100; no clear difference from Kelp');
    expect(say('jelly')).toBe('first in under 1 of 100; too few wash days to say how far from Kelp');
    // The same pair told from its other side.
    const turned = column({ joint: [{ node: 'kelp', from: 'anvil', value: 2, low: 1, high: 3 }] });
    expect(say('anvil', turned)).toBe(say('anvil'));
    expect(standingInWords(column({ leaders: [] }), 'kelp', 0, nameOf)).toBe(
      'nothing to compare it with yet',
    );
  });

  it('is firm only where nothing holds it back, and says what does', () => {
    const of = (firmness: 'firm' | 'leaning' | 'open', heldBack: 'own trial' | 'together' | null) =>
      standingInWords(
        column({
          first: { kelp: 0.99 },
          leaders: [{ island: 0, node: 'kelp', next: 'foam', share: 0.99, firmness, heldBack }],
        }),
        'kelp',
        0,
        nameOf,
      );
    expect(of('firm', null)).toBe('first in 99 of 100: firmly first');
    expect(of('leaning', 'own trial')).toBe(
      'first in 99 of 100: leaning, because the trials that held it and Foam cannot tell the two apart',
    );
    expect(of('leaning', 'together')).toBe(
      'first in 99 of 100: leaning, because its lead is not clear over all of them together',
    );
    expect(of('open', null)).toBe('first in 99 of 100: still open');
    expect([firstInWords(1), firstInWords(0.9999), firstInWords(0.001)]).toEqual([
      'first in over 99 of 100',
      'first in over 99 of 100',
      'first in under 1 of 100',
    ]);
  });

  it('is better only by what leaves nothing out, whichever way the scale runs', () => {
    expect(betterInWords(column(), nameOf)).toEqual([
      'Kelp is better than Anvil in definition, by 1.0 to 3.0.',
    ]);
    expect(betterInWords(column({ key: 'frizz' }), nameOf)).toEqual([
      'Anvil is better than Kelp in frizz, by 1.0 to 3.0.',
    ]);
  });
});

describe('numbers of the board', () => {
  it('carry signs, units and their own interval, or say that there is none', () => {
    expect(effectInWords('definition', effect(1.24, 0.3, 2.1))).toBe('+1.2 (+0.3 to +2.1)');
    expect(effectInWords('shrinkage', effect(-4.4, -9, 0.4))).toBe('−4 (−9 to 0)');
    expect(effectInWords('hold', { ...effect(1, 0, 0), interval: null })).toBe(
      '+1.0 (too few wash days for an interval)',
    );
  });

  it('are usual within a band, with one product, or not yet', () => {
    expect(
      usualInWords(
        'definition',
        { known: 'band', low: 5.2, high: 8.1, middle: 6.6, products: 4, days: 30 },
        nameOf,
      ),
    ).toBe('usual 5.2 to 8.1');
    expect(
      usualInWords(
        'minutes-to-dry',
        { known: 'one product', product: 'kelp', low: 40, high: 71, middle: 55, days: 8 },
        nameOf,
      ),
    ).toBe('usual with Kelp 40 min to 71 min');
    expect(usualInWords('hold', { known: 'too few', days: 3 }, nameOf)).toContain('too few');
    expect(
      usualInWords('hold', { known: 'band', low: 0, high: 10, middle: 5, products: 3, days: 9 }, nameOf),
    ).toBe('differs too much to say what is usual');
  });
});

describe('how two things are known of each other', () => {
  const ways = (to: Partial<PairWays>): PairWays => ({
    both: effect(1, 0.2, 1.8),
    direct: { effect: effect(1, 0.2, 1.8), trials: ['a'], washDays: 8 },
    others: { effect: null, trials: [] },
    apart: null,
    ...to,
  });
  const say = (to: Partial<PairWays>, through: string[] = []) =>
    waysInWords('definition', ways(to), ['Kelp', 'Anvil'], through);

  it('is told way by way', () => {
    expect(say({})).toEqual([
      'Over all: Kelp +1.0 (+0.2 to +1.8) against Anvil.',
      'Side by side in 1 trial, 8 wash days: Kelp +1.0 (+0.2 to +1.8) against Anvil.',
    ]);
    expect(say({ direct: { effect: null, trials: [], washDays: 0 } }, ['Foam'])[1]).toBe(
      'No trial held both; they are known through Foam.',
    );
    expect(say({ both: null, direct: { effect: null, trials: [], washDays: 0 } })[0]).toContain(
      'Nothing joins',
    );
  });

  it('says that ways disagree only where they do beyond luck', () => {
    const apart = { value: -2, low: -3, high: -1, p: 0.001 };
    expect(apartInWords('definition', apart, true)).toMatch(/^The two ways disagree, by −2\.0/);
    expect(apartInWords('definition', apart, false)).toMatch(/^The two ways agree as far as they can tell/);
    expect(say({ others: { effect: effect(3, 2, 4), trials: ['b', 'c'] } }).at(-1)).toMatch(
      /^Through others alone, in 2 trials/,
    );
    const agreement = { ratio: 1, df: 2, inflation: 1 };
    expect(agreementInWords({ ...agreement, p: 0.4 })).toContain('they agree');
    expect(agreementInWords({ ...agreement, p: 0.01 })).toContain('disagree by more');
    expect(agreementInWords({ ratio: null, df: 0, p: null, inflation: 1 })).toContain('Nothing to check');
  });

  it('says what a trial of the two would take', () => {
    expect(toTellInWords('definition', { design: 'complete', sd: 0.62, freedom: 24, days: 10 })).toBe(
      'On whole heads the noise is 0.6 (SD, 24 degrees of freedom): 10 wash days find a difference of 1.0 four times in five.',
    );
    expect(toTellInWords('good-days', { design: 'half', sd: 3, freedom: 1, days: null })).toBe(
      'On two halves the noise is 3.0 days (SD, 1 degree of freedom): a difference of 1.0 days takes more wash days than a plan here holds.',
    );
  });

  it('over heads is listed with two, a mean with three, and a prediction with five', () => {
    const heads = (n: number, to: object) =>
      overHeadsInWords('definition', { mean: null, next: null, tau2: 0, heads: n, ...to }, ['Kelp', 'Anvil']);
    const mean = { value: 1.2, se: 0.3, low: 0.4, high: 2 };
    expect(heads(1, {})).toEqual(['No other head’s trials join Kelp and Anvil.']);
    expect(heads(2, {})).toEqual(['Two heads are listed, not averaged: a mean takes three.']);
    expect(heads(3, { mean })).toEqual([
      'Over 3 heads: Kelp +1.2 (+0.4 to +2.0) against Anvil.',
      'What to expect on the next head takes five of them.',
    ]);
    expect(heads(5, { mean, next: { low: -0.5, high: 2.9 } })[1]).toBe(
      'On the next such head it may lie anywhere from −0.5 to +2.9.',
    );
  });

  it('names the wish that would turn it, and how many trials are weakened', () => {
    expect(turnInWords({ wish: 'frizz', now: 0.25, at: 0.4, node: 'foam' }, nameOf)).toBe(
      'Little frizz at 40 % of all weight instead of 25 %: Foam would be first.',
    );
    expect([
      weakenedInWords(1, 0),
      weakenedInWords(1, 1),
      weakenedInWords(2, 1),
      weakenedInWords(3, 3),
    ]).toEqual([null, 'its trial is weakened', 'one of its trials is weakened', 'its trials are weakened']);
  });
});

describe('several heads, each alone', () => {
  it('count as ahead only where their own interval lies off nothing, on the wanted side', () => {
    const heads = [effect(2, 1, 3), effect(1, -0.2, 2.2), effect(-1.5, -2.5, -0.5)].map((one) => ({
      effect: one,
    }));
    expect(acrossInWords('definition', heads, 'Kelp', 'Anvil')).toBe(
      'Each head alone: Kelp clearly ahead on 1 head; Anvil clearly ahead on 1 head; no clear difference on 1 head.',
    );
    // Less frizz is wanted: the same numbers, the other one ahead.
    expect(acrossInWords('frizz', heads.slice(0, 1), 'Kelp', 'Anvil')).toBe(
      'Each head alone: Anvil clearly ahead on 1 head.',
    );
    expect(
      acrossInWords('definition', [{ effect: { ...effect(9, 8, 10), interval: null } }], 'Kelp', 'Anvil'),
    ).toBe('Each head alone: no clear difference on 1 head.');
  });
});

describe('which item carried a line', () => {
  const names = ['Tidewrack', 'Marrowby'] as const;
  it('names what is clear by itself, what is not, and what nobody swapped', () => {
    expect(
      carriedInWords(
        'definition',
        [
          { slot: 'condition', effect: effect(0.1, -0.5, 0.7) },
          { slot: 'hold', effect: effect(1.8, 1.1, 2.5) },
          { slot: 'cleanse', effect: null },
        ],
        names,
      ),
    ).toEqual([
      'The condition of Tidewrack alone, all else as in the follow-up: +0.1 (−0.5 to +0.7).',
      'The hold of Tidewrack alone, all else as in the follow-up: +1.8 (+1.1 to +2.5).',
      'Not swapped by itself: cleanse.',
      'Clear by itself, each alone: hold.',
    ]);
    expect(
      carriedInWords('definition', [{ slot: 'hold', effect: effect(0.3, -0.2, 0.8) }], names).at(-1),
    ).toBe('No single item is clear by itself.');
    expect(carriedInWords('definition', [{ slot: 'hold', effect: null }], names)).toEqual([
      'No follow-up swapped one item of Tidewrack and Marrowby at a time: which of them did it is not known.',
    ]);
    expect(carriedInWords('definition', [], names)).toEqual([]);
  });
});
