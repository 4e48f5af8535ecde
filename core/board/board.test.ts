import { describe, expect, it } from 'vitest';
import { boardOf } from './board.ts';
import { lastingByClass } from './by-class.ts';
import type { ColumnKey } from './columns.ts';
import { ALL, asked, fairAlike, madeUp, product, TRUTH } from './made-up-trials.ts';
import { wayBetween } from './met.ts';
import { disagreements, pairWays, trialsToTell } from './pair.ts';
import {
  type BoardAsk,
  type BoardTrial,
  type BoardView,
  meanDewPoint,
  unreadWishes,
  WHOLE_VIEW,
  wishValue,
} from './read.ts';
import { amountsOf, testedBy } from './tested.ts';
import { turnsOf } from './turns.ts';

const two = [madeUp('one', ['anvil', 'kelp'], TRUTH, 1), madeUp('two', ['foam', 'anvil'], TRUTH, 2)];
const column = (ask: BoardAsk, key: ColumnKey = 'definition') =>
  boardOf({ ...ask, by: key }).columns.find((one) => one.key === key)!;

describe('the board', () => {
  it('names the best first, knows a pair that never met through a third, and swaps with its sides', () => {
    const { leaders, joint, cells } = column(asked(two));
    expect(leaders).toMatchObject([{ node: 'kelp', next: 'foam', firmness: 'firm', heldBack: null }]);
    const of = (node: string, from: string) => {
      const pair = joint.find((one) => [one.node, one.from].every((key) => [node, from].includes(key)))!;
      return pair.node === node ? pair : { ...pair, low: -pair.high, high: -pair.low, value: -pair.value };
    };
    expect(of('kelp', 'anvil').low).toBeGreaterThan(0);
    expect(cells.map(({ node, days }) => [node, days])).toEqual([
      ['anvil', 8],
      ['foam', 4],
      ['kelp', 4],
    ]);
    const swapped = two.map((trial) => ({
      ...trial,
      arms: trial.arms.toReversed(),
      days: trial.days.map((day) => ({ ...day, arm: 1 - day.arm })),
    }));
    const turned = column(asked(swapped));
    expect(turned.leaders[0]!.node).toBe('kelp');
    expect(turned.joint).toEqual(joint);
    // Less frizz is wanted, whoever has more of it.
    expect(column(asked(two), 'frizz').leaders[0]!.node).toBe('kelp');
    const ways = pairWays(asked(two), 'definition', 'kelp', 'foam');
    expect(ways.direct).toEqual({ effect: null, trials: [], washDays: 0 });
    expect(ways.both!.value).toBeCloseTo(of('kelp', 'foam').value, 10);
    expect(ways.apart).toBeNull();
  });

  it('leaves broken trials out, weakened ones where that is asked, and says which', () => {
    const [one, other] = two as [BoardTrial, BoardTrial];
    const broken = boardOf(asked([one, { ...other, fair: fairAlike('broken') }]));
    expect(broken.nodes.map(({ node }) => node)).toEqual(['anvil', 'kelp']);
    expect(broken.out).toEqual([{ id: 'two', question: 'foam or anvil?', why: 'broken' }]);
    const weak = [one, { ...other, fair: fairAlike('weakened') }];
    expect(boardOf(asked(weak)).weakened).toEqual(['two']);
    expect(boardOf(asked(weak, { weakened: false })).out[0]!.why).toBe('weakened');
    expect(boardOf(asked([{ ...one, fair: fairAlike('broken') }]))).toMatchObject({ nodes: [], met: [] });
  });

  it('keeps islands apart, one product alone has nothing to be compared with', () => {
    const board = boardOf(
      asked([two[0]!, madeUp('three', ['jelly', 'cream'], { jelly: TRUTH.foam, cream: TRUTH.anvil }, 3)]),
    );
    expect(new Set(board.columns[0]!.cells.map(({ island }) => island)).size).toBe(2);
    expect(
      column(
        asked([two[0]!, madeUp('three', ['jelly', 'cream'], { jelly: TRUTH.foam, cream: TRUTH.anvil }, 3)]),
      ).leaders,
    ).toHaveLength(2);
    expect(board.columns[0]!.joint.some(({ node, from }) => node === 'kelp' && from === 'jelly')).toBe(false);
    const alone = column(asked([{ ...two[0]!, arms: [product('kelp'), product('kelp')] }]));
    expect(alone.leaders).toEqual([]);
    expect(alone.cells[0]!.effect).toBeNull();
  });

  it('ranks a column by its own islands, where another has no numbers', () => {
    const [one, other] = [
      madeUp('a', ['anvil', 'kelp'], TRUTH, 1),
      madeUp('z', ['cream', 'jelly'], { cream: TRUTH.anvil, jelly: TRUTH.kelp }, 3),
    ];
    // Definition was never rated in the first trial: the only island of it is the second's.
    const unrated = { ...one, days: one.days.map((day) => ({ ...day, rated: { frizz: day.rated.frizz! } })) };
    const { cells, leaders } = column(asked([unrated, other]));
    expect(cells.map(({ node, island }) => [node, island])).toEqual([
      ['anvil', null],
      ['cream', 0],
      ['jelly', 0],
      ['kelp', null],
    ]);
    expect(leaders.map(({ island, node }) => [island, node])).toEqual([[0, 'jelly']]);
  });

  it('is never firm beside a difference that is not clear over all together', () => {
    let [firm, back] = [0, 0];
    for (let seed = 1; seed < 30; seed++) {
      const truth = {
        anvil: { definition: 5, frizz: 4 },
        kelp: { definition: 6.8, frizz: 4 },
        foam: { definition: 5.4, frizz: 4 },
      };
      const found = column(
        asked([
          madeUp('a', ['anvil', 'kelp'], truth, seed, { noise: 0.6 }),
          madeUp('b', ['foam', 'anvil'], truth, seed + 50, { noise: 0.6 }),
        ]),
      );
      for (const { node, firmness, heldBack } of found.leaders) {
        if (heldBack !== null) back++;
        if (firmness === 'firm' && ++firm)
          for (const { node: a, from, low, high } of found.joint)
            if ([a, from].includes(node)) expect(low > 0 || high < 0).toBe(true);
      }
    }
    // Both happen, or this would hold of nothing.
    expect(firm).toBeGreaterThan(2);
    expect(back).toBeGreaterThan(0);
  });

  it('says nothing of how long it lasts where one option was mostly cut short', () => {
    const cutOne = (arm: number) => ({
      ...two[0]!,
      days: two[0]!.days.map((day) =>
        day.arm === arm ? { ...day, worn: { definition: [{ day: 1, value: 9 }] } } : day,
      ),
    });
    for (const arm of [0, 1])
      expect(column(asked([cutOne(arm)]), 'good-days').cells.every(({ days }) => days === 0)).toBe(true);
  });

  it('finds the shortest way between two that never met', () => {
    const { met } = boardOf(asked(two));
    expect(wayBetween(met, 'kelp', 'foam')).toEqual(['anvil']);
    expect(wayBetween(met, 'kelp', 'anvil')).toEqual([]);
    expect(wayBetween(met, 'kelp', 'jelly')).toEqual([]);
  });

  it('counts good days to the last day that every trial planned for, and says nothing of one mostly cut short', () => {
    const long = madeUp('long', ['anvil', 'kelp'], TRUTH, 4, { wearDays: 7, level: 0 });
    const board = boardOf(asked([long, two[1]!], { whole: true }));
    expect(board.countedTo).toBe(5);
    const good = board.columns.find(({ key }) => key === 'good-days')!;
    for (const { mean } of good.cells) expect(mean).toBeLessThanOrEqual(5 + 1e-9);
    expect(good.cells.find(({ node }) => node === 'kelp')!.mean).toBeGreaterThan(
      good.cells.find(({ node }) => node === 'anvil')!.mean!,
    );
    // Looked at on the first day alone and then washed for sport: nothing is known of how long.
    const cut = two.map((trial) => ({
      ...trial,
      days: trial.days.map((day) => ({ ...day, worn: { definition: [{ day: 1, value: 9 }] } })),
    }));
    expect(column(asked(cut), 'good-days').cells.every(({ days }) => days === 0)).toBe(true);
    // A trial without a single look, or with numbers that are none, takes nothing down with it.
    const blank = two.map((trial, t) =>
      t === 1 ? trial : { ...trial, days: trial.days.map((day) => ({ ...day, rated: {}, worn: {} })) },
    );
    expect(column(asked(blank)).cells.find(({ node }) => node === 'kelp')!.days).toBe(0);
    const spoiled = two.map((trial) => ({
      ...trial,
      days: trial.days.map((day, i) =>
        i === 0 ? { ...day, rated: { definition: [{ day: 1, value: Number.NaN }] } } : day,
      ),
    }));
    expect(column(asked(spoiled)).cells.every(({ mean }) => mean === null || Number.isFinite(mean))).toBe(
      true,
    );
  });

  it('leaves a trial out of the columns it is broken for, and of no other', () => {
    const [one, other] = two as [BoardTrial, BoardTrial];
    const trials = [one, { ...other, fair: { ...other.fair, definition: 'broken' as const } }];
    const board = boardOf(asked(trials, { whole: true, by: 'definition' }));
    expect(board.out).toEqual([{ id: 'two', question: other.question, why: 'broken' }]);
    const cells = (key: ColumnKey, of = board) =>
      of.columns
        .find((one) => one.key === key)!
        .cells.filter(({ days }) => days > 0)
        .map(({ node }) => node);
    expect(cells('definition')).toEqual(['anvil', 'kelp']);
    expect(cells('frizz')).toEqual(['anvil', 'foam', 'kelp']);
    // Days and trials are those of the column that orders.
    expect(board.nodes.find(({ node }) => node === 'foam')).toMatchObject({ trials: [], washDays: 0 });
    const frizz = boardOf(asked(trials, { whole: true, by: 'frizz' }));
    expect(frizz.out).toEqual([]);
    expect(frizz.nodes.find(({ node }) => node === 'foam')).toMatchObject({ trials: ['two'], washDays: 4 });
    // Good days follow the outcome they are counted by; a wish all that it weighs.
    expect(cells('good-days')).not.toContain('foam');
    expect(cells('good-days', boardOf(asked(trials, { whole: true, lasting: 'frizz', line: 9 })))).toContain(
      'foam',
    );
    expect(cells('wish', boardOf(asked(trials, { whole: true, weights: { frizz: 1 } })))).toContain('foam');
    expect(
      cells('wish', boardOf(asked(trials, { whole: true, weights: { frizz: 1, definition: 1 } }))),
    ).not.toContain('foam');
    expect(pairWays(asked(trials), 'definition', 'foam', 'anvil').both).toBeNull();
    expect(pairWays(asked(trials), 'frizz', 'foam', 'anvil').both).not.toBeNull();
  });

  it('counts good days to a later day by the trials that planned it alone', () => {
    const trials = [
      madeUp('one', ['anvil', 'kelp'], TRUTH, 1, { wearDays: 3, level: 0 }),
      madeUp('two', ['foam', 'anvil'], TRUTH, 2, { wearDays: 6, level: 0 }),
    ];
    const of = (upTo: number | null) => boardOf(asked(trials, { upTo, by: 'good-days' }));
    const read = (board: ReturnType<typeof boardOf>) =>
      board.columns
        .find(({ key }) => key === 'good-days')!
        .cells.filter(({ days }) => days > 0)
        .map(({ node }) => node);
    expect(of(null).countedTo).toBe(3);
    expect(read(of(null))).toEqual(['anvil', 'foam', 'kelp']);
    expect(of(6).countedTo).toBe(6);
    expect(read(of(6))).toEqual(['anvil', 'foam']);
    expect(read(of(9))).toEqual([]);
  });

  it('tells who is first among what is in view, the rest still joining them', () => {
    const ask = asked(two, { by: 'definition' });
    expect(column(ask).leaders.map(({ node }) => node)).toEqual(['kelp']);
    const of = (view: Partial<BoardView>) => boardOf({ ...ask, view: { ...WHOLE_VIEW, ...view } });
    // Kelp out of view: foam met anvil alone, and is told against it alone.
    const some = of({ productIds: ['foam', 'anvil'] });
    const read = some.columns.find(({ key }) => key === 'definition')!;
    expect(some.shown).toEqual(['anvil', 'foam']);
    expect(some.nodes.map(({ node }) => node)).toEqual(['anvil', 'foam', 'kelp']);
    expect(read.leaders.map(({ node, next }) => [node, next])).toEqual([['foam', 'anvil']]);
    expect(Object.keys(read.first).toSorted()).toEqual(['anvil', 'foam']);
    expect(read.first.anvil! + read.first.foam!).toBeCloseTo(1, 10);
    expect(read.joint.map(({ node, from }) => [node, from])).toEqual([['anvil', 'foam']]);
    // The pair that never met is still known through the one that is out of view.
    const through = of({ productIds: ['foam', 'kelp'] }).columns.find(({ key }) => key === 'definition')!;
    expect(through.joint).toHaveLength(1);
    expect(through.leaders[0]).toMatchObject({ node: 'kelp', next: 'foam' });
    // Two intervals that hold together are wider than one alone.
    const width = (joint: readonly { low: number; high: number }[]) => joint[0]!.high - joint[0]!.low;
    expect(width(read.joint)).toBeLessThan(
      width(column(ask).joint.filter(({ node, from }) => [node, from].toSorted().join() === 'anvil,foam')),
    );
    expect(of({ productIds: [] }).shown).toEqual([]);
    expect(of({ since: '2999-01-01' }).shown).toEqual([]);
    expect(turnsOf({ ...ask, weights: { definition: 1 } }, 'foam', ['foam', 'anvil'])).toEqual([]);
  });

  it('reads the wash days of one air alone, and none without weather', () => {
    const dewy = two.map((trial) => ({
      ...trial,
      days: trial.days.map((day, i) => ({ ...day, dewPointC: i === 0 ? null : i % 2 ? 4 : 14 })),
    }));
    const days = (air: BoardView['air']) =>
      column(asked(dewy, { view: { ...WHOLE_VIEW, air } })).cells.reduce((sum, cell) => sum + cell.days, 0);
    const all = two.reduce((sum, trial) => sum + trial.days.length, 0);
    expect(days(null)).toBe(all);
    const [dry, humid] = [days({ from: -40, to: 9 }), days({ from: 9, to: 40 })];
    expect(dry + humid).toBe(all - 2);
    expect(dry).toBe(dewy.flatMap(({ days }) => days).filter(({ dewPointC }) => dewPointC === 4).length);
    // The upper end belongs to the next band.
    expect(days({ from: 4, to: 14 })).toBe(dry);
    expect(days({ from: 20, to: 40 })).toBe(0);
  });

  it('is never firm where the trials that held both cannot tell', () => {
    // Anvil and kelp hardly differ in their own noisy trial; through foam, by quiet ones, kelp is far ahead.
    const quiet = { noise: 0.05 };
    const apart = {
      anvil: { definition: 5, frizz: 4 },
      kelp: { definition: 6, frizz: 4 },
      foam: { definition: 4, frizz: 4 },
    };
    const trials = [
      madeUp('own', ['anvil', 'kelp'], { ...apart, kelp: { definition: 5.1, frizz: 4 } }, 5, { noise: 0.3 }),
      madeUp('a', ['anvil', 'foam'], apart, 6, quiet),
      madeUp('b', ['kelp', 'foam'], apart, 7, quiet),
      madeUp('c', ['kelp', 'foam'], apart, 8, quiet),
      madeUp('d', ['anvil', 'foam'], apart, 9, quiet),
    ];
    const { leaders } = column(asked(trials));
    expect(leaders[0]).toMatchObject({ node: 'kelp', next: 'anvil' });
    expect(leaders[0]!.firmness).not.toBe('firm');
  });

  it('tells ways that disagree, and not those that agree', () => {
    const agree = [...two, madeUp('three', ['kelp', 'foam'], TRUTH, 3)];
    expect(disagreements(asked(agree), 'definition')).toMatchObject({ found: [], checked: 3 });
    const season = { ...TRUTH, foam: { definition: 9.5, frizz: 2 } };
    const apart = disagreements(asked([...two, madeUp('three', ['kelp', 'foam'], season, 3)]), 'definition');
    expect(apart.checked).toBe(3);
    expect(apart.found.length).toBeGreaterThan(0);
    const board = boardOf(asked([...two, madeUp('three', ['kelp', 'foam'], season, 3)]));
    expect(board.columns[0]!.agreement[0]!.inflation).toBeGreaterThan(2);
  });

  it('reads half-heads beside whole ones, each by its own spread', () => {
    const halves = madeUp('halves', ['foam', 'kelp'], TRUTH, 11, { halves: true });
    const { joint } = column(asked([...two, halves]));
    expect(joint).toHaveLength(3);
    // Minutes are of a whole head.
    expect(column(asked([...two, halves]), 'hands-on').cells.find(({ node }) => node === 'kelp')!.days).toBe(
      4,
    );
  });
});

