import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { compareTrial } from '@sabor/core/compare/comparison';
import { madeUpTrial } from '@sabor/core/compare/made-up.fixture';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { describe, expect, it } from 'vitest';
import { asHtml } from './as-html.ts';
import { asText as asLines } from './as-text.ts';
import type { Report } from './blocks.ts';
import { drawingSvg } from './drawings.ts';
import { PARTS, type Part, trialReport } from './trial-report.ts';

const product = (id: string, stake: string) => ({ id, name: id === 'k' ? 'Kelp <Fold>' : 'Anvil', stake });
const step = (productId: string) => ({ stepId: 's', productId, dose: null, skipped: false, settings: {} });
/** A trial as its report reads it; what no report reads is not there. */
const detail = (to: Partial<TrialDetail> = {}): TrialDetail =>
  ({
    question: 'Which gel for Ines Falkenrath?',
    design: 'complete',
    primary: 'definition',
    plan: [{ id: 's', slot: 'hold', part: 'tested', productId: null, dose: null }],
    arms: [
      { id: 'a', name: 'Anvil', steps: [step('a')] },
      { id: 'b', name: 'Kelp', steps: [step('k')] },
    ],
    ...{ washDays: 8, wearDays: 7, washDaysDone: 8, onDay: 1, line: 6, matters: 1, alpha: 0.05, looks: 1 },
    ...{ blind: false, seed: 7, status: 'finished', endedAt: '2026-11-01T08:00:00Z', endReason: null },
    ...{ amendments: [], washDayRecords: [] },
    ...to,
  }) as unknown as TrialDetail;
const item = (gravity: SlipItem['gravity']) => ({ gravity }) as SlipItem;
const ORDER = [0, 1, 1, 0, 1, 0, 0, 1];
const numbers = (values: readonly [number, number]) => ORDER.map((arm, i) => values[arm]! + i / 10);
const record = madeUpTrial('complete', ORDER, numbers([5, 8]));
const report = (to: Partial<Parameters<typeof trialReport>[0]> = {}, parts: readonly Part[] = []): Report =>
  trialReport({
    trial: detail(),
    who: 'Ines',
    wearer: { pattern: '3B', porosity: 'low', strand: null, density: null, underAge: false } as Wearer,
    products: [product('a', 'bought'), product('k', 'gift')] as never,
    record,
    comparison: compareTrial(record),
    items: [],
    verdicts: [],
    voice: { product: () => '', units: { temperature: 'c' } } as never,
    pictures: [],
    today: '2026-11-28',
    parts: new Set(parts),
    ...to,
  });

/** The text without its line breaks. */
const asText = (of: Report) => asLines(of).replaceAll(/\s+/g, ' ');

describe('a report', () => {
  it('says how its result may be taken and how the products came, whatever parts are left out', () => {
    const bare = asText(report());
    expect(bare).toContain(
      'Not rated blind. The fairness check found nothing that counts against it. Seen on',
    );
    expect(bare).toContain('To declare: Kelp <Fold> (gift).');
    expect(bare).not.toContain('How it was done');
    expect(asText(report({ items: [item('note'), item('weakens')] }))).toContain(
      'what weakens the comparison',
    );
    const broken = asText(
      report({ items: [item('weakens'), item('breaks')], trial: detail({ blind: true }) }),
    );
    expect(broken).toContain('Rated blind. The fairness check found what breaks the comparison');
    expect(asText(report({ trial: detail({ endedAt: null, status: 'running' }) }))).toContain('not over');
    const bought = report({ products: [product('a', 'bought'), product('k', 'bought')] as never });
    expect(bought.disclosure).toMatch(/were bought by the tester/);
  });

  it('tells the method in its order, and names the wearer as it was asked to', () => {
    const whole = asText(report({}, Object.keys(PARTS) as Part[]));
    const at = ['Design:', 'Head:', 'What was compared:', 'Order:', 'Blinding:', 'Reckoning:', 'When:'].map(
      (word) => whole.indexOf(word),
    );
    expect(at.every((place) => place > 0)).toBe(true);
    expect(at).toEqual(at.toSorted((a, b) => a - b));
    expect(whole).toContain('Head: Ines: 3B, low porosity.');
    expect(whole).toContain('(seed 7)');
    const amended = detail({ amendments: [{ reason: 'the gel ran out' }] as never });
    expect(asText(report({ trial: amended }, ['method']))).toContain('the gel ran out');
  });

  it('gives a main result that is no rated outcome a row of its own, in its unit', () => {
    const primary = 'minutes-to-dry:less' as const;
    const rated = madeUpTrial('complete', ORDER, numbers([40, 55]), { primary, line: 60, matters: 10 });
    const minutes = {
      ...rated,
      washDays: rated.washDays.map((day) => {
        const checkIns = day.checkIns.map((look) => ({
          ...look,
          ratings: look.ratings.map((one) => ({ ...one, outcome: primary, zoneId: null })),
        }));
        return { ...day, checkIns, worn: checkIns };
      }),
    };
    const table = report(
      {
        record: minutes,
        comparison: compareTrial(minutes),
        trial: detail({ primary: 'minutes-to-dry:less' }),
      },
      ['outcomes'],
    ).blocks.find(({ kind }) => kind === 'table') as unknown as { rows: string[][] };
    expect(table.rows[0]![0]).toBe('Minutes to dry (main result), less is wanted');
    expect(table.rows[0]!.slice(1, 3).every((cell) => cell.endsWith('min'))).toBe(true);
  });

  it('as a web page reads nothing as markup and asks for nothing', () => {
    const html = asHtml(report(), new Map());
    expect(html).toContain('Kelp &lt;Fold&gt;');
    expect(html).not.toContain('<Fold>');
    expect(html).toContain("default-src 'none'");
    expect(html).not.toMatch(/<script|src="http|href=/);
    const lost = { ...report(), blocks: [{ kind: 'picture' as const, photographId: 'p', caption: 'Day 1' }] };
    expect(asHtml(lost, new Map())).toContain('[A picture that could not be put in: Day 1]');
    expect(asHtml(lost, new Map([['p', 'data:image/jpeg;base64,xx']]))).toContain('src="data:image/jpeg');
  });

  it('draws every number, and nothing where there is none', () => {
    const strip = {
      what: 'strip' as const,
      arms: ['A', 'B'],
      ends: [0, 10] as const,
      places: 1,
      means: [5, null],
    };
    const svg = drawingSvg({
      ...strip,
      values: [
        { arm: 0, value: 5 },
        { arm: 0, value: 6 },
        { arm: 1, value: 2 },
      ],
    })!;
    expect(svg.match(/<circle/g)).toHaveLength(2);
    expect(svg.match(/<polygon/g)).toHaveLength(1);
    expect(drawingSvg({ ...strip, values: [] })).toBeNull();
    const one = { arm: 0, mean: [{ day: 1, value: 5 }] };
    expect(drawingSvg({ what: 'curve', arms: ['A'], ends: null, places: 1, curves: [one] })).toBeNull();
    const two = { arm: 0, mean: [...one.mean, { day: 2, value: 5 }] };
    // Numbers that never differ still have a scale.
    expect(drawingSvg({ what: 'curve', arms: ['A'], ends: null, places: 1, curves: [two] })).not.toContain(
      'NaN',
    );
  });
});
