import type { Product } from '@sabor/contract/shelf';
import { DOSE_KINDS, DOSE_SCOPES, type Dose, type DoseKind } from '@sabor/core/doses/dose';
import { MEASURES, type Measure } from '@sabor/core/doses/measures';
import {
  EXTRAS,
  type ExtraKey,
  type ExtraSetting,
  type ExtraValue,
  extrasOf,
} from '@sabor/core/routine/extras';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from '@sabor/core/routine/settings';
import { SLOTS, type Slot } from '@sabor/core/routine/slots';
import type { StepSettings } from '@sabor/core/routine/step';
import { ROLES } from '@sabor/core/shelf/products';
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
        label="Dose"
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

/** Everything a step can set. `hide` leaves out what is decided elsewhere. */
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
  const set =
    <K extends keyof StepSettings>(key: K) =>
    (to: StepSettings[K]) =>
      onChange({ ...step, [key]: to });
  return (
    <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
      {SLOTS[slot].product && !hideProduct && (
        <>
          <ChoiceField
            label="Product"
            none="none"
            options={productChoices(products, slot, step.productId)}
            value={step.productId}
            onChange={set('productId')}
            error={problem('productId')}
          />
          <DoseFields dose={step.dose} onChange={set('dose')} problem={problem} />
        </>
      )}
      <NumberField
        label="Sections"
        value={step.sections}
        onChange={set('sections')}
        error={problem('sections')}
      />
      <ChoiceField
        label="Hair is"
        none="not set"
        options={WETNESS}
        value={step.wetness}
        onChange={set('wetness')}
        error={problem('wetness')}
      />
      <NumberField
        label="Minutes"
        unit="min"
        value={step.minutes}
        onChange={set('minutes')}
        error={problem('minutes')}
      />
      <ChoiceField
        label="Technique"
        none="not set"
        options={TECHNIQUES}
        value={step.technique}
        onChange={set('technique')}
        error={problem('technique')}
      />
      <ChoiceField
        label="Tool"
        none="not set"
        options={TOOLS}
        value={step.tool}
        onChange={set('tool')}
        error={problem('tool')}
      />
      <ChoiceField
        label="Heat"
        none="not set"
        options={HEATS}
        value={step.heat}
        onChange={set('heat')}
        error={problem('heat')}
      />
      {extrasOf(slot).map((key) => (
        <ExtraField
          key={key}
          of={key}
          products={productChoices(products, slot, step.productId)}
          value={step.extra[key]}
          onChange={(to) => {
            const { [key]: _, ...rest } = step.extra;
            onChange({ ...step, extra: to === undefined ? rest : { ...rest, [key]: to } });
          }}
          error={problem(`extra.${key}`)}
        />
      ))}
    </div>
  );
}

/** A setting that only some slots have. */
function ExtraField({
  of,
  value,
  onChange,
  error,
  products,
}: {
  of: ExtraKey;
  products: readonly { key: string; label: string }[];
  value: ExtraValue | undefined;
  onChange: (value: ExtraValue | undefined) => void;
  error: string | undefined;
}) {
  const setting: ExtraSetting = EXTRAS[of];
  switch (setting.kind) {
    case 'number':
      return (
        <NumberField
          label={setting.label}
          unit={setting.unit}
          value={typeof value === 'number' ? value : null}
          onChange={(x) => onChange(x ?? undefined)}
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
          {setting.label}
        </label>
      );
    case 'mix':
      return <MixField value={value} onChange={onChange} products={products} error={error} />;
    case 'choice':
      return (
        <ChoiceField
          label={setting.label}
          none="not set"
          options={setting.options}
          value={typeof value === 'string' ? value : null}
          onChange={(key) => onChange(key ?? undefined)}
          error={error}
        />
      );
    case 'several':
      return (
        <div className="sm:col-span-2 lg:col-span-3">
          <TicksField
            legend={setting.label}
            options={setting.options}
            value={Array.isArray(value) ? (value as string[]) : []}
            onChange={(keys) => onChange(keys.length ? keys : undefined)}
            error={error}
          />
        </div>
      );
  }
}
