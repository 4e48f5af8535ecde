import type { Board } from '@sabor/core/board/board';
import { COLUMNS, type ColumnKey } from '@sabor/core/board/columns';
import { temperatureScale } from '@sabor/core/units/preferences';
import { counted, rounded } from '@sabor/words/numbers';
import { useState } from 'react';
import { useSettings } from '../../api/queries.ts';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { showTemperature, signed } from '../../ui/show.ts';

const BOX = { width: 520, height: 220, left: 34, low: 30 };

/** A thing's wash days against the dew point, a dot each; a line only where the days carry one. */
export function InAir({
  board,
  nameOf,
  by,
}: {
  board: Board;
  nameOf: (node: string) => string;
  by: ColumnKey;
}) {
  const settings = useSettings();
  const told = board.nodes.filter(({ air }) => air.days.length > 0);
  const [picked, setPicked] = useState<string | null>(null);
  const node = told.find((one) => one.node === picked) ?? told[0];
  if (!node) return null;
  const { days, slope } = node.air;
  const { show, sign } = temperatureScale(settings.temperature);
  /** One degree Celsius on the tester's scale. */
  const step = show(1) - show(0);
  const all = told.flatMap(({ air }) => air.days);
  const [cold, warm] = [
    Math.floor(Math.min(...all.map(({ dewPointC }) => dewPointC)) - 1),
    Math.ceil(Math.max(...all.map(({ dewPointC }) => dewPointC)) + 1),
  ];
  const [low, high] = [
    Math.floor(Math.min(...all.map(({ value }) => value)) - 0.5),
    Math.ceil(Math.max(...all.map(({ value }) => value)) + 0.5),
  ];
  const x = (dew: number) => BOX.left + ((dew - cold) / (warm - cold)) * (BOX.width - BOX.left - 10);
  const y = (value: number) => 8 + ((high - value) / (high - low)) * (BOX.height - BOX.low - 8);
  const middle = {
    dew: days.reduce((sum, { dewPointC }) => sum + dewPointC, 0) / days.length,
    value: days.reduce((sum, { value }) => sum + value, 0) / days.length,
  };
  return (
    <section aria-labelledby="air">
      <h2 id="air" className="text-xl">
        In which air
      </h2>
      <InlineChoice
        label="Wash days of"
        value={node.node}
        onChange={setPicked}
        options={told.map((one) => [one.node, nameOf(one.node)] as const)}
      />
      <p className="my-2 max-w-3xl text-soft">
        {COLUMNS[by].label} against the dew point, a dot a wash day.{' '}
        {slope
          ? `Within its trials it changes by ${signed(slope.perDegree / step, 2)} for each ${sign}, over ${slope.days} wash days. The air is not drawn at random: season and habits change with it.`
          : `No line: that takes eight wash days and dew points within a trial that differ by some ${rounded(3 * step)} ${sign}.`}
      </p>
      <svg
        viewBox={`0 0 ${BOX.width} ${BOX.height}`}
        className="w-full max-w-2xl overflow-visible"
        role="img"
        aria-label={`${nameOf(node.node)}: ${counted(days.length, 'wash day')} between ${showTemperature(Math.min(...days.map(({ dewPointC }) => dewPointC)), settings)} and ${showTemperature(Math.max(...days.map(({ dewPointC }) => dewPointC)), settings)}`}
      >
        <line
          x1={BOX.left}
          x2={BOX.width - 10}
          y1={BOX.height - BOX.low}
          y2={BOX.height - BOX.low}
          stroke="var(--color-rule)"
        />
        {[low, (low + high) / 2, high].map((value) => (
          <text
            key={value}
            x={BOX.left - 6}
            y={y(value) + 4}
            textAnchor="end"
            fontSize="11"
            fill="var(--color-soft)"
          >
            {value}
          </text>
        ))}
        {[cold, (cold + warm) / 2, warm].map((dew) => (
          <text
            key={dew}
            x={x(dew)}
            y={BOX.height - 12}
            textAnchor="middle"
            fontSize="11"
            fill="var(--color-soft)"
          >
            {showTemperature(dew, settings)}
          </text>
        ))}
        {slope && (
          <line
            x1={x(cold)}
            x2={x(warm)}
            y1={y(middle.value + slope.perDegree * (cold - middle.dew))}
            y2={y(middle.value + slope.perDegree * (warm - middle.dew))}
            stroke="var(--color-leaf)"
            strokeWidth="2"
          />
        )}
        {days.map((day, i) => (
          <circle
            key={`${day.on} ${i}`}
            cx={x(day.dewPointC)}
            cy={y(day.value)}
            r="4.5"
            fill="var(--color-ink)"
            fillOpacity=".75"
          />
        ))}
      </svg>
    </section>
  );
}
