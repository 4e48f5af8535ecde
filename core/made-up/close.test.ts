import { describe, expect, it } from 'vitest';
import { clumpWidthOf } from '../photo/close/clump-width.ts';
import { coherenceOf } from '../photo/close/coherence.ts';
import { contrastOf } from '../photo/close/contrast.ts';
import { curlFrom } from '../photo/close/curl.ts';
import { NO_GRAIN } from '../photo/close/grain.ts';
import { type CloseHair, closeGrid, closeHair } from '../photo/close/hair.ts';
import { LUMINANCE } from '../photo/light.ts';
import { measureClose } from '../photo/measure-close.ts';
import { matters } from '../photo/measures.ts';
import { emptyMask } from '../photo/plane.ts';
import { photographed, USUAL_CAMERA } from './camera.ts';
import { type CloseFrame, type ClosePlan, crestsOf, drawnClose, USUAL_CLOSE } from './close.ts';
import { nearTruth } from './near-truth.ts';

const PX = 512 / 48;
/** Hair alone, two patches wide: the soak draws more of it, with its card, in six classes. */
const BARE: CloseFrame = { width: Math.round(76 * PX), height: Math.round(50 * PX), pxPerMm: PX, card: null };

/** Its luminance as it is drawn, without a camera. */
function hairOf(plan: Partial<ClosePlan>): CloseHair {
  const [r, g, b] = drawnClose({ ...USUAL_CLOSE, ...plan }, BARE, { supersampling: 1 });
  const [red, green, blue] = LUMINANCE;
  const light = r.data.map((value, i) => red * value + green * g.data[i]! + blue * b.data[i]!);
  return closeHair(closeGrid({ ...r, data: light }, PX), emptyMask(r.width, r.height));
}
const contrast = (plan: Partial<ClosePlan>) => contrastOf(hairOf(plan), 0.21, NO_GRAIN).value!;

describe('what is true of made-up hair from near', () => {
  const truth = (plan: Partial<ClosePlan>) => nearTruth({ ...USUAL_CLOSE, ...plan }, BARE, 12, 800);

  it('is one way where strands hang straight, less the more they stray and turn', { tags: 'soak' }, () => {
    const straight = truth({ radius: 0, stray: 0.1 });
    expect(straight.run).toBeGreaterThan(0.97);
    const [little, much] = [truth({ radius: 0, stray: 4 }), truth({ radius: 0, stray: 20 })];
    expect(straight.run).toBeGreaterThan(little.run);
    expect(little.run - much.run).toBeGreaterThan(0.05);
    expect(truth({ radius: 6, pitch: 30 }).run).toBeLessThan(little.run);
  });

  it('is a deeper relief between clumps than between strands, the deeper the better they are bound', {
    tags: 'soak',
  }, () => {
    const [bound, loose] = [truth({ loose: 0.9 }), truth({ loose: 2.6 })];
    expect(bound.relief).toBeGreaterThan(loose.relief);
    expect(loose.relief).toBeGreaterThan(0);
  });
});

describe('made-up hair from near', () => {
  it('reads less contrast the looser its clumps are, by more than what matters', { tags: 'soak' }, () => {
    const [bound, usual, loose] = [0.9, 1.5, 2.4].map((of) => contrast({ loose: of })) as [
      number,
      number,
      number,
    ];
    expect(bound - usual).toBeGreaterThan(matters('clump-contrast', 0));
    expect(usual - loose).toBeGreaterThan(matters('clump-contrast', 0));
  });

  it('runs less smoothly the more its strands stray, and its clumps read wider the wider they are', {
    tags: 'soak',
  }, () => {
    const wide = hairOf({ clump: 10, stray: 3 });
    const [smooth, rough] = [wide, hairOf({ clump: 10, stray: 20 })].map(
      (hair) => coherenceOf(hair, 12, NO_GRAIN).value!,
    ) as [number, number];
    expect(smooth - rough).toBeGreaterThan(matters('coherence', 0));
    const narrow = clumpWidthOf(hairOf({ clump: 3, stray: 3 })).value!;
    expect(clumpWidthOf(wide).value! / narrow).toBeGreaterThan(1.15);
  });

  it('turns back where its plan says, so that tagged crests give the plan’s curl', () => {
    const frame = { ...BARE, height: Math.round(140 * PX) };
    const { curl } = curlFrom(crestsOf(USUAL_CLOSE, frame, 3), PX);
    expect(curl!.radius / USUAL_CLOSE.radius).toBeCloseTo(1, 2);
    expect(curl!.pitch / USUAL_CLOSE.pitch).toBeCloseTo(1, 2);
  });

  it('reads hardly another number one EV darker and warmer; without its card, or soft, none', {
    tags: 'soak',
  }, () => {
    const frame: CloseFrame = {
      width: Math.round(100 * PX),
      height: Math.round(116 * PX),
      pxPerMm: PX,
      card: { kind: 'small', x: 6, y: 3 },
    };
    // Both are told of one drawing, so that how finely it was drawn cancels out.
    const light = drawnClose(USUAL_CLOSE, frame, { supersampling: 1 });
    const tagged = [0, 2, 4, 6, 8].map((n) => crestsOf(USUAL_CLOSE, frame, n));
    const at = (camera: Partial<typeof USUAL_CAMERA>) =>
      measureClose(photographed(light, { ...USUAL_CAMERA, ...camera }), { curlWidth: 12, tagged });
    const [one, other] = [at({}), at({ exposure: -1, red: 1.16, blue: 0.84 })];
    expect(one.card!.pxPerMm / PX).toBeCloseTo(1, 2);
    for (const measure of [
      'clump-contrast',
      'coherence',
      'clump-width',
      'curl-radius',
      'curl-index',
    ] as const) {
      const [a, b] = [one, other].map(({ readings }) => readings[measure]!.value!);
      // Inside the guard: a third of the smallest difference. Source: methods.md 4.
      expect(Math.abs(a! - b!), measure).toBeLessThan(matters(measure, a!) / 3);
    }
    expect(one.curls.every(({ curl }) => curl !== null)).toBe(true);
    expect(one.shine!.peak).toBeGreaterThan(0);
    const soft = at({ blur: 1.4 });
    expect(soft.readings['clump-contrast']).toEqual({ value: null, why: 'picture soft' });
    // Tagged by eye, a curl needs its scale alone.
    expect(soft.readings['curl-radius']!.value).toBeCloseTo(one.readings['curl-radius']!.value!, 1);
    const wall = new Uint8ClampedArray(4 * 300 * 200).fill(150);
    const bare = measureClose({ width: 300, height: 200, data: wall });
    expect(bare.readings.coherence).toEqual({ value: null, why: 'no card' });
  });
});
