import { PARTS_OF_DAY, type PartOfDay, STAGES, type Stage } from '@sabor/core/outcomes/stages';

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
