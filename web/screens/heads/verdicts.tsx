import type { Wearer } from '@sabor/contract/wearer';
import { VERDICT_STEPS } from '@sabor/core/verdict/words-of-verdict';
import { Link } from 'react-router';
import { useVerdicts } from '../../api/verdicts.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Loading } from '../../ui/states.tsx';

/** What was said on this head: of products, lines, and ways of doing it. */
export function HeadVerdicts({ wearer }: { wearer: Wearer }) {
  const verdicts = useVerdicts();
  if (verdicts.isPending) return <Loading what="the verdicts" />;
  if (verdicts.isLoadingError) return <Failed error={verdicts.error} retry={verdicts.refetch} />;
  const own = verdicts.data.filter(
    ({ wearerId, archivedAt }) => wearerId === wearer.id && archivedAt === null,
  );
  return (
    <section aria-labelledby="verdicts">
      <h2 id="verdicts" className="text-xl">
        Verdicts
      </h2>
      {own.length === 0 ? (
        <p className="mt-2 text-soft">
          None on this head yet. A product’s is begun from its page or from a comparison, a line’s from the
          board.
        </p>
      ) : (
        <ul className="mt-2">
          {own.map(({ id, name, slot, said }) => {
            const [now] = said;
            return (
              <li
                key={id}
                className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-2"
              >
                <span className="min-w-0 flex-1 basis-56">
                  <Link className="font-semibold underline underline-offset-4" to={`/verdicts/${id}`}>
                    {name}
                  </Link>{' '}
                  <span className="text-soft">{VERDICT_STEPS[slot].label}</span>
                </span>
                {now && (
                  <span className="text-soft">
                    {now.content.score === null ? 'no score' : `${now.content.score} of 10`} · said{' '}
                    {showDate(now.at)}
                    {now.rests === null && ' · an impression'}
                  </span>
                )}
              </li>
            );
          })}
        </ul>
      )}
      <div className="mt-4">
        <ButtonLink to={`/verdicts/new?way&head=${wearer.id}`}>
          Verdict on a technique, tool or style
        </ButtonLink>
      </div>
    </section>
  );
}
