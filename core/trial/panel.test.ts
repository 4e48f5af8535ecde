import { describe, expect, it } from 'vitest';
import { drawPanel, panelProblem, panelSize, panelTest } from './panel.ts';
import { seededRandom } from './random.ts';

describe('a panel over several wearers', () => {
  it('gives each wearer every arm once, and takes whole squares of wearers', () => {
    for (const row of drawPanel(4, 4, 9)) expect([...row].sort()).toEqual([0, 1, 2, 3]);
    expect(drawPanel(3, 6, 9)).toHaveLength(6);
    expect(panelSize(3)).toBe(6);
    expect(panelProblem(3, 4)).toContain('3 arms take 6 wearers');
    expect(panelProblem(2, 4)).toBeNull();
  });

  it('finds a difference through wearers of very different levels', () => {
    const rows = drawPanel(4, 8, 3);
    const random = seededRandom(4);
    const values = rows.map((row, w) => row.map((arm) => 3 * w + (arm === 2 ? 2 : 0) + random.unit()));
    const { p, means, wearers } = panelTest(rows, values, 4, 1);
    expect(wearers).toBe(8);
    expect(p).toBeLessThan(0.01);
    expect(means.indexOf(Math.max(...(means as number[])))).toBe(2);
  });

  it('leaves wearers with a missing number out of the test, and gives no p for too few', () => {
    const rows = drawPanel(2, 4, 3);
    const values = rows.map((row) => row.map((arm) => arm as number | null));
    values[0]![1] = null;
    expect(panelTest(rows, values, 2, 1).wearers).toBe(3);
    expect(
      panelTest(
        rows,
        rows.map(() => [null, null]),
        2,
        1,
      ),
    ).toMatchObject({ p: null, means: [null, null] });
  });

  it('rejects no more than it says under no effect, with a trend over the wash days', () => {
    const random = seededRandom(12);
    let hits = 0;
    const runs = 120;
    for (let i = 0; i < runs; i++) {
      const rows = drawPanel(3, 6, i + 1);
      const values = rows.map((row) => row.map((_, day) => day + random.unit() + random.unit()));
      if (panelTest(rows, values, 3, i, 199).p! <= 0.05) hits++;
    }
    expect(hits / runs).toBeLessThan(0.05 + 4 * Math.sqrt((0.05 * 0.95) / runs));
  });
});
