import type { Product } from '@sabor/contract/shelf';
import type { Dose } from '@sabor/core/doses/dose';
import { suitsSlot } from '@sabor/core/shelf/products';
import { WHERE } from '@sabor/core/step/choices';
import { ownPlace } from '@sabor/core/step/places';
import type { StepSettings } from '@sabor/core/step/settings';
import {
  type ExtraValue,
  isCommon,
  isRare,
  SETTINGS,
  type Setting,
  type SettingKey,
  type SettingValue,
  settingsFor,
  settingValue,
  withSetting,
} from '@sabor/core/step/settings';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { unitScale } from '@sabor/core/units/preferences';
import type { Vocabulary } from '@sabor/core/vocabulary';
import { useMemo, useState } from 'react';
import { useSettings, useWearers } from '../api/queries.ts';
import { BesideField } from './beside-field.tsx';
import { DoseFields, type Problem } from './dose-fields.tsx';
import { ChoiceField, NumberField, TextField, TicksField } from './inputs.tsx';
import { MixField } from './mix-field.tsx';

/** Products to choose from in a slot: those whose role is at home there first, then the others. */
export function productChoices(
  products: readonly Product[],
  slot: Slot,
  kept: string | null,
): { key: string; label: string }[] {
  const fits = ({ roles }: Product) => suitsSlot(roles, slot);
  const there = products.filter((product) => product.archivedAt === null || product.id === kept);
  return [...there.filter(fits), ...there.filter((product) => !fits(product))].map(({ id, name }) => ({
    key: id,
    label: name,
  }));
}

/** The places offered, and “own zone” without a name where an earlier record has it. */
const withKept = (places: Vocabulary, value: SettingValue): Vocabulary =>
  Array.isArray(value) && (value as string[]).includes('own') ? { ...places, own: WHERE.own } : places;

/** Where a step can be done: the places everybody has, then own zones by name. */
function usePlaces(): Vocabulary {
  const { data: wearers } = useWearers();
  return useMemo(() => {
    const { own: _, ...common } = WHERE;
    const names = (wearers ?? []).flatMap(({ zones }) => zones.flatMap(({ ownName: name }) => name ?? []));
    return { ...common, ...Object.fromEntries(names.map((name) => [ownPlace(name), { label: name }])) };
  }, [wearers]);
}

/** Everything a step can set in its slot, by the settings table. */
export function StepSettingsFields<S extends StepSettings>({
  slot,
  step,
  onChange,
  products,
  problem,
  hideProduct = false,
  hide = [],
}: {
  slot: Slot;
  step: S;
  onChange: (step: S) => void;
  products: readonly Product[];
  problem: Problem;
  hideProduct?: boolean;
  /** Settings that have no place in this form. */
  hide?: readonly SettingKey[];
}) {
  const places = usePlaces();
  const takesProduct = SLOTS[slot].product && !hideProduct;
  const problemOf = (key: SettingKey) => (path: string) =>
    problem(`${isCommon(key) ? key : `extra.${key}`}${path}`);
  const keys = settingsFor(slot).filter((key) => {
    const { kind } = SETTINGS[key];
    return (
      !hide.includes(key) && (takesProduct || (kind !== 'product' && kind !== 'dose' && kind !== 'beside'))
    );
  });
  // One that was set, or is wrong, stays in sight; so does one that is emptied again while it is worked on.
  const [seen] = useState(() => new Set<SettingKey>());
  for (const key of keys) if ((settingValue(step, key) ?? null) !== null || problemOf(key)('')) seen.add(key);
  const rare = keys.filter((key) => isRare(key, slot) && !seen.has(key));
  const grid = 'grid gap-x-4 gap-y-3 sm:grid-cols-2 lg:grid-cols-3';
  const field = (key: SettingKey) => (
    <SettingField
      key={key}
      of={key}
      products={productChoices(products, slot, step.productId)}
      places={places}
      value={settingValue(step, key)}
      onChange={(to) => onChange(withSetting(step, key, to))}
      problem={problemOf(key)}
    />
  );
  return (
    <div className="space-y-3">
      <div className={grid}>{keys.filter((key) => !rare.includes(key)).map(field)}</div>
      {rare.length > 0 && (
        <details>
          <summary className="min-h-10 cursor-pointer py-2 text-sm font-semibold">
            More settings ({rare.length})
          </summary>
          <div className={grid}>{rare.map(field)}</div>
        </details>
      )}
    </div>
  );
}

/** The field of one setting, by its kind. */
function SettingField({
  of,
  value,
  onChange,
  problem,
  products,
  places,
}: {
  of: SettingKey;
  value: SettingValue;
  onChange: (value: SettingValue) => void;
  /** The sentence against the setting, or against a part of it. */
  problem: Problem;
  products: readonly { key: string; label: string }[];
  /** Where a step can be done, the wearers' own zones among them. */
  places: Vocabulary;
}) {
  const setting: Setting = SETTINGS[of];
  const { label } = setting;
  const units = useSettings();
  const error = problem('');
  switch (setting.kind) {
    case 'product':
      return (
        <ChoiceField
          label={label}
          none="none"
          options={products}
          value={typeof value === 'string' ? value : null}
          onChange={onChange}
          error={error}
        />
      );
    case 'dose':
      return (
        <DoseFields
          dose={(value ?? null) as Dose | null}
          onChange={onChange}
          problem={(path) => problem(path.replace(/^dose/, ''))}
        />
      );
    case 'number':
      return (
        <NumberField
          label={label}
          {...(setting.scale
            ? { scale: unitScale(setting.scale, units) }
            : { unit: setting.units ? '' : setting.unit })}
          value={typeof value === 'number' ? value : null}
          onChange={onChange}
          error={error}
        />
      );
    case 'tick':
      return (
        <label className="flex min-h-10 items-center gap-2 self-end text-[0.95rem]">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={value === true}
            onChange={(e) => onChange(e.target.checked ? true : undefined)}
          />
          {label}
        </label>
      );
    case 'mix':
      return (
        <MixField
          value={value as ExtraValue | undefined}
          onChange={onChange}
          products={products}
          error={error}
        />
      );
    case 'beside':
      return (
        <BesideField value={value} onChange={onChange} products={products} places={places} error={error} />
      );
    case 'text':
      return (
        <TextField
          className="sm:col-span-2 lg:col-span-3"
          label={label}
          value={typeof value === 'string' ? value : ''}
          onChange={(text) => onChange(text === '' ? undefined : text)}
          error={error}
        />
      );
    case 'choice':
      return (
        <ChoiceField
          label={label}
          none="not set"
          options={setting.options}
          value={typeof value === 'string' ? value : null}
          onChange={onChange}
          error={error}
        />
      );
    case 'several':
      return (
        <div className="sm:col-span-2 lg:col-span-3">
          <TicksField
            legend={label}
            options={setting.ownZones ? withKept(places, value) : setting.options}
            value={Array.isArray(value) ? (value as string[]) : []}
            onChange={(keys) => onChange(keys.length ? keys : undefined)}
            error={error}
          />
        </div>
      );
  }
}
