import type { Dose } from '../doses/dose.ts';
import type { Measure } from '../doses/measures.ts';
import type { Wetness } from '../step/choices.ts';
import type { StepSettings } from '../step/settings.ts';

/** What a label's directions ask for, as far as they say it plainly. */
export interface Directions {
  /** Minutes, from and to. */
  minutes: [number, number] | null;
  wetness: Wetness[];
  rinse: 'rinse' | 'leave' | null;
  /** How much, where it is said in a measure that a hand knows. */
  amount: { from: number; to: number; measure: Measure } | null;
  /** How often it is washed or applied over, where that is not left to the user. */
  rounds: number | null;
  /** A cap, heat or no heat, where asked for. */
  cap: boolean;
  heat: 'with' | 'without' | null;
}

const WORDS: readonly [RegExp, Wetness[]][] = [
  [/\bsoaking|dripping\b/i, ['soaking']],
  [/\b(towel-?(dried|dry)|damp)\b/i, ['damp', 'barely']],
  [/\bwet\b/i, ['wet', 'soaking']],
  [/\b(on|to) dry hair\b|\bdry or\b|\bor dry\b/i, ['dry']],
];

const NUMBERS = ['nought', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const COUNT = `(\\d+(?:[.,]\\d+)?|${NUMBERS.join('|')}|an?)`;
const MEASURE_WORDS: readonly [string, Measure][] = [
  ['pumps?', 'pump'],
  ['drops?', 'drop'],
  ['sprays?|spritz(?:es)?', 'spray'],
  ['pea', 'pea'],
  ['hazelnuts?', 'hazelnut'],
  ['coins?', 'coin'],
  ['scoops?', 'scoop'],
  ['palmfuls?', 'palmful'],
  ['ml|millilit(?:re|er)s?', 'ml'],
  ['g|grams?', 'g'],
];

const counted = (word: string): number => {
  const place = NUMBERS.indexOf(word.toLowerCase());
  return place >= 0 ? place : /^an?$/i.test(word) ? 1 : Number(word.replace(',', '.'));
};

function amountIn(text: string): Directions['amount'] {
  for (const [words, measure] of MEASURE_WORDS) {
    const found = new RegExp(`\\b${COUNT}(?:\\s*(?:-|–|to|or)\\s*${COUNT})?[\\s-]*(?:${words})\\b`, 'i').exec(
      text,
    );
    if (found) return { from: counted(found[1]!), to: counted(found[2] ?? found[1]!), measure };
  }
  return null;
}

/** Sentences a label only leaves open ("if needed"), or says it is silent on, ask for nothing. */
const asked = (text: string, word: RegExp) =>
  text
    .split(/[.;]/)
    .some((sentence) => word.test(sentence) && !/silent|if (needed|desired|you)/i.test(sentence));

/** Reads minutes, wetness and rinsing out of a label's directions. Common practice in how labels are worded, no source. */
export function readDirections(text: string): Directions {
  const time = /(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*min/i.exec(text);
  const number = (part: string) => Number(part.replace(',', '.'));
  return {
    minutes: time ? [number(time[1]!), number(time[2] ?? time[1]!)] : null,
    wetness: [...new Set(WORDS.flatMap(([word, means]) => (word.test(text) ? means : [])))],
    amount: amountIn(text),
    rounds: asked(text, /\brepeat|\btwice\b(?! (a|per|every))/i) ? 2 : null,
    cap: asked(text, /\bcap\b/i),
    heat: asked(text, /\b(no|without|away from|avoid) heat\b/i)
      ? 'without'
      : asked(text, /\b(with|under|use|add) (gentle |low |some )?(heat|warmth)\b|\b(hood|steamer)\b/i)
        ? 'with'
        : null,
    rinse: /\b(do not|don’t|don't|without) rins|leave in\b/i.test(text)
      ? 'leave'
      : /\brins/i.test(text)
        ? 'rinse'
        : null,
  };
}

/** Where a planned step is otherwise than its label says; `asks` is the label's side. */
export type LabelDeparture =
  | { setting: 'minutes'; asks: [number, number]; planned: number }
  | { setting: 'wetness'; asks: readonly Wetness[]; planned: Wetness }
  | { setting: 'dose'; asks: NonNullable<Directions['amount']>; planned: Dose }
  | { setting: 'rounds'; asks: number; planned: number }
  | { setting: 'cap' }
  | { setting: 'heat'; asks: 'with' | 'without' };

/** Where a planned step departs from what its label says. A silent label is departed from by nothing. */
export function labelDepartures(
  step: Pick<StepSettings, 'minutes' | 'wetness'> & Partial<Pick<StepSettings, 'dose' | 'heat' | 'extra'>>,
  text: string,
): LabelDeparture[] {
  const { minutes, wetness, amount, rounds, cap, heat } = readDirections(text);
  const found: LabelDeparture[] = [];
  if (minutes && step.minutes !== null && (step.minutes < minutes[0] || step.minutes > minutes[1]))
    found.push({ setting: 'minutes', asks: minutes, planned: step.minutes });
  if (wetness.length > 0 && step.wetness !== null && !wetness.includes(step.wetness))
    found.push({ setting: 'wetness', asks: wetness, planned: step.wetness });
  const dose: Dose | null = step.dose ?? null;
  if (amount && dose && dose.kind !== 'unknown' && dose.measure === amount.measure && dose.per === 'head') {
    const [from, to] = dose.kind === 'exact' ? [dose.amount, dose.amount] : [dose.from, dose.to];
    if (from < amount.from || to > amount.to) found.push({ setting: 'dose', asks: amount, planned: dose });
  }
  const planned = step.extra?.rounds;
  if (rounds !== null && typeof planned === 'number' && planned !== rounds)
    found.push({ setting: 'rounds', asks: rounds, planned });
  if (cap && step.extra && step.extra.cap !== true) found.push({ setting: 'cap' });
  const warm =
    (step.heat !== undefined && step.heat !== null && step.heat !== 'none' && step.heat !== 'cool') ||
    (step.extra?.warmth !== undefined && step.extra.warmth !== 'own');
  if (heat === 'without' && warm) found.push({ setting: 'heat', asks: 'without' });
  if (heat === 'with' && !warm && step.extra) found.push({ setting: 'heat', asks: 'with' });
  return found;
}

/** How a step stood to its label. */
export const LABEL_WAYS = {
  label: { label: 'by the label' },
  own: { label: 'own way' },
  silent: { label: 'label silent' },
  untold: { label: 'by the label or not: cannot tell' },
} as const;
export type LabelWay = keyof typeof LABEL_WAYS;

type Done = Parameters<typeof labelDepartures>[0];

/** How many of the things a label plainly asks for were recorded of a step. */
function recorded(step: Done, { minutes, wetness, amount, rounds, cap, heat }: Directions): number {
  const { dose = null } = step;
  return [
    minutes !== null && step.minutes !== null,
    wetness.length > 0 && step.wetness !== null,
    amount !== null &&
      dose !== null &&
      dose.kind !== 'unknown' &&
      dose.measure === amount.measure &&
      dose.per === 'head',
    rounds !== null && typeof step.extra?.rounds === 'number',
    cap && step.extra?.cap === true,
    heat !== null && (step.heat ?? null) !== null,
  ].filter(Boolean).length;
}

/**
 * Whether a step was done by its label, from what was recorded of it: its own way where anything departs, by the label
 * where something asked for was recorded and nothing departs. Directions that ask for nothing Sabor can read, or a step
 * that recorded none of it, cannot tell.
 */
export function labelWay(
  step: Done,
  directions: string | null,
): { way: LabelWay; departures: readonly LabelDeparture[] } {
  if (directions === null || directions.trim() === '') return { way: 'silent', departures: [] };
  const departures = labelDepartures(step, directions);
  if (departures.length > 0) return { way: 'own', departures };
  return { way: recorded(step, readDirections(directions)) > 0 ? 'label' : 'untold', departures };
}
