import { FELT, FELT_KEYS, type Felt } from '../felt/felt.ts';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import {
  MEASURED_RESULTS,
  type Measured,
  type MeasuredResult,
  measuredFacts,
  measuredIn,
} from './measured-result.ts';

type Word = 0 | 1 | 2 | 3 | 4;

/**
 * What a trial is judged by: a rated outcome, a reading in five words with the word that is wanted of it, by its place
 * ("clumps:2" wants medium clumps), what is measured with the way it is wanted ("halo:less"), or how many days a rated
 * outcome stays good enough ("lasting:definition").
 */
export type MainResult = Outcome | `${Felt}:${Word}` | MeasuredResult | LastingResult;

/** How many days an outcome stays good enough: a trial's `line` then is on that outcome's scale, what matters in days. */
export type LastingResult = `lasting:${Outcome}`;
const LASTING = 'lasting:';

/** The best a reading in words can come to, on the scale of the ratings, and what each word away from the wanted costs. */
export const AS_WANTED = 10;
export const POINTS_A_WORD = 2.5;

/**
 * The rated outcome that a reading in words stands nearest to: fairness rules know how weather, wear and changes touch
 * that one. Model assumption.
 */
const LIKE: Partial<Record<Felt, Outcome>> = {
  clumps: 'definition',
  frizzed: 'frizz',
  bounce: 'volume',
  cast: 'hold',
  crunch: 'hold',
  flakes: 'hold',
  grease: 'shine',
  'white-film': 'shine',
  'build-up': 'shine',
};

export interface MainFacts {
  label: string;
  better: 'higher' | 'lower';
  /** The rated outcome it is, or stands nearest to. */
  like: Outcome;
  /** The reading and the word that is wanted, where it is one in words. */
  felt: { quality: Felt; wanted: Word; word: string; atSteps: boolean } | null;
  /** What is measured, where it is not rated: its numbers are in units of their own. */
  measured: {
    what: Measured | 'days';
    unit: string;
    places: number;
    from: 'photographs' | 'curls' | 'clock' | 'wear';
  } | null;
  /** The rated outcome whose good days it counts. */
  lasting: Outcome | null;
}

export const isOutcome = (key: MainResult): key is Outcome => Object.hasOwn(OUTCOMES, key);

/** What a main result is called, which way it is wanted, and what it reads. */
export function mainResult(key: MainResult): MainFacts {
  if (isOutcome(key)) {
    const { label, better } = OUTCOMES[key];
    return { label, better, like: key, felt: null, measured: null, lasting: null };
  }
  if (key.startsWith(LASTING)) {
    const lasting = key.slice(LASTING.length) as Outcome;
    return {
      label: `Good days: ${OUTCOMES[lasting].label.toLowerCase()}`,
      better: 'higher',
      like: lasting,
      felt: null,
      measured: { what: 'days', unit: 'days', places: 1, from: 'wear' },
      lasting,
    };
  }
  const found = measuredIn(key);
  if (found) {
    const { label, unit, places, like, from } = measuredFacts(found.what);
    return {
      label,
      better: found.wanted === 'more' ? 'higher' : 'lower',
      like,
      felt: null,
      measured: { what: found.what, unit, places, from },
      lasting: null,
    };
  }
  const at = key.lastIndexOf(':');
  const quality = key.slice(0, at) as Felt;
  const wanted = Number(key.slice(at + 1)) as Word;
  const { label, words, stages } = FELT[quality];
  const word = words[wanted]!;
  return {
    label: `${label}: ${word}`,
    better: 'higher',
    like: LIKE[quality] ?? 'softness',
    felt: { quality, wanted, word, atSteps: !(stages as readonly string[]).includes('wear') },
    measured: null,
    lasting: null,
  };
}

/** What check-ins are rated by for a main result: the outcome whose good days are counted, else the result itself. */
export const ratedBy = (key: MainResult): MainResult => mainResult(key).lasting ?? key;

/** How near a word comes to the wanted one, on the scale of the ratings: 10 for the word itself, 2.5 less for each beside it. */
export const nearness = (value: number, wanted: number): number =>
  AS_WANTED - POINTS_A_WORD * Math.abs(value - wanted);

/** Readings in words that can be a main result: asked on days worn, or at a step; those before the wash are no result. */
const PROMISABLE = FELT_KEYS.filter((key) => {
  const { stages, slots } = FELT[key] as { stages: readonly string[]; slots: readonly string[] };
  return stages.includes('wear') || slots.length > 0;
});

/** Every main result there can be: the outcomes, each reading with each of its words, what is measured each way. */
export const MAIN_RESULTS: readonly MainResult[] = [
  ...(Object.keys(OUTCOMES) as Outcome[]),
  ...PROMISABLE.flatMap((key) => FELT[key].words.map((_, word) => `${key}:${word as Word}` as const)),
  ...MEASURED_RESULTS,
  ...(Object.keys(OUTCOMES) as Outcome[]).map((key) => `lasting:${key}` as const),
];
