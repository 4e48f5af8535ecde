import type { WashDay } from '@sabor/contract/wash-day';
import { PARTS_OF_DAY, type PartOfDay, STAGES, type Stage } from '@sabor/core/outcomes/stages';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate } from '@sabor/core/time/zones';

/** Which check-in of a wash day it is. */
export interface Look {
  stage: Stage;
  day: number | null;
  part: PartOfDay;
}

/** The look an address names: "before", "wet", "cast", "day-3" or "day-3-evening"; null for any other. */
export function readStage(text: string): Look | null {
  if (text !== 'wear' && Object.hasOwn(STAGES, text))
    return { stage: text as Stage, day: null, part: 'first' };
  const [, day, part = 'first'] = /^day-(\d{1,2})(?:-([a-z-]+))?$/.exec(text) ?? [];
  return day && Object.hasOwn(PARTS_OF_DAY, part)
    ? { stage: 'wear', day: Number(day), part: part as PartOfDay }
    : null;
}

/** A look as an address names it: {@link readStage} the other way. */
export const stagePath = ({ stage, day, part }: Look): string =>
  stage !== 'wear' ? stage : `day-${day}${part === 'first' ? '' : `-${part}`}`;

/** When a look at this stage is taken to have been, until the tester says otherwise. */
export function usualMoment(day: WashDay, stage: Stage, n: number | null, timeZone: string): string {
  const now = new Date();
  if (stage !== 'wear' || day.revealAt === null) return now.toISOString();
  const then = new Date(Date.parse(day.revealAt) + ((n ?? 1) - 1) * DAY_MS);
  const same = localDate(now.toISOString(), timeZone) === localDate(then.toISOString(), timeZone);
  return (same || then > now ? now : then).toISOString();
}
