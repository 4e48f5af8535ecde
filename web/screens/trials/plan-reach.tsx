import { type TrialInput, washDaysProblem } from '@sabor/contract/trial';
import { balancedComplete, canDecide, smallestP } from '@sabor/core/trial/allocation';
import { reachSentence, smallP } from './facts.tsx';

const ALPHA = 0.05;
const OFFERED = [2, 3, 4, 5, 6];

/** What the plan as it stands could show, before it starts. */
export function PlanReach({ value }: { value: TrialInput }) {
  const arms = value.arms.length;
  const days = value.washDays;
  const fault =
    Number.isInteger(days) && days <= 40 ? washDaysProblem(arms, days) : 'Give the number of wash days.';
  const scheme = fault === null ? balancedComplete(arms, days) : null;
  const decides = scheme !== null && canDecide(scheme, ALPHA);
  return (
    <section
      aria-labelledby="reach"
      aria-live="polite"
      className={`rounded-tag border-2 p-5 ${decides ? 'border-leaf/50' : 'border-mango'} bg-sheet`}
    >
      <h2 id="reach" className="text-xl">
        What this plan can show
      </h2>
      {scheme === null ? (
        <p className="mt-2 text-mango-deep">{fault}</p>
      ) : (
        <>
          <p className="figure mt-2 text-4xl">p ≥ {smallP(smallestP(scheme))}</p>
          <p className="mt-1">
            {reachSentence({ sequences: scheme.size, smallestP: smallestP(scheme), decides })}
          </p>
        </>
      )}
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
          {OFFERED.map((each) => {
            const option = balancedComplete(arms, arms * each);
            const can = canDecide(option, ALPHA);
            return (
              <tr
                key={each}
                className={`border-t border-rule ${arms * each === days ? 'font-semibold' : ''}`}
              >
                <td>
                  {arms * each} ({each} each)
                </td>
                <td className="text-right">
                  {smallestP(option) < 0.001 ? '< .001' : smallP(smallestP(option))}
                </td>
                <td className={`pl-4 ${can ? 'text-leaf' : 'text-mango-deep'}`}>
                  {can ? 'decide' : 'describe'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-3 text-sm text-soft">
        Order by balanced complete randomisation: every arm equally often, every order equally likely, sealed
        until its wash day begins. Not blind: you will know which product it is, and expectation can colour
        ratings.
      </p>
    </section>
  );
}