describe('beside the board', () => {
  it('good days are told by kind, from all wash days, broken trials too', () => {
    const kinds = { anvil: 'gel', kelp: 'gel', foam: 'foam' };
    const level = [
      madeUp('one', ['anvil', 'kelp'], TRUTH, 1, { level: 0 }),
      madeUp('two', ['foam', 'anvil'], TRUTH, 2, { level: 0, fair: fairAlike('broken') }),
    ];
    const found = lastingByClass(asked(level), kinds);
    expect(found.upTo).toBe(5);
    expect(found.kinds.map(({ kind, products, wears, cut }) => [kind, products, wears, cut])).toEqual([
      ['foam', ['foam'], 4, 0],
      ['gel', ['anvil', 'kelp'], 12, 0],
    ]);
    for (const { lasting } of found.kinds) expect(lasting!.middle).toBeLessThanOrEqual(5);
    // Another product's kind is not known, another role's trials are another table.
    expect(lastingByClass(asked(level), {}).kinds).toEqual([]);
    expect(lastingByClass(asked(level, { role: 'cleanse' }), kinds)).toEqual({ upTo: 0, kinds: [] });
  });

  it('a trial to tell takes more wash days the noisier the head is', () => {
    const days = (noise: number) =>
      trialsToTell(asked([madeUp('one', ['anvil', 'kelp'], TRUTH, 1, { noise })]), 'definition')[0]!;
    expect(days(0.2)).toMatchObject({ design: 'complete', freedom: 6, days: 8 });
    expect(days(0.9).days ?? 99).toBeGreaterThan(8);
    expect(trialsToTell(asked([]), 'definition')).toEqual([]);
  });
});

