import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Comparison } from '@sabor/core/compare/comparison';
import type { FeltRow } from '@sabor/core/compare/felt-by-arm';
import { EVENTS } from '@sabor/core/outcomes/events';
import { feltHeading, feltOfArmInWords, holdTooLowInWords, upkeepInWords } from '@sabor/words/felt';
import { ArmName } from '../../drawings/arm-name.tsx';

/** Whether a reading belongs to the first glance: at a step under test, before the days worn, or on the judged day. */
const isNear =
  ({ plan, onDay }: Pick<TrialDetail, 'plan' | 'onDay'>) =>
  ({ what }: FeltRow): boolean => {
    if (what.is === 'effort') return true;
    const { where } = what;
    if (where.at === 'step') return plan.some(({ part, slot }) => part === 'tested' && slot === where.slot);
    return where.stage !== 'wear' || where.day === onDay;
  };

/** What hand and eye told, and what each option needed while worn, option by option; described, never tested. */
export function ToldByArm({
  trial,
  arms,
  wearer,
  comparison: { felt, upkeep, holdTooLow },
}: {
  trial: TrialDetail;
  arms: readonly string[];
  wearer: Wearer;
  comparison: Comparison;
}) {
  if (felt.length + upkeep.length + holdTooLow.length === 0) return null;
  const near = felt.filter(isNear(trial));
  const far = felt.filter((row) => !near.includes(row));
  return (
    <section aria-labelledby="told" className="lg:col-span-2">
      <h2 id="told" className="text-xl">
        In words, option by option
      </h2>
      <p className="mb-3 text-soft">
        The middle word of each option’s wash days, and how many came to each. Described, not tested.
      </p>
      {near.length + upkeep.length > 0 && (
        <Rows label="Readings in words" arms={arms} felt={near} upkeep={upkeep} />
      )}
      {far.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            The other steps and days ({far.length})
          </summary>
          <Rows label="Readings of other steps and days" arms={arms} felt={far} upkeep={[]} />
        </details>
      )}
      {holdTooLow.length > 0 && (
        <div className="mt-4">
          <h3 className="font-semibold">Hold too low here</h3>
          <ul className="list-disc pl-5">
            {holdTooLow.map((one) => {
              const says = holdTooLowInWords(one, arms, wearer.zones);
              return <li key={says}>{says}</li>;
            })}
          </ul>
        </div>
      )}
    </section>
  );
}

function Rows({
  label,
  arms,
  felt,
  upkeep,
}: {
  label: string;
  arms: readonly string[];
  felt: readonly FeltRow[];
  upkeep: Comparison['upkeep'];
}) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
      <table className="w-full min-w-[32rem] text-left text-[0.95rem]">
        <thead className="text-sm text-soft">
          <tr className="border-b border-rule">
            <th scope="col" className="py-1 font-semibold">
              Reading
            </th>
            {arms.map((name, arm) => (
              <th key={name} scope="col" className="px-2 font-semibold">
                <ArmName arm={arm} name={name} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {felt.map((row) => {
            const heading = feltHeading(row.what);
            return (
              <tr key={heading} className="border-b border-rule align-top">
                <th scope="row" className="py-1.5 pr-4 font-semibold">
                  {heading}
                </th>
                {row.arms.map((of, arm) => {
                  const { middle, counts } = feltOfArmInWords(row.what, of);
                  return (
                    <td key={arms[arm]} className="px-2 py-1.5">
                      {middle}
                      {counts && <span className="block text-sm text-soft">{counts}</span>}
                    </td>
                  );
                })}
              </tr>
            );
          })}
          {upkeep.map(({ kind, arms: of }) => (
            <tr key={kind} className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 pr-4 font-semibold">
                {EVENTS[kind].label} while worn
              </th>
              {of.map((one, arm) => (
                <td key={arms[arm]} className="px-2 py-1.5">
                  {upkeepInWords(one)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
