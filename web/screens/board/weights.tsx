import type { Wearer } from '@sabor/contract/wearer';
import type { WishKey, WishWeights } from '@sabor/core/board/columns';
import type { BoardAsk } from '@sabor/core/board/read';
import { turnInWords, WISH_LABELS } from '@sabor/words/board';
import { Link } from 'react-router';
import { useWorked } from '../../api/worked.ts';
import { Button } from '../../ui/button.tsx';
import { turnsInWorker } from '../../workers/board.ts';

const KEYS = Object.keys(WISH_LABELS) as WishKey[];

/** What is wished for, and how much: turned here for a look, kept in the profile. */
export function Weights({
  weights,
  wished,
  change,
  ask,
  leader,
  shown,
  nameOf,
  wearer,
}: {
  weights: WishWeights;
  /** The wearer's own, as the profile keeps them. */
  wished: WishWeights;
  change: (to: WishWeights | null) => void;
  ask: BoardAsk;
  /** The thing that is first by these wishes. */
  leader: string | null;
  /** The things in view. */
  shown: readonly string[];
  nameOf: (node: string) => string;
  wearer: Wearer;
}) {
  const all = KEYS.reduce((sum, key) => sum + (weights[key] ?? 0), 0);
  const turns = useWorked(
    'turns',
    leader ? [ask, leader, shown] : null,
    // What would turn another order is not what would turn this one: nothing stays on show meanwhile.
    () => turnsInWorker(ask, leader!, shown),
  );
  const same = KEYS.every((key) => (weights[key] ?? 0) === (wished[key] ?? 0));
  return (
    <section aria-labelledby="wishes">
      <h2 id="wishes" className="text-xl">
        What is wished for
      </h2>
      <p className="mb-2 text-soft">
        {Object.keys(wished).length === 0 ? `Nothing is weighed in ${wearer.name}’s profile yet. ` : ''}
        Try other weights here; they are kept in the{' '}
        <Link className="underline underline-offset-4" to={`/heads/${wearer.id}?part=wishes`}>
          profile
        </Link>
        .
      </p>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {KEYS.map((key) => (
          <li key={key}>
            <label className="flex items-center gap-3 text-sm">
              <span className="w-28 shrink-0">{WISH_LABELS[key]}</span>
              <input
                type="range"
                min="0"
                max="10"
                step="0.5"
                className="min-h-10 min-w-0 flex-1 accent-hibiscus"
                value={weights[key] ?? 0}
                aria-valuetext={
                  all > 0 && (weights[key] ?? 0) > 0
                    ? `${Math.round((100 * weights[key]!) / all)} % of all weight`
                    : 'not weighed'
                }
                onChange={(event) => change({ ...weights, [key]: Number(event.target.value) })}
              />
              <span className="figure w-11 text-right" aria-hidden="true">
                {all > 0 ? `${Math.round((100 * (weights[key] ?? 0)) / all)} %` : '–'}
              </span>
            </label>
          </li>
        ))}
      </ul>
      {!same && (
        <Button look="quiet" onClick={() => change(null)}>
          Back to the profile’s wishes
        </Button>
      )}
      {all === 0 && (
        <p className="text-sm text-mango-deep">Nothing is weighed: the board orders by one outcome.</p>
      )}
      {leader && turns.data && (
        <div className="mt-2 text-sm">
          <h3 className="text-base">What would turn it</h3>
          {turns.data.length === 0 ? (
            <p>No single wish, whatever its weight, puts another first by these means.</p>
          ) : (
            <ul>
              {turns.data.map((turn) => (
                <li key={turn.wish}>{turnInWords(turn, nameOf)}</li>
              ))}
            </ul>
          )}
        </div>
      )}
    </section>
  );
}
