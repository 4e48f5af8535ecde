import type { Interval } from '../inference/inversion-interval.ts';
import { sdInterval } from '../inference/sd-interval.ts';
import { OUTCOMES } from '../outcomes/outcomes.ts';
import { DESIGNS, MOST_DAYS } from '../trial/designs.ts';
import type { Comparison, Factor, TrialRecord } from './comparison.ts';

const one = (x: number) => (Math.round(x * 10) / 10).toFixed(1);
const signed = (x: number) => `${x > 0.05 ? '+' : x < -0.05 ? '−' : ''}${one(Math.abs(x))}`;

/** A p or other share in words, three decimals, never "0". */
export function pLabel(p: number): string {
  return p < 0.001 ? '< .001' : `= ${p.toFixed(3).replace(/^0/, '')}`;
}

/** What the lot was drawn over, for a design that learns the noise. */
function noiseSentences(
  { promise }: TrialRecord,
  { primary }: Comparison,
): { headline: string; because: string[] } {
  const { noise } = primary;
  const word = OUTCOMES[promise.primary].label.toLowerCase();
  if (noise === null)
    return {
      headline: `Too early: ${primary.finished} of ${promise.plannedWashDays} wash days are in.`,
      because: ['Noise takes two wash days at least, and four or more to be of use.'],
    };
  const halves = DESIGNS[promise.design].halves;
  const [low, high] = sdInterval(noise.sd, noise.freedom);
  return {
    headline: halves
      ? `Left and right differ by ${one(noise.sd)} points of ${word} by themselves.`
      : `Wash days differ by ${one(noise.sd)} points of ${word} by themselves.`,
    because: [
      `A standard deviation from ${primary.finished} wash days is uncertain: 95 % interval ${one(low)} to ${one(high)}.`,
      ...(noise.bias === null
        ? []
        : [`On average the left is rated ${signed(noise.bias)} against the right: the side’s own bias.`]),
      'Plans for this wearer take this noise over; it tests no product.',
    ],
  };
}

/** What the comparison's primary outcome means: a headline and what it rests on, in plain sentences. */
export function readPrimary(
  record: TrialRecord,
  comparison: Comparison,
): { headline: string; because: string[] } {
  const { promise } = record;
  const { primary } = comparison;
  const outcome = OUTCOMES[promise.primary];
  const word = outcome.label.toLowerCase();
  const contrast = comparison.outcomes[promise.primary];
  const because: string[] = [];
  if (primary.state === 'noise') return noiseSentences(record, comparison);
  if (primary.state === 'waiting')
    return {
      headline: `Too early: ${primary.finished} of ${promise.plannedWashDays} wash days are in.`,
      because: ['The test waits until the planned wash days are done; looking at it early would spend it.'],
    };
  const range = (interval: Interval | null) =>
    interval
      ? ` (${Math.floor(interval.level * 1000) / 10} % interval ${signed(interval.low)} to ${signed(interval.high)})`
      : '';
  const points = `points of ${word} on day ${promise.onDay}`;
  if (primary.factors.length) {
    const [a, b, c, d] = promise.arms as [string, string, string, string];
    const says: Record<Factor['which'], string> = {
      first: `${c} and ${d} less ${a} and ${b}`,
      second: `${b} and ${d} less ${a} and ${c}`,
      interaction: 'How much the one hangs on the other',
    };
    for (const { which, effect, interval } of primary.factors)
      because.push(`${says[which]}: ${signed(effect)} ${points}${range(interval)}.`);
  } else
    for (const { arm, difference, interval } of contrast.differences)
      if (difference !== null)
        because.push(
          `${promise.arms[arm]} less ${promise.arms[0]}: ${signed(difference)} ${points}${range(interval)}.`,
        );
  if (DESIGNS[promise.design].halves && primary.noise?.bias)
    because.push(
      `The sides were balanced; left was rated ${signed(primary.noise.bias)} against right whatever stood there.`,
    );
  if (primary.test)
    because.push(
      `Of the ${primary.test.looked.toLocaleString('en')} ways the arms could have fallen${primary.test.exact ? '' : ' (a seeded sample)'}, ${(primary.test.p * 100).toFixed(1)} % show a gap at least this wide: p ${pLabel(primary.test.p)}.`,
    );
  if (record.ended === 'look' || promise.looks === 2)
    because.push(
      `${record.ended === 'look' ? 'This is the first' : 'This was the last'} of two promised looks, taken at α ${primary.alpha.toFixed(2).replace(/^0/, '')}.`,
    );
  if (primary.state === 'describes') {
    if (promise.design === 'before-after')
      because.push(
        'Before and after has no lot: season, hair and expectation changed as well, so no p is given.',
      );
    else if (record.ended === 'early')
      because.push('The trial ended before its planned wash days, so no p is given.');
    else if (primary.smallestP > primary.alpha)
      because.push(
        `The smallest p this plan could reach is ${primary.smallestP.toFixed(2).replace(/^0/, '')}.`,
      );
    return { headline: 'This trial can describe, not decide.', because };
  }
  if (primary.state === 'cannot tell') {
    if (primary.washDaysNeeded !== null && primary.noise)
      because.push(
        `With the noise between wash days seen here (SD ${one(primary.noise.sd)}), a difference of ${one(promise.matters)} needs about ${primary.washDaysNeeded} wash days${primary.washDaysNeeded > MOST_DAYS ? ', more than a plan can hold' : ''}. A standard deviation from so few days is itself uncertain.`,
      );
    return {
      headline: `Cannot tell yet which gives ${outcome.better === 'higher' ? 'more' : 'less'} ${word}.`,
      because,
    };
  }
  const means = contrast.means.map((m) => m ?? Number.NaN);
  const best = outcome.better === 'higher' ? Math.max(...means) : Math.min(...means);
  const winner = means.indexOf(best);
  const [only] = contrast.differences;
  if (promise.arms.length === 2 && only?.interval) {
    const { low, high } = only.interval;
    const [near, far] = [Math.min(Math.abs(low), Math.abs(high)), Math.max(Math.abs(low), Math.abs(high))];
    because.push(
      near >= promise.matters
        ? `The whole interval is at least the ${one(promise.matters)} that matters.`
        : far < promise.matters
          ? `Even so, all of the interval is under the ${one(promise.matters)} that matters.`
          : `Whether it is as much as the ${one(promise.matters)} that matters stays open.`,
    );
  }
  const more = outcome.better === 'higher' ? 'more' : 'less';
  return {
    headline:
      promise.arms.length === 2
        ? `${promise.arms[winner]} gave ${more} ${word}.`
        : `The arms differ in ${word}; ${promise.arms[winner]} had the ${outcome.better === 'higher' ? 'most' : 'least'}.`,
    because,
  };
}
