import type { Wishes } from '@sabor/contract/hair-file';
import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Comparison } from '@sabor/core/compare/comparison';
import type { FeltRow } from '@sabor/core/compare/felt-by-arm';
import { EVENTS } from '@sabor/core/outcomes/events';
import { LABEL_HOLDS } from '@sabor/core/shelf/products';
import {
  feltHeading,
  feltOfArmInWords,
  holdTooLowInWords,
  upkeepInWords,
  wishedInWords,
} from '@sabor/words/felt';
import { useHairFile } from '../../api/queries.ts';
import { ArmName } from '../../drawings/arm-name.tsx';

/** What the labels of each option's tested products say of hold, beside the hold that was found on the judged day. */
function holdByLabel(
  { masked, plan, arms, onDay }: TrialDetail,
  products: readonly Product[],
  found: readonly (number | null)[],
): string[] {
  if (masked) return [];
  const tested = new Set(plan.flatMap(({ part, id }) => (part === 'tested' ? [id] : [])));
  const labels = arms.map(({ steps }) =>
    steps.flatMap(({ stepId, productId }) => {
      const product = tested.has(stepId) ? products.find(({ id }) => id === productId) : undefined;
      return product && product.labelHold !== 'silent' ? [LABEL_HOLDS[product.labelHold].label] : [];
    }),
  );
  if (labels.every((said) => said.length === 0)) return [];
  return labels.map((said, arm) => {
    const mean = found[arm];
    return `${said.length ? [...new Set(said)].join(', ') : LABEL_HOLDS.silent.label}; found ${mean == null ? 'nothing yet' : `${mean.toFixed(1)} of 10 on day ${onDay}`}`;
  });
}

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
  products,
  comparison: { felt, upkeep, holdTooLow, outcomes },
}: {
  trial: TrialDetail;
  arms: readonly string[];
  wearer: Wearer;
  products: readonly Product[];
  comparison: Comparison;
}) {
  const wished = useHairFile(wearer.id).data?.wishes.words ?? {};
  const holds = holdByLabel(trial, products, outcomes.hold.means);
  if (felt.length + upkeep.length + holdTooLow.length + holds.length === 0) return null;
  const near = felt.filter(isNear(trial));
  const far = felt.filter((row) => !near.includes(row));
  return (
    <section aria-labelledby="told">
      <h2 id="told" className="text-xl">
        In words, option by option
      </h2>
      <p className="mb-3 text-soft">
        The middle word of each option’s wash days, and how many came to each. Described, not tested.
      </p>
      {near.length + upkeep.length + holds.length > 0 && (
        <Rows
          label="Readings in words"
          arms={arms}
          holds={holds}
          felt={near}
          upkeep={upkeep}
          wished={wished}
        />
      )}
      {far.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            The other steps and days ({far.length})
          </summary>
          <Rows
            label="Readings of other steps and days"
            arms={arms}
            holds={[]}
            felt={far}
            upkeep={[]}
            wished={wished}
          />
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
  holds,
  felt,
  upkeep,
  wished,
}: {
  label: string;
  arms: readonly string[];
  /** Hold by the label beside hold found, option by option; none where no label speaks of it. */
  holds: readonly string[];
  felt: readonly FeltRow[];
  upkeep: Comparison['upkeep'];
  /** Words the wearer wishes for. */
  wished: Wishes['words'];
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
          {holds.length > 0 && (
            <tr className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 pr-4 font-semibold">
                Hold, by the label and found
              </th>
              {holds.map((says, arm) => (
                <td key={arms[arm]} className="px-2 py-1.5">
                  {says}
                </td>
              ))}
            </tr>
          )}
          {felt.map((row) => {
            const heading = feltHeading(row.what);
            const wish = wishedInWords(row.what, wished);
            return (
              <tr key={heading} className="border-b border-rule align-top">
                <th scope="row" className="py-1.5 pr-4 font-semibold">
                  {heading}
                  {wish && <span className="block text-sm font-normal text-soft">{wish}</span>}
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
