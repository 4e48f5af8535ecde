import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { allergiesIn, namedInMixes, productsOf } from '@sabor/core/ingredients/allergies';
import { allergyInWords } from '@sabor/words/allergy';
import { useMemo } from 'react';
import { useHairFile } from '../../api/queries.ts';
import { Caution } from '../../ui/states.tsx';

/** Allergies on the wearer's file that the plan's products hold: each stops the plan until it has been seen. */
export function Allergies({
  value,
  change,
  products,
  problem,
}: {
  value: TrialInput;
  change: (next: (old: TrialInput) => TrialInput) => void;
  products: readonly Product[];
  problem: (path: string) => string | undefined;
}) {
  const file = useHairFile(value.wearerId);
  const avoided = file.data?.wishes.avoided;
  const used = productsOf(value).sort().join(' ');
  const mixed = JSON.stringify(namedInMixes(value));
  const found = useMemo(
    () =>
      avoided
        ? allergiesIn([...products.filter(({ id }) => used.includes(id)), ...JSON.parse(mixed)], avoided)
        : [],
    [avoided, products, used, mixed],
  );
  const error = problem('acknowledged');
  if (found.length === 0)
    return error ? (
      <p role="alert" className="font-semibold text-brick">
        {error}
      </p>
    ) : null;
  const seen = new Set(value.acknowledged);
  return (
    <Caution>
      <p className="font-semibold">An allergy on this wearer’s file</p>
      <p>
        Better to take the product out. Where a doctor has said it may be used, say so here; the plan is not
        saved before.
      </p>
      {found.map((one) => {
        const { key } = one;
        return (
          <label key={key} className="mt-1 flex min-h-9 items-center gap-3">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={seen.has(key)}
              onChange={(e) =>
                change((old) => ({
                  ...old,
                  acknowledged: e.target.checked
                    ? [...(old.acknowledged ?? []), key]
                    : (old.acknowledged ?? []).filter((known) => known !== key),
                }))
              }
            />
            Seen: {allergyInWords(one)}; it may be used all the same.
          </label>
        );
      })}
      {error && (
        <p role="alert" className="font-semibold text-brick">
          {error}
        </p>
      )}
    </Caution>
  );
}
