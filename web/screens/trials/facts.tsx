import type { Trial } from '@sabor/contract/trial';
import { LOOKS } from '@sabor/core/compare/comparison';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { DESIGNS, isComparison } from '@sabor/core/trial/designs';

export const smallP = (p: number) => (p < 0.001 ? '< .001' : p.toFixed(3).replace(/^0/, ''));

/** What this plan can reach, in a sentence; asked before it starts. */
export function reachSentence(attainable: Trial['attainable'], alpha = 0.05): string {
  const { sequences, smallestP, decides } = attainable;
  const ways = `The arms can fall in ${sequences.toLocaleString('en')} ways, so the smallest p this plan can reach is ${smallP(smallestP)}.`;
  return decides
    ? `${ways} It can decide at ${smallP(alpha).replace(/0+$/, '')}, if the difference is clear enough.`
    : `${ways} That is over ${smallP(alpha).replace(/0+$/, '')}: it can describe, not decide. More wash days change that.`;
}

/** What was promised before the first wash day. */
export function Facts({ trial }: { trial: Trial }) {
  const outcome = OUTCOMES[trial.primary];
  const sign = outcome.better === 'higher' ? '≥' : '≤';
  const facts = [
    ['Judged first', `${outcome.label}, day ${trial.onDay}`],
    ['Wearer’s line', `${outcome.label.toLowerCase()} ${sign} ${trial.line}`],
    ['Matters from', `${trial.matters} ${trial.matters === 1 ? 'point' : 'points'}`],
    ['Wash days', `${trial.washDaysDone} of ${trial.washDays}`],
    ['Wear each', `${trial.wearDays} ${trial.wearDays === 1 ? 'day' : 'days'}`],
    ['Zones that count', String(trial.weights.length)],
    ['Design', DESIGNS[trial.design].label],
    ['Looks', trial.looks === 2 ? 'two: half-way, end' : 'one, at the end'],
    ['Rating', trial.blind ? 'blind' : 'not blind'],
    ...(trial.cadenceDays === null ? [] : [['Wash to wash', `${trial.cadenceDays} days`]]),
  ];
  return (
    <section aria-label="The promise">
      <dl className="flex flex-wrap gap-x-10 gap-y-3 border-y border-rule py-3">
        {facts.map(([what, value]) => (
          <div key={what}>
            <dt className="text-sm text-soft">{what}</dt>
            <dd className="figure text-lg">{value}</dd>
          </div>
        ))}
      </dl>
      <p
        className={`mt-3 max-w-3xl ${trial.attainable.decides ? '' : 'border-l-4 border-mango pl-4 text-mango-deep'}`}
      >
        {isComparison(trial.design)
          ? reachSentence(trial.attainable, trial.looks === 2 ? LOOKS.last : trial.alpha)
          : DESIGNS[trial.design].cannot}
      </p>
      <p className="mt-1 text-sm text-soft">
        {trial.startedAt
          ? 'Locked when the first wash day began.'
          : 'Can still be changed; it locks when the first wash day begins.'}
      </p>
    </section>
  );
}
