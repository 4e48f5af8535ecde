import type { Comparison } from '@sabor/core/compare/comparison';
import { endedBy, goodOn } from '@sabor/core/compare/worn';
import { ArmName } from '../../drawings/arm-name.tsx';
import { armStyle } from '../../drawings/arm-style.ts';

const BOX = { width: 520, height: 190, left: 46, right: 12, top: 10, low: 28 };

/**
 * How many of each option's wears were still good, day by day: a line where the check-ins tell, shaded where the end lies
 * somewhere between two of them; under it the wash days still good on each day, and what ended them.
 */
export function LastingCurve({
  comparison: { lasting, wear },
  arms,
  upTo,
}: {
  comparison: Comparison;
  arms: readonly string[];
  upTo: number;
}) {
  const x = (day: number) => BOX.left + (Math.min(day, upTo) / upTo) * (BOX.width - BOX.left - BOX.right);
  const y = (share: number) => BOX.top + (1 - share) * (BOX.height - BOX.top - BOX.low);
  const days = Array.from({ length: upTo }, (_, i) => i + 1);
  const told = lasting.some((one) => one !== null);
  return (
    <>
      {told && (
        <svg
          viewBox={`0 0 ${BOX.width} ${BOX.height}`}
          className="w-full max-w-2xl"
          role="img"
          aria-label="Share of wash days still good, day by day, option by option"
        >
          {[0, 0.5, 1].map((share) => (
            <g key={share}>
              <line
                x1={BOX.left}
                x2={BOX.width - BOX.right}
                y1={y(share)}
                y2={y(share)}
                stroke="var(--color-rule)"
              />
              <text x={BOX.left - 6} y={y(share) + 4} textAnchor="end" fontSize="11" fill="var(--color-soft)">
                {100 * share} %
              </text>
            </g>
          ))}
          {days.map((day) => (
            <text
              key={day}
              x={x(day)}
              y={BOX.height - 10}
              textAnchor="middle"
              fontSize="11"
              fill="var(--color-soft)"
            >
              {day}
            </text>
          ))}
          {lasting.map((one, arm) => {
            if (!one) return null;
            const { hue, dash } = armStyle(arm);
            let [left, at] = [1, 0];
            const lines: string[] = [];
            const open: string[] = [];
            for (const { low, high, mass } of one.curve) {
              lines.push(`M${x(at)} ${y(left)}H${x(low)}`);
              const after = Math.max(0, left - mass);
              if (high > low && low < upTo)
                open.push(`M${x(low)} ${y(left)}H${x(high)}V${y(after)}H${x(low)}z`);
              else if (low < upTo) lines.push(`M${x(low)} ${y(left)}V${y(after)}`);
              [left, at] = [after, high];
            }
            if (at < upTo) lines.push(`M${x(at)} ${y(left)}H${x(upTo)}`);
            return (
              <g key={arms[arm]}>
                <path d={open.join('')} fill={hue} fillOpacity=".16" />
                <path
                  d={lines.join('')}
                  stroke={hue}
                  strokeWidth="3"
                  strokeDasharray={dash.join(' ')}
                  fill="none"
                />
              </g>
            );
          })}
        </svg>
      )}
      <div
        className="overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Wash days still good, day by day"
      >
        <table className="mb-4 w-full text-left text-sm">
          <thead className="text-soft">
            <tr className="border-b border-rule">
              <th scope="col" className="font-semibold">
                Still good on day
              </th>
              {days.map((day) => (
                <th key={day} scope="col" className="px-1 text-right font-semibold">
                  {day}
                </th>
              ))}
              <th scope="col" className="pl-4 font-semibold">
                What ended it
              </th>
            </tr>
          </thead>
          <tbody>
            {arms.map((name, arm) => {
              const { look, wash, cut, lasted } = endedBy(wear, arm, upTo);
              return (
                <tr key={name} className="border-b border-rule">
                  <th scope="row" className="py-1">
                    <ArmName arm={arm} name={name} />
                  </th>
                  {days.map((day) => {
                    const { good, known } = goodOn(wear, arm, day);
                    return (
                      <td key={day} className="px-1 text-right whitespace-nowrap">
                        {known === 0 ? '–' : `${good} of ${known}`}
                      </td>
                    );
                  })}
                  <td className="pl-4 text-soft">
                    {[
                      look && `${look} seen to have gone`,
                      wash && `${wash} washed or restyled for ${wash === 1 ? 'its' : 'their'} looks`,
                      cut && `${cut} cut short`,
                      lasted && `${lasted} lasted`,
                    ]
                      .filter(Boolean)
                      .join(', ') || '–'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </>
  );
}
