import { beaufort } from '@sabor/core/climate/beaufort';
import type { Curve } from '@sabor/core/compare/wear';
import { EVENTS, type EventKind, eventOf } from '@sabor/core/outcomes/events';
import type { NumberWords } from '@sabor/words/main-result';
import {
  CategoryScale,
  Chart,
  type ChartData,
  type ChartOptions,
  LinearScale,
  LineController,
  LineElement,
  type Plugin,
  PointElement,
  Tooltip,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import { useSettings } from '../api/queries.ts';
import { showTemperature } from '../ui/show.ts';
import { armStyle } from './arm-style.ts';
import './chart-look.ts';
import { ChartPlace } from './chart-place.tsx';
import { isDark, paint } from './paint.ts';

Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement, Tooltip);

/** An arm's hue as a canvas wants it. */
const hueOf = (arm: number) => armStyle(arm)[isDark() ? 'dark' : 'light'];

const reduced = () => matchMedia('(prefers-reduced-motion: reduce)').matches;

/** The wearer's line, drawn across the chart. */
const lineAcross = (line: number): Plugin<'line'> => ({
  id: 'wearers-line',
  beforeDatasetsDraw({ ctx, chartArea, scales }) {
    const y = scales.y!.getPixelForValue(line);
    ctx.save();
    ctx.strokeStyle = paint('ink');
    ctx.lineWidth = 1.5;
    ctx.setLineDash([2, 4]);
    ctx.beginPath();
    ctx.moveTo(chartArea.left, y);
    ctx.lineTo(chartArea.right, y);
    ctx.stroke();
    ctx.restore();
  },
});

export interface NightMark {
  day: number;
  arm: number;
  kind: EventKind;
  times: number;
}

/** The weather of one day of wear, over an arm's wash days. */
export interface AirMark {
  day: number;
  arm: number;
  dewPointC: number | null;
  windMs: number | null;
}

