import type { TrialDetail } from '@sabor/contract/trial-record';
import { mainResult } from '@sabor/core/compare/main-result';
import type { Reach } from '@sabor/core/inference/reach';
import { DESIGNS, isTested } from '@sabor/core/trial/designs';
import { hourInWords } from '@sabor/words/dates';
import { goodEnoughInWords, promisedInWords } from '@sabor/words/main-result';
import { counted } from '@sabor/words/numbers';

export const smallP = (p: number) => (p < 0.001 ? '< .001' : p.toFixed(3).replace(/^0/, ''));

const days = (n: number) => `${n} wash ${n === 1 ? 'day' : 'days'}`;
const level = (alpha: number) => smallP(alpha).replace(/0+$/, '');

/** What a plan of so many wash days can settle, in plain sentences; asked before it starts. */
export function reachSentences({ last, first }: Reach): string[] {
  const settles = last.decides
    ? `${days(last.days)} can be enough to settle it, if the difference is clear enough.`
    : last.oneApartP >= 1
      ? `${days(last.days)} can only hint: an option has fewer than three of them.`
      : `${days(last.days)} can only hint, however large the difference. More wash days change that.`;
  if (first === null) return [settles];
  return [
    settles,
    first.decides
      ? `The first test, after ${days(first.days)}, can settle it at ${level(first.alpha)}; the last is then taken at ${level(last.alpha)}.`
      : `The first test, after ${days(first.days)}, cannot settle anything, however large the difference, and the last is taken at ${level(last.alpha)}. Plan one test instead.`,
  ];
}

/** The figures behind {@link reachSentences}. */
export function reachNumbers({ sequences, smallestP, last }: Reach): string {
  return `The options can fall in ${sequences.toLocaleString('en')} orders. The smallest p any ratings could give is ${smallP(smallestP)}; ${last.oneApartP < 1 ? `with one option apart from equal others and no noise at all, p is ${smallP(last.oneApartP)}, against ${level(last.alpha)}` : `the level is ${level(last.alpha)}`}.`;
}

/** What was promised before the first wash day. */
export function Facts({ trial }: { trial: TrialDetail }) {
  const outcome = mainResult(trial.primary);
  const facts = [
    ['Main result', `${outcome.label}, day ${trial.onDay}`],
    ...(trial.judgedFrom === null || trial.judgedTo === null
      ? []
      : [['Judged between', `${hourInWords(trial.judgedFrom)} and ${hourInWords(trial.judgedTo)}`]]),
    ['Good enough', goodEnoughInWords(trial.primary, trial.line)],
    ['Worth switching for', promisedInWords(trial.primary, trial.matters)],
    ['Wash days', `${trial.washDaysDone} of ${trial.washDays}`],
    ['Days worn, each', `${trial.wearDays} ${trial.wearDays === 1 ? 'day' : 'days'}`],
    ['Zones that count', String(trial.weights.length)],
    ['Design', DESIGNS[trial.design].label],
    ['Tested', trial.looks === 2 ? 'half-way and at the end' : 'once, at the end'],
    ['Rating', trial.blind ? 'blind' : 'not blind'],
    ...(trial.cadenceDays === null ? [] : [['Wash to wash', counted(trial.cadenceDays, 'day')]]),
  ];
  return (
    <section aria-label="The plan">
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
        {trial.panelId !== null
          ? 'On this head alone it can only hint; the panel is read over all its heads.'
          : isTested(trial.design)
            ? reachSentences(trial.attainable).join(' ')
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
