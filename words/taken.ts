import { type Stage, stageLabel } from '@sabor/core/outcomes/stages';
import { dayName } from './day-name.ts';

interface Taken {
  id: string;
  position: number;
  question: string;
  logged: boolean;
  stage: Stage;
  day: number | null;
  takenAt: string;
}

/**
 * Names of a head's pictures or clips: "Wash day 3, day 1, back, 2 of 3". Their trial's question goes with them where those
 * of several lie together; several of one look are counted in the order they were taken.
 */
export function namesOf<T extends Taken>(
  all: readonly T[],
  shows: (one: T) => string | null,
): { of: (one: T) => string; wear: (one: T) => string; look: (one: T) => string } {
  const several = new Set(all.flatMap(({ logged, question }) => (logged ? [] : question))).size > 1;
  const trial = ({ logged, question }: T) => (several && !logged ? ` · ${question}` : '');
  const wear = (one: T) => dayName(one, one.position);
  const look = (one: T) => `${wear(one)}, ${stageLabel(one.stage, one.day).toLowerCase()}`;
  const bare = (one: T) => [look(one), shows(one)].filter(Boolean).join(', ');
  const alike = new Map<string, T[]>();
  for (const one of all.toSorted((a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt))) {
    const key = bare(one) + trial(one);
    alike.set(key, [...(alike.get(key) ?? []), one]);
  }
  return {
    of: (one) => {
      const among = alike.get(bare(one) + trial(one)) ?? [one];
      const place =
        among.length > 1 ? `, ${among.findIndex(({ id }) => id === one.id) + 1} of ${among.length}` : '';
      return `${bare(one)}${place}${trial(one)}`;
    },
    wear: (one) => wear(one) + trial(one),
    look: (one) => look(one) + trial(one),
  };
}
