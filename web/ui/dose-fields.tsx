import { DOSE_KINDS, DOSE_SCOPES, type Dose, type DoseKind } from '@sabor/core/doses/dose';
import { MEASURES, type Measure } from '@sabor/core/doses/measures';
import { ChoiceField, NumberField } from './inputs.tsx';

/** The sentence against what a path within a form names. */
export type Problem = (path: string) => string | undefined;

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
