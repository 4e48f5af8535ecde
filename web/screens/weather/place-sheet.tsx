import { type Place, PlaceInput } from '@sabor/contract/weather';
import { MILD_COAST, type MonthNormal, SCENARIOS } from '@sabor/core/climate/places';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { useSave, useSettings, useWearers, useWeather } from '../../api/queries.ts';
import { useJoin } from '../../api/stays.ts';
import { Button } from '../../ui/button.tsx';
import { useDraft } from '../../ui/draft.ts';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField, NumberField, TextField, TicksField } from '../../ui/inputs.tsx';
import { SheetFoot } from '../../ui/sheet-foot.tsx';
import { Heading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';

const MONTHS = Array.from({ length: 12 }, (_, i) =>
  new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }).format(new Date(Date.UTC(2026, i, 15))),
);
const zones = Intl.supportedValuesOf('timeZone').map((zone) => ({
  key: zone,
  label: zone.replaceAll('_', ' '),
}));
if (!zones.some(({ key }) => key === 'UTC')) zones.push({ key: 'UTC', label: 'UTC' });

function inputOf(place: Place | null): PlaceInput {
  if (!place)
    return {
      id: v7(),
      name: '',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      station: null,
      normals: [],
      note: '',
    };
  const { id, name, timeZone, station, normals, note } = place;
  return { id, name, timeZone, station, normals, note };
}

/** A place: its name, clocks, usual months, and what its simulated station plays. */
export function PlaceSheet({ place }: { place: Place | null }) {
  const say = useSay();
  const leave = useGoOn();
  const initial = useMemo(() => inputOf(place), [place]);
  const save = useSave<PlaceInput>(`/places/${initial.id}`);
  const draft = useDraft(`place ${place?.id ?? 'new'}`, PlaceInput, initial, place?.version ?? null);
  const { value, bind, set } = draft;
  const join = useJoin();
  const { stays = [] } = useWeather().data ?? {};
  const homeless = (useWearers().data ?? []).filter(
    ({ id, archivedAt }) => archivedAt === null && !stays.some(({ wearerId }) => wearerId === id),
  );
  const [chosen, setHere] = useState<readonly string[]>();
  // Whoever is nowhere yet is likely to be here.
  const here = chosen ?? homeless.map(({ id }) => id);
  const submit = async () => {
    const goOn = leave();
    const saved = await draft.save(save);
    if (!saved) return;
    const unsaid = place
      ? []
      : (await Promise.all(here.map((wearerId) => join(wearerId, value.id)))).filter((says) => says !== null);
    say(unsaid[0] ?? `${value.name} is saved.`);
    goOn(`/weather/${value.id}`);
  };
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <Heading title={place ? `${place.name}, the place` : 'Add a place'}>
        Where hair meets weather: a town, a stage door, a beach.
      </Heading>
      <div className="grid max-w-3xl gap-4 sm:grid-cols-2">
        <TextField label="Name" {...bind('name')} />
        <ChoiceField
          label="Time zone"
          options={zones}
          {...bind('timeZone')}
          onChange={(zone) => zone && set('timeZone')(zone)}
        />
        <ChoiceField
          label="Simulated weather station"
          none="No station here"
          options={SCENARIOS}
          {...bind('station')}
          hint={
            value.station
              ? `Made-up weather, always the same for this place: ${SCENARIOS[value.station].says}. Hours already read stay as they are.`
              : 'A stand-in that makes up hourly weather and a week’s forecast, so that Sabor can be tried without instruments.'
          }
        />
        <TextField label="Note" {...bind('note')} value={value.note ?? ''} />
        {!place && homeless.length > 0 && (
          <TicksField
            legend="Whose hair is here, from today"
            options={Object.fromEntries(homeless.map(({ id, name }) => [id, { label: name }]))}
            value={[...here]}
            onChange={setHere}
          />
        )}
      </div>
      <Normals months={value.normals} change={set('normals')} problem={draft.problem} />
      <SheetFoot
        draft={draft}
        save="Save the place"
        back={
          place
            ? { to: `/weather/${place.id}`, label: 'Back' }
            : { to: '/weather', label: 'Back to the weather' }
        }
      />
    </form>
  );
}

function Normals({
  months,
  change,
  problem,
}: {
  months: readonly MonthNormal[];
  change: (to: MonthNormal[]) => void;
  problem: (path: string) => string | undefined;
}) {
  const { temperature } = useSettings();
  const scale = temperatureScale(temperature);
  if (months.length === 0)
    return (
      <section className="mt-8 max-w-3xl" aria-labelledby="normals">
        <h2 id="normals" className="text-xl">
          Usual months
        </h2>
        <p className="text-soft">
          None given. They let the station follow this place’s seasons, and tell whether a wash day’s weather
          was usual for it.
        </p>
        <Button className="mt-3" onClick={() => change([...MILD_COAST])}>
          Fill in twelve months
        </Button>
      </section>
    );
  const set = (i: number, to: Partial<MonthNormal>) =>
    change(months.map((month, j) => (i === j ? { ...month, ...to } : month)));
  const COLUMNS = [
    ['highC', 'daily high', scale],
    ['lowC', 'daily low', scale],
    ['humidity', 'humidity', null],
    ['windMs', 'wind', null],
  ] as const;
  return (
    <section className="mt-8 max-w-3xl" aria-labelledby="normals">
      <h2 id="normals" className="text-xl">
        Usual months
      </h2>
      <p className="mb-2 text-soft">
        Means over the years. The first figures are those of a mild coast: replace them.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[36rem] text-left">
          <thead className="text-sm">
            <tr className="border-b border-rule">
              <th scope="col">Month</th>
              {COLUMNS.map(([key, label, unit]) => (
                <th key={key} scope="col" className="font-semibold first-letter:uppercase">
                  {label}, {unit ? unit.sign : key === 'humidity' ? '%' : 'm/s'}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {months.map((month, i) => (
              <tr key={month.month} className="border-b border-rule">
                <th scope="row" className="pr-3 text-sm font-normal">
                  {MONTHS[month.month - 1]}
                </th>
                {COLUMNS.map(([key, label, unit]) => (
                  <td key={key} className="py-1 pr-3">
                    <NumberField
                      label={
                        <span className="sr-only">
                          {MONTHS[month.month - 1]}, {label}
                        </span>
                      }
                      {...(unit ? { scale: unit } : {})}
                      value={month[key]}
                      onChange={(to) => set(i, { [key]: to ?? Number.NaN })}
                      error={problem(`normals.${i}.${key}`)}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button look="quiet" className="mt-2 px-0!" onClick={() => change([])}>
        Leave the months out
      </Button>
    </section>
  );
}
