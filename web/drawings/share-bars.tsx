import { GROUPS } from '@sabor/core/ingredients/facts';
import type { FormulaItem } from '@sabor/core/ingredients/formula';

/** Where a share in % stands on the log scale from 0.001 to 100 %, as a part of the width. */
const LOWEST = -3;
export const shareAt = (percent: number): number =>
  Math.min(1, Math.max(0, (Math.log10(Math.max(percent, 1e-9)) - LOWEST) / (2 - LOWEST)));

const TICKS = [0.001, 0.01, 0.1, 1, 10, 100];

/** A share in words: two figures, and never a false zero. */
export function shareWords(percent: number): string {
  if (percent < 0.001) return '0';
  if (percent < 0.1) return String(Number(percent.toPrecision(1)));
  return percent < 10 ? percent.toFixed(1).replace(/\.0$/, '') : percent.toFixed(0);
}

/**
 * Each ingredient's possible share as a bar on a log scale, in label order, tinted by class; the mark is the expected
 * share, the broken lines the places the 1 % line may lie between.
 */
export function ShareBars({
  items,
  line,
  chosen,
  onChoose,
}: {
  items: readonly FormulaItem[];
  line: { first: number; last: number } | null;
  chosen?: ReadonlySet<string>;
  onChoose?: (item: FormulaItem) => void;
}) {
  const ordered = items.filter((item) => item.ordered);
  return (
    <figure style={{ font: 'inherit' }}>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Shares of the ingredients">
        <table className="w-full min-w-[34rem] border-collapse text-sm">
          <caption className="sr-only">
            Possible and expected share of each ingredient, in label order
          </caption>
          <thead>
            <tr className="text-left text-soft">
              <th scope="col" className="w-[17rem] pb-1 font-semibold">
                Ingredient
              </th>
              <th scope="col" className="pb-1 font-normal">
                <span className="sr-only">Share, from 0.001 to 100 % on a log scale</span>
                <span aria-hidden="true" className="relative block h-4">
                  {TICKS.map((tick) => (
                    <span
                      key={tick}
                      className="absolute -translate-x-1/2 whitespace-nowrap"
                      style={{ left: `${shareAt(tick) * 100}%` }}
                    >
                      {tick} {tick === 100 ? '%' : ''}
                    </span>
                  ))}
                </span>
              </th>
              <th scope="col" className="w-28 pb-1 pl-3 text-right font-semibold">
                Expected
              </th>
            </tr>
          </thead>
          <tbody>
            {items.map((item) => {
              const group = GROUPS[item.ingredient?.group ?? 'unknown'];
              const place = ordered.indexOf(item) + 1;
              const about = line !== null && place > 0 && (place === line.first || place === line.last);
              return (
                <tr
                  key={item.place}
                  className={`${about ? 'border-b border-dashed border-ink/60' : ''} ${chosen?.has(item.name) ? 'bg-leaf-pale' : ''}`}
                >
                  <th
                    scope="row"
                    className={`py-0.5 pr-3 text-left font-normal ${item.share === null ? 'pl-4' : ''}`}
                  >
                    {onChoose ? (
                      <button
                        type="button"
                        className="text-left underline-offset-4 hover:underline"
                        onClick={() => onChoose(item)}
                      >
                        {item.name}
                      </button>
                    ) : (
                      item.name
                    )}
                    <span className="block text-xs text-soft">{group.label}</span>
                  </th>
                  <td className="py-0.5">
                    {item.share && (
                      <span aria-hidden="true" className="relative block h-5">
                        <span className="absolute inset-y-2 right-0 left-0 bg-rule/60" />
                        <span
                          className="absolute inset-y-0.5 rounded-[2px_8px_2px_8px]"
                          style={{
                            left: `${shareAt(item.share.low) * 100}%`,
                            width: `${Math.max(0.6, (shareAt(item.share.high) - shareAt(item.share.low)) * 100)}%`,
                            background: group.tint,
                            opacity: 0.55,
                          }}
                        />
                        <span
                          className="absolute inset-y-0 w-1 bg-ink"
                          style={{ left: `calc(${shareAt(item.expected) * 100}% - 2px)` }}
                        />
                      </span>
                    )}
                  </td>
                  <td className="py-0.5 pl-3 text-right">
                    {item.share ? (
                      <>
                        <span className="font-semibold">{shareWords(item.expected)} %</span>
                        <span className="block text-xs text-soft">
                          {shareWords(item.share.low)} to {shareWords(item.share.high)}
                        </span>
                      </>
                    ) : (
                      <span className="text-xs text-soft">within another</span>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <figcaption className="mt-2 text-sm text-soft">
        Bar: what the order, the law’s caps and stated percentages allow, exactly. Mark: the share expected,
        with usual use levels (model assumptions) and the first ingredient as what is left.
        {line &&
          line.last > 0 &&
          ` The 1 % line lies after ${line.first === line.last ? `place ${line.first}` : `place ${line.first} to ${line.last}`}.`}
      </figcaption>
    </figure>
  );
}
