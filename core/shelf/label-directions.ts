import { WETNESS, type Wetness } from '../routine/settings.ts';
import type { StepSettings } from '../routine/step.ts';

/** What a label's directions ask for, as far as they say it plainly. */
export interface Directions {
  /** Minutes, from and to. */
  minutes: [number, number] | null;
  wetness: Wetness[];
  rinse: 'rinse' | 'leave' | null;
}

const WORDS: readonly [RegExp, Wetness[]][] = [
  [/\bsoaking|dripping\b/i, ['soaking']],
  [/\b(towel-?(dried|dry)|damp)\b/i, ['damp', 'barely']],
  [/\bwet\b/i, ['wet', 'soaking']],
  [/\b(on|to) dry hair\b|\bdry or\b|\bor dry\b/i, ['dry']],
];

/** Reads minutes, wetness and rinsing out of a label's directions. Common practice in how labels are worded, no source. */
export function readDirections(text: string): Directions {
  const time = /(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*min/i.exec(text);
  const number = (part: string) => Number(part.replace(',', '.'));
  return {
    minutes: time ? [number(time[1]!), number(time[2] ?? time[1]!)] : null,
    wetness: [...new Set(WORDS.flatMap(([word, means]) => (word.test(text) ? means : [])))],
    rinse: /\b(do not|don’t|don't|without) rins|leave in\b/i.test(text)
      ? 'leave'
      : /\brins/i.test(text)
        ? 'rinse'
        : null,
  };
}

/** Where a planned step departs from what its label says, in sentences. A silent label is departed from by nothing. */
export function labelDepartures(step: Pick<StepSettings, 'minutes' | 'wetness'>, text: string): string[] {
  const { minutes, wetness } = readDirections(text);
  const found: string[] = [];
  if (minutes && step.minutes !== null && (step.minutes < minutes[0] || step.minutes > minutes[1])) {
    const range = minutes[0] === minutes[1] ? String(minutes[0]) : `${minutes[0]}–${minutes[1]}`;
    found.push(`The label says ${range} min, the plan ${step.minutes}.`);
  }
  if (wetness.length > 0 && step.wetness !== null && !wetness.includes(step.wetness))
    found.push(
      `The label says ${wetness.map((one) => WETNESS[one].label).join(' or ')} hair, the plan ${WETNESS[step.wetness].label}.`,
    );
  return found;
}
