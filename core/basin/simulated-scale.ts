import { type Random, standardNormal } from '../random.ts';
import type { ScaleSample } from './stable-reading.ts';

/** How the simulated kitchen scale behaves. All invented, in the range of a scale that shows tenths of a gram. */
export interface ScaleNature {
  /** Samples a second. */
  rate: number;
  /** Standard deviation of one sample, grams. */
  noise: number;
  /** Grams a minute its zero wanders. */
  drift: number;
  /** Seconds in which a new load settles to within 1/e. */
  settling: number;
  /** How far a new load swings over, as a share of its change. */
  swing: number;
}

export const SIMULATED_SCALE: ScaleNature = {
  rate: 10,
  noise: 0.08,
  drift: 0.3,
  settling: 0.2,
  swing: 0.08,
};

/**
 * A scale with a plate one can put things on. It moves as a spring does towards each new load, its zero wanders, every
 * sample is noisy and shown in tenths. Deterministic for its random numbers and the moments it is asked at.
 */
export class SimulatedScale {
  private load = 0;
  private from = 0;
  private changedMs = Number.NEGATIVE_INFINITY;
  private zero = 0;
  private tared = 0;
  private taredLoad = 0;
  private lastMs: number | null = null;
  private readonly random: Random;
  private readonly nature: ScaleNature;

  constructor(random: Random, nature: ScaleNature = SIMULATED_SCALE) {
    this.random = random;
    this.nature = nature;
  }

  /** Puts this many grams on the plate instead of what was there. */
  put(grams: number, ms: number): void {
    this.from = this.settled(ms);
    this.load = grams;
    this.changedMs = ms;
  }

  /** Takes what lies on it as nought; while that still swings, what it will come to rest at. */
  tare(): void {
    this.taredLoad = this.load;
    this.tared = this.taredLoad + this.zero;
  }

  private settled(ms: number): number {
    const seconds = (ms - this.changedMs) / 1000;
    if (!Number.isFinite(seconds)) return this.load;
    const { settling, swing } = this.nature;
    const left = Math.exp(-seconds / settling) * Math.cos((2 * Math.PI * seconds) / (4 * settling));
    const over = swing * Math.exp(-seconds / settling) * Math.sin((2 * Math.PI * seconds) / (2 * settling));
    return this.load + (this.from - this.load) * (left + over);
  }

  sample(ms: number): ScaleSample {
    if (this.lastMs !== null) {
      // Nobody looking, it is switched off, and its zero stays where it was.
      const minutes = Math.min(1000, Math.max(0, ms - this.lastMs)) / 60_000;
      this.zero += this.nature.drift * minutes + 0.02 * Math.sqrt(minutes) * standardNormal(this.random);
    }
    this.lastMs = ms;
    // Near nought a kitchen scale follows its own zero.
    if (Math.abs(this.settled(ms) - this.taredLoad) < 0.05)
      this.zero += (this.tared - this.settled(ms) - this.zero) / 4;
    const raw = this.settled(ms) + this.zero - this.tared + this.nature.noise * standardNormal(this.random);
    return { ms, grams: Math.round(raw * 10) / 10 };
  }
}
