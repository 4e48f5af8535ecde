import type { TrialDetail } from '@sabor/contract/trial-record';
import { IDEAS, makesArm } from '@sabor/core/basin/ideas';
import { SLOTS } from '@sabor/core/step/slots';
import { ButtonLink } from '../../ui/button.tsx';
import { showDate } from '../../ui/show.ts';

/** What came to mind during the wash, each ready to become an arm of a later trial. */
export function IdeasPart({ trial }: { trial: TrialDetail }) {
  const ideas = trial.washDayRecords.flatMap((day) =>
    day.steps.flatMap((step) => step.ideas.map((one) => ({ ...one, day, step }))),
  );
  if (ideas.length === 0) return null;
  return (
    <section className="mt-8" aria-labelledby="ideas">
      <h2 id="ideas" className="mb-2 text-xl">
        For next time
      </h2>
      <ul>
        {ideas.map(({ id, idea, day, step }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
            <span className="flex-1">
              <span className="font-semibold">
                {SLOTS[step.slot].label}: {IDEAS[idea].label}
              </span>{' '}
              <span className="text-soft">
                wash day {day.position + 1}, {showDate(day.localDate)}
              </span>
            </span>
            {step.planStepId !== null && !trial.masked && makesArm(idea, step) && (
              <ButtonLink look="quiet" to={`/trials/new/plan?from=${trial.id}&idea=${id}`}>
                Plan a trial of it
              </ButtonLink>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
