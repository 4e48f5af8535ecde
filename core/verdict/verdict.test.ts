import { describe, expect, it } from 'vitest';
import { boardOf } from '../board/board.ts';
import { asked, fairAlike, madeUp, TRUTH } from '../board/made-up-trials.ts';
import type { BoardAsk } from '../board/read.ts';
import { daysClaimed, proposeClaim } from './claims.ts';
import { type Decided, decidedBy, type Evidence, evidenceInAll, evidenceOf } from './evidence.ts';
import { heldToFigures, type Told } from './held.ts';
import { saidIn } from './said.ts';
import { lengthOf } from './words-of-verdict.ts';

const OTHERS = [
  { productId: 'anvil', name: 'Anvil Gel' },
  { productId: 'kelp', name: 'Kelp Fold Gel' },
  { productId: 'foam', name: 'Brine Foam' },
];
const NAMES = OTHERS.map(({ name }) => name);
const told = (to: Partial<Told> = {}): Told => ({
  why: '',
  buyWhy: '',
  amount: null,
  forWhom: [],
  against: [],
  claims: [],
  ...to,
});
/** Through the very path of a user's screen: trials, their board, what it says of the product. */
const read = (ask: BoardAsk, product: string) => evidenceInAll(ask, product);
/** The same by the column that orders alone. */
const main = (ask: BoardAsk, product: string) => evidenceOf(boardOf(ask), ask, product);
const clear = asked([madeUp('one', ['anvil', 'kelp'], TRUTH, 1)], { by: 'definition' });
const level = { anvil: { definition: 6, frizz: 4 }, kelp: { definition: 6, frizz: 4 } };
/** The same two products without any difference in truth. */
const none = (seed: number) => asked([madeUp('one', ['anvil', 'kelp'], level, seed)], { by: 'definition' });
const others = (not: string) => OTHERS.filter(({ productId }) => productId !== not);
const kinds = (objections: readonly { kind: string }[]) => objections.map(({ kind }) => kind);

describe('what the trials say of a product', () => {
  it('is how it stands to each other of its island, with what travels beside it', () => {
    const kelp = read(clear, 'kelp')!;
    expect(kelp.versus).toMatchObject([{ productId: 'anvil', state: 'ahead' }]);
    expect(kelp.versus[0]!.by!.low).toBeGreaterThan(0);
    expect(kelp).toMatchObject({ washDays: 4, seenTo: 5, dose: { amount: 10 }, column: 'definition' });
    expect(kelp.trials).toEqual([
      {
        trialId: 'one',
        question: 'anvil or kelp?',
        blind: false,
        fair: 'clean',
        washDays: 4,
        endedOn: expect.any(String),
      },
    ]);
    expect(kelp.air!.low).toBeLessThan(kelp.air!.high);
    // The other side of the same pair, by as much.
    const anvil = read(clear, 'anvil')!;
    expect(anvil.versus).toMatchObject([{ productId: 'kelp', state: 'behind' }]);
    expect(anvil.versus[0]!.by!.value).toBeCloseTo(-kelp.versus[0]!.by!.value, 10);
    expect(anvil.versus[0]!.by!.low).toBeCloseTo(-kelp.versus[0]!.by!.high, 10);
    expect(read(clear, 'foam')).toBeNull();
    expect(read(asked([]), 'kelp')).toBeNull();
  });

  it('is turned where less is wanted', () => {
    const frizz = asked(
      [
        madeUp(
          'one',
          ['anvil', 'kelp'],
          { anvil: { definition: 5, frizz: 2 }, kelp: { definition: 5, frizz: 6 } },
          3,
        ),
      ],
      { by: 'frizz' },
    );
    expect(read(frizz, 'anvil')!.versus).toMatchObject([{ productId: 'kelp', state: 'ahead' }]);
    expect(read(frizz, 'anvil')!.versus[0]!.by!.value).toBeLessThan(0);
  });

  it('never sets a product against itself at another amount, and names another’s amounts once', () => {
    const [trial] = clear.trials;
    const more = madeUp('two', ['anvil', 'kelp'], TRUTH, 8, { noise: 0.2 });
    const grams = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;
    const at = (product: string, amount: number) => ({
      ...more,
      arms: more.arms.map((arm) => (arm.key === product ? { ...arm, dose: grams(amount) } : arm)),
    });
    const own = { ...clear, trials: [trial!, at('kelp', 30)] };
    expect(read(own, 'kelp')!.versus.map(({ productId }) => productId)).toEqual(['anvil']);
    const others = { ...clear, trials: [trial!, at('anvil', 30)] };
    expect(read(others, 'kelp')!.versus).toEqual([{ productId: 'anvil', state: 'ahead', by: null }]);
  });

  it('takes its trials’ fairness along, and nothing from a broken one', () => {
    const [trial] = clear.trials;
    const weak = { ...clear, trials: [{ ...trial!, fair: fairAlike('weakened'), blind: true }] };
    expect(read(weak, 'kelp')!.trials[0]).toMatchObject({ fair: 'weakened', blind: true });
    expect(kinds(heldToFigures(told(), read(weak, 'kelp'), [], []))).toEqual(['weakened']);
    expect(read({ ...clear, trials: [{ ...trial!, fair: fairAlike('broken') }] }, 'kelp')).toBeNull();
  });
});

