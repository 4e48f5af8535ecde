import { readFileSync } from 'node:fs';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { STANDARD_ZONES } from '@sabor/core/hair/zones';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { NEVER_WEIGHED } from '@sabor/core/step/weighed';
import { plainVoice } from '@sabor/words/voice';
import { describe, expect, it } from 'vitest';
import { ARM_STYLES } from './arm-style.ts';
import { listDepartures } from './departure-list.ts';
import { halfWidth, ZONE_SHAPES } from './head-shape.ts';
import { planRows, ribbonColumns, washDayRows } from './ribbon-rows.ts';
import { differenceTint, tint } from './tint.ts';

type Rgb = [number, number, number];
const linear = (hex: string): Rgb =>
  [1, 3, 5].map((i) => {
    const c = Number.parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as Rgb;

/** Simulated colour vision, severity 1. Source: Machado, Oliveira & Fernandes (2009), IEEE TVCG 15(6), matrices from memory. */
const VISION: Record<string, Rgb[]> = {
  usual: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  protanopia: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deuteranopia: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritanopia: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

function lab([r, g, b]: Rgb): Rgb {
  const f = (t: number) => (t > 0.008856 ? Math.cbrt(t) : 7.787 * t + 16 / 116);
  const x = f(Math.max(0, 0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.9505);
  const y = f(Math.max(0, 0.2126 * r + 0.7152 * g + 0.0722 * b));
  const z = f(Math.max(0, 0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.089);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

const seen = (hex: string, eyes: Rgb[]) =>
  lab(eyes.map((row) => row.reduce((sum, w, i) => sum + w * linear(hex)[i]!, 0)) as Rgb);
const luminance = (hex: string) =>
  linear(hex).reduce((sum, c, i) => sum + c * [0.2126, 0.7152, 0.0722][i]!, 0);
const contrast = (a: string, b: string) => {
  const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (high + 0.05) / (low + 0.05);
};

/** The tones the stylesheet sets, on a light ground and on a dark one. */
const PALETTE = (() => {
  const css = readFileSync(new URL('../styles.css', import.meta.url), 'utf8');
  const tones = (block: string) =>
    Object.fromEntries(
      [...block.matchAll(/--color-([a-z-]+): (#[0-9a-f]{6});/g)].map(([, name, hex]) => [name!, hex!]),
    );
  const dark = css.slice(css.indexOf('prefers-color-scheme: dark'));
  return {
    light: tones(css.slice(css.indexOf('@theme'), css.indexOf('@layer'))),
    dark: tones(dark.slice(0, dark.indexOf('@media'))),
  };
})();

describe('arms', () => {
  it('differ in marker, line and point as well as hue', () => {
    for (const key of ['hue', 'marker', 'point'] as const)
      expect(new Set(ARM_STYLES.map((style) => style[key])).size).toBe(6);
    expect(new Set(ARM_STYLES.map(({ dash }) => dash.join())).size).toBe(6);
  });

  it.each(
    Object.entries(VISION).flatMap(([vision, eyes]) =>
      (['light', 'dark'] as const).map((ground) => [vision, ground, eyes] as const),
    ),
  )('stay apart by ΔE 15 for eyes with %s vision, on a %s ground', (_, ground, eyes) => {
    for (const [i, a] of ARM_STYLES.entries())
      for (const b of ARM_STYLES.slice(i + 1)) {
        const [p, q] = [seen(a[ground], eyes), seen(b[ground], eyes)];
        expect(Math.hypot(...p.map((x, k) => x - q[k]!)), `${a[ground]} ${b[ground]}`).toBeGreaterThan(15);
      }
  });

  it('stand out from the paper by 3:1', () => {
    for (const ground of ['light', 'dark'] as const)
      for (const style of ARM_STYLES)
        for (const paper of ['paper', 'sheet'])
          expect(contrast(style[ground], PALETTE[ground][paper]!)).toBeGreaterThanOrEqual(3);
  });
});

describe('the palette', () => {
  it.each(
    [
      ['ink', 'paper'],
      ['ink', 'sheet'],
      ['ink', 'rule'],
      ['ink', 'leaf-pale'],
      ['soft', 'paper'],
      ['soft', 'sheet'],
      ['leaf', 'leaf-pale'],
      ['leaf', 'paper'],
      ['mango-deep', 'mango-pale'],
      ['mango-deep', 'paper'],
      ['brick', 'brick-pale'],
      ['brick', 'paper'],
      ['hibiscus', 'sheet'],
      ['paper', 'hibiscus'],
      ['paper', 'hibiscus-deep'],
      ['paper', 'ink'],
    ].flatMap(([text, ground]) =>
      (['light', 'dark'] as const).map((mode) => [text!, ground!, mode] as const),
    ),
  )('%s on %s can be read at 4.5:1 in the %s', (text, ground, mode) => {
    const tone = (name: string) => PALETTE[mode][name] ?? PALETTE.light[name]!;
    expect(contrast(tone(text), tone(ground))).toBeGreaterThanOrEqual(4.5);
  });
});

describe('the head map', () => {
  it('draws every standard zone once, left and right as mirror images', () => {
    expect(ZONE_SHAPES).toHaveLength(STANDARD_ZONES.length);
    for (const { place } of ZONE_SHAPES) {
      const [left, right] = ZONE_SHAPES.filter((shape) => shape.place === place).sort((a) =>
        a.side === 'left' ? -1 : 1,
      );
      expect(left!.at.x + right!.at.x).toBeCloseTo(200, 9);
      expect(left!.at.x).toBeLessThan(100);
      const xs = (path: string) => [...path.matchAll(/[ML]([\d.]+) /g)].map(([, x]) => Number(x));
      for (const [i, x] of xs(left!.path).entries()) expect(x + xs(right!.path)[i]!).toBeCloseTo(200, 0);
    }
  });

  it('stays inside its frame', () => {
    for (let y = 18; y <= 204; y++) expect(halfWidth(y)).toBeLessThan(90);
  });
});

describe('tints', () => {
  it('run from paper to the hue', () => {
    expect(tint('#000000', 0)).toBe('color-mix(in srgb, #000000 0%, var(--color-sheet))');
    expect(tint('#000000', 1.4)).toBe('color-mix(in srgb, #000000 100%, var(--color-sheet))');
    expect(differenceTint(-1, 1, ['#000000', '#FFFFFF'])).not.toBe(
      differenceTint(1, 1, ['#000000', '#FFFFFF']),
    );
    expect(differenceTint(0, 0, ['#000000', '#FFFFFF'])).toBe(tint('#FFFFFF', 0));
  });
});

describe('ribbons', () => {
  const terms = { optional: false, tolerance: 0.2, skipped: false };
  const plan = [
    {
      ...EMPTY_SETTINGS,
      ...terms,
      id: 's1',
      slot: 'cleanse' as const,
      productId: 'soap',
      note: '',
      part: 'held' as const,
    },
    { ...EMPTY_SETTINGS, ...terms, id: 's2', slot: 'hold' as const, note: '', part: 'tested' as const },
    {
      ...EMPTY_SETTINGS,
      ...terms,
      id: 's3',
      slot: 'dry' as const,
      minutes: 30,
      note: '',
      part: 'held' as const,
    },
  ];
  const arms = [
    { id: 'a', name: 'Gel', steps: [{ stepId: 's2', productId: 'gel', dose: null }] },
    { id: 'b', name: 'Foam', steps: [{ stepId: 's2', productId: 'foam', dose: null }] },
  ];
  const trial = { plan, arms } as unknown as TrialDetail;
  const step = (planId: string | null, to: Partial<WashStep>): WashStep => {
    const planned = plan.find(({ id }) => id === planId) ?? null;
    return {
      ...EMPTY_SETTINGS,
      ...planned,
      id: `w${planId}`,
      planStepId: planId,
      position: 0,
      status: 'done',
      note: '',
      startedAt: null,
      doneAt: null,
      half: null,
      code: null,
      planned,
      slot: 'hold',
      ...to,
    } as WashStep;
  };
  const day = {
    id: 'd',
    armId: 'b',
    position: 1,
    status: 'finished',
    steps: [
      step('s1', { slot: 'cleanse', status: 'skipped', note: 'no time' }),
      step('s2', { productId: 'foam', planned: { ...plan[1]!, productId: 'foam' } }),
      step(null, { id: 'x', slot: 'second-coat', position: 1.5 }),
      step('s3', { slot: 'dry', minutes: 45 }),
    ],
  } as unknown as WashDay;
  const voice = plainVoice((id) => id.toUpperCase());
  const columns = ribbonColumns(trial, [day], voice);

  it('line up by slot, an added step in its place', () => {
    expect(columns.map(({ slot }) => slot)).toEqual(['cleanse', 'hold', 'second-coat', 'dry']);
    expect(columns.map(({ tested }) => tested)).toEqual([false, true, false, false]);
  });

  it('show each arm’s plan', () => {
    const rows = planRows(trial, columns, voice);
    expect(rows.map(({ cells }) => cells[1]!.text)).toEqual(['GEL, no amount', 'FOAM, no amount']);
    expect(rows[0]!.cells[0]!.kind).toBe('held');
  });

  it('mark and number every departure', () => {
    const rows = washDayRows(trial, [day], columns, voice, () => 'today', NEVER_WEIGHED);
    expect(rows[0]!.cells.map(({ kind }) => kind)).toEqual(['skipped', 'tested', 'departed', 'departed']);
    const listed = listDepartures(columns, rows);
    expect(listed.map(({ n, says }) => `${n} ${says}`)).toEqual([
      '1 Skipped. “no time”',
      '2 Added: not in the plan.',
      '3 45 min instead of 30.',
    ]);
  });
});
