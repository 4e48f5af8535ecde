import type { NewTap } from '@sabor/contract/taps';
import { PLACES, type Place } from '@sabor/core/hair/zones';
import { AMOUNT_MARKS, MARKS, type Mark } from '@sabor/core/step/marks';
import { v7 } from 'uuid';
import type { Parts } from './asides.tsx';
import { chip, small } from './big.ts';

const AT: readonly Place[] = ['fringe', 'hairline', 'crown', 'side', 'back', 'nape', 'under', 'ends'];

/** How the amount turned out, at once or place by place, and whether it was disliked. */
export function AmountWas({ step, tell }: Pick<Parts, 'step' | 'tell'>) {
  const say = (markId: string, mark: Mark, places: readonly Place[], gone = false): NewTap => ({
    kind: 'mark',
    stepId: step.id,
    markId,
    mark,
    reason: 'untold',
    places: [...places],
    gone,
  });
  const told = step.marks.filter(({ mark }) => (AMOUNT_MARKS as readonly Mark[]).includes(mark));
  return (
    <fieldset className="space-y-2">
      <legend className="text-lg">The amount</legend>
      <div className="flex flex-wrap gap-2">
        {[...AMOUNT_MARKS, 'disliked' as const].map((mark) => {
          const there = step.marks.find((known) => known.mark === mark);
          const id = there?.id ?? v7();
          return (
            <button
              key={mark}
              type="button"
              className={chip}
              aria-pressed={there !== undefined}
              onClick={() =>
                tell(
                  say(id, mark, there?.places ?? [], there !== undefined),
                  `${MARKS[mark].label}${there ? ', taken back' : ''}.`,
                  say(id, mark, there?.places ?? [], there === undefined),
                )
              }
            >
              {MARKS[mark].label}
            </button>
          );
        })}
      </div>
      {told.map((one) => (
        <div
          key={one.id}
          role="group"
          aria-label={`Where: ${MARKS[one.mark].label}`}
          className="flex flex-wrap gap-2"
        >
          <span className="self-center">{MARKS[one.mark].label}, only at:</span>
          {AT.map((place) => {
            const on = one.places.includes(place);
            const places = on ? one.places.filter((kept) => kept !== place) : [...one.places, place];
            return (
              <button
                key={place}
                type="button"
                className={small}
                aria-pressed={on}
                onClick={() =>
                  tell(
                    say(one.id, one.mark, places),
                    `${MARKS[one.mark].label}: ${places.length ? places.map((p) => PLACES[p].label.toLowerCase()).join(', ') : 'everywhere'}.`,
                    say(one.id, one.mark, one.places),
                  )
                }
              >
                {PLACES[place].label}
              </button>
            );
          })}
        </div>
      ))}
    </fieldset>
  );
}
