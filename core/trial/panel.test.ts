import { panelHeadline } from '@sabor/words/panel';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random.ts';
import { drawPanel, panelProblem, panelReach, panelSize, panelTest } from './panel.ts';

describe('a panel over several wearers', () => {
  it('gives each wearer every arm once, and takes whole squares of wearers', () => {
    for (const row of drawPanel(4, 4, 9)) expect([...row].sort()).toEqual([0, 1, 2, 3]);
    expect(drawPanel(3, 6, 9)).toHaveLength(6);
    expect(panelSize(3)).toBe(6);
    expect(panelProblem(3, 4)).toContain('3 options take 6 heads');
    expect(panelProblem(2, 4)).toBeNull();
  });

  it('finds a difference through wearers of very different levels', () => {
    const rows = drawPanel(4, 8, 3);
    const random = seededRandom(4);
    const values = rows.map((row, w) => row.map((arm) => 3 * w + (arm === 2 ? 2 : 0) + random.unit()));
    const { p, means, wearers } = panelTest(rows, values, 4, 'higher');
    expect(wearers).toBe(8);
    expect(p).toBeLessThan(0.01);
    expect(means.indexOf(Math.max(...(means as number[])))).toBe(2);
  });

  it('leaves wearers with a missing number out of the test, and gives no p for too few', () => {
    const rows = drawPanel(2, 4, 3);
    const values = rows.map((row) => row.map((arm) => arm as number | null));
    values[0]![1] = null;
    expect(panelTest(rows, values, 2, 'higher')).toMatchObject({ wearers: 3, p: null, describes: 'plan' });
    const none = rows.map(() => [null, null]);
    expect(panelTest(rows, none, 2, 'higher')).toMatchObject({
      p: null,
      means: [null, null],
      describes: 'too few heads',
    });
  });

  // The outside review: two arms need twelve heads, four arms eight, three six, before anything can be decided.
  it.each([
    [2, 8, false],
    [2, 10, false],
    [2, 12, true],
    [3, 6, true],
    [4, 4, false],
    [4, 8, true],
  ])('of %i arms on %i heads can decide: %s', (arms, heads, decides) => {
    expect(panelReach(arms, heads).decides).toBe(decides);
  });

  it('names the arm of the tested gap, which whole heads alone make', () => {
    const rows = drawPanel(3, 12, 5);
    // Arm 2 is best on every head; two heads that lack a number are high on arm 0.
    const values = rows.map((row, w) =>
      row.map((arm, day): number | null => (w < 2 ? (arm === 0 ? 10 : null) : 2 + arm + 0.01 * day)),
    );
    const result = panelTest(rows, values, 3, 'higher');
    expect(result).toMatchObject({ wearers: 10, tested: { named: 2, over: 0 } });
    expect(result.means[2]! - result.means[0]!).toBeCloseTo(2, 1);
    expect(panelHeadline({ ...result, describes: null, p: 0.001 }, ['A', 'B', 'C'], 'definition', 0.05)).toBe(
      'The options differ in definition: C had the most, A the least.',
    );
    const lower = panelTest(rows, values, 3, 'lower');
    expect(panelHeadline({ ...lower, describes: null, p: 0.001 }, ['A', 'B', 'C'], 'frizz', 0.05)).toBe(
      'The options differ in frizz: A had the least, C the most.',
    );
    expect(panelHeadline({ ...result, describes: null, p: 0.2 }, ['A', 'B', 'C'], 'frizz', 0.05)).toBe(
      'Cannot tell which gives less frizz.',
    );
    expect(panelHeadline({ ...result, describes: 'plan', p: null }, ['A', 'B'], 'frizz', 0.05)).toContain(
      'can only hint',
    );
  });

  it('only describes where the missing heads could turn the order', () => {
    const rows = drawPanel(2, 16, 5);
    const values = rows.map((row, w) =>
      row.map((arm): number | null => (w >= 13 ? null : (w % 5) * 2 + 0.5 * arm)),
    );
    expect(panelTest(rows, values, 2, 'higher')).toMatchObject({
      describes: 'missing heads could turn it',
      p: null,
    });
    const like = values.map((own, w) => own.map((x) => (x === null ? null : x - (w % 5) * 2)));
    expect(panelTest(rows, like, 2, 'higher').p).toBeLessThan(0.05);
  });

  it('counts the panels at least as far apart, its own among them', () => {
    const rows = drawPanel(4, 8, 3);
    const values = rows.map((row) => row.map((arm) => (arm === 2 ? 5 : 0) + arm / 10));
    const strong = panelTest(rows, values, 4, 'higher', 0.05, 199);
    expect(strong).toMatchObject({ p: 1 / 200, looked: 199, tested: { named: 2, over: 0 }, describes: null });
    const same = rows.map((row) => row.map(() => 4));
    expect(panelTest(rows, same, 4, 'higher', 0.05, 199).p).toBe(1);
  });

  it('needs three quarters of its heads, and three', () => {
    const rows = drawPanel(2, 12, 5);
    const missing = (n: number) =>
      panelTest(
        rows,
        rows.map((row, w) => row.map((arm) => (w < n ? null : 5 + 2 * arm))),
        2,
        'higher',
      );
    expect(missing(3)).toMatchObject({ wearers: 9 });
    expect(missing(3).describes).not.toBe('too few heads');
    expect(missing(4)).toMatchObject({ wearers: 8, describes: 'too few heads', p: null });
  });

  it('only cannot tell where it would not have told, whatever is missing', () => {
    const rows = drawPanel(2, 12, 5);
    const values = rows.map((row, w) =>
      row.map((arm, day): number | null => (w === 11 ? null : 5 + ((w + day) % 5) - (arm === w % 2 ? 1 : 0))),
    );
    const { p, describes } = panelTest(rows, values, 2, 'higher');
    expect(p).toBeGreaterThan(0.05);
    expect(describes).toBeNull();
    expect(
      panelTest(
        rows,
        rows.map((row) => row.map((arm) => arm)),
        2,
        'higher',
      ).describes,
    ).toBeNull();
  });

  it('rejects no more than it says under no effect, with a trend over the wash days', () => {
    const random = seededRandom(12);
    let hits = 0;
    const runs = 120;
    for (let i = 0; i < runs; i++) {
      const rows = drawPanel(3, 6, i + 1);
      const values = rows.map((row) => row.map((_, day) => day + random.unit() + random.unit()));
      if (panelTest(rows, values, 3, 'higher', 0.05, 199).p! <= 0.05) hits++;
    }
    expect(hits / runs).toBeLessThan(0.05 + 4 * Math.sqrt((0.05 * 0.95) / runs));
  });
});
