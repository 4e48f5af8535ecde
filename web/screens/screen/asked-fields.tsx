import type { Wearer } from '@sabor/contract/wearer';
import { dewPointBand } from '@sabor/core/climate/dew-point-bands';
import { POROSITIES, type Porosity } from '@sabor/core/hair/traits';
import { SCHOOLS, type School } from '@sabor/core/hair/wishes';
import { useId } from 'react';
import { useSettings } from '../../api/queries.ts';
import type { Asked } from '../../api/whom.ts';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showTemperature } from '../../ui/show.ts';

const STOPS = ['file', 'low', 'medium', 'high'] as const;

/** For whom, in which air, on which porosity and by whose rules: sliders that judge again at once. */
export function AskedFields({
  wearers,
  wearerId,
  setWearer,
  asked,
  setAsked,
}: {
  wearers: readonly Wearer[];
  wearerId: string;
  setWearer: (id: string) => void;
  asked: Asked;
  setAsked: (to: Asked) => void;
}) {
  const settings = useSettings();
  const [dewId, porosityId] = [useId(), useId()];
  const dew = asked.dewPointC;
  const stop = asked.porosity === null ? 0 : STOPS.indexOf(asked.porosity);
  return (
    <div className="grid items-start gap-x-8 gap-y-4 rounded-tag border border-rule bg-sheet p-4 sm:grid-cols-2 lg:grid-cols-4">
      <ChoiceField
        label="For"
        options={wearers.map(({ id, name }) => ({ key: id, label: name }))}
        value={wearerId}
        onChange={(id) => id && setWearer(id)}
      />
      <ChoiceField<School | 'own' | 'none'>
        label="By the rules of"
        options={{
          own: { label: 'the wearer’s approach' },
          none: { label: 'no approach in particular' },
          ...SCHOOLS,
        }}
        value={asked.school === undefined ? 'own' : (asked.school ?? 'none')}
        onChange={(key) =>
          setAsked({
            ...asked,
            school: key === 'own' || key === null ? undefined : key === 'none' ? null : key,
          })
        }
      />
      <div>
        <label htmlFor={dewId} className="text-sm font-semibold">
          Dew point
        </label>
        <input
          id={dewId}
          type="range"
          min={-15}
          max={28}
          step={0.5}
          value={dew ?? 10}
          aria-valuetext={dew === null ? 'not known' : showTemperature(dew, settings)}
          className="mt-3 w-full accent-ink"
          onChange={(e) => setAsked({ ...asked, dewPointC: Number(e.target.value) })}
        />
        <p className="text-sm text-soft">
          {dew === null
            ? 'not known: weather rules keep silent'
            : `${showTemperature(dew, settings)}, ${dewPointBand(dew, settings.dewPointBands).label}`}
        </p>
      </div>
      <div>
        <label htmlFor={porosityId} className="text-sm font-semibold">
          Porosity
        </label>
        <input
          id={porosityId}
          type="range"
          min={0}
          max={3}
          step={1}
          value={stop}
          aria-valuetext={asked.porosity ?? 'as the profile says'}
          className="mt-3 w-full accent-ink"
          onChange={(e) => {
            const at = STOPS[Number(e.target.value)]!;
            setAsked({ ...asked, porosity: at === 'file' ? null : (at as Porosity) });
          }}
        />
        <p className="text-sm text-soft">
          {asked.porosity === null
            ? 'as the profile says, zone by zone'
            : `${POROSITIES[asked.porosity].label}, all over`}
        </p>
      </div>
    </div>
  );
}
