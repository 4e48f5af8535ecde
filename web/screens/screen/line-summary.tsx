import type { Product } from '@sabor/contract/shelf';
import { VERDICTS } from '@sabor/core/ingredients/judge/screen';
import type { ShelfScreening } from '../../workers/screening.worker.ts';

/** What a whole wash day needs, and which roles give it. */
const NEEDS = [
  ['a cleanser', ['shampoo', 'co-wash', 'clarifier']],
  ['a strong cleanser', ['clarifier']],
  ['a conditioner or mask', ['conditioner', 'mask']],
  ['a leave-in', ['leave-in']],
  ['a hold product', ['gel', 'foam']],
  ['a protein or bond treatment', ['treatment']],
] as const;

/** A line screened as a whole: what fits, what does not, and what is missing from it. */
export function LineSummary({
  products,
  found,
}: {
  products: readonly Product[];
  found: readonly ShelfScreening[];
}) {
  const verdicts = new Map(found.map(({ productId, verdict }) => [productId, verdict]));
  const named = (wanted: readonly string[]) =>
    products.filter(({ id }) => wanted.includes(verdicts.get(id) ?? '')).map(({ name }) => name);
  const fit = named(['good', 'trial']);
  const not = named(['against', 'professional', 'never']);
  const missing = NEEDS.filter(
    ([, roles]) =>
      !products.some((product) => product.roles.some((role) => (roles as readonly string[]).includes(role))),
  ).map(([need]) => need);
  return (
    <section aria-label="The line as a whole" className="mt-4 border-l-4 border-leaf/50 pl-4">
      <p>
        <span className="font-semibold">Fits:</span> {fit.join(', ') || 'nothing of it'}.{' '}
        <span className="font-semibold">
          {VERDICTS.against.label} or {VERDICTS.never.label}:
        </span>{' '}
        {not.join(', ') || 'nothing'}.
      </p>
      <p className="text-soft">Missing from it: {missing.join(', ') || 'nothing a wash day needs'}.</p>
    </section>
  );
}
