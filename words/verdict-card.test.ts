import { describe, expect, it } from 'vitest';
import {
  againstInWords,
  besideInWords,
  claimFactInWords,
  type Figures,
  factsInWords,
  forWhomInWords,
  placeInWords,
  restsInWords,
  traitInWords,
  versusInWords,
} from './verdict-card.ts';
import { judgedWayInWords, plainWayInWords } from './ways.ts';

const FIGURES: Figures = {
  column: 'definition',
  trials: [
    { trialId: 't', question: 'Which gel?', blind: true, fair: 'clean', washDays: 4, endedOn: '2026-11-01' },
  ],
  ...{ washDays: 4, seenTo: 3, air: null, costPerWash: 1, costPerGoodDay: null, currency: 'EUR' },
  dose: { kind: 'exact', amount: 12, measure: 'g', per: 'head' },
  ...{ goodDays: null, handsOn: null, minutesToDry: null, first: null, versus: [], decided: [] },
};

const CONTENT = {
  ...{ score: 7, why: '', forWhom: [], claims: [], against: [], open: [], style: null, amount: null },
  ...{ buyAgain: 'yes' as const, buyWhy: 'For sure.', effort: '', feel: '', packaging: '', next: 'A mask' },
};

describe('a verdict in words', () => {
  it('says what it costs, what next, and whether it is bought, or done, again', () => {
    expect(factsInWords(CONTENT, FIGURES, false)).toEqual([
      ['Would buy again', 'yes: For sure.'],
      // Its currency by its code, with a blank that does not break.
      ['A wash, all products', 'EUR\u00a01.00'],
      ['Try next', 'A mask'],
    ]);
    expect(factsInWords({ ...CONTENT, buyWhy: '' }, null, true)).toEqual([
      ['Would do it again', 'yes'],
      ['Try next', 'A mask'],
    ]);
  });

  it('names what it is set beside, a way by what it is called', () => {
    const against = [
      { productId: 'technique rake', says: 'better' as const },
      { productId: 'p', says: 'as good' as const },
    ];
    expect(againstInWords(against, (id) => (id === 'p' ? 'Kelp' : plainWayInWords(id)))).toEqual([
      'Said to be better than rake, as good as Kelp.',
    ]);
    expect(againstInWords([], String)).toEqual([]);
    expect(judgedWayInWords('technique praying')).toBe('Praying hands (technique)');
    expect(judgedWayInWords('upside down')).toBe('upside down');
  });

  it('keeps what was tested apart from what is a guess', () => {
    expect(
      forWhomInWords([
        { trait: 'pattern', value: '3B', suits: true, how: 'tested' },
        { trait: 'porosity', value: 'low', suits: true, how: 'tested' },
        { trait: 'pattern', value: '4C', suits: true, how: 'guess' },
        { trait: 'strand', value: 'fine', suits: false, how: 'guess' },
      ]),
    ).toEqual([
      'Suited, tested on such a head: 3B, low porosity.',
      'My guess, it suits: 4C.',
      'My guess, it does not suit: fine strand.',
    ]);
    expect(forWhomInWords([])).toEqual([]);
    expect(traitInWords('length', 'short')).toBe('short hair');
  });

  it('never leaves out stake, blinding, fairness and amount', () => {
    expect(restsInWords(FIGURES, 'paid')).toEqual([
      'To declare: paid partnership.',
      '1 trial, 4 wash days with it, on one head; seen to day 3.',
      'Rated blind.',
      'The fairness check found nothing that counts against it.',
      'Tested at 12 g.',
    ]);
    const two = [...FIGURES.trials, { ...FIGURES.trials[0]!, blind: false, fair: 'weakened' as const }];
    const said = restsInWords({ ...FIGURES, trials: two, dose: null }, null);
    expect(said).toContain('Rated blind in 1 of 2 trials.');
    expect(said).toContain('The fairness check weakens 1 of 2 trials.');
    expect(said).toContain('Tested at an amount that was not recorded.');
    expect(restsInWords(null, 'gift')).toEqual(['To declare: gift.', 'No trial stands behind this.']);
  });

  it('names who is clearly ahead, with its interval, and who cannot be told apart', () => {
    const names: Record<string, string> = { a: 'Anvil Gel', f: 'Brine Foam', s: 'Sedge Jelly' };
    expect(
      versusInWords(
        {
          column: 'definition',
          decided: [{ trialId: 't', about: 'definition', productId: 'a', state: 'ahead' }],
          versus: [
            { productId: 'a', state: 'ahead', by: { value: 2, low: 1, high: 3 } },
            { productId: 'f', state: 'cannot tell', by: null },
            { productId: 's', state: 'cannot tell', by: { value: 0.1, low: -1, high: 1 } },
          ],
        },
        (id) => names[id]!,
      ),
    ).toEqual([
      'Decided by a trial: ahead of Anvil Gel in definition.',
      'Clearly ahead of Anvil Gel in definition: +2.0 (+1.0 to +3.0).',
      'No clear difference in definition from Brine Foam, Sedge Jelly.',
    ]);
  });

  it('has a sentence for everything it may say too much', () => {
    expect(besideInWords({ kind: 'cannot tell', than: 'Anvil Gel', about: null })).toBe(
      'The trials cannot tell it from Anvil Gel.',
    );
    expect(besideInWords({ kind: 'cannot tell', than: null, about: 'hold' })).toBe(
      'In hold the trials cannot tell it from all others of its step.',
    );
    expect(besideInWords({ kind: 'only in', than: 'Anvil Gel', about: 'good-days' })).toBe(
      'Against Anvil Gel it was shown in how long it stays good alone.',
    );
    expect(besideInWords({ kind: 'not seen so long', said: 7, seen: 3 })).toBe(
      'It was seen to day 3, not to day 7.',
    );
    expect(besideInWords({ kind: 'not so long', said: 5, good: 2.6, by: 'definition' })).toBe(
      'Definition stayed good 2.6 days on average, not 5.',
    );
    expect(besideInWords({ kind: 'claim', claim: 'No flakes', said: 'kept', found: 'not-kept' })).toBe(
      '“No flakes”: said to be kept; what was read comes to “not kept”.',
    );
    expect(besideInWords({ kind: 'as good', than: 'Anvil Gel' })).toContain(
      'that takes a trial planned for it',
    );
  });

  it('tells what a claim was set against', () => {
    const degrees = (celsius: number) => `${celsius} °C`;
    expect(
      claimFactInWords(
        { kind: 'days', days: 3, good: { value: 1.5, to: 5, by: 'hold' }, seenTo: 5 },
        degrees,
      ),
    ).toBe('Hold stayed good 1.5 days on average, counted to day 5; 3 are claimed.');
    expect(claimFactInWords({ kind: 'felt', quality: 'flakes', middle: 0, worst: 1, days: 8 }, degrees)).toBe(
      'Flakes: “none” as the middle word of 8 wash days, “a few” at most.',
    );
    expect(claimFactInWords({ kind: 'air', high: 9 }, degrees)).toContain('9 °C');
    expect(claimFactInWords({ kind: 'laboratory' }, degrees)).toContain('Keep to the label');
  });

  it('says the tester’s own place among its kind', () => {
    expect(placeInWords({ kind: 'foam', place: 3, of: 5, shared: false })).toBe(
      'Third of 5 of its kind (mousse or foam).',
    );
    expect(placeInWords({ kind: 'gel', place: 11, of: 12, shared: true })).toBe(
      '11th of 12 of its kind (gel or jelly), sharing the place.',
    );
  });
});
