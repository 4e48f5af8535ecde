import type { GuessInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { useChange } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { useSay } from '../../ui/undo.tsx';

/** Which arm the rater takes it for, once its ratings are locked and before the key opens. */
export function Guess({ day, trial }: { day: WashDay; trial: TrialDetail }) {
  const say = useSay();
  const guess = useChange((input: GuessInput) => put<TrialDetail>(`/wash-days/${day.id}/guess`, input));
  if (!trial.masked || day.status !== 'finished') return null;
  const halves = day.rightArmId === null ? [null] : (['left', 'right'] as const);
  return (
    <section aria-labelledby="guess">
      <h2 id="guess" className="mb-2 text-xl">
        Your guess
      </h2>
      <p className="mb-2 text-soft">
        The ratings are locked. Which do you think it was? The share guessed right tells how blind it really
        was.
      </p>
      {halves.map((half) => {
        const given = trial.guesses.find((known) => known.washDayId === day.id && known.half === half);
        return (
          <fieldset key={half ?? 'whole'} className="mb-2">
            <legend className="font-semibold">{half ? `The ${half} half` : 'This wash day'}</legend>
            <div className="flex flex-wrap gap-2">
              {[...trial.underTest, null].map((name) => {
                const chosen = given !== undefined && given.armName === name;
                return (
                  <button
                    key={name ?? 'none'}
                    type="button"
                    aria-pressed={chosen}
                    className={`min-h-11 rounded-tag border px-3 ${chosen ? 'border-ink bg-ink font-semibold text-paper' : 'border-ink/30 bg-sheet'}`}
                    onClick={() =>
                      guess.mutate({ half, armName: name }, { onError: (error) => say(error.message) })
                    }
                  >
                    {name ?? 'No idea'}
                  </button>
                );
              })}
            </div>
          </fieldset>
        );
      })}
    </section>
  );
}