/** An outcome over the days of wear: each wash day a thin line, each arm's mean a heavy one, the wearer's line across. */
export function WearCurve({
  curves,
  arms,
  outcome,
  scale = null,
  line,
  nights,
  air,
}: {
  curves: readonly Curve[];
  arms: readonly string[];
  outcome: string;
  /** How its numbers are said, where it is not rated from 0 to 10. */
  scale?: NumberWords | null;
  line: number | null;
  nights: readonly NightMark[];
  air: readonly AirMark[];
}) {
  const said = (value: number) => (scale ? scale.size(value) : value.toFixed(1));
  const lastDay = Math.max(1, ...curves.flatMap(({ mean }) => mean.map(({ day }) => day)));
  const days = Array.from({ length: lastDay }, (_, i) => i + 1);
  const at = (points: readonly { day: number; value: number }[]) =>
    days.map((day) => points.find((point) => point.day === day)?.value ?? null);
  const data: ChartData<'line', (number | null)[]> = {
    labels: days.map((day) => `Day ${day}`),
    datasets: [
      ...curves.map(({ arm, mean }) => ({
        label: arms[arm] ?? '',
        data: at(mean),
        borderColor: hueOf(arm),
        backgroundColor: hueOf(arm),
        borderDash: [...armStyle(arm).dash],
        borderWidth: 3,
        pointStyle: armStyle(arm).point,
        pointRadius: 6,
        spanGaps: true,
      })),
      ...curves.flatMap(({ arm, washDays }) =>
        washDays.map(({ position, days: seen }) => ({
          label: `${arms[arm]}, wash day ${position + 1}`,
          data: at(seen),
          borderColor: `${hueOf(arm)}55`,
          backgroundColor: `${hueOf(arm)}55`,
          borderWidth: 1,
          pointRadius: 1.5,
          spanGaps: true,
        })),
      ),
    ],
  };
  const options: ChartOptions<'line'> = {
    responsive: true,
    maintainAspectRatio: false,
    animation: reduced() ? false : { duration: 250 },
    interaction: { mode: 'nearest', intersect: false },
    scales: {
      y: {
        ...(scale ? { beginAtZero: true, suggestedMax: line ?? undefined } : { min: 0, max: 10 }),
        title: {
          display: true,
          text: scale ? [outcome, scale.unit].filter(Boolean).join(', ') : `${outcome}, 0–10`,
        },
        grid: { color: paint('rule') },
      },
      x: { grid: { display: false } },
    },
    plugins: {
      tooltip: {
        callbacks: { label: (item) => `${item.dataset.label}: ${said(item.parsed.y ?? 0)}` },
      },
    },
  };
  return (
    <figure style={{ font: 'inherit' }}>
      <ChartPlace height="h-80">
        <Line
          key={`${outcome} ${line}`}
          data={data}
          options={options}
          plugins={line === null ? [] : [lineAcross(line)]}
          role="img"
          aria-label={`${outcome} by day for ${arms.join(' and ')}. The same numbers stand in the table below.`}
        />
      </ChartPlace>
      <Air days={days} air={air} arms={arms} />
      <Nights days={days} nights={nights} arms={arms} />
      <details className="mt-3">
        <summary className="cursor-pointer text-sm font-semibold">The curve in numbers</summary>
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The curve in numbers">
          <table className="mt-2 text-sm">
            <thead>
              <tr>
                <th scope="col" className="pr-4 text-left">
                  Arm
                </th>
                {days.map((day) => (
                  <th key={day} scope="col" className="px-2 text-right">
                    Day {day}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {curves.map(({ arm, mean }) => (
                <tr key={arm}>
                  <th scope="row" className="pr-4 text-left font-normal">
                    {arms[arm]}
                  </th>
                  {at(mean).map((value, i) => (
                    <td key={days[i]} className="px-2 text-right">
                      {value === null ? '–' : said(value)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </figure>
  );
}

const dayName = (day: number) => `Day ${day}`;

/** The weather under the curve: what each arm met on each day. */
function Air({
  days,
  air,
  arms,
}: {
  days: readonly number[];
  air: readonly AirMark[];
  arms: readonly string[];
}) {
  const settings = useSettings();
  if (air.length === 0) return null;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Weather met in wear">
      <table className="mt-2 w-full min-w-[30rem] table-fixed border-t border-rule text-sm">
        <caption className="sr-only">Weather under the curve: mean dew point and strongest wind</caption>
        <thead className="text-soft">
          <tr>
            <th scope="col" className="w-28 pt-1 text-left font-normal">
              Dew point, wind
            </th>
            {days.map((day) => (
              <th key={day} scope="col" className="pt-1 text-center font-normal">
                {dayName(day)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {arms.map((name, arm) => (
            <tr key={name}>
              <th scope="row" className="truncate text-left font-normal">
                <span aria-hidden="true" style={{ color: armStyle(arm).hue }}>
                  {armStyle(arm).marker}
                </span>{' '}
                {name}
              </th>
              {days.map((day) => {
                const met = air.find((one) => one.day === day && one.arm === arm);
                return (
                  <td key={day} className="text-center">
                    {met?.dewPointC == null ? '–' : showTemperature(met.dewPointC, settings)}
                    {met?.windMs != null && (
                      <span className="block text-soft">
                        <abbr title="Beaufort">Bft</abbr> {beaufort(met.windMs).number}
                      </span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What happened under the curve, night by night. */
function Nights({
  days,
  nights,
  arms,
}: {
  days: readonly number[];
  nights: readonly NightMark[];
  arms: readonly string[];
}) {
  const told = nights.filter(({ kind }) => !eventOf(kind).good);
  if (told.length === 0) return null;
  return (
    <ul
      className="mt-2 flex flex-wrap gap-x-5 gap-y-1 border-t border-rule pt-2 text-sm text-soft"
      aria-label="Events in wear"
    >
      {days.flatMap((day) =>
        told
          .filter((night) => night.day === day)
          .map((night) => (
            <li key={`${day} ${night.arm} ${night.kind}`}>
              <span aria-hidden="true" style={{ color: armStyle(night.arm).hue }}>
                {armStyle(night.arm).marker}
              </span>{' '}
              <span className="sr-only">{arms[night.arm]}, </span>
              day {day}: {EVENTS[night.kind].label.toLowerCase()}
              {night.times > 1 ? ` × ${night.times}` : ''}
            </li>
          )),
      )}
    </ul>
  );
}
