import type { ScaleSample } from '@sabor/core/basin/stable-reading';
import { stableReading } from '@sabor/core/basin/stable-reading';
import { useEffect, useState } from 'react';

export interface ScaleNow {
  state: 'connecting' | 'live' | 'lost';
  /** What it shows, grams; null before the first sample. */
  grams: number | null;
  /** What it has come to rest at; null while it moves. */
  rest: number | null;
  lowBattery: boolean;
}

/** Rest holds until the plate really moves: one noisy sample must not swallow a tap. */
const stillAt = (rest: number | null, grams: number): number | null =>
  rest !== null && Math.abs(grams - rest) <= 1 ? rest : null;

const KEEP_MS = 3000;
/** Without a sample for so long the scale counts as lost. */
const SILENT_MS = 2500;

/** The kitchen scale, live, while `on`; it is asked for again by itself when its connection goes. */
export function useScale(on: boolean): ScaleNow {
  const [now, setNow] = useState<ScaleNow>({
    state: 'connecting',
    grams: null,
    rest: null,
    lowBattery: false,
  });
  useEffect(() => {
    if (!on) return;
    let samples: ScaleSample[] = [];
    let heardAt = Date.now();
    const source = new EventSource('/api/scale/stream');
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const message = JSON.parse(data) as ScaleSample & { battery: string };
      heardAt = Date.now();
      const last = samples.at(-1);
      // A scale that was away starts afresh: what lay on it meanwhile is not known.
      if (last && (message.ms < last.ms || message.ms - last.ms > 1000)) samples = [];
      samples = [...samples.filter(({ ms }) => ms > message.ms - KEEP_MS), message];
      setNow((old) => ({
        state: 'live',
        grams: message.grams,
        rest: stableReading(samples) ?? stillAt(old.rest, message.grams),
        lowBattery: message.battery === 'low',
      }));
    };
    const lost = () => setNow((old) => ({ ...old, state: 'lost', rest: null }));
    source.onerror = lost;
    const watch = setInterval(() => Date.now() - heardAt > SILENT_MS && lost(), 1000);
    return () => {
      clearInterval(watch);
      source.close();
    };
  }, [on]);
  return now;
}
