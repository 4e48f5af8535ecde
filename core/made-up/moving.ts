import type { ClipKind } from '../basin/clip.ts';
import type { SimulatedAngle } from './simulated.ts';

/** How a made-up head stands before the camera at one moment of a clip, and how it sounds. */
export interface Moment {
  /** Views that show, each with how much of it, together 1. */
  views: readonly { angle: SimulatedAngle; share: number }[];
  /** How far the hair is below its place, and how tall it is beside its rest: shares of the picture, 1 at rest. */
  lower: number;
  tall: number;
  /** How loud the hair is, 0 to 1. */
  loud: number;
}

const ROUND: readonly SimulatedAngle[] = ['front', 'left', 'back', 'right'];
/** Seconds once round; from step to step on the spot; from one handful to the next. */
const TURN = 6;
const STEP = 1;
const HANDFUL = 1.6;

/**
 * What a simulated camera sees and hears `seconds` into a clip: once round, steps after which hair swings out, or handfuls
 * from below. No measure of hair rests on it; no source.
 */
export function momentOf(kind: ClipKind, seconds: number): Moment {
  const still = { lower: 0, tall: 1, loud: 0.02 };
  if (kind === 'turn') {
    const quarter = ((seconds / TURN) % 1) * ROUND.length;
    const [from, share] = [Math.floor(quarter), quarter % 1];
    return {
      ...still,
      views: [
        { angle: ROUND[from]!, share: 1 - share },
        { angle: ROUND[(from + 1) % ROUND.length]!, share },
      ],
    };
  }
  const views = [{ angle: 'back', share: 1 }] as const;
  if (kind === 'bounce') {
    const since = seconds % STEP;
    const left = Math.exp((-3 * since) / STEP);
    return { ...still, views, lower: 0.04 * left * Math.sin((4 * Math.PI * since) / STEP), loud: 0.3 * left };
  }
  const held = Math.max(0, Math.sin((2 * Math.PI * seconds) / HANDFUL));
  return { ...still, views, tall: 1 - 0.15 * held, loud: held * held };
}
