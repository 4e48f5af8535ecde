import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Comparison } from '@sabor/core/compare/comparison';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import type { Lasting, Wear } from '@sabor/core/compare/wear';
import { gapsOnce } from '@sabor/core/shelf/wash-cost';
import { costGapInWords } from '@sabor/words/cost';
import { goodEnoughInWords } from '@sabor/words/main-result';
import { longerInWords } from '@sabor/words/verdict';
import { ArmName } from '../../drawings/arm-name.tsx';
import { armStyle } from '../../drawings/arm-style.ts';
import { showMoney } from '../../ui/show.ts';
import { LastingCurve } from './lasting-curve.tsx';

/** How a wear went, whichever way the scale runs. */
function wearWords({ seen }: Wear, planned: number): string {
  if (!seen) return 'not rated';
  const { from, to, toldBy, recovered } = seen;
  if (to === null)
    return from >= planned ? `still good on day ${from}, the last` : `still good on day ${from}, ended there`;
  if (from === 0) return `not good even on the first day${recovered ? '; good again later' : ''}`;
  if (toldBy === 'wash')
    return to === from
      ? `good to day ${from}, washed for its looks`
      : `good to day ${from}, washed for its looks on day ${to}`;
  return `still good on day ${from}, no longer on day ${to}${recovered ? '; good again later' : ''}`;
}

/** Good days of an arm in words, with what the looks leave open. */
function lastingWords(lasting: Lasting | null): string {
  if (lasting === null) return '–';
  const { low, middle, high } = lasting;
  return high - low < 0.05
    ? middle.toFixed(1)
    : `${middle.toFixed(1)} (${low.toFixed(1)} to ${high.toFixed(1)})`;
}

/** How many days were good enough, and what a wash and a good day cost. */
export function WearAndMoney({
  trial,
  record,
  comparison,
}: {
  trial: TrialDetail;
  record: TrialRecord;
  comparison: Comparison;
}) {
  const { arms, line, primary, wearDays: promised } = record.promise;
  const longest = Math.max(
    1,
    trial.wearDays,
    ...comparison.wear.map(({ seen }) => seen?.to ?? seen?.from ?? 0),
  );
  return (
    <>
      <p className="mb-3 text-soft">
        Good enough: {goodEnoughInWords(primary, line)}. Counted from the finished hair, day 1, to day{' '}
        {promised} at the most.
      </p>
      <LastingCurve comparison={comparison} arms={arms} upTo={promised} />
      <ul className="space-y-1">
        {comparison.wear
          .toSorted((a, b) => a.arm - b.arm || a.position - b.position)
          .map((one) => (
            <li
              key={`${one.position} ${one.half}`}
              className="flex items-center gap-3 text-sm"
              title={wearWords(one, promised)}
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
                <line x1="0" x2={longest * 20} y1="6" y2="6" stroke="var(--color-rule)" strokeWidth="2" />
                {one.seen && (
                  <>
                    <line
                      x1="0"
                      x2={one.seen.from * 20}
                      y1="6"
                      y2="6"
                      stroke={armStyle(one.arm).hue}
                      strokeWidth="6"
                    />
                    {one.seen.to !== null && one.seen.to > one.seen.from && (
                      <line
                        x1={one.seen.from * 20}
                        x2={one.seen.to * 20}
                        y1="6"
                        y2="6"
                        stroke={armStyle(one.arm).hue}
                        strokeWidth="6"
                        strokeOpacity=".35"
                      />
                    )}
                    {one.seen.to === null && one.seen.from < promised && (
                      <path d={`M${one.seen.from * 20} 1 l9 5 l-9 5z`} fill={armStyle(one.arm).hue} />
                    )}
                  </>
                )}
              </svg>
              <span className="text-soft">{wearWords(one, promised)}</span>
            </li>
          ))}
      </ul>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Good days and cost">
        <table className="mt-5 w-full text-left text-[0.95rem]">
          <thead className="text-sm text-soft">
            <tr className="border-b border-rule">
              <th scope="col" className="font-semibold">
                Option
              </th>
              <th scope="col" className="text-right font-semibold">
                Good days
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
              return (
                <tr key={name} className="border-b border-rule">
                  <th scope="row" className="py-2">
                    <ArmName arm={arm} name={name} />
                  </th>
                  <td className="figure text-right">{lastingWords(comparison.lasting[arm] ?? null)}</td>
                  <td className="text-right">{show(money.costPerWash)}</td>
                  <td className="text-right">{show(money.testedCostPerWash)}</td>
                  <td className="figure text-right">{show(money.costPerGoodDay)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <ul className="mt-2" aria-label="How much longer">
        {longerInWords(record, comparison).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {comparison.money.some(({ gaps }) => gaps.length > 0) && (
        <ul className="mt-2 text-sm text-mango-deep">
          {gapsOnce(comparison.money.flatMap(({ gaps }) => gaps))
            .map(costGapInWords)
            .map((gap) => (
              <li key={gap}>{gap}</li>
            ))}
        </ul>
      )}
      <p className="mt-2 text-sm text-soft">
        Amounts in pumps, coins and the like are taken at their usual size (a model assumption) until they are
        weighed. Good days are the mean over its wash days, from what the check-ins saw; in brackets, what
        lies between two check-ins and stays open. A wash day cut short counts up to where it was seen; with
        over half of an option’s wash days cut short, no mean is given.
      </p>
    </>
  );
}
