import type { TrialDetail } from '@sabor/contract/trial-record';
import { testedBy } from '@sabor/core/board/tested';
import { judgedBy } from '@sabor/core/verdict/ways';
import { plainWayInWords } from '@sabor/words/ways';
import { useNameOfThing } from '../../api/things.ts';
import { useVerdicts } from '../../api/verdicts.ts';
import { ButtonLink } from '../../ui/button.tsx';

/** After the comparison comes the verdict: of each product, or way, that was tested, on this head. */
export function JudgeIt({ trial }: { trial: TrialDetail }) {
  const nameOf = useNameOfThing();
  const verdicts = useVerdicts();
  const tested = (testedBy(trial.plan, trial.arms) ?? []).flatMap(({ kind, productId, role, ways }) => {
    if (kind === 'product' && productId !== null)
      return [{ id: productId, role, ask: `product=${productId}`, name: nameOf(productId) }];
    const way = kind === 'way' ? judgedBy(ways) : null;
    return way === null
      ? []
      : [{ id: way, role, ask: `way=${encodeURIComponent(way)}`, name: plainWayInWords(way) }];
  });
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
        {tested.map(({ id, role, ask, name }) => {
          const known = verdicts.data.find(
            ({ wearerId, slot, subject }) =>
              wearerId === trial.wearerId &&
              slot === role &&
              (subject.kind === 'product'
                ? subject.productId === id
                : subject.kind === 'way' && subject.way === id),
          );
          return (
            <ButtonLink
              key={id}
              to={
                known ? `/verdicts/${known.id}` : `/verdicts/new?head=${trial.wearerId}&step=${role}&${ask}`
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
