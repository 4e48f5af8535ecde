import type { Trial } from '@sabor/contract/trial-record';
import { TRIAL_STATUSES } from '@sabor/core/trial/statuses';
import { Link } from 'react-router';
import { AllocationStrip } from '../../drawings/allocation-strip.tsx';
import { Tag } from '../../ui/states.tsx';

/** The trials that are not over, each with how far its allocation is opened. */
export function UnderWay({ trials }: { trials: readonly Trial[] }) {
  const open = trials.filter((trial) => !trial.endedAt && !trial.archivedAt);
  return (
    <section aria-labelledby="under-way">
      <h2 id="under-way" className="mb-3 text-xl">
        Trials under way
      </h2>
      {open.length === 0 && <p className="text-soft">None yet.</p>}
      <ul className="space-y-5">
        {open.map((trial) => (
          <li key={trial.id} className="border-l-4 border-leaf/50 pl-4">
            <p className="flex flex-wrap items-center gap-2 text-sm text-soft">
              {trial.wearerName} <Tag>{TRIAL_STATUSES[trial.status].label}</Tag>
              {!trial.attainable.decides && trial.panelId === null && <Tag tone="due">can only hint</Tag>}
            </p>
            <Link
              to={`/trials/${trial.id}`}
              className="font-semibold underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
            >
              {trial.question}
            </Link>
            <AllocationStrip trial={trial} />
          </li>
        ))}
      </ul>
    </section>
  );
}
