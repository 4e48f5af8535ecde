import { SimulatedScale } from '@sabor/core/basin/simulated-scale';
import type { ScaleSample } from '@sabor/core/basin/stable-reading';
import { seededRandom } from '@sabor/core/random';

/** What a scale can suffer from. */
export const SCALE_FAULTS = {
  none: { label: 'works' },
  'low-battery': { label: 'battery low' },
  lost: { label: 'connection lost' },
} as const;
export type ScaleFault = keyof typeof SCALE_FAULTS;

export interface ScaleMessage extends ScaleSample {
  battery: 'full' | 'low';
}

/** A kitchen scale as the server talks to it. The one that ships is simulated, and says so wherever it is shown. */
export interface KitchenScale {
  /** Puts a weight on the plate instead of what was there; 0 clears it. */
  put(grams: number): void;
  tare(): void;
  fail(fault: ScaleFault): void;
  /** Calls back ten times a second until told to stop; null once the connection is lost. */
  listen(hear: (message: ScaleMessage | null) => void): () => void;
}

const EVERY_MS = 100;

export function simulatedScale(seed: number, now: () => number = () => performance.now()): KitchenScale {
  const scale = new SimulatedScale(seededRandom(seed));
  const ears = new Set<(message: ScaleMessage | null) => void>();
  let fault: ScaleFault = 'none';
  let ticking: ReturnType<typeof setInterval> | undefined;
  const tick = () => {
    const message: ScaleMessage | null =
      fault === 'lost' ? null : { ...scale.sample(now()), battery: fault === 'low-battery' ? 'low' : 'full' };
    for (const hear of [...ears]) hear(message);
  };
  return {
    put: (grams) => scale.put(grams, now()),
    tare: () => scale.tare(),
    fail(to) {
      fault = to;
      if (to === 'lost') tick();
    },
    listen(hear) {
      ears.add(hear);
      if (fault === 'lost') hear(null);
      ticking ??= setInterval(tick, EVERY_MS);
      return () => {
        ears.delete(hear);
        if (ears.size > 0) return;
        clearInterval(ticking);
        ticking = undefined;
      };
    },
  };
}
