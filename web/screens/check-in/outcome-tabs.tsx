import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';

/** The outcomes in a row: ticked once every zone that counts is rated, else with how many are. */
export function OutcomeTabs({
  outcome,
  keys,
  rated,
  choose,
}: {
  outcome: Outcome;
  /** In the order they are asked. */
  keys: readonly Outcome[];
  rated: (outcome: Outcome) => { zones: number; of: number };
  choose: (outcome: Outcome) => void;
}) {
  return (
    <nav aria-label="Outcomes" className="-mx-4 mb-2 overflow-x-auto px-4 sm:mb-4">
      <ul className="flex w-max gap-1">
        {keys.map((key) => {
          const { zones, of } = rated(key);
          return (
            <li key={key}>
              <button
                type="button"
                aria-pressed={key === outcome}
                onClick={() => choose(key)}
                className={`min-h-12 rounded-tag border px-4 font-semibold ${key === outcome ? 'border-ink bg-ink text-paper' : 'border-ink/30 bg-sheet'}`}
              >
                {OUTCOMES[key].label}
                {zones > 0 && zones < of && (
                  <span className="figure text-sm font-normal">
                    {' '}
                    {zones} of {of}
                  </span>
                )}
                {zones > 0 && zones === of && (
                  <>
                    <span aria-hidden="true"> ✓</span>
                    <span className="sr-only">, rated</span>
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
