import type { Dose } from '../doses/dose.ts';
import type { Extra } from './extras.ts';
import type { Heat, Technique, Tool, Wetness } from './settings.ts';
import type { Slot } from './slots.ts';

/** What is set in a step, in a plan as on a wash day. Null means: not set. Minutes; sections count. */
export interface StepSettings {
  productId: string | null;
  dose: Dose | null;
  sections: number | null;
  wetness: Wetness | null;
  minutes: number | null;
  technique: Technique | null;
  tool: Tool | null;
  heat: Heat | null;
  /** Settings that only some slots have. */
  extra: Extra;
}

export interface RoutineStep extends StepSettings {
  id: string;
  slot: Slot;
  note: string;
}

export const EMPTY_SETTINGS: StepSettings = {
  productId: null,
  dose: null,
  sections: null,
  wetness: null,
  minutes: null,
  technique: null,
  tool: null,
  heat: null,
  extra: {},
};

/** The settings of a step alone, whatever else it carries. */
export const settingsOf = (step: StepSettings): StepSettings => {
  const { productId, dose, sections, wetness, minutes, technique, tool, heat, extra } = step;
  return { productId, dose, sections, wetness, minutes, technique, tool, heat, extra };
};
