import type { Mark } from '../basin/marks.ts';
import type { Spread } from '../doses/dose.ts';
import type { EventKind } from '../outcomes/events.ts';
import type { Slot } from '../routine/slots.ts';
import type { StepSettings } from '../routine/step.ts';

/** A step that was done, or is planned, on one side of a comparison. */
export interface RunStep extends StepSettings {
  /** The plan's step; null for one the plan does not have. */
  key: string | null;
  slot: Slot;
  part: 'held' | 'tested' | 'free';
  optional: boolean;
  tolerance: number;
  /** What this step was to be on its own side; null for a step nobody planned, or in a plan itself. */
  planned: (StepSettings & { calibrated?: Spread | null }) | null;
  /** What went otherwise at it, told in one tap. */
  marks?: readonly Mark[];
  /** One of its dose's measure in ml, where this product's was weighed. */
  calibrated?: Spread | null;
}

const NO_MARKS: readonly Mark[] = [];

/**
 * A step's settings and its place in a trial as one record. Written out field by field: records put together by spreading
 * have a hidden shape each in V8, and comparing all wash days with each other then takes several times as long.
 */
export function runStepOf(settings: StepSettings, place: Omit<RunStep, keyof StepSettings>): RunStep {
  return {
    productId: settings.productId,
    dose: settings.dose,
    sections: settings.sections,
    wetness: settings.wetness,
    minutes: settings.minutes,
    technique: settings.technique,
    tool: settings.tool,
    heat: settings.heat,
    extra: settings.extra,
    key: place.key,
    slot: place.slot,
    part: place.part,
    optional: place.optional,
    tolerance: place.tolerance,
    planned: place.planned,
    calibrated: place.calibrated ?? null,
    marks: place.marks ?? NO_MARKS,
  };
}

/** Care and changes that hair carries on from day to day. Counted in whole days since the last of each. */
export const HAIR_STATES = {
  clarify: { label: 'clarified' },
  'protein-intense': { label: 'treated with protein' },
  'deep-condition': { label: 'deep conditioned' },
  colour: { label: 'coloured' },
  bleach: { label: 'bleached' },
  relaxer: { label: 'relaxed' },
  heat: { label: 'styled with heat' },
  'blow-out': { label: 'blown out straight' },
  trim: { label: 'trimmed' },
  'big-cut': { label: 'cut' },
  'braids-out': { label: 'out of braids' },
} as const;
export type HairState = keyof typeof HAIR_STATES;

/** Everything that stands on one side of a comparison: a wash day, one half of it, or what was planned for it. */
export interface Run {
  /** As it is called in a sentence: "wash day 3", "the left half of wash day 3", "the plan". */
  name: string;
  washDayId: string | null;
  wearerId: string;
  half: 'left' | 'right' | null;
  arm: string | null;
  /** Done steps, in the order they were done. */
  steps: readonly RunStep[];
  /** Mean dew point in °C and strongest wind in m/s up to the day that is judged. */
  dewPointC: number | null;
  windMs: number | null;
  outdoorHours: number | null;
  /** Grams of residue and of protein the hair carried when the wash began. */
  buildUp: number | null;
  protein: number | null;
  /** Days since each at the wash; null for never or not known. */
  since: Readonly<Partial<Record<HairState, number>>>;
  /** Days since the oldest bottle used was opened, by product id. */
  bottleDays: Readonly<Record<string, number>>;
  /** Events up to the day that is judged, and nights among them. */
  events: Readonly<Partial<Record<EventKind, number>>>;
  nights: number;
  /** Days of wear up to the check-in that is judged; null without one. */
  judgedOn: number | null;
  rater: string;
  blind: boolean;
  /** How the tester stands to what is under test here, where it has to be disclosed. */
  stake: string | null;
}

/** A wash day, or one of its halves, beside what was planned for it. */
export interface RunPlan {
  run: Run;
  plan: Run;
}