describe('good days', () => {
  it('are counted as far as any trial of it planned', () => {
    const truth = { anvil: { definition: 7, frizz: 4 }, kelp: { definition: 8, frizz: 4, fade: 0.3 } };
    const ask = asked(
      [
        madeUp('long', ['anvil', 'kelp'], truth, 1, { wearDays: 7, level: 0 }),
        madeUp('short', ['anvil', 'kelp'], truth, 2, { wearDays: 3, level: 0 }),
      ],
      { by: 'definition' },
    );
    expect(main(ask, 'kelp')!.goodDays).toMatchObject({ to: 3 });
    expect(read(ask, 'kelp')!.goodDays).toMatchObject({ to: 7 });
    const { goodDays, costPerWash, costPerGoodDay } = read(ask, 'kelp')!;
    expect(goodDays!.value).toBeGreaterThan(4);
    expect(costPerGoodDay).toBeCloseTo(costPerWash! / goodDays!.value, 10);
  });
});

describe('a verdict held to its figures', () => {
  const better = told({ why: 'Better than Anvil Gel on day one.' });

  it('may say what its trials carry, and gets a sentence beside what they do not', () => {
    expect(heldToFigures(better, read(clear, 'kelp'), [], others('kelp'))).toEqual([]);
    // The sides swapped: the same words of the one that is behind.
    expect(
      heldToFigures(told({ why: 'Better than Kelp Fold Gel.' }), read(clear, 'anvil'), [], others('anvil')),
    ).toEqual([{ kind: 'other way', than: 'Kelp Fold Gel', about: null }]);
    // Days taken away: a first wash day of each tells nothing.
    const [trial] = clear.trials;
    const short = { ...clear, trials: [{ ...trial!, days: trial!.days.slice(0, 2) }] };
    expect(heldToFigures(better, read(short, 'kelp'), [], others('kelp'))).toEqual([
      { kind: 'cannot tell', than: 'Anvil Gel', about: null },
    ]);
    // Nobody said how it stands to the foam, which no trial joined it with.
    expect(
      heldToFigures(told({ why: 'It beats Brine Foam!' }), read(clear, 'kelp'), [], others('kelp')),
    ).toEqual([{ kind: 'never met', than: 'Brine Foam' }]);
    expect(
      heldToFigures(
        told({ against: [{ productId: 'anvil', says: 'worse' }] }),
        read(clear, 'kelp'),
        [],
        others('kelp'),
      ),
    ).toEqual([{ kind: 'other way', than: 'Anvil Gel', about: null }]);
  });

  it('is stopped in nineteen of twenty trials of products that are the same in truth', () => {
    const seeds = Array.from({ length: 60 }, (_, i) => 100 + i);
    const let_through = seeds.filter(
      (seed) => heldToFigures(better, main(none(seed), 'kelp'), [], others('kelp')).length === 0,
    );
    // At 2.5 % a side, more than six of 60 come by a chance of 1 in 1,000 (binomial).
    expect(let_through.length).toBeLessThanOrEqual(6);
  });

  it('never shows that two are as good, nor that it is the best where one other is open', () => {
    expect(
      heldToFigures(told({ why: 'Just as good as Anvil Gel.' }), read(clear, 'kelp'), [], others('kelp')),
    ).toEqual([{ kind: 'as good', than: 'Anvil Gel' }]);
    expect(
      heldToFigures(told({ why: 'The best gel I own.' }), read(clear, 'kelp'), [], others('kelp')),
    ).toEqual([]);
    const three = asked(
      [
        madeUp('one', ['anvil', 'kelp'], TRUTH, 1),
        madeUp('two', ['foam', 'kelp'], { foam: { definition: 7.5, frizz: 4 }, kelp: TRUTH.kelp! }, 2),
      ],
      { by: 'definition' },
    );
    expect(
      heldToFigures(told({ why: 'The best gel I own.' }), read(three, 'kelp'), [], others('kelp')),
    ).toEqual([{ kind: 'cannot tell', than: null, about: null }]);
  });

  it('is carried by the outcome it is said of, or by a trial that decided it', () => {
    const kelp = read(clear, 'kelp')!;
    const of = (why: string, evidence = kelp) => heldToFigures(told({ why }), evidence, [], others('kelp'));
    expect(of('More defined than Anvil Gel.')).toEqual([]);
    // Nobody rated volume; of hold nothing was read either.
    expect(of('More volume than Anvil Gel.')).toEqual([
      { kind: 'cannot tell', than: 'Anvil Gel', about: 'volume' },
    ]);
    const level = { anvil: { definition: 6, frizz: 3 }, kelp: { definition: 6, frizz: 5 } };
    const frizzy = read(
      asked([madeUp('one', ['anvil', 'kelp'], level, 7, { noise: 0.2 })], { by: 'definition' }),
      'kelp',
    )!;
    expect(of('Less frizz than Anvil Gel.', frizzy)).toEqual([
      { kind: 'other way', than: 'Anvil Gel', about: 'frizz' },
    ]);
    const decided: Decided[] = [{ trialId: 'one', about: 'hold', productId: 'anvil', state: 'ahead' }];
    const own = { ...kelp, versus: [], versusIn: {}, decided };
    expect(of('Stronger hold than Anvil Gel.', own)).toEqual([]);
    expect(of('Better than Anvil Gel.', own)).toEqual([
      { kind: 'only in', than: 'Anvil Gel', about: 'hold' },
    ]);
    expect(of('More defined than Anvil Gel.', own)).toEqual([
      { kind: 'cannot tell', than: 'Anvil Gel', about: 'definition' },
    ]);
    const lost = { ...own, decided: [{ ...decided[0]!, state: 'behind' as const }] };
    expect(of('Stronger hold than Anvil Gel.', lost)).toEqual([
      { kind: 'other way', than: 'Anvil Gel', about: 'hold' },
    ]);
    expect(of('Lasts longer than Anvil Gel.', own)).toEqual([
      { kind: 'cannot tell', than: 'Anvil Gel', about: 'good-days' },
    ]);
  });

  it('takes what a trial decided from its own sides, and nothing from one that cannot tell or is broken', () => {
    const [trial] = clear.trials;
    const primary = { state: 'decided', tested: { named: [1], over: [0], apart: 2 } } as never;
    const of = (to: object, product = 'kelp') =>
      decidedBy({ ...trial!, ...to }, { primary: 'definition' }, primary, product);
    expect(of({})).toEqual([{ trialId: 'one', about: 'definition', productId: 'anvil', state: 'ahead' }]);
    expect(of({}, 'anvil')).toEqual([
      { trialId: 'one', about: 'definition', productId: 'kelp', state: 'behind' },
    ]);
    expect(of({}, 'foam')).toEqual([]);
    expect(of({ fair: fairAlike('broken') })).toEqual([]);
    for (const state of ['cannot tell', 'describes', 'waiting'])
      expect(
        decidedBy(trial!, { primary: 'definition' }, { ...(primary as object), state } as never, 'kelp'),
      ).toEqual([]);
    expect(decidedBy(trial!, { primary: 'lasting:frizz' }, primary, 'kelp')[0]!.about).toBe('good-days');
    // Minutes to dry stand near hold in fairness, and are no answer about hold; nor is a word near an outcome.
    for (const other of ['minutes-to-dry:less', 'shrinkage:less', 'halo:less', 'crunch:0'] as const)
      expect(decidedBy(trial!, { primary: other }, primary, 'kelp')).toEqual([]);
    // Two amounts of one product.
    const same = trial!.arms.map((arm) => ({ ...arm, productId: 'kelp' }));
    expect(of({ arms: same })).toEqual([]);
  });

  it('is an impression without a trial, and every comparison in it beyond it', () => {
    expect(heldToFigures(told({ why: 'Nice.' }), null, [], OTHERS)).toEqual([{ kind: 'impression' }]);
    expect(
      heldToFigures(told({ why: 'Better than Anvil Gel, and as good as Brine Foam.' }), null, [], OTHERS),
    ).toContainEqual({
      kind: 'as good',
      than: 'Brine Foam',
    });
    expect(
      kinds(heldToFigures(told({ against: [{ productId: 'anvil', says: 'better' }] }), null, [], OTHERS)),
    ).toEqual(['impression', 'cannot tell']);
  });

  it('is held to days seen, heads tested, the amount, proposed claims and what doctors say', () => {
    const kelp = read(clear, 'kelp')!;
    const of = (to: Partial<Told>) => heldToFigures(told(to), kelp, [{ pattern: '3B' }], others('kelp'));
    expect(of({ why: 'Holds for seven days.' })).toEqual([{ kind: 'not seen so long', said: 7, seen: 5 }]);
    expect(of({ why: 'Holds for a day. I wash every 9 days.' })).toEqual([]);
    // Worn as long as said, and not good for as long.
    const brief = { ...kelp, goodDays: { value: 2.63, to: 5, by: 'definition' as const } };
    expect(heldToFigures(told({ why: 'Lasts four days.' }), brief, [], [])).toEqual([
      { kind: 'not so long', said: 4, good: 2.6, by: 'definition' },
    ]);
    expect(heldToFigures(told({ why: 'Lasts three days.' }), brief, [], [])).toEqual([]);
    expect(of({ buyWhy: 'It heals the scalp.' })).toEqual([{ kind: 'health' }]);
    expect(of({ forWhom: [{ trait: 'pattern', value: '3B', suits: true, how: 'tested' }] })).toEqual([]);
    expect(of({ forWhom: [{ trait: 'pattern', value: '4C', suits: true, how: 'guess' }] })).toEqual([]);
    expect(of({ forWhom: [{ trait: 'pattern', value: '4C', suits: true, how: 'tested' }] })).toEqual([
      { kind: 'not tested on', trait: 'pattern', value: '4C' },
    ]);
    const grams = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;
    expect(of({ amount: grams(11.9) })).toEqual([]);
    expect(of({ amount: grams(14) })).toEqual([{ kind: 'amount', tested: grams(10) }]);
    expect(of({ amount: { ...grams(10), per: 'section' } })).toHaveLength(1);
    expect(of({ amount: { kind: 'unknown' } })).toEqual([]);
    const claim = { claim: 'No flakes', because: '', proposed: 'not-kept' } as const;
    expect(of({ claims: [{ ...claim, state: 'kept' }] })).toEqual([
      { kind: 'claim', claim: 'No flakes', said: 'kept', found: 'not-kept' },
    ]);
    expect(
      of({
        claims: [
          { ...claim, state: 'not-kept' },
          { ...claim, state: 'kept', proposed: null },
        ],
      }),
    ).toEqual([]);
  });
});

