import type { HairFile, TimedDrying } from '@sabor/contract/hair-file';
import { saturationPressure, vapourPressure } from '@sabor/core/climate/saturation';
import {
  DRYNESS,
  type DryingForecast,
  type Dryness,
  dryingGroups,
  forecastDrying,
} from '@sabor/core/hair/drying';
import { temperatureScale } from '@sabor/core/units/preferences';
import { driedInWords, workedInWords } from '@sabor/words/drying';
import { useState } from 'react';
import { useSettings } from '../../api/queries.ts';
import { MomentField } from '../../ui/dates.tsx';
import { ChoiceField, NumberField } from '../../ui/inputs.tsx';
import { fromLocalInput, showShare, showTime, toLocalInput } from '../../ui/show.ts';
import { Nothing } from '../../ui/states.tsx';

const time = (minutes: number) => {
  const whole = Math.round(minutes);
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
};

const words = (forecast: DryingForecast) =>
  forecast.tooFew
    ? forecast.runs === 0
      ? 'not timed'
      : `${forecast.runs} timed, too few`
    : `${time(forecast.minutes)} (${time(forecast.low)} to ${time(forecast.high)})`;

/** How long this head takes to dry, and when to begin so that it is dry in time. */
export function Drying({ file }: { file: HairFile }) {
  const groups = dryingGroups(file.drying);
  return (
    <section aria-labelledby="drying">
      <h2 id="drying" className="text-xl">
        Drying
      </h2>
      <p className="mb-3 text-soft">
        From the wash to each dryness, by how the hair was worked and dried. In brackets: what holds four of
        five such days. The clocks of a wash day write this.
      </p>
      {groups.length === 0 ? (
        <Nothing title="No drying timed yet">
          Set “Washed” and “Dry” on a wash day, “80 % dry” and “90 % dry” too if you can, and it stands here.
        </Nothing>
      ) : (
        <>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Drying times">
            <table className="w-full text-left text-[0.95rem]">
              <thead className="text-sm text-soft">
                <tr className="border-b border-rule">
                  <th scope="col" className="font-semibold">
                    Worked, dried
                  </th>
                  <th scope="col" className="pr-4 font-semibold">
                    Days
                  </th>
                  {Object.values(DRYNESS).map(({ label }) => (
                    <th key={label} scope="col" className="font-semibold first-letter:uppercase">
                      {label}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {groups.map((runs) => (
                  <tr key={runs[0].washDayId} className="border-b border-rule align-top">
                    <th scope="row" className="py-2 pr-4 font-semibold">
                      {workedInWords(runs[0].techniques)}
                      <span className="block text-sm font-normal text-soft">{driedInWords(runs[0])}</span>
                    </th>
                    <td className="py-2 pr-4">{runs.length}</td>
                    {(Object.keys(DRYNESS) as Dryness[]).map((key) => (
                      <td key={key} className="py-2 pr-4">
                        {words(forecastDrying(runs, key, null))}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <BeginBy groups={groups} />
        </>
      )}
    </section>
  );
}

/** What water the air could still take, in hPa; null where it is not known or cannot be. */
function deficitOf(celsius: number | null, humidity: number | null): number | null {
  if (celsius === null || humidity === null) return null;
  try {
    return saturationPressure(celsius) - vapourPressure(celsius, humidity);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const inHours = (hours: number) => toLocalInput(new Date(Date.now() + hours * 3_600_000).toISOString());

/** The time to begin, so that the hair is dry when it must be, and the chance at any other time. */
function BeginBy({ groups }: { groups: [TimedDrying, ...TimedDrying[]][] }) {
  const [which, setWhich] = useState('0');
  const [to, setTo] = useState<Dryness>('dry');
  const [due, setDue] = useState(inHours(4));
  const [begin, setBegin] = useState('');
  const settings = useSettings();
  const [temperature, setTemperature] = useState<number | null>(null);
  const [humidity, setHumidity] = useState<number | null>(null);
  const group = groups[Number(which)] ?? groups[0]!;
  const forecast = forecastDrying(group, to, deficitOf(temperature, humidity));
  const dueAt = fromLocalInput(due);
  const before = (minutes: number) => showTime(new Date(Date.parse(dueAt!) - minutes * 60_000).toISOString());
  const beginAt = fromLocalInput(begin);
  const available = dueAt && beginAt ? (Date.parse(dueAt) - Date.parse(beginAt)) / 60_000 : null;
  return (
    <section className="mt-8" aria-labelledby="begin">
      <h3 id="begin" className="text-lg">
        When to begin
      </h3>
      <div className="mt-2 grid items-start gap-3 sm:grid-cols-2">
        <ChoiceField
          label="Worked and dried"
          options={groups.map(([one], i) => ({
            key: String(i),
            label: `${workedInWords(one.techniques)}; ${driedInWords(one)}`,
          }))}
          value={which}
          onChange={(key) => key && setWhich(key)}
        />
        <ChoiceField label="Must be" options={DRYNESS} value={to} onChange={(key) => key && setTo(key)} />
        <MomentField label="By" value={due} onChange={setDue} />
        <MomentField label="Washed at, to ask for its chance" value={begin} onChange={setBegin} />
        <NumberField
          label="Air, if known"
          scale={temperatureScale(settings.temperature)}
          value={temperature}
          onChange={setTemperature}
        />
        <NumberField label="Its humidity" unit="%" value={humidity} onChange={setHumidity} />
      </div>
      <div role="status" className="mt-3 border-l-4 border-leaf/50 pl-4">
        {forecast.tooFew ? (
          <p>
            Too little history to say: {forecast.runs} of this kind timed to {DRYNESS[to].label}, three are
            the fewest.
          </p>
        ) : dueAt === null ? (
          <p>Say by when.</p>
        ) : (
          <>
            <p>
              Wash over by <span className="figure text-xl">{before(forecast.within(0.9))}</span>: then it is{' '}
              {DRYNESS[to].label} with a chance of 90 %. By {before(forecast.minutes)}, an even chance.
            </p>
            {available !== null && (
              <p>
                {available <= 0
                  ? 'That is not before the time it must be dry.'
                  : `Washed at ${showTime(beginAt!)}, the chance is ${showShare(forecast.chance(available))}.`}
              </p>
            )}
            <p className="text-sm text-soft">
              From {forecast.runs} wash days{' '}
              {forecast.byAir
                ? 'with a line on the drying power of the air'
                : 'by their mean, without the air'}
              , on a log scale with Student’s interval.
            </p>
          </>
        )}
      </div>
    </section>
  );
}
