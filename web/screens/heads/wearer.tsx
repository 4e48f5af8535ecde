import { type Wearer, WearerInput, type ZoneInput } from '@sabor/contract/wearer';
import { NO_TRAITS, TRAITS, type TraitName } from '@sabor/core/hair/traits';
import { CUTS, PARTINGS, SCALPS } from '@sabor/core/hair/wishes';
import { STANDARD_ZONES, zoneLabel } from '@sabor/core/hair/zones';
import { lengthScale } from '@sabor/core/units/preferences';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { v7 } from 'uuid';
import { useSave, useSettings, useWearer, useWeather } from '../../api/queries.ts';
import { useJoin } from '../../api/stays.ts';
import { HeadMap } from '../../drawings/head-map.tsx';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { useDraft } from '../../ui/draft.ts';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField, NumberField, SHORT_MM, TextField, TicksField } from '../../ui/inputs.tsx';
import { SheetFoot } from '../../ui/sheet-foot.tsx';
import { Caution, Failed, Heading, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { CurlsEditor } from './curls.tsx';
import { traitLook } from './trait-look.ts';

export function WearerScreen() {
  const { id = 'new' } = useParams();
  const wearer = useWearer(id);
  if (id === 'new') return <WearerSheet key="new" />;
  if (wearer.isPending) return <Loading what="the profile" />;
  if (wearer.isLoadingError) return <Failed error={wearer.error} retry={wearer.refetch} />;
  return <WearerSheet key={id} wearer={wearer.data} />;
}

function blank(): WearerInput {
  return {
    id: v7(),
    name: '',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    underAge: false,
    guardian: null,
    consentOn: null,
    lengthMm: null,
    cut: null,
    parting: null,
    bornYear: null,
    styledBy: '',
    hardWater: false,
    scalp: [],
    ...NO_TRAITS,
    note: '',
    zones: STANDARD_ZONES.map((zone) => ({ ...zone, ...NO_TRAITS, id: v7(), note: '' })),
    curls: [],
  };
}

const timeZones = () =>
  Intl.supportedValuesOf('timeZone').map((zone) => ({ key: zone, label: zone.replaceAll('_', ' ') }));

function WearerSheet({ wearer }: { wearer?: Wearer }) {
  const settings = useSettings();
  const leave = useGoOn();
  const say = useSay();
  const initial = useMemo<WearerInput>(() => {
    if (!wearer) return blank();
    const { archivedAt: _, version: __, ...input } = wearer;
    return input;
  }, [wearer]);
  const draft = useDraft(`wearer ${wearer?.id ?? 'new'}`, WearerInput, initial, wearer?.version ?? null);
  const save = useSave<WearerInput>(`/wearers/${initial.id}`);
  const join = useJoin();
  const places = (useWeather().data?.places ?? []).filter(({ archivedAt }) => archivedAt === null);
  const [chosenPlace, setPlace] = useState<string | null>();
  // Where there is one place only, a new head is there.
  const placeId = chosenPlace === undefined && places.length === 1 ? places[0]!.id : (chosenPlace ?? null);
  const { value, bind, set, problem, change } = draft;
  const [trait, setTrait] = useState<TraitName>('porosity');
  const [chosen, setChosen] = useState<string | null>(null);
  const zone = value.zones.find((known) => known.id === chosen) ?? null;
  const zones = useMemo(() => timeZones(), []);
  const changeZone = (to: Partial<ZoneInput>) =>
    change((old) => ({
      ...old,
      zones: old.zones.map((known) => (known.id === chosen ? { ...known, ...to } : known)),
    }));
  const addOwn = () => {
    const added: ZoneInput = {
      id: v7(),
      place: 'own',
      side: 'both',
      ownName: 'My zone',
      ...NO_TRAITS,
      note: '',
    };
    change((old) => ({ ...old, zones: [...old.zones, added] }));
    setChosen(added.id);
  };
  const removeOwn = () => {
    const before = value.zones;
    change((old) => ({ ...old, zones: old.zones.filter((known) => known.id !== chosen) }));
    say('The zone is taken off the map.', () => change((old) => ({ ...old, zones: before })));
  };
  return (
    <form
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        const goOn = leave();
        if (!(await draft.save(save))) return;
        const unsaid = !wearer && placeId ? await join(value.id, placeId) : null;
        say(unsaid ?? `${value.name} is saved.`);
        goOn(wearer ? `/heads/${wearer.id}` : '/heads');
      }}
    >
      <Heading kicker="Heads" title={wearer ? wearer.name : 'A new wearer'} />
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[1fr_1.25fr]">
        <div className="space-y-5">
          <TextField label="Name" {...bind('name')} />
          <div className="grid gap-4 sm:grid-cols-2">
            {(Object.keys(TRAITS) as TraitName[]).map((name) => (
              <ChoiceField
                key={name}
                label={`${TRAITS[name].label}, whole head`}
                none="not noted"
                options={TRAITS[name].options}
                value={value[name] as string | null}
                onChange={(key) => change((old) => ({ ...old, [name]: key }))}
                error={problem(name)}
              />
            ))}
            <NumberField
              label="Length"
              scale={lengthScale(settings.length)}
              askUnder={SHORT_MM}
              {...bind('lengthMm')}
            />
            <ChoiceField label="Cut" none="not noted" options={CUTS} {...bind('cut')} />
            <ChoiceField label="Usual parting" none="not noted" options={PARTINGS} {...bind('parting')} />
            {!wearer && places.length > 0 && (
              <ChoiceField
                label="Where, from today"
                hint="The weather there is read for every wash day."
                none="not said yet"
                options={places.map(({ id, name }) => ({ key: id, label: name }))}
                value={placeId}
                onChange={setPlace}
              />
            )}
            <ChoiceField
              label="Time zone"
              hint="Days of wear follow its calendar."
              options={zones}
              value={value.timeZone}
              onChange={(key) => key && set('timeZone')(key)}
              error={problem('timeZone')}
            />
          </div>
          <TicksField
            legend="Scalp"
            options={SCALPS}
            value={value.scalp ?? []}
            onChange={(keys) => set('scalp')(keys as typeof value.scalp)}
          />
          <label className="flex min-h-10 items-center gap-2 font-semibold">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={value.hardWater ?? false}
              onChange={(e) => set('hardWater')(e.target.checked)}
            />
            Hard water
          </label>
          <label className="flex min-h-10 items-center gap-2 font-semibold">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={value.underAge}
              onChange={(e) => set('underAge')(e.target.checked)}
            />
            Under age
          </label>
          <TextField
            label="Styled by, where it is not the wearer"
            value={value.styledBy ?? ''}
            onChange={set('styledBy')}
            error={problem('styledBy')}
          />
          {value.underAge && (
            <>
              <div className="grid gap-4 sm:grid-cols-2">
                <NumberField
                  label="Born in"
                  unit="year"
                  value={value.bornYear ?? null}
                  onChange={set('bornYear')}
                  error={problem('bornYear')}
                />
                <TextField
                  label="Guardian"
                  value={value.guardian ?? ''}
                  onChange={(text) => set('guardian')(text || null)}
                  error={problem('guardian')}
                />
                <DateField
                  label="Consent given on"
                  value={value.consentOn ?? ''}
                  onChange={(text) => set('consentOn')(text || null)}
                  error={problem('consentOn')}
                />
              </div>
              <Caution>
                A child wearer: no essential oils or strong cooling agents, nothing near the eyes, short
                sessions, no tight styles. Ask a paediatric professional.
              </Caution>
            </>
          )}
          <TextField
            label="Note"
            rows={3}
            value={value.note ?? ''}
            onChange={set('note')}
            error={problem('note')}
          />
        </div>
        <section aria-labelledby="map">
          <div className="mb-2 flex flex-wrap items-end justify-between gap-3">
            <h2 id="map" className="text-xl">
              Head map
            </h2>
            <ChoiceField
              label="Show"
              options={Object.fromEntries(
                (Object.keys(TRAITS) as TraitName[]).map((name) => [name, { label: TRAITS[name].label }]),
              )}
              value={trait}
              onChange={(key) => key && setTrait(key as TraitName)}
            />
          </div>
          <div className="grid gap-6 md:grid-cols-[1fr_15rem]">
            <div>
              <HeadMap
                label="Zones of this head"
                zones={value.zones as (typeof value.zones)[number][]}
                look={traitLook(value as Wearer, trait, chosen)}
                parting={value.parting}
                cut={value.cut}
                onChoose={(picked) => setChosen(picked.id === chosen ? null : picked.id)}
              />
              <Button className="mt-3" onClick={addOwn}>
                Add a zone of your own
              </Button>
            </div>
            <div className="rounded-tag border border-rule bg-sheet p-4">
              {zone === null ? (
                <p className="text-soft">
                  Choose a zone to give it values of its own. What it does not set comes from the whole head.
                </p>
              ) : (
                <div className="space-y-3">
                  <h3 className="text-lg">{zoneLabel({ ...zone, ownName: zone.ownName ?? null })}</h3>
                  {zone.place === 'own' && (
                    <TextField
                      label="Its name"
                      value={zone.ownName ?? ''}
                      onChange={(ownName) => changeZone({ ownName })}
                      error={problem(`zones.${value.zones.indexOf(zone)}.ownName`)}
                    />
                  )}
                  {(Object.keys(TRAITS) as TraitName[]).map((name) => (
                    <ChoiceField
                      key={name}
                      label={TRAITS[name].label}
                      none="as the whole head"
                      options={TRAITS[name].options}
                      value={zone[name] as string | null}
                      onChange={(key) => changeZone({ [name]: key })}
                    />
                  ))}
                  <TextField
                    label="Note"
                    rows={2}
                    value={zone.note ?? ''}
                    onChange={(note) => changeZone({ note })}
                  />
                  {zone.place === 'own' && (
                    <Button look="quiet" onClick={removeOwn}>
                      Remove this zone
                    </Button>
                  )}
                </div>
              )}
            </div>
          </div>
          <CurlsEditor value={value} change={change} problem={problem} />
        </section>
      </div>
      <SheetFoot
        draft={draft}
        save="Save the wearer"
        back={
          wearer
            ? { to: `/heads/${wearer.id}`, label: 'Back to the profile' }
            : { to: '/heads', label: 'Back to the heads' }
        }
      />
    </form>
  );
}