describe('what free words say', () => {
  const said = (text: string) =>
    saidIn(text, NAMES).map((one) => {
      const { words: _, ...rest } = one;
      return 'about' in rest && rest.about === null ? { kind: rest.kind, name: rest.name } : rest;
    });
  it('is found where it is claimed, not where it is denied', () => {
    expect(said('Clearly better than Anvil Gel.')).toEqual([{ kind: 'better', name: 'Anvil Gel' }]);
    expect(said('No better than Anvil Gel. Not the best.')).toEqual([]);
    expect(said('It isn’t worse.')).toEqual([]);
    expect(said('My holy grail')).toEqual([{ kind: 'better', name: null }]);
    // What the words are about is not what is judged here.
    expect(said('anvil gel wins; Brine Foam was frizzier')).toEqual([
      { kind: 'worse', name: 'Anvil Gel' },
      { kind: 'better', name: 'Brine Foam', about: 'frizz' },
    ]);
    expect(said('Compared with Anvil Gel it is better.')).toEqual([{ kind: 'better', name: 'Anvil Gel' }]);
    expect(said('Anvil Gel beats Brine Foam.')).toEqual([]);
    // By its own word, without its kind, and never inside another word.
    expect(said('Softer than Anvil')).toEqual([{ kind: 'better', name: 'Anvil Gel', about: 'softness' }]);
    expect(said('Better than brined hair.')).toEqual([]);
    // Clause by clause, each with its own product.
    expect(said('Better than Anvil Gel but frizzier than Brine Foam')).toEqual([
      { kind: 'better', name: 'Anvil Gel' },
      { kind: 'worse', name: 'Brine Foam', about: 'frizz' },
    ]);
    expect(said('Better than Anvil Gel and Brine Foam')).toEqual([
      { kind: 'better', name: 'Anvil Gel' },
      { kind: 'better', name: 'Brine Foam' },
    ]);
    expect(said('More defined and softer than Anvil Gel')).toEqual([
      { kind: 'better', name: 'Anvil Gel', about: 'definition' },
      { kind: 'better', name: 'Anvil Gel', about: 'softness' },
    ]);
    expect(said('Better than all the rest')).toEqual([{ kind: 'better', name: null }]);
    expect(said('I liked Anvil Gel, but this is better')).toEqual([{ kind: 'better', name: 'Anvil Gel' }]);
    // By itself after a trial it is said of all it was tested beside.
    expect(said('Clearly better. Softer!')).toEqual([
      { kind: 'better', name: null },
      { kind: 'better', name: null, about: 'softness' },
    ]);
    // Better than it was before, or on another day, is no word on other products.
    expect(said('I like it better on wet hair. Better than last time! More defined by evening.')).toEqual([]);
    expect(said('A dupe for Kelp Fold Gel, no different from it.')).toEqual([
      { kind: 'as good', name: 'Kelp Fold Gel' },
    ]);
    expect(said('Definition stayed good 3 to 5 days')).toEqual([{ kind: 'lasts', days: 5 }]);
    expect(said('72 h hold')).toEqual([{ kind: 'lasts', days: 3 }]);
    expect(said('Held through a whole week')).toEqual([{ kind: 'lasts', days: 7 }]);
    expect(said('Three days in the post.')).toEqual([]);
    expect(said('Hypoallergenic!')).toEqual([{ kind: 'health' }]);
    expect(said('')).toEqual([]);
  });

  it('reads a text of 20,000 words no further than a verdict may be long, and swiftly', () => {
    const text = `${'It was fine and then it was fine again. '.repeat(4000)}Better than Anvil Gel.`;
    expect(said(text)).toEqual([]);
  });
});

