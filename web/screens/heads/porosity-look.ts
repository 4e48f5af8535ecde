import type { PorosityReading } from '@sabor/core/hair/porosity/reading';
import type { MapZone, ZoneLook } from '../../drawings/head-map.tsx';
import { LEAF, tint } from '../../drawings/tint.ts';
import { showShare } from '../../ui/show.ts';

/** A reading in words: "high, 92 %", or the two that still compete. */
export function readingWords({ call, probabilities }: PorosityReading): string {
  if (call) return `${call}, ${showShare(probabilities[call])}`;
  const [first, second] = Object.entries(probabilities).sort(([, a], [, b]) => b - a) as [
    [string, number],
    [string, number],
  ];
  return `not clear yet: ${first[0]} ${showShare(first[1])}, ${second[0]} ${showShare(second[1])}`;
}

/** How the readings show on the head map: darker the more porous they are likely to be. */
export const porosityLook =
  (readings: ReadonlyMap<string, PorosityReading>, chosen: string | null) =>
  ({ id }: MapZone): ZoneLook => {
    const reading = readings.get(id);
    if (!reading) return {};
    const { low, medium, high } = reading.probabilities;
    const text = reading.call === null ? '?' : reading.call === 'medium' ? 'mid' : reading.call;
    const words = readingWords(reading);
    return {
      text,
      says: text === 'mid' || text === '?' ? `${text} (${words})` : words,
      fill: tint(LEAF, 0.05 * low + 0.28 * medium + 0.6 * high),
      chosen: chosen === id,
    };
  };
