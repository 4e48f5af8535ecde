import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { testedBy } from '@sabor/core/board/tested';
import { useVerdicts } from '../../api/verdicts.ts';
import { ButtonLink } from '../../ui/button.tsx';

/** After the comparison comes the verdict: of each product that was tested, on this head. */
export function JudgeIt({ trial, products }: { trial: TrialDetail; products: readonly Product[] }) {
  const verdicts = useVerdicts();
  const tested = (testedBy(trial.plan, trial.arms) ?? []).flatMap(({ kind, productId, role }) =>
    kind === 'product' && productId !== null ? [{ productId, role }] : [],
  );
  if (tested.length === 0 || !verdicts.data) return null;
  return (
    <section aria-labelledby="judge">
      <h2 id="judge" className="text-xl">
        Your verdict
      </h2>
      <p className="mb-3 text-soft">
        The comparison says what was measured; the verdict says what you make of it, held to these figures.
      </p>
      <p className="flex flex-wrap gap-3">
        {tested.map(({ productId, role }) => {
          const known = verdicts.data.find(
            ({ wearerId, slot, subject }) =>
              wearerId === trial.wearerId &&
              slot === role &&
              subject.kind === 'product' &&
              subject.productId === productId,
          );
          const name = products.find(({ id }) => id === productId)?.name ?? 'a removed product';
          return (
            <ButtonLink
              key={productId}
              to={
                known
                  ? `/verdicts/${known.id}`
                  : `/verdicts/new?head=${trial.wearerId}&step=${role}&product=${productId}`
              }
            >
              {known ? `The verdict on ${name}` : `Write the verdict on ${name}`}
            </ButtonLink>
          );
        })}
        <ButtonLink look="quiet" to={`/trials/${trial.id}/report`}>
          Make a report
        </ButtonLink>
      </p>
    </section>
  );
}
