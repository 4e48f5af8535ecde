import type { Place } from '@sabor/contract/weather';
import { SCENARIOS } from '@sabor/core/climate/places';
import { useState } from 'react';
import { Link } from 'react-router';
import { useWeather } from '../../api/queries.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { PutAway } from '../../ui/put-away.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';
import { Bands } from './bands.tsx';
import { Stays } from './stays.tsx';

export function WeatherScreen() {
  const weather = useWeather();
  const [archived, setArchived] = useState(false);
  if (weather.isPending) return <Loading what="the weather" />;
  if (weather.isLoadingError) return <Failed error={weather.error} retry={weather.refetch} />;
  const { places } = weather.data;
  const away = places.filter(({ archivedAt }) => archivedAt !== null).length;
  const shown = places.filter(({ archivedAt }) => (archivedAt !== null) === archived);
  return (
    <>
      <Heading
        title="Weather"
        actions={
          <ButtonLink look="main" to="/weather/new">
            Add a place
          </ButtonLink>
        }
      >
        Readings by place and hour. They attach themselves to wash days and check-ins by where the wearer was
        and when.
      </Heading>
      <div className="grid gap-x-12 gap-y-10 lg:grid-cols-[3fr_2fr]">
        <section aria-labelledby="places">
          <h2 id="places" className="mb-2 text-xl">
            {archived ? 'Archived places' : 'Places'}
          </h2>
          {places.length === 0 && (
            <Nothing title="No place yet" action={<ButtonLink to="/weather/new">Add a place</ButtonLink>}>
              A place can read a simulated station, a file, METAR reports or your own thermometer.
            </Nothing>
          )}
          <ul className="divide-y divide-rule border-y border-rule empty:border-0">
            {shown.map((place) => (
              <PlaceRow key={place.id} place={place} />
            ))}
          </ul>
          {(away > 0 || archived) && (
            <Button look="quiet" className="mt-3 px-0!" onClick={() => setArchived(!archived)}>
              {archived ? 'Back to the places' : `Archived: ${away}`}
            </Button>
          )}
          {places.length > 0 && <Stays weather={weather.data} />}
        </section>
        <Bands />
      </div>
    </>
  );
}

function PlaceRow({ place }: { place: Place }) {
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 py-3">
      <div>
        <Link
          to={`/weather/${place.id}`}
          className="text-lg font-semibold underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
        >
          {place.name}
        </Link>{' '}
        {place.station && <Tag>simulated: {SCENARIOS[place.station].label}</Tag>}
        <p className="text-soft">
          {place.readings === 0
            ? 'No readings yet.'
            : `${place.readings.toLocaleString('en')} readings, ${showDate(place.firstAt!)} to ${showDate(place.lastAt!)}`}{' '}
          · {place.timeZone}
        </p>
      </div>
      <PutAway what="places" id={place.id} name={place.name} away={place.archivedAt !== null} />
    </li>
  );
}
