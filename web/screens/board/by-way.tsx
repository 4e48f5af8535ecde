import type { Wearer } from '@sabor/contract/wearer';
import { type ByWay as Row, WAY_KINDS, type WayKind } from '@sabor/core/board/by-way';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { counted } from '@sabor/words/numbers';
import { airRangeInWords, wayInWords } from '@sabor/words/ways';
import { useMemo, useState } from 'react';
import { useSettings, useWorn } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { showTemperature } from '../../ui/show.ts';
import { byWayInWorker } from '../../workers/board.ts';

const BOX = { width: 120, height: 32 };

/** All wash days of a head by how they were done, of trials and by themselves: a question, and no answer. */
export function ByWay({
  wearer,
  outcome,
  onDay,
  line,
}: {
  wearer: Wearer;
  outcome: Outcome;
  onDay: number;
  line: number;
}) {
  const worn = useWorn(wearer.id);
  const settings = useSettings();
  const [kind, setKind] = useState<WayKind>('technique');
  const read = useMemo(() => ({ outcome, onDay, line }), [outcome, onDay, line]);
  const found = useWorked('by way', worn.data ? [worn.data, kind, read] : null, () =>
    byWayInWorker(worn.data!, kind, read),
  );
  if (!worn.data || worn.data.length === 0) return null;
  const { label } = OUTCOMES[outcome];
  const dots = (found.data?.ways ?? []).flatMap((row) => row.dots);
  const range = {
    cold: Math.min(...dots.map(({ dewPointC }) => dewPointC)),
    warm: Math.max(...dots.map(({ dewPointC }) => dewPointC)),
  };
  return (
    <section aria-labelledby="ways">
      <h2 id="ways" className="text-xl">
        By how it was done
      </h2>
      <div className="no-print my-2">
        <InlineChoice
          label="Gather by"
          value={kind}
          onChange={setKind}
          options={(Object.keys(WAY_KINDS) as WayKind[]).map((key) => [key, WAY_KINDS[key].label] as const)}
        />
      </div>
      <p className="mb-2 max-w-3xl text-soft">
        {label} on day {onDay}, and how many days it stays good{' '}
        {found.data && found.data.upTo > 0 ? `(to day ${found.data.upTo}) ` : ''}from every wash day of{' '}
        {wearer.name}, of trials and by itself. <strong>Not a trial:</strong> what was done on which day was
        chosen, not drawn at random, and the air went with it. Take it as a question.
      </p>
      {found.isError ? (
        <p role="alert">These could not be gathered.</p>
      ) : !found.data ? (
        <p className="text-soft">Gathering …</p>
      ) : found.data.ways.length === 0 ? (
        <p className="text-soft">No wash day tells that yet.</p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={WAY_KINDS[kind].label}>
          <table className="w-full max-w-4xl text-left">
            <thead className="text-sm text-soft">
              <tr className="border-b border-rule">
                <th scope="col">{WAY_KINDS[kind].label}</th>
                <th scope="col" className="px-2 text-right">
                  {label}
                </th>
                <th scope="col" className="px-2 text-right">
                  Good days
                </th>
                <th scope="col" className="px-2">
                  Against the dew point
                </th>
                <th scope="col" className="px-2">
                  From
                </th>
              </tr>
            </thead>
            <tbody>
              {found.data.ways.map((row) => (
                <tr key={row.way} className="border-b border-rule">
                  <th scope="row" className="py-1 font-semibold">
                    {wayInWords(kind, row.way)}
                  </th>
                  <td className="figure px-2 text-right">
                    {row.value === null ? '–' : row.value.toFixed(1)}
                  </td>
                  <td className="figure px-2 text-right whitespace-nowrap">
                    {row.lasting
                      ? `${row.lasting.middle.toFixed(1)} (${row.lasting.low.toFixed(1)} to ${row.lasting.high.toFixed(1)})`
                      : '–'}
                  </td>
                  <td className="px-2">
                    <Dots row={row} range={range} />
                    <span className="block text-sm text-soft">
                      {airRangeInWords(row.air, (celsius) => showTemperature(celsius, settings))}
                    </span>
                  </td>
                  <td className="px-2 text-soft">
                    {counted(row.washDays, 'wash day')}
                    {row.cut > 0 ? `, ${row.cut} cut short` : ''}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

/** A row's wash days, each a dot: to the right the more humid, upwards the higher the number. */
function Dots({ row, range }: { row: Row; range: { cold: number; warm: number } }) {
  const wide = Math.max(1, range.warm - range.cold);
  return (
    <svg viewBox={`0 0 ${BOX.width} ${BOX.height}`} className="h-8 w-32" aria-hidden="true">
      <line x1="0" x2={BOX.width} y1={BOX.height - 1} y2={BOX.height - 1} stroke="var(--color-rule)" />
      {row.dots.map(({ dewPointC, value }, i) => (
        <circle
          key={`${dewPointC} ${value} ${i}`}
          cx={4 + ((dewPointC - range.cold) / wide) * (BOX.width - 8)}
          cy={4 + (1 - value / 10) * (BOX.height - 8)}
          r="2.5"
          fill="var(--color-ink)"
          fillOpacity=".65"
        />
      ))}
    </svg>
  );
}