describe('claims of a label', () => {
  const kelp = read(clear, 'kelp')!;
  const of = (to: Partial<Evidence>): Evidence => ({ ...kelp, ...to });
  const good = (value: number, to: number, by: 'hold' | 'definition' = 'hold') => ({
    goodDays: { value, to, by },
  });
  const state = (claim: string, evidence: Evidence | null, since: number | null = null) =>
    proposeClaim(claim, evidence, [], since)?.state ?? null;

  it('know how many days they promise', () => {
    for (const [claim, days] of [
      ['72 h hold', 3],
      ['Definition for five days', 5],
      ['24-hour frizz control', 1],
      ['Day 4 curls', 4],
      ['Curls all week', 7],
      ['Soft hold', null],
      ['2-in-1', null],
    ] as const)
      expect(daysClaimed(claim), claim).toBe(days);
  });

  it('of days are kept or not only where it was worn and counted that long', () => {
    expect(state('72 h hold', of(good(3.4, 5)))).toBe('kept');
    expect(state('72 h hold', of(good(1.5, 5)))).toBe('not-kept');
    // Good to the end of what was counted: it may have gone on.
    expect(state('Hold for five days', of(good(2.9, 3)))).toBe('cannot-tell');
    expect(state('Hold for five days', of(good(1.2, 3)))).toBe('not-kept');
    expect(state('Hold for five days', of({ goodDays: null }))).toBe('not-tested');
    // Counted by another outcome than the claim speaks of.
    expect(state('72 h hold', of(good(1.5, 5, 'definition')))).toBe('cannot-tell');
  });

  it('of feel go by what was told, of a list by the list, and some by nothing a wash day shows', () => {
    const felt = (quality: 'flakes' | 'crunch' | 'slip' | 'colour', middle: number, worst: number) =>
      of({ felt: { [quality]: { middle, worst, days: 8 } } });
    expect(state('No flakes', felt('flakes', 0, 0))).toBe('kept');
    expect(state('No flakes', felt('flakes', 0, 2))).toBe('cannot-tell');
    expect(state('No flakes', felt('flakes', 1, 2))).toBe('not-kept');
    expect(state('No flakes', kelp)).toBe('not-tested');
    expect(state('Soft hold', felt('crunch', 0, 1))).toBe('kept');
    expect(state('Detangles', felt('slip', 1, 3))).toBe('not-kept');
    expect(state('Heat protection to 180 °C', kelp)).toBe('cannot-tell');
    expect(state('Repairs bonds', kelp)).toBe('cannot-tell');
    // Soon after colouring, colour in the rinse proves little.
    expect(state('Colour-safe', felt('colour', 3, 4), 10)).toBe('cannot-tell');
    expect(state('Colour-safe', felt('colour', 3, 4), 60)).toBe('not-kept');
    expect(state('Colour-safe', felt('colour', 0, 0), 60)).toBe('cannot-tell');
    expect(state('Holds in damp air', of({ air: { low: 2, high: 9 } }))).toBe('not-tested');
    expect(state('Holds in damp air', of({ air: { low: 2, high: 18 } }))).toBe('cannot-tell');
    expect(state('Strong hold', of({ rated: { hold: { value: 7.4, days: 8 } } }))).toBe('kept');
    expect(state('Strong hold', of({ rated: { hold: { value: 4, days: 8 } } }))).toBe('not-kept');
    const list = (holds: 'true' | 'false' | 'cannot tell') => [
      { claim: 'silicones' as const, holds, items: ['Dimethicone'] },
    ];
    expect(proposeClaim('Free of silicones', null, list('false'), null)).toMatchObject({
      state: 'not-kept',
      fact: { kind: 'list', items: ['Dimethicone'] },
    });
    expect(proposeClaim('Silicone-free', kelp, list('true'), null)!.state).toBe('kept');
    expect(proposeClaim('No sulphates', kelp, [], null)!.state).toBe('not-tested');
    // Without a trial nothing was tested; of no kind that is known, nothing is proposed.
    expect(state('72 h hold', null)).toBe('not-tested');
    expect(state('Vegan', kelp)).toBeNull();
    expect(state('Made by the sea', null)).toBeNull();
  });
});

describe('the length of hair', () => {
  it('is said in three words', () => {
    expect([90, 151, 350, 351].map(lengthOf)).toEqual(['short', 'shoulder', 'shoulder', 'long']);
  });
});