describe('wishes', () => {
  it('weigh between fixed ends, and give no value where a number is missing', () => {
    expect(wishValue({ definition: 1, frizz: 1 }, { definition: 8, frizz: 2 })).toBeCloseTo(8, 12);
    expect(wishValue({ definition: 3, frizz: 1 }, { definition: 8, frizz: 4 })).toBeCloseTo(7.5, 12);
    expect(wishValue({ lasting: 2 }, { lasting: 3.5 })).toBeCloseTo(5, 12);
    expect(wishValue({ length: 1 }, { length: 30 })).toBeCloseTo(7, 12);
    expect(wishValue({ definition: 1, frizz: 1 }, { definition: 8 })).toBeNull();
    expect(wishValue({ definition: 1, frizz: 0 }, { definition: 8 })).toBeCloseTo(8, 12);
    expect(wishValue({}, { definition: 8 })).toBeNull();
    expect(wishValue({ definition: 0 }, { definition: 8 })).toBeNull();
  });

  it('turn the order, and the board says at which weight', () => {
    // Kelp is better defined, foam less frizzy.
    const trials = [
      madeUp(
        'one',
        ['kelp', 'foam'],
        { kelp: { definition: 8, frizz: 6 }, foam: { definition: 6, frizz: 3 } },
        1,
        {
          noise: 0.1,
        },
      ),
    ];
    const ask = asked(trials, { weights: { definition: 3, frizz: 1 } });
    expect(column(ask, 'wish').leaders[0]!.node).toBe('kelp');
    const turns = turnsOf(ask, 'kelp', ALL)!;
    expect(turns.map(({ wish, node }) => [wish, node])).toEqual([
      ['definition', 'foam'],
      ['frizz', 'foam'],
    ]);
    // Two points of definition against three of frizz: at 60 % of definition they are equal.
    expect(turns[0]!.at).toBeCloseTo(0.6, 1);
    expect(turns[1]!.at).toBeCloseTo(0.4, 1);
    const turned = asked(trials, { weights: { definition: 0.5, frizz: 0.5 } });
    expect(column(turned, 'wish').leaders[0]!.node).toBe('foam');
    expect(boardOf(asked(trials)).columns.some(({ key }) => key === 'wish')).toBe(false);
    expect(turnsOf(asked(trials, { weights: { definition: 1 } }), 'kelp', ALL)).toEqual([]);
    // Of one that is not first by these means, nothing is said.
    expect(turnsOf(ask, 'foam', ALL)).toBeNull();
  });
});

