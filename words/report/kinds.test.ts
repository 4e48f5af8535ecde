import type { Verdict } from '@sabor/contract/verdict';
import { boardOf } from '@sabor/core/board/board';
import { ALL, asked, fairAlike, madeUp, TRUTH } from '@sabor/core/board/made-up-trials';
import type { BoardTrial } from '@sabor/core/board/read';
import { describe, expect, it } from 'vitest';
import { asHtml } from './as-html.ts';
import { asText as asLines } from './as-text.ts';
import { figureColumns, type Report } from './blocks.ts';
import { boardReport } from './board-report.ts';
import { cardOf } from './card.ts';
import { cardStripSvg } from './drawings.ts';
import { verdictReport } from './verdict-report.ts';

const asText = (of: Report) => asLines(of).replaceAll(/\s+/g, ' ');
const DISCLOSURE = 'To declare: Kelp (gift).';

const boardFor = (trials: readonly BoardTrial[]) => {
  const board = boardOf(asked(trials, { by: 'definition' }));
  const column = board.columns.find(({ key }) => key === board.by)!;
  return boardReport({
    ...{ board, column, step: 'Hold', who: 'Ines', nameOf: (node: string) => node, inView: '' },
    ...{ disclosure: DISCLOSURE, today: '2026-11-28' },
  });
};
const pairs = [
  ['kelp', 'anvil'],
  ['foam', 'anvil'],
] as const;
const trials = pairs.map((pair, i) => madeUp(String(i), pair, TRUTH, 1 + i));

describe('a board’s report', () => {
  it('says who is first, how sure that is and how it may be taken; nothing is said to be clear without an interval', () => {
    const report = boardFor(trials);
    const text = asText(report);
    expect(cardOf(report).headline).toMatch(/^kelp, first in (over )?\d+ of 100/);
    expect(text).toContain('2 trials of one head put together. Their fairness checks found nothing');
    expect(text).toContain('kelp is better than anvil in definition');
    expect(text).toContain(DISCLOSURE);
    for (const one of ALL) expect(text).toContain(one);
    expect(text).not.toContain('Open a pair');
    // Without any effect in truth nothing is clear, whatever the order.
    const alike = Object.fromEntries(ALL.map((key) => [key, { definition: 6, frizz: 4 }]));
    const none = asText(
      boardFor(pairs.map((pair, i) => madeUp(String(i), pair, alike, 31 + i, { level: 0 }))),
    );
    expect(none).toContain('Nothing: no two of them can be told apart.');
    expect(none).not.toContain('is better than');
  });

  it('names what weakens it, and what was left out', () => {
    const [one, two] = trials as [BoardTrial, BoardTrial];
    const text = asText(
      boardFor([
        { ...one, fair: fairAlike('weakened') },
        { ...two, fair: fairAlike('broken') },
      ]),
    );
    expect(text).toContain('The fairness check weakens one of them.');
    expect(text).toContain('“foam or anvil?”: its fairness check found it broken for this column');
  });
});

const said = (to: object = {}, content: object = {}) => ({
  ...{ id: 's', cause: 'first', causeNote: '', at: '2026-11-20T10:00:00Z', edition: '', stake: 'gift' },
  ...{ rests: null, beside: [{ kind: 'impression' }] },
  content: {
    ...{ score: 7, why: 'Soft.', forWhom: [], amount: null, buyAgain: 'offer', buyWhy: 'On days off.' },
    ...{
      claims: [{ claim: 'Lasts <3> days', state: 'cannot-tell', because: '', proposed: null }],
      against: [],
    },
    ...{ style: null, effort: '', feel: '', packaging: '', next: '', open: [] },
    ...content,
  },
  ...to,
});
const verdictOf = (...all: object[]) =>
  verdictReport({
    verdict: {
      id: 'v',
      name: 'Kelp',
      slot: 'hold',
      subject: { kind: 'product', productId: 'k' },
      wearerName: 'Ines Falkenrath',
      said: all,
    } as unknown as Verdict,
    ...{ who: 'Ines', nameOf: (id: string) => id, disclosure: DISCLOSURE, today: '2026-11-28' },
  });

describe('a verdict’s report', () => {
  it('never leaves without what stands beside it, how the product came, and what it rests on', () => {
    const report = verdictOf(said())!;
    const card = cardOf(report);
    expect(card.headline).toBe('Kelp: 7 of 10');
    expect(card.standing).toContain('An impression: no finished trial stands behind it.');
    expect(card.standing).toMatch(/The tester bought the product|To declare: /);
    expect(card.disclosure).toBe(DISCLOSURE);
    const html = asHtml(report, new Map());
    expect(html).toContain('Lasts &lt;3&gt; days');
    expect(html).not.toContain('Falkenrath');
  });

  it('keeps what was said before, with its date and cause; one without a score or words says so', () => {
    const text = asText(
      verdictOf(
        said({ cause: 'seen-longer', at: '2026-11-27T10:00:00Z' }, { score: null, why: '' }),
        said({}, { score: 9, why: 'Best ever.' }),
      )!,
    );
    expect(text).toContain('Kelp: no score');
    expect(text).toMatch(/20 Nov: 9 of 10\. Best ever\./);
    expect(verdictOf()).toBeNull();
  });
});

describe('a card', () => {
  it('draws its strip large, with every name, value and mean, and nothing of what it cannot draw', () => {
    const drawing = {
      ...{ what: 'strip' as const, arms: ['Anvil <1>', 'Kelp'], ends: [0, 10] as const, places: 1 },
      values: [
        { arm: 0, value: 4 },
        { arm: 1, value: 8 },
      ],
      means: [4, 8],
    };
    const { svg, height } = cardStripSvg(drawing, 936)!;
    expect(height).toBeGreaterThan(300);
    expect(svg).toContain('Anvil &lt;1&gt;');
    expect(svg).toContain('mean 8.0');
    expect(cardStripSvg({ ...drawing, values: [] }, 936)).toBeNull();
    // Hundredths of a millimetre are told as such, and sizes with their thousands.
    const halo = { ...drawing, ends: null, places: 2, means: [0.424, -0.004] };
    expect(cardStripSvg(halo, 936)!.svg).toMatch(/mean 0\.42.*mean 0\.00/);
    const volume = { ...drawing, ends: null, places: 0, means: [12_345.4, 9876] };
    expect(cardStripSvg(volume, 936)!.svg).toMatch(/mean 12,345.*mean 9,876/);
    expect(cardStripSvg({ what: 'curve', arms: [], ends: null, places: 1, curves: [] }, 936)).toBeNull();
  });

  it('sets figures flush right and texts flush left', () => {
    expect(
      figureColumns({
        kind: 'table',
        caption: '',
        head: ['What', 'Says', 'Mean'],
        rows: [['Kelp', 'first in 49 of 100: still open', '7.5']],
      }),
    ).toEqual([false, false, true]);
  });
});
