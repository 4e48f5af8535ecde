import type { TrialInput } from '@sabor/contract/trial';
import { DESIGNS, type Design, daysOffered, designProblem, isTested } from '@sabor/core/trial/designs';
import { useWorked } from '../../api/worked.ts';
import { Term } from '../../ui/term.tsx';
import { foundInWorker, reachesInWorker } from '../../workers/power.ts';
import { reachNumbers, reachSentences } from './facts.tsx';

/** How many numbers of wash days are shown beside each other. */
const SHOWN = 5;

/** What the plan as it stands could show, before it starts. */
export function PlanReach({ value }: { value: TrialInput }) {
  const arms = value.arms.length;
  const design = value.design ?? 'complete';
  const days = value.washDays;
  const looks = value.looks ?? 1;
  const fault = Number.isInteger(days) ? designProblem(design, arms, days) : 'Give the number of wash days.';
  const compares = isTested(design);
  const bundle = value.plan.filter(({ part }) => part === 'tested').length > 1;
  const offered = daysOffered(design, arms);
  const from = Math.max(0, Math.min(offered.indexOf(days) - 2, offered.length - SHOWN));
  const shown = offered.slice(from, from + SHOWN);
  const reached = useWorked('reach', compares && shown.length > 0 ? [design, arms, shown, looks] : null, () =>
    reachesInWorker(design, arms, shown, looks),
  );
  const able = (n: number) => reached.data?.[shown.indexOf(n)];
  const found = fault === null ? able(days) : undefined;
  return (
    <section
      aria-labelledby="reach"
      aria-live="polite"
      className={`rounded-tag border-2 p-5 ${found?.decides ? 'border-leaf/50' : found || fault !== null ? 'border-mango' : 'border-rule'} bg-sheet`}
    >
      <h2 id="reach" className="text-xl">
        What this plan can show
      </h2>
      {fault !== null && <p className="mt-2 text-mango-deep">{fault}</p>}
      {fault === null && !compares && <p className="mt-2">{DESIGNS[design].cannot}</p>}
      {fault === null && compares && !found && (
        <p className="mt-2 text-soft">
          {reached.isError ? reached.error.message : 'Working out what it can show …'}
        </p>
      )}
      {found && (
        <>
          <p className="figure mt-2 text-3xl">
            <Term of="settle">{found.decides ? 'Can settle it' : 'Can only hint'}</Term>
          </p>
          {reachSentences(found).map((sentence) => (
            <p key={sentence} className="mt-1">
              {sentence}
            </p>
          ))}
          <Found design={design} arms={arms} days={days} looks={looks} />
          <details className="mt-2 text-sm text-soft">
            <summary className="cursor-pointer">The numbers</summary>
            <p className="mt-1">{reachNumbers(found)}</p>
          </details>
        </>
      )}
      {compares && offered.length > 0 && (
        <table className="mt-4 w-full text-left text-sm">
          <caption className="pb-1 text-left font-semibold">With {arms} options</caption>
          <thead className="text-soft">
            <tr>
              <th scope="col">Wash days</th>
              <th scope="col" className="pl-4">
                They can
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((n) => {
              const decides = able(n)?.decides;
              return (
                <tr key={n} className={`border-t border-rule ${n === days ? 'font-semibold' : ''}`}>
                  <td>{n}</td>
                  <td className={`pl-4 ${decides ? 'text-leaf' : 'text-mango-deep'}`}>
                    {decides === undefined ? '…' : decides ? 'settle it' : 'only hint'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {bundle && compares && (
        <p className="mt-3 text-sm">
          More than one step is tested: each option is a <strong>whole line</strong>, and the verdict is about
          the line. A follow-up that swaps one product tells which of them did it.
        </p>
      )}
      {design === 'complete' && days === arms && (
        <p className="mt-3 text-sm">
          With as many wash days as options it can be run on several heads as a panel: save it, then choose
          the heads.
        </p>
      )}
      {compares && (
        <p className="mt-3 text-sm text-soft">
          {DESIGNS[design].says} <Term of="sealed">Sealed</Term> until its wash day begins.{' '}
          {value.blind
            ? 'Blind: you see codes until the ratings are locked.'
            : 'Not blind: you will know which product it is, and expectation can colour ratings.'}
        </p>
      )}
    </section>
  );
}

/** The difference this plan finds four times in five, beside how far wash days differ by themselves. */
function Found({ design, arms, days, looks }: { design: Design; arms: number; days: number; looks: 1 | 2 }) {
  const found = useWorked('difference found', [design, arms, days, looks], () =>
    foundInWorker(design, arms, days, looks),
  );
  if (found.isError || found.data === null) return null;
  const what = DESIGNS[design].halves ? 'left and right' : 'wash days of one option';
  return (
    <p className="mt-1" aria-live="polite">
      {found.data === undefined
        ? 'Working out the difference it finds …'
        : `It finds, four times in five, a difference of ${found.data.toFixed(1)} times what ${what} differ by themselves (one standard deviation), with no wash day missed.`}
    </p>
  );
}
