import { dewPoint } from '@sabor/core/climate/dew-point';
import type { DewPointBand } from '@sabor/core/climate/dew-point-bands';
import type { Observation } from '@sabor/core/climate/observation';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate, startOfDay } from '@sabor/core/time/zones';
import { fixed } from '@sabor/words/numbers';
import {
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
import './chart-look.ts';
import { ChartPlace } from './chart-place.tsx';
import { isDark, paint } from './paint.ts';

Chart.register(LinearScale, LineController, LineElement, PointElement, Tooltip);

interface Point {
  x: number;
  y: number;
}

const GROUNDS = {
  light: ['#F7DFD8', '#FBEACB', '#DFEAE2', '#D5E3EA', '#E3DAEA', '#F1E4D4', '#E6DACB', '#EDEDED'],
  dark: ['#4A241D', '#43301A', '#24392F', '#1D3440', '#33264A', '#3D2F20', '#3A2E3D', '#333333'],
};

/** The dew-point bands as the chart's ground, each named at its left edge, and the present moment as a line. */
const ground = (
  bands: readonly DewPointBand[],
  show: (c: number) => number,
  now: number,
): Plugin<'line'> => ({
  id: 'bands',
  beforeDatasetsDraw({ ctx, chartArea: { left, right, top, bottom }, scales }) {
    const y = scales.y!;
    ctx.save();
    ctx.font = '600 12px "Public Sans Variable", sans-serif';
    ctx.textAlign = 'left';
    ctx.textBaseline = 'bottom';
    bands.forEach(({ below }, i) => {
      const under = i === 0 ? bottom : y.getPixelForValue(show(bands[i - 1]!.below!));
      const over = below === null ? top : y.getPixelForValue(show(below));
      const [from, to] = [Math.max(top, over), Math.min(bottom, under)];
      if (to <= from) return;
      const tones = GROUNDS[isDark() ? 'dark' : 'light'];
      ctx.fillStyle = tones[i % tones.length]!;
      ctx.fillRect(left, from, right - left, to - from);
      ctx.fillStyle = paint('soft');
      if (to - from > 16) ctx.fillText(bands[i]!.label, left + 6, to - 2);
    });
    const x = scales.x!.getPixelForValue(now);
    if (x > left && x < right) {
      ctx.strokeStyle = paint('hibiscus');
      ctx.lineWidth = 2;
      ctx.setLineDash([2, 3]);
      ctx.beginPath();
      ctx.moveTo(x, top);
      ctx.lineTo(x, bottom);
      ctx.stroke();
      ctx.fillStyle = paint('hibiscus');
      ctx.textAlign = 'left';
      ctx.textBaseline = 'top';
      ctx.fillText('now', x + 5, top + 3);
    }
    ctx.restore();
  },
});

/** The starts of the local days between two moments (ms), at most about a dozen of them. */
function daysBetween(from: number, to: number, timeZone: string): number[] {
  const every = Math.max(1, Math.ceil((to - from) / DAY_MS / 15));
  const starts: number[] = [];
  for (let noon = from + DAY_MS / 2; noon <= to + DAY_MS / 2; noon += every * DAY_MS) {
    const start = startOfDay(localDate(new Date(noon).toISOString(), timeZone), timeZone);
    if (start >= from && start <= to) starts.push(start);
  }
  return starts;
}

/**
 * Dew point and air temperature over time on the ground of the dew-point bands: what was read as full lines, what a
 * station foresees as broken ones.
 */
export function WeatherCurve({
  readings,
  forecast,
  now,
  bands,
  show,
  sign,
  timeZone,
}: {
  readings: readonly Observation[];
  forecast: readonly Observation[];
  now: number;
  bands: readonly DewPointBand[];
  show: (celsius: number) => number;
  sign: string;
  timeZone: string;
}) {
  const points = (all: readonly Observation[], of: (one: Observation) => number | null): Point[] =>
    all.flatMap((one) => {
      const value = of(one);
      return value === null ? [] : [{ x: Date.parse(one.at), y: show(value) }];
    });
  const dew = ({ temperatureC, humidity }: Observation) => dewPoint(temperatureC, humidity);
  const air = ({ temperatureC }: Observation) => temperatureC;
  const line = (label: string, data: Point[], colour: string, width: number, dash: number[]) => ({
    label,
    data,
    borderColor: colour,
    backgroundColor: colour,
    borderWidth: width,
    borderDash: dash,
    pointRadius: data.length > 60 ? 0 : 2,
    pointHitRadius: 8,
  });
  const data: ChartData<'line', Point[]> = {
    datasets: [
      line('Dew point', points(readings, dew), paint('ink'), 3, []),
      line('Temperature', points(readings, air), paint('mango-deep'), 1.5, []),
      line('Dew point, foreseen', points(forecast, dew), paint('ink'), 3, [6, 4]),
      line('Temperature, foreseen', points(forecast, air), paint('mango-deep'), 1.5, [4, 4]),
    ],
  };
  const moments = [...readings, ...forecast].map(({ at }) => Date.parse(at));
  const midnights = daysBetween(Math.min(...moments), Math.max(...moments), timeZone);
  const day = new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'short', day: 'numeric' });
  const hour = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
  const options: ChartOptions<'line'> = {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    parsing: false,
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    scales: {
      x: {
        type: 'linear',
        min: Math.min(...moments),
        max: Math.max(...moments),
        grid: { display: false },
        afterBuildTicks: (axis) => {
          axis.ticks = midnights.map((value) => ({ value }));
        },
        ticks: { maxRotation: 0, callback: (at) => day.format(Number(at)) },
      },
      y: { grid: { color: paint('rule') }, grace: '10%', title: { display: true, text: sign } },
    },
    plugins: {
      tooltip: {
        callbacks: {
          title: (items) => (items[0] ? hour.format(items[0].parsed.x ?? 0) : ''),
          label: (item) => `${item.dataset.label}: ${fixed(item.parsed.y ?? 0, 1)} ${sign}`,
        },
      },
    },
  };
  return (
    <ChartPlace height="h-72">
      <Line
        data={data}
        options={options}
        plugins={[ground(bands, show, now)]}
        role="img"
        aria-label="Dew point and temperature over time, on the dew-point bands. The days stand in words below."
      />
    </ChartPlace>
  );
}
