import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { secondsLeft } from '@sabor/core/basin/minutes';
import { spokenOver } from '@sabor/words/spoken';
import { useEffect, useRef, useState } from 'react';
import { notify } from '../../devices/notify.ts';
import { chime, speak, wantsSpeech } from '../../devices/sound.ts';

/** "4:07"; without its sign. */
export const clockText = (seconds: number): string => {
  const s = Math.abs(Math.round(seconds));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

/** Minutes a step's clock counts down from; null for a step without one. */
export const clockMinutes = (step: WashStep): number | null => step.planned?.minutes ?? step.minutes;

/** A step whose clock runs, or stands still in a pause. */
export interface RunningStep {
  step: WashStep;
  /** Below nought once over. */
  left: number;
  paused: boolean;
}

/** Every clock that was started and whose step is not settled, soonest over first. */
export function runningSteps(day: WashDay, now: number): RunningStep[] {
  return day.steps
    .flatMap((step) => {
      const minutes = clockMinutes(step);
      if (step.status !== 'waiting' || step.startedAt === null || minutes === null) return [];
      const left = secondsLeft(step, minutes, now) ?? 0;
      return { step, left, paused: step.pauses.some(({ to }) => to === null) };
    })
    .sort((a, b) => a.left - b.left);
}

/** The clocks of a wash day, ticking; each tells once, by sound and voice, that its time is up. */
export function useClocks(day: WashDay): RunningStep[] {
  const [now, setNow] = useState(Date.now());
  const running = runningSteps(day, now);
  const any = running.length > 0;
  useEffect(() => {
    if (!any) return;
    setNow(Date.now());
    const tick = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(tick);
  }, [any]);
  // What was over when the page opened has been heard already.
  const told = useRef<Set<string> | null>(null);
  useEffect(() => {
    const over = running.filter(({ left, paused }) => left <= 0 && !paused);
    told.current ??= new Set(over.map(({ step }) => step.id));
    for (const { step } of over) {
      if (told.current.has(step.id)) continue;
      told.current.add(step.id);
      chime();
      if (document.visibilityState === 'hidden')
        void notify(
          `clock ${step.id}`,
          'Time is up',
          spokenOver(step.slot, step.half),
          `/wash-days/${day.id}`,
        );
      if (wantsSpeech()) speak(spokenOver(step.slot, step.half));
    }
  });
  return running;
}
