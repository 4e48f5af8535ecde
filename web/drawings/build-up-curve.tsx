import type { LedgerPoint } from '@sabor/core/ingredients/ledger/ledger';
import { RESIDUES, type Residue } from '@sabor/core/ingredients/ledger/residue';
import { showDate } from '../ui/show.ts';

const TINTS: Record<Residue, string> = {
  silicone: '#7A5C99',
  film: 'var(--color-ink)',
  oil: 'var(--color-mango)',
  cationic: 'var(--color-hibiscus)',
};
const CLASSES = Object.keys(RESIDUES) as Residue[];

/** Build-up after each wash day as stacked bars by class, planned ones pale, with the line at which hair feels coated. */
export function BuildUpCurve({ points, coated }: { points: readonly LedgerPoint[]; coated: number }) {
  const most = Math.max(coated * 1.2, ...points.map(({ total }) => total));
  const height = 160;
  const wide = 100 / Math.max(1, points.length);
  const y = (grams: number) => height - (grams / most) * height;
  return (
    <figure style={{ font: 'inherit' }}>
      <svg
        viewBox={`0 0 100 ${height}`}
        preserveAspectRatio="none"
        className="block h-44 w-full"
        role="img"
        aria-label={`Build-up after ${points.length} wash days, in grams. The same numbers stand in the table below.`}
      >
        {points.map((point, i) => {
          let under = 0;
          return CLASSES.map((key) => {
            const from = under;
            under += point.loads[key];
            return (
              <rect
                key={`${point.on} ${key}`}
                x={i * wide + wide * 0.15}
                width={wide * 0.7}
                y={y(under)}
                height={Math.max(0, y(from) - y(under))}
                fill={TINTS[key]}
                opacity={point.planned ? 0.35 : 0.85}
              />
            );
          });
        })}
        <line
          x1="0"
          x2="100"
          y1={y(coated)}
          y2={y(coated)}
          stroke="var(--color-brick)"
          strokeWidth="1.5"
          strokeDasharray="3 3"
          vectorEffect="non-scaling-stroke"
        />
        <line
          x1="0"
          x2="100"
          y1={height}
          y2={height}
          stroke="var(--color-ink)"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <div className="flex justify-between text-sm text-soft">
        <span>{points[0] && showDate(points[0].on)}</span>
        <span>{points.at(-1) && showDate(points.at(-1)!.on)}</span>
      </div>
      <figcaption className="mt-1 flex flex-wrap gap-x-4 text-sm">
        {CLASSES.map((key) => (
          <span key={key} className="flex items-center gap-1">
            <span aria-hidden="true" className="inline-block size-3" style={{ background: TINTS[key] }} />
            {RESIDUES[key].label}
          </span>
        ))}
        <span className="text-soft">
          pale: washed on as the last day · broken line: feels coated ({coated} g)
        </span>
      </figcaption>
      <details className="mt-2">
        <summary className="min-h-8 cursor-pointer py-1 text-sm font-semibold">In numbers</summary>
        <ul className="columns-2 text-sm">
          {points.map(({ on, total, protein, planned }) => (
            <li key={on}>
              {showDate(on)}: {total.toFixed(2)} g{protein >= 0.01 && `, protein ${protein.toFixed(2)} g`}
              {planned && ' (ahead)'}
            </li>
          ))}
        </ul>
      </details>
    </figure>
  );
}