describe('what an arm stands for', () => {
  const step = (id: string, slot: string, productId: string | null, part: 'held' | 'tested') =>
    ({ id, slot, part, productId, dose: null, extra: {} }) as never;
  const arm = (name: string, steps: readonly Record<string, unknown>[]) =>
    ({ name, steps: steps.map((one) => ({ dose: null, ...one })) }) as never;

  it('is the product in the one step that differs, or the step left out', () => {
    const plan = [step('a', 'condition', 'slack', 'held'), step('b', 'hold', null, 'tested')];
    expect(
      testedBy(plan, [
        arm('Kelp', [{ stepId: 'b', productId: 'kelp' }]),
        arm('None', [{ stepId: 'b', productId: null, skipped: true }]),
      ]),
    ).toMatchObject([
      { kind: 'product', role: 'hold', key: 'kelp', productId: 'kelp' },
      { kind: 'without', role: 'hold', key: 'without' },
    ]);
    expect(
      testedBy(plan, [
        arm('A', [{ stepId: 'b', productId: 'kelp' }]),
        arm('B', [{ stepId: 'b', productId: 'kelp' }]),
      ]),
    ).toBeNull();
    expect(testedBy(plan, [arm('A', []), arm('B', [])])).toBeNull();
  });

  it('is another way of one product where a setting differs, and a line where several steps do', () => {
    const plan = [step('a', 'condition', null, 'tested'), step('b', 'hold', 'kelp', 'tested')];
    const ways = testedBy(plan, [
      arm('Rake', [{ stepId: 'b', productId: null, settings: { technique: 'rake' } }]),
      arm('Scrunch', [{ stepId: 'b', productId: null, settings: { technique: 'scrunch' } }]),
    ])!;
    expect(ways.map(({ kind, productId }) => [kind, productId])).toEqual([
      ['way', 'kelp'],
      ['way', 'kelp'],
    ]);
    expect(new Set(ways.map(({ key }) => key)).size).toBe(2);
    const lines = testedBy(plan, [
      arm('Tidewrack', [
        { stepId: 'a', productId: 'slack' },
        { stepId: 'b', productId: 'kelp' },
      ]),
      arm('Marrowby', [
        { stepId: 'a', productId: 'fallow' },
        { stepId: 'b', productId: 'anvil' },
      ]),
    ])!;
    expect(lines.map(({ kind, role }) => [kind, role])).toEqual([
      ['line', 'line'],
      ['line', 'line'],
    ]);
  });

  it('is one thing at amounts that count as the same, several at others', () => {
    const grams = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;
    expect(amountsOf([grams(10), grams(11), null, grams(20), grams(10)])).toEqual({
      amounts: [grams(10), grams(20)],
      of: [0, 0, 0, 1, 0],
    });
    expect(
      amountsOf([grams(10), { kind: 'exact', amount: 10, measure: 'pump', per: 'head' }]).amounts,
    ).toHaveLength(2);
    expect(amountsOf([])).toEqual({ amounts: [], of: [] });
  });

  it('stands twice on the board where it was tested at two amounts', () => {
    const half = { kind: 'exact', amount: 5, measure: 'g', per: 'head' } as const;
    const trial = { ...two[0]!, arms: [product('kelp'), { ...product('kelp'), dose: half, name: 'half' }] };
    const { nodes } = boardOf(asked([trial]));
    expect(
      nodes.map(({ key, byAmount, dose }) => [key, byAmount, dose?.kind === 'exact' && dose.amount]),
    ).toEqual([
      ['kelp', true, 10],
      ['kelp', true, 5],
    ]);
  });
});

