import type { Dose } from '@sabor/core/doses/dose';
import { type Beside, besideOf } from '@sabor/core/step/beside';
import type { Vocabulary } from '@sabor/core/vocabulary';
import { Button } from './button.tsx';
import { DoseFields } from './dose-fields.tsx';
import { ChoiceField, TicksField } from './inputs.tsx';

const MOST = 3;

/** Other products of the same step, each with its own places and amount. */
export function BesideField({
  value,
  onChange,
  products,
  places,
  error,
}: {
  value: unknown;
  onChange: (all: readonly Beside[] | undefined) => void;
  products: readonly { key: string; label: string }[];
  places: Vocabulary;
  error: string | undefined;
}) {
  const all = besideOf(value);
  const put = (place: number, to: Partial<Beside>) =>
    onChange(all.map((one, i) => (i === place ? { ...one, ...to } : one)));
  const more = () => onChange([...all, { productId: '', dose: null, places: [] }]);
  if (all.length === 0)
    return (
      <div className="self-end">
        <Button onClick={more}>Another product elsewhere</Button>
      </div>
    );
  return (
    <fieldset className="space-y-3 border-l-2 border-ink/20 pl-3 sm:col-span-2 lg:col-span-3">
      <legend className="font-semibold">Another product elsewhere</legend>
      {all.map((one, i) => (
        <div key={i} className="space-y-2">
          <div className="grid items-end gap-x-4 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
            <ChoiceField
              label={`Product beside, ${i + 1}`}
              options={products}
              value={one.productId || null}
              onChange={(productId) => put(i, { productId: productId ?? '' })}
            />
            <DoseFields
              dose={one.dose}
              onChange={(dose: Dose | null) => put(i, { dose })}
              problem={() => undefined}
            />
          </div>
          <TicksField
            legend={`Goes on, ${i + 1}`}
            options={places}
            value={[...one.places]}
            onChange={(to) => put(i, { places: to })}
          />
          <Button
            look="quiet"
            className="px-0!"
            onClick={() => onChange(all.length > 1 ? all.filter((_, j) => j !== i) : undefined)}
          >
            Remove product {i + 1} beside
          </Button>
        </div>
      ))}
      {all.length < MOST && <Button onClick={more}>One more product</Button>}
      {error && (
        <p role="alert" className="font-semibold text-brick">
          {error}
        </p>
      )}
      <p className="text-sm text-soft">
        The step’s own product goes where “Only at” says; each of these goes on its own places.
      </p>
    </fieldset>
  );
}
