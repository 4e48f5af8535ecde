import type { TrialInput } from '@sabor/contract/trial';
import { LOOKS } from '@sabor/core/compare/comparison';
import { DESIGNS, daysOffered, designProblem, isComparison, reach } from '@sabor/core/trial/designs';
import { reachSentence, smallP } from './facts.tsx';

const ALPHA = 0.05;
/** How many numbers of wash days are shown beside each other. */
const SHOWN = 6;

/** What the plan as it stands could show, before it starts. */
export function PlanReach({ value }: { value: TrialInput }) {
  const arms = value.arms.length;
  const design = value.design ?? 'complete';
  const days = value.washDays;
  const alpha = value.looks === 2 ? LOOKS.last : ALPHA;
  const fault = Number.isInteger(days) ? designProblem(design, arms, days) : 'Give the number of wash days.';
  const compares = isComparison(design) && design !== 'before-after';
  const found = fault === null ? reach(design, arms, days, alpha) : null;
  const bundle = value.plan.filter(({ part }) => part === 'tested').length > 1;
  const offered = daysOffered(design, arms);
  const from = Math.max(0, Math.min(offered.indexOf(days) - 2, offered.length - SHOWN));
  return (
    <section
      aria-labelledby="reach"
      aria-live="polite"
      className={`rounded-tag border-2 p-5 ${found?.decides ? 'border-leaf/50' : 'border-mango'} bg-sheet`}
    >
      <h2 id="reach" className="text-xl">
        What this plan can show
      </h2>
      {found === null && <p className="mt-2 text-mango-deep">{fault}</p>}
      {found !== null && !compares && <p className="mt-2">{DESIGNS[design].cannot}</p>}
      {found !== null && compares && (
        <>
          <p className="figure mt-2 text-4xl">
            p {found.smallestP < 0.001 ? '' : '≥ '}
            {smallP(found.smallestP)}
          </p>
          <p className="mt-1">{reachSentence(found, alpha)}</p>
        </>
      )}
      {compares && offered.length > 0 && (
        <table className="mt-4 w-full text-left text-sm">
          <caption className="pb-1 text-left font-semibold">With {arms} arms</caption>
          <thead className="text-soft">
            <tr>
              <th scope="col">Wash days</th>
              <th scope="col" className="text-right">
                Smallest p
              </th>
              <th scope="col" className="pl-4">
                It can
              </th>
            </tr>
          </thead>
          <tbody>
            {offered.slice(from, from + SHOWN).map((n) => {
              const { smallestP, decides } = reach(design, arms, n, alpha);
              return (
                <tr key={n} className={`border-t border-rule ${n === days ? 'font-semibold' : ''}`}>
                  <td>{n}</td>
                  <td className="text-right">{smallP(smallestP)}</td>
                  <td className={`pl-4 ${decides ? 'text-leaf' : 'text-mango-deep'}`}>
                    {decides ? 'decide' : 'describe'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {bundle && compares && (
        <p className="mt-3 text-sm">
          More than one step is under test: each arm is a <strong>bundle</strong>, and the verdict is about
          the bundle. A swap-one follow-up tells which item carried it.
        </p>
      )}
      {design === 'complete' && days === arms && (
        <p className="mt-3 text-sm">
          With as many wash days as arms it can be run on several heads as a panel: save it, then choose the
          heads.
        </p>
      )}
      {compares && (
        <p className="mt-3 text-sm text-soft">
          {DESIGNS[design].says} Sealed until its wash day begins.{' '}
          {value.blind
            ? 'Blind: you see codes until the ratings are locked.'
            : 'Not blind: you will know which product it is, and expectation can colour ratings.'}
        </p>
      )}
    </section>
  );
}
