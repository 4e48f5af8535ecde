import type { Slot } from '../step/slots.ts';

/** What a step's clock knows. Moments as ISO 8601 text. */
export interface TimedStep {
  slot: Slot;
  status: 'waiting' | 'done' | 'skipped';
  startedAt: string | null;
  doneAt: string | null;
  /** Null at the end of one that still lasts. */
  pauses: readonly { from: string; to: string | null }[];
}

/** Milliseconds between two moments that are not paused; pauses may overlap each other and the ends. Never negative. */
export function unpausedMs(
  from: number,
  to: number,
  pauses: readonly { from: string; to: string | null }[],
): number {
  const spans = pauses
    .map((pause): [number, number] => [
      Math.max(from, Date.parse(pause.from)),
      Math.min(to, pause.to === null ? to : Date.parse(pause.to)),
    ])
    .filter(([start, end]) => end > start)
    .sort(([a], [b]) => a - b);
  let [paused, until] = [0, from];
  for (const [start, end] of spans) {
    paused += Math.max(0, end - Math.max(start, until));
    until = Math.max(until, end);
  }
  return Math.max(0, to - from - paused);
}

/** Longest a step can have taken for the gap before it to count as its own time; beyond that nobody was at it. */
const LONGEST_GAP_MS = 3 * 3_600_000;

/**
 * Minutes really spent on each step, in the order given; null where it cannot be known. A step that was started has its
 * own clock; any other lasted since the step before it was done (or the wash day began), pauses taken out.
 */
export function minutesSpent(steps: readonly TimedStep[], beganAt: string): (number | null)[] {
  const done = steps
    .map((step, place) => ({ step, place }))
    .filter(({ step }) => step.status === 'done' && step.doneAt !== null)
    .sort((a, b) => Date.parse(a.step.doneAt!) - Date.parse(b.step.doneAt!) || a.place - b.place);
  const found: (number | null)[] = steps.map(() => null);
  let before = Date.parse(beganAt);
  for (const { step, place } of done) {
    const end = Date.parse(step.doneAt!);
    const start = step.startedAt === null ? before : Date.parse(step.startedAt);
    if (end >= start && (step.startedAt !== null || end - start <= LONGEST_GAP_MS))
      found[place] = unpausedMs(start, end, step.pauses) / 60_000;
    before = Math.max(before, end);
  }
  return found;
}

export const PHASES = {
  wash: { label: 'Washing' },
  style: { label: 'Styling' },
  dry: { label: 'Drying' },
  finish: { label: 'Finishing' },
} as const;
export type Phase = keyof typeof PHASES;

const PHASE_OF: Partial<Record<Slot, Phase>> = {
  'leave-in': 'style',
  emollient: 'style',
  hold: 'style',
  technique: 'style',
  blot: 'style',
  'second-coat': 'style',
  'wet-check': 'style',
  dry: 'dry',
  set: 'dry',
  'break-cast': 'finish',
  separate: 'finish',
  edges: 'finish',
  protect: 'finish',
  refresh: 'finish',
};
export const phaseOf = (slot: Slot): Phase => PHASE_OF[slot] ?? 'wash';

/** Steps in which the hair is left to itself: their minutes are waiting, not work. Model assumption. */
const LEFT_ALONE: readonly Slot[] = ['pre-wash', 'half-dry', 'treat', 'set', 'protect'];

/**
 * Minutes by phase, split into hands-on and waiting. Drying waits unless a dryer is held in the hand; a conditioner or
 * mask under a clock waits.
 */
export function minutesByPhase(
  steps: readonly (TimedStep & { tool: string | null; minutes: number | null })[],
  beganAt: string,
): Record<Phase, { handsOn: number; waiting: number }> {
  const sums = Object.fromEntries(
    (Object.keys(PHASES) as Phase[]).map((phase) => [phase, { handsOn: 0, waiting: 0 }]),
  ) as Record<Phase, { handsOn: number; waiting: number }>;
  minutesSpent(steps, beganAt).forEach((minutes, i) => {
    if (minutes === null) return;
    const { slot, tool, startedAt } = steps[i]!;
    const alone =
      LEFT_ALONE.includes(slot) ||
      (slot === 'dry' && tool !== 'diffuser' && tool !== 'dryer') ||
      (slot === 'condition' && startedAt !== null);
    sums[phaseOf(slot)][alone ? 'waiting' : 'handsOn'] += minutes;
  });
  return sums;
}

/**
 * Minutes of a whole wash day by its steps' clocks: of drying, and of all that hands did; null where one of the steps has no
 * clock to go by, because then the sum would be too short.
 */
export function minutesOfDay(
  steps: readonly (TimedStep & { tool: string | null; minutes: number | null })[],
  beganAt: string,
): { dry: number | null; handsOn: number | null } {
  const spent = minutesSpent(steps, beganAt);
  const known = (of: (slot: Slot) => boolean) =>
    steps.some(({ slot, status }) => status === 'done' && of(slot)) &&
    steps.every(({ slot, status }, i) => status !== 'done' || !of(slot) || spent[i] !== null);
  const phases = minutesByPhase(steps, beganAt);
  const drying = (slot: Slot) => phaseOf(slot) === 'dry';
  return {
    dry: known(drying) ? phases.dry.handsOn + phases.dry.waiting : null,
    handsOn: known(() => true) ? Object.values(phases).reduce((sum, { handsOn }) => sum + handsOn, 0) : null,
  };
}

/** Seconds left of a step's minutes on the wall clock, negative once over; pauses stop it. Null before it starts. */
export function secondsLeft(
  step: Pick<TimedStep, 'startedAt' | 'pauses'>,
  minutes: number,
  now: number,
): number | null {
  if (step.startedAt === null) return null;
  return minutes * 60 - unpausedMs(Date.parse(step.startedAt), now, step.pauses) / 1000;
}
