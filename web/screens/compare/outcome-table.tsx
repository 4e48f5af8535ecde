import type { UsualOfZone } from '@sabor/contract/usual';
import type { Comparison } from '@sabor/core/compare/comparison';
import type { Contrast, PairDifference } from '@sabor/core/compare/contrast';
import { type MainResult, mainResult } from '@sabor/core/compare/main-result';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { numbersOf } from '@sabor/words/main-result';
import { counted } from '@sabor/words/numbers';
import { armStyle } from '../../drawings/arm-style.ts';
import { signed } from '../../ui/show.ts';

interface Row {
  key: string;
  label: string;
  better: 'higher' | 'lower' | null;
  /** What stands in place of what is wanted, where nothing is. */
  says?: string;
  contrast: Contrast;
  scale: { lowest: number; highest: number; show: (x: number) => string; difference: (x: number) => string };
}

const points = {
  lowest: 0,
  highest: 10,
  show: (x: number) => x.toFixed(1),
  difference: (x: number) => signed(x),
};
/** The scale of what is measured: from nothing, or the least that was read, to the most. */
function measuredScale(primary: MainResult, { byWashDay }: Contrast): Row['scale'] {
  const { signed, amount } = numbersOf(primary);
  const values = byWashDay.flatMap(({ value }) => value ?? []);
  const [low, high] = [Math.min(0, ...values), Math.max(0, ...values)];
  return {
    lowest: low,
    highest: high > low ? high : low + 1,
    show: amount,
    difference: signed,
  };
}
/** Hairs, from none to the most that were shed on a wash day. */
const hairs = ({ byWashDay }: Contrast): Row['scale'] => ({
  lowest: 0,
  highest: Math.max(1, ...byWashDay.flatMap(({ value }) => value ?? [])),
  show: (x) => String(Math.round(x)),
  difference: (x) => signed(x, 0),
});
const share = {
  lowest: 0,
  highest: 1,
  show: (x: number) => `${Math.round(x * 100)} %`,
  difference: (x: number) => `${signed(x * 100)}`,
};

/** An end of an interval; one that the data left open is open. */
const end = (x: number, show: (x: number) => string) => (Number.isFinite(x) ? show(x) : 'open');

