import type { TrialDetail } from '@sabor/contract/trial';
import type { Comparison, TrialRecord, Wear } from '@sabor/core/compare/comparison';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { ArmName } from '../../drawings/arm-name.tsx';
import { armStyle } from '../../drawings/arm-style.ts';
import { showMoney } from '../../ui/show.ts';

function wearWords({ seen }: Wear): string {
  if (!seen) return 'not rated';
  if (seen.censored) return `still above on day ${seen.lastAbove}, cut short there`;
  if (seen.lastAbove === 0) return 'under the line from the start';
  return `above to day ${seen.lastAbove}, under on day ${seen.firstBelow}`;
}

/** Days on the wearer's side of the line, and what a wash and a good day cost. */
export function WearAndMoney({
  trial,
  record,
  comparison,
}: {
  trial: TrialDetail;
  record: TrialRecord;
  comparison: Comparison;
}) {
  const { arms, line, primary } = record.promise;
  const sign = OUTCOMES[primary].better === 'higher' ? '≥' : '≤';
  const longest = Math.max(1, trial.wearDays, ...comparison.wear.map(({ seen }) => seen?.lastAbove ?? 0));
  return (
    <section aria-labelledby="wear">
      <h2 id="wear" className="text-xl">
        How long it lasts, and what it costs
      </h2>
      <p className="mb-3 text-soft">
        Days with {OUTCOMES[primary].label.toLowerCase()} {sign} {line}
        {comparison.restrictedTo
          ? `, counted up to day ${comparison.restrictedTo}, to which every wash day was followed.`
          : '.'}
      </p>
      <ul className="space-y-1">
        {comparison.wear
          .toSorted((a, b) => a.arm - b.arm || a.position - b.position)
          .map((one) => (
            <li
              key={`${one.position} ${one.half}`}
              className="flex items-center gap-3 text-sm"
              title={wearWords(one)}
            >
              <span className="w-12 text-right text-soft">
                {one.position + 1}
                {one.half && ` ${one.half[0]!.toUpperCase()}`}
              </span>
              <span aria-hidden="true" className="w-4 text-center" style={{ color: armStyle(one.arm).hue }}>
                {armStyle(one.arm).marker}
              </span>
              <svg
                viewBox={`0 0 ${longest * 20 + 14} 12`}
                className="h-3"
                style={{ width: longest * 20 + 14 }}
                aria-hidden="true"
              >
                <line x1="0" x2={longest * 20} y1="6" y2="6" stroke="#E6DACB" strokeWidth="2" />
                {one.seen && (
                  <>
                    <line
                      x1="0"
                      x2={one.seen.lastAbove * 20}
                      y1="6"
                      y2="6"
                      stroke={armStyle(one.arm).hue}
                      strokeWidth="6"
                    />
                    {one.seen.firstBelow !== null && one.seen.firstBelow - 1 > one.seen.lastAbove && (
                      <line
                        x1={one.seen.lastAbove * 20}
                        x2={(one.seen.firstBelow - 1) * 20}
                        y1="6"
                        y2="6"
                        stroke={armStyle(one.arm).hue}
                        strokeWidth="6"
                        strokeOpacity=".35"
                      />
                    )}
                    {one.seen.censored && (
                      <path d={`M${one.seen.lastAbove * 20} 1 l9 5 l-9 5z`} fill={armStyle(one.arm).hue} />
                    )}
                  </>
                )}
              </svg>
              <span className="text-soft">{wearWords(one)}</span>
            </li>
          ))}
      </ul>
      <table className="mt-5 w-full text-left text-[0.95rem]">
        <thead className="text-sm text-soft">
          <tr className="border-b border-rule">
            <th scope="col" className="font-semibold">
              Arm
            </th>
            <th scope="col" className="text-right font-semibold">
              Days above the line
            </th>
            <th scope="col" className="text-right font-semibold">
              Per wash
            </th>
            <th scope="col" className="text-right font-semibold">
              of it under test
            </th>
            <th scope="col" className="text-right font-semibold">
              Per good-hair day
            </th>
          </tr>
        </thead>
        <tbody>
          {arms.map((name, arm) => {
            const money = comparison.money[arm]!;
            const show = (x: number | null) =>
              x === null || money.currency === null ? '–' : showMoney(x, money.currency);
            const days = comparison.meanDaysAbove[arm] ?? null;
            return (
              <tr key={name} className="border-b border-rule">
                <th scope="row" className="py-2">
                  <ArmName arm={arm} name={name} />
                </th>
                <td className="figure text-right">{days === null ? '–' : days.toFixed(1)}</td>
                <td className="text-right">{show(money.costPerWash)}</td>
                <td className="text-right">{show(money.testedCostPerWash)}</td>
                <td className="figure text-right">{show(money.costPerGoodDay)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {comparison.money.some(({ gaps }) => gaps.length > 0) && (
        <ul className="mt-2 text-sm text-mango-deep">
          {[...new Set(comparison.money.flatMap(({ gaps }) => gaps))].map((gap) => (
            <li key={gap}>{gap}</li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-sm text-soft">
        Doses in pumps, coins and the like are taken at their usual size (a model assumption) until they are
        weighed. A wear cut short is not counted as a failure.
      </p>
    </section>
  );
}
