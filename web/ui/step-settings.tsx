import type { Product } from '@sabor/contract/shelf';
import { DOSE_KINDS, DOSE_SCOPES, type Dose, type DoseKind } from '@sabor/core/doses/dose';
import { MEASURES, type Measure } from '@sabor/core/doses/measures';
import { ROLES } from '@sabor/core/shelf/products';
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
import { useState } from 'react';
import { ChoiceField, NumberField, TicksField } from './inputs.tsx';
import { MixField } from './mix-field.tsx';

/** Products to choose from in a slot: those whose role is at home there first, then the others. */
export function productChoices(
  products: readonly Product[],
  slot: Slot,
  kept: string | null,
): { key: string; label: string }[] {
  const fits = (product: Product) =>
    product.roles.some((role) => (ROLES[role].slots as readonly string[]).includes(slot));
  const there = products.filter((product) => product.archivedAt === null || product.id === kept);
  return [...there.filter(fits), ...there.filter((product) => !fits(product))].map(({ id, name }) => ({
    key: id,
    label: name,
  }));
}

type Problem = (path: string) => string | undefined;

/** A dose: an amount, a range, or "don't remember". */
export function DoseFields({
  dose,
  onChange,
  problem,
  none = 'no amount',
}: {
  dose: Dose | null;
  onChange: (dose: Dose | null) => void;
  problem: Problem;
  none?: string;
}) {
  const measured = dose && dose.kind !== 'unknown' ? dose : null;
  const amount = measured?.kind === 'exact' ? measured.amount : (measured?.from ?? null);
  const choose = (kind: DoseKind | null) => {
    const { measure, per } = measured ?? { measure: 'pump' as const, per: 'head' as const };
    const from = (amount ?? null) as number;
    if (kind === null) onChange(null);
    else if (kind === 'unknown') onChange({ kind });
    else if (kind === 'exact') onChange({ kind, amount: from, measure, per });
    else onChange({ kind, from, to: null as unknown as number, measure, per });
  };
  return (
    <>
      <ChoiceField<DoseKind>
        label="Amount"
        none={none}
        options={DOSE_KINDS}
        value={dose?.kind ?? null}
        onChange={choose}
        error={problem('dose')}
      />
      {dose?.kind === 'exact' && (
        <NumberField
          label="How much"
          value={dose.amount}
          onChange={(x) => onChange({ ...dose, amount: x as number })}
          error={problem('dose.amount')}
        />
      )}
      {dose?.kind === 'range' && (
        <>
          <NumberField
            label="From"
            value={dose.from}
            onChange={(x) => onChange({ ...dose, from: x as number })}
            error={problem('dose.from')}
          />
          <NumberField
            label="To"
            value={dose.to}
            onChange={(x) => onChange({ ...dose, to: x as number })}
            error={problem('dose.to')}
          />
        </>
      )}
      {measured && (
        <>
          <ChoiceField<Measure>
            label="Measure"
            options={MEASURES}
            value={measured.measure}
            onChange={(measure) => measure && onChange({ ...measured, measure })}
            error={problem('dose.measure')}
          />
          <ChoiceField<'head' | 'section'>
            label="For"
            options={DOSE_SCOPES}
            value={measured.per}
            onChange={(per) => per && onChange({ ...measured, per })}
            error={problem('dose.per')}
          />
        </>
      )}
    </>
  );
}

/** Everything a step can set in its slot, by the settings table. */
export function StepSettingsFields<S extends StepSettings>({
  slot,
  step,
  onChange,
  products,
  problem,
  hideProduct = false,
}: {
  slot: Slot;
  step: S;
  onChange: (step: S) => void;
  products: readonly Product[];
  problem: Problem;
  hideProduct?: boolean;
}) {
  const takesProduct = SLOTS[slot].product && !hideProduct;
  const problemOf = (key: SettingKey) => (path: string) =>
    problem(`${isCommon(key) ? key : `extra.${key}`}${path}`);
  const keys = settingsFor(slot).filter((key) => {
    const { kind } = SETTINGS[key];
    return takesProduct || (kind !== 'product' && kind !== 'dose');
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
}: {
  of: SettingKey;
  value: SettingValue;
  onChange: (value: SettingValue) => void;
  /** The sentence against the setting, or against a part of it. */
  problem: Problem;
  products: readonly { key: string; label: string }[];
}) {
  const setting: Setting = SETTINGS[of];
  const { label } = setting;
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
          unit={setting.units ? '' : setting.unit}
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
            options={setting.options}
            value={Array.isArray(value) ? (value as string[]) : []}
            onChange={(keys) => onChange(keys.length ? keys : undefined)}
            error={error}
          />
        </div>
      );
  }
}