/** Every outcome on the judged day: each wash day a mark, where each arm stands, the differences with their intervals. */
export function OutcomeTable({
  record,
  comparison,
  usual = [],
}: {
  record: TrialRecord;
  comparison: Comparison;
  /** Where this head's numbers of that day usually lie, from its other trials. */
  usual?: readonly UsualOfZone[] | undefined;
}) {
  const usualOf = (key: string) => {
    const found = usual.find(({ outcome, zoneId }) => outcome === key && zoneId === null)?.usual;
    return found?.known === 'band' && !(found.low <= 0 && found.high >= 10)
      ? `usual on this head ${found.low.toFixed(1)} to ${found.high.toFixed(1)}`
      : null;
  };
  const { arms, primary } = record.promise;
  const others = (Object.keys(OUTCOMES) as Outcome[]).filter((key) => key !== primary);
  const rows: Row[] = [
    {
      key: primary,
      ...mainResult(primary),
      contrast: comparison.main,
      scale: mainResult(primary).measured ? measuredScale(primary, comparison.main) : points,
    },
    ...others.map((key) => ({
      key,
      label: OUTCOMES[key].label,
      better: OUTCOMES[key].better,
      contrast: comparison.outcomes[key],
      scale: points,
    })),
    {
      key: 'shrinkage',
      label: 'Shrinkage',
      better: null,
      says: 'of tagged curls',
      contrast: comparison.shrinkage,
      scale: share,
    },
    ...(['minutes-to-dry:less', 'hands-on:less'] as const).flatMap((key, i) => {
      const contrast = i === 0 ? comparison.minutes.dry : comparison.minutes.handsOn;
      return key === primary || contrast.means.every((mean) => mean === null)
        ? []
        : [{ key, ...mainResult(key), contrast, scale: measuredScale(key, contrast) }];
    }),
    ...(comparison.shed.means.every((mean) => mean === null)
      ? []
      : [
          {
            key: 'shed',
            label: 'Hairs shed',
            better: null,
            says: 'since the last detangle, counted or estimated',
            contrast: comparison.shed,
            scale: hairs(comparison.shed),
          },
        ]),
  ];
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Outcomes, option by option">
      <table className="w-full min-w-[36rem] text-left text-[0.95rem]">
        <thead className="text-sm text-soft">
          <tr className="border-b border-rule">
            <th scope="col" className="py-1 font-semibold">
              Outcome
            </th>
            <th scope="col" className="w-44 font-semibold">
              Wash days
            </th>
            {arms.map((arm, i) => (
              <th key={arm} scope="col" className="px-2 text-right font-semibold">
                <span aria-hidden="true" style={{ color: armStyle(i).hue }}>
                  {armStyle(i).marker}
                </span>{' '}
                {arm}
              </th>
            ))}
            <th scope="col" className="pl-2 text-right font-semibold">
              Difference
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, label, better, says, contrast, scale }) => (
            <tr
              key={key}
              className={`border-b border-rule align-middle ${key === primary ? 'bg-leaf-pale/50' : ''}`}
            >
              <th scope="row" className="py-2 pr-2 font-semibold">
                {label}
                <span className="block text-sm font-normal text-soft">
                  {key === primary ? 'main · ' : ''}
                  {better === null ? says : better === 'higher' ? 'more is wanted' : 'less is wanted'}
                  {usualOf(key) && <span className="block">{usualOf(key)}</span>}
                </span>
              </th>
              <td>
                <Strip contrast={contrast} lowest={scale.lowest} highest={scale.highest} arms={arms.length} />
              </td>
              {contrast.means.map((mean, i) => (
                <td key={arms[i]} className="figure px-2 text-right">
                  {mean === null ? '–' : scale.show(mean)}
                </td>
              ))}
              <td className="pl-2 text-right">
                {contrast.differences.map(({ arm, from, difference, interval }) => (
                  <span key={`${arm} ${from}`} className="block whitespace-nowrap">
                    {arms.length > 2 && (
                      <>
                        <span aria-hidden="true">
                          <span style={{ color: armStyle(arm).hue }}>{armStyle(arm).marker}</span> −{' '}
                          <span style={{ color: armStyle(from).hue }}>{armStyle(from).marker}</span>{' '}
                        </span>
                        <span className="sr-only">
                          {arms[arm]} minus {arms[from]}:{' '}
                        </span>
                      </>
                    )}
                    <span className="figure">{difference === null ? '–' : scale.difference(difference)}</span>
                    {interval && (
                      <span className="block text-sm text-soft">
                        {end(interval.low, scale.difference)} to {end(interval.high, scale.difference)}
                      </span>
                    )}
                  </span>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-soft">{differenceNote(record, comparison)}</p>
    </div>
  );
}

/** What the differences are, and what their intervals hold for. */
function differenceNote({ promise }: TrialRecord, { outcomes }: Comparison): string {
  const { arms } = promise;
  const all: PairDifference[] = Object.values(outcomes).flatMap(({ differences }) => differences);
  const level = all.find(({ interval }) => interval)?.interval?.level;
  const what = arms.length === 2 ? `Difference: ${arms[1]} minus ${arms[0]}` : 'Difference: each marked pair';
  if (level === undefined)
    return arms.length > 3
      ? `${what}, each against ${arms[0]}. With four options and more no interval is given for a pair.`
      : `${what}. No interval: these wash days only describe.`;
  const share = `${Math.floor(level * 1000 + 1e-6) / 10} %`;
  return `${what}, with the ${share} interval that the trial’s own random order allows${arms.length > 2 ? ', holding for all pairs together' : ''}. Intervals of outcomes other than the main result are there to look at, not to decide by.`;
}

/** The wash days' numbers on one scale, an arm a row, each by its marker. */
function Strip({
  contrast,
  lowest,
  highest,
  arms,
}: {
  contrast: Contrast;
  lowest: number;
  highest: number;
  arms: number;
}) {
  const values = contrast.byWashDay.flatMap(({ value }) => (value === null ? [] : [value]));
  const x = (value: number) => 6 + (148 * (value - lowest)) / (highest - lowest);
  return (
    <svg
      viewBox={`0 0 160 ${arms * 14 + 4}`}
      width="160"
      role="img"
      aria-label={`${counted(values.length, 'wash day')} from ${Math.min(...values).toFixed(1)} to ${Math.max(...values).toFixed(1)}`}
    >
      <line
        x1="6"
        x2="154"
        y1={arms * 14 + 1}
        y2={arms * 14 + 1}
        stroke="var(--color-rule)"
        strokeWidth="2"
      />
      {contrast.byWashDay.map(({ position, arm, value }) =>
        value === null ? null : (
          <text
            key={`${position} ${arm}`}
            x={x(value)}
            y={arm * 14 + 11}
            textAnchor="middle"
            fontSize="11"
            fill={armStyle(arm).hue}
            fillOpacity="0.65"
          >
            {armStyle(arm).marker}
          </text>
        ),
      )}
      {contrast.means.map((mean, arm) =>
        mean === null ? null : (
          <line
            key={arm}
            x1={x(mean)}
            x2={x(mean)}
            y1={arm * 14}
            y2={arm * 14 + 13}
            stroke={armStyle(arm).hue}
            strokeWidth="2.5"
          />
        ),
      )}
    </svg>
  );
}