describe('the air that wash days met', () => {
  // Made-up wash days stand at 0, 3 … 21 °C by their position.
  const one = madeUp('1', ['kelp', 'anvil'], TRUTH, 1);
  it('is their mean dew point, in the chosen band alone, its upper end left out', () => {
    expect(meanDewPoint([one], null)).toBeCloseTo(10.5);
    expect(meanDewPoint([one, one], { from: 6, to: 12 })).toBeCloseTo(7.5);
  });
  it('is not known where no day of it has its weather', () => {
    expect(meanDewPoint([one], { from: 40, to: 50 })).toBeNull();
    expect(
      meanDewPoint([{ ...one, days: one.days.map((day) => ({ ...day, dewPointC: null })) }], null),
    ).toBeNull();
  });
});

describe('wishes that nothing was read of', () => {
  it('are told, those that weigh nothing or were read are not', () => {
    const one = madeUp('1', ['kelp', 'anvil'], TRUTH, 1);
    const weights = { definition: 2, volume: 1, shine: 0, length: 1, lasting: 3 };
    expect(unreadWishes([one], weights, 1)).toEqual(['volume']);
    expect(unreadWishes([one], weights, 2)).toEqual(['volume', 'length']);
    expect(unreadWishes([one], {}, 1)).toEqual([]);
  });
});
