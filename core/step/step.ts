import { COMMON_KEYS, type StepSettings } from './settings.ts';
import type { Slot } from './slots.ts';

/** A step of a routine. */
export interface RoutineStep extends StepSettings {
  id: string;
  slot: Slot;
  note: string;
}

/** A step that sets nothing. */
export const EMPTY_SETTINGS = Object.freeze({
  ...Object.fromEntries(COMMON_KEYS.map((key) => [key, null])),
  extra: {},
}) as StepSettings;

/** The settings of a step alone, whatever else it carries. */
export const settingsOf = (step: StepSettings): StepSettings => {
  const settings: Record<string, unknown> = {};
  for (const key of COMMON_KEYS) settings[key] = step[key];
  settings.extra = step.extra;
  return settings as StepSettings;
};

/** A step whose day worn is still to come when the routine ends: a refresh, or one planned for a later day. */
export const isForLater = ({ slot, extra }: { slot: Slot; extra: StepSettings['extra'] }): boolean =>
  slot === 'refresh' || (typeof extra.wearDay === 'number' && extra.wearDay > 1);
