import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';

/** Where curl lengths stand in the round, behind what is rated. */
export const CURLS = 'curls' as const;
export type Turn = Outcome | typeof CURLS;

export const turnLabel = (turn: Turn): string => (turn === CURLS ? 'Curl length' : OUTCOMES[turn].label);

/** What a check-in asks, in a row: ticked once every zone that counts is rated, else with how many are; curls likewise. */
export function OutcomeTabs({
  turn,
  turns,
  rated,
  choose,
}: {
  turn: Turn;
  /** In the order they are asked. */
  turns: readonly Turn[];
  rated: (turn: Turn) => { done: number; of: number };
  choose: (turn: Turn) => void;
}) {
  return (
    <nav aria-label="Outcomes" className="-mx-4 mb-2 overflow-x-auto px-4 sm:mb-4">
      <ul className="flex w-max gap-1">
        {turns.map((key) => {
          const { done, of } = rated(key);
          return (
            <li key={key}>
              <button
                type="button"
                aria-pressed={key === turn}
                onClick={() => choose(key)}
                className={`min-h-12 rounded-tag border px-4 font-semibold ${key === turn ? 'border-ink bg-ink text-paper' : 'border-ink/30 bg-sheet'}`}
              >
                {turnLabel(key)}
                {done > 0 && done < of && (
                  <span className="figure text-sm font-normal">
                    {' '}
                    {done} of {of}
                  </span>
                )}
                {done > 0 && done === of && (
                  <>
                    <span aria-hidden="true"> ✓</span>
                    <span className="sr-only">{key === CURLS ? ', measured' : ', rated'}</span>
                  </>
                )}
              </button>
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
