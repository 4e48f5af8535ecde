import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';

/** The outcomes in a row, those already rated ticked. */
export function OutcomeTabs({
  outcome,
  rated,
  choose,
}: {
  outcome: Outcome;
  rated: (outcome: Outcome) => boolean;
  choose: (outcome: Outcome) => void;
}) {
  return (
    <nav aria-label="Outcomes" className="-mx-4 mb-2 overflow-x-auto px-4 sm:mb-4">
      <ul className="flex w-max gap-1">
        {(Object.keys(OUTCOMES) as Outcome[]).map((key) => (
          <li key={key}>
            <button
              type="button"
              aria-pressed={key === outcome}
              onClick={() => choose(key)}
              className={`min-h-12 rounded-tag border px-4 font-semibold ${key === outcome ? 'border-ink bg-ink text-paper' : 'border-ink/30 bg-sheet'}`}
            >
              {OUTCOMES[key].label}
              {rated(key) && (
                <>
                  <span aria-hidden="true"> ✓</span>
                  <span className="sr-only">, rated</span>
                </>
              )}
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}
