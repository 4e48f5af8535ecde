import type { KeyOf } from '../../vocabulary.ts';

/** A test's result falls in one of these; each with its chance on low, medium and high porosity hair. */
export interface TestOutcome {
  label: string;
  /** For a measured test: results under this value fall here; the last has none. */
  below?: number;
  /** Chance of this outcome given low, medium, high. */
  chance: readonly [number, number, number];
}

interface PorosityTest {
  label: string;
  how: string;
  /** What is measured and its unit, or null where one outcome is chosen. */
  unit: string | null;
  outcomes: Readonly<Record<string, TestOutcome>>;
}

/**
 * The evidence on porosity. **Every chance below is a model assumption**: our own reading of what testers report, not
 * measured; shown to the user as such. For each porosity the chances of a test's outcomes sum to 1.
 */
export const POROSITY_TESTS = {
  bead: {
    label: 'Sprayed bead',
    how: 'Mist a bead of water on dry, clean hair and time how long until it soaks in.',
    unit: 's',
    outcomes: {
      fast: { label: 'under 30 s', below: 30, chance: [0.1, 0.3, 0.7] },
      middling: { label: '30 s to 2 min', below: 120, chance: [0.25, 0.45, 0.22] },
      slow: { label: 'over 2 min', chance: [0.65, 0.25, 0.08] },
    },
  },
  'wet-through': {
    label: 'Wetting through',
    how: 'Under the shower, time how long until the zone is wet through.',
    unit: 's',
    outcomes: {
      fast: { label: 'under 20 s', below: 20, chance: [0.1, 0.35, 0.65] },
      middling: { label: '20 s to 1 min', below: 60, chance: [0.3, 0.45, 0.25] },
      slow: { label: 'over 1 min', chance: [0.6, 0.2, 0.1] },
    },
  },
  product: {
    label: 'Product sits or sinks',
    how: 'A little leave-in on damp hair: does it sit on top, or is it gone?',
    unit: null,
    outcomes: {
      sits: { label: 'sits on top', chance: [0.6, 0.25, 0.1] },
      between: { label: 'between', chance: [0.3, 0.5, 0.3] },
      sinks: { label: 'sinks in', chance: [0.1, 0.25, 0.6] },
    },
  },
  slide: {
    label: 'Strand slide',
    how: 'Slide two fingers along a clean dry strand from end to root.',
    unit: null,
    outcomes: {
      smooth: { label: 'smooth', chance: [0.6, 0.4, 0.2] },
      slight: { label: 'slightly rough', chance: [0.3, 0.4, 0.35] },
      rough: { label: 'rough', chance: [0.1, 0.2, 0.45] },
    },
  },
  history: {
    label: 'History',
    how: 'What this length has been through; read from the timeline.',
    unit: null,
    outcomes: {
      none: { label: 'no bleach, colour or heat noted', chance: [0.5, 0.4, 0.2] },
      heat: { label: 'heat styled', chance: [0.2, 0.25, 0.25] },
      colour: { label: 'coloured', chance: [0.2, 0.23, 0.3] },
      lifted: { label: 'bleached or relaxed', chance: [0.1, 0.12, 0.25] },
    },
  },
  age: {
    label: 'Age of the length',
    how: 'Months since this hair left the scalp; about 12 mm a month.',
    unit: 'months',
    outcomes: {
      young: { label: 'under a year', below: 12, chance: [0.4, 0.35, 0.25] },
      middling: { label: 'one to three years', below: 36, chance: [0.4, 0.4, 0.4] },
      old: { label: 'over three years', chance: [0.2, 0.25, 0.35] },
    },
  },
  grey: {
    label: 'Grey',
    how: 'How much of the zone is grey.',
    unit: null,
    outcomes: {
      none: { label: 'none', chance: [0.6, 0.55, 0.45] },
      some: { label: 'some', chance: [0.25, 0.28, 0.3] },
      mostly: { label: 'mostly', chance: [0.15, 0.17, 0.25] },
    },
  },
  'air-dry': {
    label: 'Air-drying',
    how: 'Hours until air-dry after an ordinary wash. Density and air count for more than porosity.',
    unit: 'h',
    outcomes: {
      fast: { label: 'under 2 h', below: 2, chance: [0.25, 0.3, 0.42] },
      middling: { label: '2 to 5 h', below: 5, chance: [0.38, 0.4, 0.36] },
      slow: { label: 'over 5 h', chance: [0.37, 0.3, 0.22] },
    },
  },
  float: {
    label: 'Float test',
    how: 'A shed hair in a glass of water for four minutes. Oil, air and surface tension decide more than porosity.',
    unit: null,
    outcomes: {
      floats: { label: 'floats', chance: [0.37, 0.33, 0.3] },
      middle: { label: 'hangs in the middle', chance: [0.33, 0.34, 0.33] },
      sinks: { label: 'sinks', chance: [0.3, 0.33, 0.37] },
    },
  },
} as const satisfies Record<string, PorosityTest>;

export type PorosityTestKind = KeyOf<typeof POROSITY_TESTS>;

/** A test's outcomes as a list, in their order. */
export const outcomesOf = (kind: PorosityTestKind): [string, TestOutcome][] =>
  Object.entries(POROSITY_TESTS[kind].outcomes as Record<string, TestOutcome>);

/** The outcome a measured result falls in. Throws a RangeError for a result that is negative or no number. */
export function outcomeOfMeasure(kind: PorosityTestKind, value: number): string {
  if (!(value >= 0)) throw new RangeError('A measured result cannot be under 0.');
  const found = outcomesOf(kind).find(([, { below }]) => below === undefined || value < below);
  return found![0];
}
