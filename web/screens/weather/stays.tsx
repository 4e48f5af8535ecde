import type { Stay, Weather } from '@sabor/contract/weather';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange, useWearers } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** Who is where from which day on: a journey is one more line. */
export function Stays({ weather }: { weather: Weather }) {
  const say = useSay();
  const wearers = useWearers();
  const save = useChange((stay: Stay) => put(`/stays/${stay.id}`, stay));
  const drop = useChange((id: string) => remove(`/stays/${id}`));
  const [wearerId, setWearerId] = useState<string | null>(null);
  const [placeId, setPlaceId] = useState<string | null>(null);
  const [from, setFrom] = useState(localToday());
  const [error, setError] = useState<string>();
  const heads = (wearers.data ?? []).filter(({ archivedAt }) => archivedAt === null);
  const places = weather.places.filter(({ archivedAt }) => archivedAt === null);
  const placeName = (id: string) => weather.places.find((place) => place.id === id)?.name ?? '';
  const named = (all: readonly { id: string; name: string }[]) =>
    all.map(({ id, name }) => ({ key: id, label: name }));
  const add = () => {
    if (!wearerId || !placeId) return setError('Choose a wearer and a place.');
    const stay = { id: v7(), wearerId, placeId, from };
    setError(undefined);
    save.mutateAsync(stay).then(
      () => {
        say(
          `${heads.find(({ id }) => id === wearerId)?.name} is at ${placeName(placeId)} from ${showDate(from)}.`,
          () => drop.mutate(stay.id),
        );
        setWearerId(null);
        setPlaceId(null);
      },
      (problem: Error) => setError(problem.message),
    );
  };
  return (
    <section aria-labelledby="stays" className="mt-10">
      <h2 id="stays" className="text-xl">
        Who is where
      </h2>
      <p className="mb-3 text-soft">
        From that day on, by the place’s calendar. Days are still counted by the wearer’s own time zone.
      </p>
      <ul>
        {weather.stays.map((stay) => (
          <li
            key={stay.id}
            className="flex min-h-11 flex-wrap items-center justify-between gap-3 border-b border-rule"
          >
            <span>
              <span className="font-semibold">
                {(wearers.data ?? []).find(({ id }) => id === stay.wearerId)?.name ?? '…'}
              </span>{' '}
              at {placeName(stay.placeId)} from {showDate(stay.from)}
            </span>
            <Button
              look="quiet"
              onClick={() => drop.mutateAsync(stay.id).then(() => say('Removed.', () => save.mutate(stay)))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      {heads.length === 0 ? (
        <p className="mt-2 text-soft">Once a wearer is in Heads, say here where they are.</p>
      ) : (
        <form
          noValidate
          className="mt-4 grid items-start gap-3 sm:grid-cols-[1fr_1fr_1fr_auto]"
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <ChoiceField
            label="Wearer"
            options={named(heads)}
            value={wearerId}
            onChange={setWearerId}
            error={error}
          />
          <ChoiceField label="At" options={named(places)} value={placeId} onChange={setPlaceId} />
          <DateField label="From" value={from} onChange={setFrom} />
          <Button type="submit" className="sm:mt-6" disabled={save.isPending}>
            Add
          </Button>
        </form>
      )}
    </section>
  );
}
