import type { PowerPoint } from '@sabor/core/inference/power';
import type { NumberWords } from '@sabor/words/main-result';

const WIDE = 300;
const HIGH = 150;

/** Power over the true difference, with the band that the noise's own uncertainty leaves, and the 80 % line. */
export function PowerCurve({
  curve,
  ends,
  matters,
  say,
  units,
}: {
  curve: readonly PowerPoint[];
  ends: readonly (readonly PowerPoint[])[];
  matters: number;
  /** How its numbers are said, and what is counted. */
  say: Pick<NumberWords, 'size'>;
  units: string;
}) {
  const most = Math.max(...curve.map(({ difference }) => difference));
  const x = (difference: number) => (difference / most) * WIDE;
  const y = (power: number) => HIGH - power * HIGH;
  const line = (points: readonly PowerPoint[]) =>
    points.map(({ difference, power }) => `${x(difference)},${y(power)}`).join(' ');
  const [low, high] = ends;
  return (
    <figure style={{ font: 'inherit' }}>
      <svg
        viewBox={`-42 -8 ${WIDE + 58} ${HIGH + 34}`}
        className="w-full"
        role="img"
        aria-label={`Power by true difference: ${curve
          .map(({ difference, power }) => `${say.size(difference)}${units} ${Math.round(power * 100)} %`)
          .join(', ')}.`}
      >
        {low && high && (
          <polygon
            points={`${line(low)} ${line(high.toReversed())}`}
            fill="var(--color-leaf)"
            opacity="0.16"
          />
        )}
        {[0, 0.5, 1].map((power) => (
          <g key={power}>
            <line x1="0" x2={WIDE} y1={y(power)} y2={y(power)} stroke="var(--color-rule)" />
            <text x="-6" y={y(power) + 4} textAnchor="end" fontSize="11" fill="var(--color-ink)">
              {power * 100} %
            </text>
          </g>
        ))}
        <line x1="0" x2={WIDE} y1={y(0.8)} y2={y(0.8)} stroke="var(--color-leaf)" strokeDasharray="5 4" />
        <line
          x1={x(Math.min(matters, most))}
          x2={x(Math.min(matters, most))}
          y1="0"
          y2={HIGH}
          stroke="var(--color-hibiscus)"
          strokeDasharray="2 3"
        />
        <polyline points={line(curve)} fill="none" stroke="var(--color-leaf)" strokeWidth="2.5" />
        {curve.map(({ difference, power, low: from, high: to }) => (
          <g key={difference}>
            <line x1={x(difference)} x2={x(difference)} y1={y(from)} y2={y(to)} stroke="var(--color-leaf)" />
            <circle cx={x(difference)} cy={y(power)} r="3" fill="var(--color-leaf)" />
          </g>
        ))}
        {[0, most / 2, most].map((difference) => (
          <text
            key={difference}
            x={x(difference)}
            y={HIGH + 15}
            textAnchor="middle"
            fontSize="11"
            fill="var(--color-ink)"
          >
            {say.size(difference)}
          </text>
        ))}
        <text x={WIDE / 2} y={HIGH + 26} textAnchor="middle" fontSize="10" fill="var(--color-soft)">
          true difference{units && `,${units}`}
        </text>
      </svg>
      <figcaption className="text-sm text-soft">
        Line: chance that the planned test decides
        {low ? '; band: what the noise’s own uncertainty leaves' : ''}. Broken: 80 %. Dotted: what matters.
      </figcaption>
    </figure>
  );
}
