import type { Outcome } from '../outcomes/outcomes.ts';
import { PHOTO_MEASURES, type PhotoMeasure } from '../photo/measures.ts';
import type { KeyOf } from '../vocabulary.ts';

/** What is measured, not rated, and can be a trial's main result. */
interface MeasuredFacts {
  label: string;
  unit: string;
  /** Places after the point that say something. */
  places: number;
  /** Which way it is usually wanted; a trial promises its own. */
  usual: 'more' | 'less';
  /** The rated outcome it stands nearest to: fairness rules know how weather, wear and changes touch that one. */
  like: Outcome;
  /** Where good enough and a difference worth switching for begin in a new plan; the tester's own numbers count. */
  line: number;
  matters: number;
  /** Where it is read: in photographs, in the lengths of tagged curls, or by the clock of the wash day's steps. */
  from: 'photographs' | 'curls' | 'clock';
  /** It is of a whole head, and half-heads have none. */
  whole?: boolean;
}

const inPictures = (
  measure: PhotoMeasure,
  facts: Omit<MeasuredFacts, 'label' | 'unit' | 'matters' | 'from'>,
): MeasuredFacts => {
  const { label, unit, matters } = PHOTO_MEASURES[measure];
  return {
    ...facts,
    label: label[0]!.toUpperCase() + label.slice(1),
    unit,
    matters: Number(Math.max(matters.amount, matters.share * facts.line).toPrecision(2)),
    from: 'photographs',
  };
};

/**
 * Measured results. Differences of photographs: methods.md 4, assumed there; every "good enough" and the differences of
 * shrinkage and of minutes are model assumptions to begin from.
 */
export const MEASURED = {
  halo: inPictures('halo', { places: 2, usual: 'less', like: 'frizz', line: 1 }),
  strays: inPictures('strays', { places: 1, usual: 'less', like: 'frizz', line: 10 }),
  silhouette: inPictures('silhouette', { places: 0, usual: 'more', like: 'volume', line: 600 }),
  volume: inPictures('volume', { places: 0, usual: 'more', like: 'volume', line: 5000, whole: true }),
  'clump-contrast': inPictures('clump-contrast', { places: 2, usual: 'more', like: 'definition', line: 1.5 }),
  coherence: inPictures('coherence', { places: 2, usual: 'more', like: 'definition', line: 0.5 }),
  'clump-width': inPictures('clump-width', { places: 1, usual: 'more', like: 'definition', line: 6 }),
  'curl-radius': inPictures('curl-radius', { places: 1, usual: 'less', like: 'definition', line: 8 }),
  'curl-index': inPictures('curl-index', { places: 2, usual: 'more', like: 'definition', line: 1.5 }),
  shrinkage: {
    label: 'Shrinkage',
    unit: '%',
    places: 0,
    usual: 'less',
    like: 'volume',
    line: 40,
    matters: 5,
    from: 'curls',
  },
  'minutes-to-dry': {
    label: 'Minutes to dry',
    unit: 'min',
    places: 0,
    usual: 'less',
    like: 'hold',
    line: 60,
    matters: 10,
    from: 'clock',
    whole: true,
  },
  'hands-on': {
    label: 'Hands-on minutes',
    unit: 'min',
    places: 0,
    usual: 'less',
    like: 'hold',
    line: 45,
    matters: 5,
    from: 'clock',
    whole: true,
  },
} as const satisfies Record<PhotoMeasure | 'shrinkage' | 'minutes-to-dry' | 'hands-on', MeasuredFacts>;
export type Measured = KeyOf<typeof MEASURED>;

/** A measured result with the way it is wanted: "halo:less". */
export type MeasuredResult = `${Measured}:${'more' | 'less'}`;

export const measuredFacts = (key: Measured): MeasuredFacts => MEASURED[key];

/** A measured result taken apart; null for any other key. */
export function measuredIn(key: string): { what: Measured; wanted: 'more' | 'less' } | null {
  const [what, wanted, ...more] = key.split(':');
  if (more.length > 0 || !Object.hasOwn(MEASURED, what!)) return null;
  return wanted === 'more' || wanted === 'less' ? { what: what as Measured, wanted } : null;
}

export const MEASURED_RESULTS: readonly MeasuredResult[] = (Object.keys(MEASURED) as Measured[]).flatMap(
  (what) => [`${what}:less` as const, `${what}:more` as const],
);
