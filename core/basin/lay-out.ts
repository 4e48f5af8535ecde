import { TOOLS, WARMTHS } from '../step/choices.ts';
import type { StepSettings } from '../step/settings.ts';
import type { Slot } from '../step/slots.ts';

/** Minutes a step takes that has no clock of its own. Model assumption, to be replaced by this wearer's own days. */
const UNTIMED_MINUTES = 4;

/** Slots that are no part of getting through the routine on the day: the night and later. */
const LATER: readonly Slot[] = ['protect', 'refresh', 'set'];

type Planned = Pick<StepSettings, 'minutes' | 'tool' | 'extra'> & { slot: Slot };

/** Everything to lay ready beside the products, each once, in the order it is needed. Fingers are at hand. */
export function thingsNeeded(steps: readonly Planned[]): string[] {
  const things = steps.flatMap(({ tool, extra, slot }) => [
    ...(tool && tool !== 'fingers' ? [TOOLS[tool].label] : []),
    ...(extra.cap ? ['cap'] : []),
    ...(typeof extra.warmth === 'string' && extra.warmth !== 'own'
      ? [WARMTHS[extra.warmth as keyof typeof WARMTHS].thing]
      : []),
    ...(slot === 'technique' && extra.sectioning ? ['clips for the sections'] : []),
    ...(typeof extra.water === 'number' || typeof extra.dilution === 'number' ? ['a measuring cup'] : []),
  ]);
  return [...new Set(things)];
}

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

const clocks = (steps: readonly Planned[]): number =>
  steps.reduce((sum, { minutes }) => sum + (minutes ?? UNTIMED_MINUTES), 0);

/** Slots that wet the hair and end in water. */
const WATER: readonly Slot[] = ['pre-wash', 'detangle', 'cleanse', 'half-dry', 'treat', 'condition', 'rinse'];

/** Minutes from the first step until the hair is washed, reckoned as {@link routineMinutes} is. */
export function minutesToWashed(steps: readonly Planned[], earlier: readonly number[]): number {
  if (earlier.length > 0) return middle(earlier);
  const last = steps.findLastIndex(({ slot }) => WATER.includes(slot));
  return clocks(steps.slice(0, last + 1));
}

/**
 * Minutes from the first step until hands are free, of the plan's clocks and an assumed time for steps without one; where
 * earlier wash days of the same plan are known, their median instead.
 */
export function routineMinutes(steps: readonly Planned[], earlier: readonly number[]): number {
  if (earlier.length > 0) return middle(earlier);
  return clocks(steps.filter(({ slot }) => !LATER.includes(slot)));
}

/** "19:35": when to start to be through at a time of day ("21:00"); may fall on the day before. */
export function startBy(doneBy: string, minutes: number): string | null {
  const [, hours, mins] = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(doneBy) ?? [];
  if (hours === undefined) return null;
  const at = (((Number(hours) * 60 + Number(mins) - Math.ceil(minutes)) % 1440) + 1440) % 1440;
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}
