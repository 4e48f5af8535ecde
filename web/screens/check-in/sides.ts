import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { DESIGNS } from '@sabor/core/trial/designs';
import { armsOfDay } from '../../drawings/arms-of-day.ts';

export interface Side {
  key: 'left' | 'right';
  /** The option that lies there, as the trial numbers it. */
  arm: number;
  zones: readonly string[];
}

/** Left and right of a half-head with the zones that count on each; null where the head is one, or a side has none. */
export function sidesOf(
  trial: Pick<TrialDetail, 'design' | 'arms'>,
  day: Pick<WashDay, 'armId' | 'rightArmId'>,
  wearer: Pick<Wearer, 'zones'>,
  counting: readonly string[],
): [Side, Side] | null {
  if (!DESIGNS[trial.design].halves) return null;
  const arms = armsOfDay(trial, day);
  const on = (side: 'left' | 'right') =>
    wearer.zones.filter((zone) => zone.side === side && counting.includes(zone.id)).map(({ id }) => id);
  const [left, right] = [on('left'), on('right')];
  if (left.length === 0 || right.length === 0) return null;
  return [
    { key: 'left', arm: arms[0]!, zones: left },
    { key: 'right', arm: arms.at(-1)!, zones: right },
  ];
}
