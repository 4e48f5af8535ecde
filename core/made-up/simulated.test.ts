import { describe, expect, it } from 'vitest';
import { type Guide, guideOf } from '../photo/guide.ts';
import { photographed } from './camera.ts';
import { drawn } from './drawn.ts';
import { preview, type Switched, simulatedView, USUAL_SWITCHES } from './simulated.ts';

/** A camera without what takes long; only of focus it says too little. */
const PLAIN = { mosaic: false, denoise: 0, flare: 0 };

// Without the head: the card alone tells.
const shown = (to: Partial<Switched>, lastMm: number | null = 600): Guide => {
  const { scene, frame, camera } = preview(
    simulatedView({ angle: 'back', switched: { ...USUAL_SWITCHES, ...to }, seed: 5, shot: 1 }),
    to.focus ? 840 : 720,
  );
  return guideOf(
    photographed(drawn(scene, frame, { supersampling: 1 }), {
      ...camera,
      ...(to.focus ? {} : PLAIN),
    }),
    lastMm,
  );
};
const kinds = ({ advice }: Guide) => advice.map((one) => (one.kind === 'card' ? one.trouble : one.kind));

describe('what the camera is told before the picture is taken', () => {
  it('is nothing where all is as it should be, and how wide the frame is', () => {
    const guide = shown({});
    expect(kinds(guide)).toEqual([]);
    // 1,500 pixels at 2.5 a millimetre.
    expect(guide.frameMm! / 600).toBeCloseTo(1, 1);
  });

  const WRONG = [
    [{ light: 'dark' }, 'dark'],
    [{ distance: 'near' }, 'further'],
    [{ level: 'tilted' }, 'tilted'],
    [{ card: 'missing' }, 'no card'],
    [{ light: 'bright' }, 'too bright'],
    [{ distance: 'far' }, 'closer'],
    [{ focus: 'soft' }, 'soft'],
  ] as const;
  for (const [n, [switched, kind]] of WRONG.entries())
    it(`names what is wrong: ${JSON.stringify(switched)}`, { tags: n < 4 ? [] : ['soak'] }, () => {
      expect(kinds(shown(switched))[0]).toBe(kind);
    });

  it('asks for no other distance where there is no picture to match', () => {
    expect(kinds(shown({ distance: 'near' }, null))).toEqual([]);
  });

  it('is another picture at each shot, and the same one again', () => {
    const of = (shot: number) => simulatedView({ angle: 'back', switched: USUAL_SWITCHES, seed: 5, shot });
    expect(of(1).scene.turn).not.toBe(of(2).scene.turn);
    expect(of(1).camera.seed).not.toBe(of(2).camera.seed);
    expect(of(1)).toEqual(of(1));
  });
});
