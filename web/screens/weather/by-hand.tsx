import { fieldsOf } from '@sabor/contract/problem';
import { BatchInput, type Place } from '@sabor/contract/weather';
import { momentsOf, zoneOffset } from '@sabor/core/time/zones';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useState } from 'react';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { useChange, useSettings } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { MomentField } from '../../ui/dates.tsx';
import { NumberField } from '../../ui/inputs.tsx';
import { useSay } from '../../ui/undo.tsx';

const wallNow = (timeZone: string) => {
  const now = Date.now();
  return new Date(now + zoneOffset(now, timeZone) * 60_000).toISOString().slice(0, 16);
};

/** The first moment at which the place's clocks showed this; null where they never did, or for no time at all. */
function momentAt(text: string, timeZone: string): string | null {
  const m = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(text);
  if (!m) return null;
  const [year, month, day, hour, minute] = m.slice(1).map(Number) as [number, number, number, number, number];
  const [first] = momentsOf({ year, month, day, hour, minute }, timeZone);
  return first === undefined ? null : new Date(first).toISOString();
}

const FIELDS = ['at', 'temperatureC', 'humidity', 'windMs'] as const;

/** One reading from the tester's own instrument. */
export function ByHand({ place }: { place: Place }) {
  const say = useSay();
  const settings = useSettings();
  const [at, setAt] = useState(wallNow(place.timeZone));
  const [temperatureC, setTemperature] = useState<number | null>(null);
  const [humidity, setHumidity] = useState<number | null>(null);
  const [windMs, setWind] = useState<number | null>(null);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const save = useChange((batch: BatchInput) =>
    put<{ stored: number }>(`/places/${batch.placeId}/readings/${batch.id}`, batch),
  );
  const undo = useChange((id: string) => remove(`/weather-batches/${id}`));
  const keep = () => {
    const moment = momentAt(at, place.timeZone);
    if (moment === null) return setProblems({ at: 'Clocks at this place never showed that time. Check it.' });
    const batch = {
      id: v7(),
      placeId: place.id,
      source: 'hand' as const,
      name: `Read at ${at.replace('T', ' ')}`,
      rows: [[moment, temperatureC, humidity, windMs, null]] as BatchInput['rows'],
    };
    const checked = v.safeParse(BatchInput, batch);
    if (!checked.success)
      return setProblems(
        Object.fromEntries(
          fieldsOf(checked.issues).map(({ path, message }) => [
            FIELDS[Number(path.split('.')[2])] ?? 'at',
            message,
          ]),
        ),
      );
    setProblems({});
    save.mutateAsync(batch).then(
      ({ stored }) => {
        if (stored === 0)
          return setProblems({ at: 'This place already has a reading of that moment; it is left as it is.' });
        say('The reading is stored.', () => undo.mutate(batch.id));
        setTemperature(null);
        setHumidity(null);
        setWind(null);
      },
      (error: Error) => setProblems({ at: error.message }),
    );
  };
  return (
    <form
      noValidate
      className="grid gap-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <MomentField
        label={`Read at (clock at ${place.name})`}
        value={at}
        onChange={setAt}
        error={problems.at}
      />
      <NumberField
        label="Temperature"
        scale={temperatureScale(settings.temperature)}
        value={temperatureC}
        onChange={setTemperature}
        error={problems.temperatureC}
      />
      <NumberField
        label="Humidity"
        unit="%"
        value={humidity}
        onChange={setHumidity}
        error={problems.humidity}
      />
      <NumberField label="Wind" unit="m/s" value={windMs} onChange={setWind} error={problems.windMs} />
      <Button type="submit" className="justify-self-start" disabled={save.isPending}>
        Store the reading
      </Button>
    </form>
  );
}
