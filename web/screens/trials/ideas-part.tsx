import type { TrialDetail } from '@sabor/contract/trial-record';
import { SLOTS } from '@sabor/core/step/slots';
import { useShelf } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { showDate } from '../../ui/show.ts';
import { ideaInPlan, ideaName } from './idea-trial.ts';

/** What came to mind during the wash, each ready to become an arm of a later trial. */
export function IdeasPart({ trial }: { trial: TrialDetail }) {
  const products = useShelf().data?.products ?? [];
  const ideas = trial.washDayRecords.flatMap((day) =>
    day.steps.flatMap((step) => step.ideas.map((idea) => ({ idea, day, step }))),
  );
  if (ideas.length === 0) return null;
  return (
    <section className="mt-8" aria-labelledby="ideas">
      <h2 id="ideas" className="mb-2 text-xl">
        For next time
      </h2>
      <ul>
        {ideas.map(({ idea, day, step }) => (
          <li key={idea.id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
            <span className="flex-1">
              <span className="font-semibold">
                {SLOTS[step.slot].label}: {ideaName(idea, products)}
              </span>{' '}
              <span className="text-soft">
                wash day {day.position + 1}, {showDate(day.localDate)}
              </span>
            </span>
            {!trial.masked && ideaInPlan(trial, step, idea) && (
              <ButtonLink look="quiet" to={`/trials/new/plan?from=${trial.id}&idea=${idea.id}`}>
                Plan a trial of it
                <span className="sr-only">: {ideaName(idea, products)}</span>
              </ButtonLink>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
