import type { Place, PlaceWeather } from '@sabor/contract/weather';
import { summarise } from '@sabor/core/climate/observation';
import { SCENARIOS, WEATHER_SOURCES } from '@sabor/core/climate/places';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate, startOfDay } from '@sabor/core/time/zones';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useChange, usePlaceWeather, useSettings, useWeather } from '../../api/queries.ts';
import { WeatherCurve } from '../../drawings/weather-curve.tsx';
import { remove } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { airLine, spanLine } from './air-words.ts';
import { BringIn } from './bring-in.tsx';

const STRETCHES = {
  '7': { label: 'seven days' },
  '30': { label: 'thirty days' },
  '365': { label: 'a year' },
} as const;

export function PlaceScreen() {
  const { id = '' } = useParams();
  const weather = useWeather();
  if (weather.isPending) return <Loading what="the place" />;
  if (weather.isLoadingError) return <Failed error={weather.error} retry={weather.refetch} />;
  const place = weather.data.places.find((one) => one.id === id);
  if (!place)
    return <Failed error={new Error('Sabor has no such place. It may have been opened from an old link.')} />;
  return <PlacePage key={id} place={place} />;
}

function PlacePage({ place }: { place: Place }) {
  const settings = useSettings();
  const today = localDate(new Date().toISOString(), place.timeZone);
  const [until, setUntil] = useState(
    place.lastAt ? [localDate(place.lastAt, place.timeZone), today].sort()[0]! : today,
  );
  const [stretch, setStretch] = useState<keyof typeof STRETCHES>('7');
  const end = (/^\d{4}-\d\d-\d\d$/.test(until) ? startOfDay(until, place.timeZone) : Date.now()) + DAY_MS;
  const weather = usePlaceWeather(place.id, end - Number(stretch) * DAY_MS, end);
  return (
    <>
      <Heading
        title={place.name}
        kicker={`Weather · ${place.timeZone.replaceAll('_', ' ')}`}
        actions={<ButtonLink to={`/weather/${place.id}/edit`}>Change the place</ButtonLink>}
      >
        {place.station && (
          <p className="font-semibold text-mango-deep">
            Simulated station: made-up weather, playing {SCENARIOS[place.station].label}
          </p>
        )}
        {place.note && <p className="mt-1">{place.note}</p>}
      </Heading>
      {weather.isPending ? (
        <Loading what="the readings" />
      ) : weather.isLoadingError ? (
        <Failed part error={weather.error} retry={weather.refetch} />
      ) : (
        <>
          <Reading weather={weather.data} />
          <div className="mb-4 flex flex-wrap items-end gap-4">
            <ChoiceField
              label="Shown"
              options={STRETCHES}
              value={stretch}
              onChange={(key) => key && setStretch(key)}
            />
            <DateField label="Up to" value={until} onChange={setUntil} />
          </div>
          {weather.data.readings.length + weather.data.forecast.length === 0 ? (
            <Nothing title="No readings in these days">Import some below, or choose other days.</Nothing>
          ) : (
            <>
              <WeatherCurve
                readings={weather.data.readings}
                forecast={until >= today ? weather.data.forecast : []}
                now={Date.now()}
                bands={settings.dewPointBands}
                show={temperatureScale(settings.temperature).show}
                sign={temperatureScale(settings.temperature).sign}
                timeZone={place.timeZone}
              />
              <p className="mt-1 text-sm text-soft">
                Heavy line: dew point, on the trade’s bands. Thin line: temperature.
                {weather.data.forecast.length > 0 &&
                  ' Broken: what the station foresees; it is never stored.'}
              </p>
              <Days place={place} weather={weather.data} />
            </>
          )}
          <div className="mt-10 grid gap-x-12 gap-y-10 lg:grid-cols-[3fr_2fr]">
            <BringIn place={place} />
            <Batches weather={weather.data} />
          </div>
        </>
      )}
    </>
  );
}

/** The newest reading, when it is of the present. */
function Reading({ weather }: { weather: PlaceWeather }) {
  const settings = useSettings();
  const last = weather.readings.at(-1);
  if (!last || Date.now() - Date.parse(last.at) > 3 * 3_600_000) return null;
  return (
    <p className="mb-4 text-lg">
      Now: <span className="font-semibold">{airLine(last, settings)}</span>{' '}
      <span className="text-soft">({WEATHER_SOURCES[last.source].label})</span>
    </p>
  );
}

/** The newest days in words, and those foreseen. */
function Days({ place, weather }: { place: Place; weather: PlaceWeather }) {
  const settings = useSettings();
  const byDay = (readings: PlaceWeather['forecast']) => {
    const days = new Map<string, PlaceWeather['forecast']>();
    for (const one of readings) {
      const on = localDate(one.at, place.timeZone);
      days.set(on, [...(days.get(on) ?? []), one]);
    }
    return [...days];
  };
  const seen = byDay(weather.readings.slice(-24 * 31)).reverse();
  const ahead = byDay(weather.forecast);
  const rows = (days: ReturnType<typeof byDay>) => (
    <ul>
      {days.map(([on, readings]) => (
        <li key={on} className="flex flex-wrap gap-x-4 border-b border-rule py-1.5">
          <span className="w-28 font-semibold">{showDate(on)}</span>
          <span className="flex-1">{spanLine(summarise(readings)!, settings)}</span>
        </li>
      ))}
    </ul>
  );
  return (
    <div className="mt-4 grid gap-x-12 gap-y-4 lg:grid-cols-2">
      <section aria-labelledby="seen">
        <h2 id="seen" className="text-lg">
          What was
        </h2>
        {rows(seen.slice(0, 7))}
        {seen.length > 7 && (
          <details>
            <summary className="min-h-10 cursor-pointer py-2 font-semibold">
              Earlier days: {seen.length - 7}
            </summary>
            {rows(seen.slice(7))}
          </details>
        )}
      </section>
      {ahead.length > 0 && (
        <section aria-labelledby="ahead">
          <h2 id="ahead" className="text-lg">
            The week ahead
          </h2>
          {rows(ahead)}
        </section>
      )}
    </div>
  );
}

/** What came in together, and the way to take it out again. */
function Batches({ weather }: { weather: PlaceWeather }) {
  const say = useSay();
  const drop = useChange((id: string) => remove(`/weather-batches/${id}`));
  return (
    <section aria-labelledby="sets">
      <h2 id="sets" className="text-xl">
        What was brought in
      </h2>
      <p className="mb-2 text-soft">
        Readings are stored once: an hour the place already has is left as it is. To replace readings, take
        their set out and bring them in again.
      </p>
      {weather.batches.length === 0 && <p>Nothing by hand, from a file or from reports yet.</p>}
      <ul>
        {weather.batches.map((batch) => (
          <li
            key={batch.id}
            className="flex flex-wrap items-center justify-between gap-3 border-b border-rule py-1"
          >
            <span>
              <span className="font-semibold">{batch.name}</span>{' '}
              <span className="text-soft">
                {batch.readings.toLocaleString('en')} {batch.readings === 1 ? 'reading' : 'readings'},{' '}
                {WEATHER_SOURCES[batch.source].label}, {showDate(batch.takenAt)}
              </span>
            </span>
            <Button
              look="quiet"
              aria-label={`Remove ${batch.name}`}
              onClick={() =>
                drop.mutateAsync(batch.id).then(
                  () =>
                    say(`${batch.name} is out. The file or reports it came from can be brought in again.`),
                  (error: Error) => say(error.message),
                )
              }
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
