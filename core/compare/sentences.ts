import { OUTCOMES } from '../outcomes/outcomes.ts';
import type { Comparison, TrialRecord } from './comparison.ts';

const one = (x: number) => (Math.round(x * 10) / 10).toFixed(1);
const signed = (x: number) => `${x > 0.05 ? '+' : x < -0.05 ? '−' : ''}${one(Math.abs(x))}`;

/** A p or other share in words, three decimals, never "0". */
export function pLabel(p: number): string {
  return p < 0.001 ? '< .001' : `= ${p.toFixed(3).replace(/^0/, '')}`;
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
  if (primary.state === 'waiting')
    return {
      headline: `Too early: ${primary.finished} of ${promise.plannedWashDays} wash days are in.`,
      because: ['The test waits until the planned wash days are done; looking at it early would spend it.'],
    };
  const described = contrast.differences.flatMap(({ arm, difference, interval }) => {
    if (difference === null) return [];
    const range = interval
      ? ` (${Math.floor(interval.level * 1000) / 10} % interval ${signed(interval.low)} to ${signed(interval.high)})`
      : '';
    return [
      `${promise.arms[arm]} less ${promise.arms[0]}: ${signed(difference)} points of ${word} on day 1${range}.`,
    ];
  });
  because.push(...described);
  if (primary.test)
    because.push(
      `Of the ${primary.test.looked.toLocaleString('en')} ways the arms could have fallen${primary.test.exact ? '' : ' (a seeded sample)'}, ${(primary.test.p * 100).toFixed(1)} % show a gap at least this wide: p ${pLabel(primary.test.p)}.`,
    );
  if (primary.state === 'describes') {
    if (record.ended === 'early')
      because.push('The trial ended before its planned wash days, so no p is given.');
    else if (primary.smallestP > promise.alpha)
      because.push(
        `The smallest p this plan could reach is ${primary.smallestP.toFixed(2).replace(/^0/, '')}.`,
      );
    return { headline: 'This trial can describe, not decide.', because };
  }
  if (primary.state === 'cannot tell') {
    if (primary.washDaysNeeded !== null)
      because.push(
        `With the noise between wash days seen here (SD ${one(primary.noise ?? 0)}), a difference of ${one(promise.matters)} needs about ${primary.washDaysNeeded} wash days. A standard deviation from so few days is itself uncertain.`,
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
