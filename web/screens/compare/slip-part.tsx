import type { TrialDetail } from '@sabor/contract/trial-record';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { standing } from '@sabor/core/fairness/slip';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { useVoice } from '../../api/voice.ts';
import { FairnessSlip } from '../../drawings/fairness-slip.tsx';
import { Tag } from '../../ui/states.tsx';

const Overrule = lazy(async () => ({ default: (await import('./overrule.tsx')).Overrule }));

const STANDING = {
  clean: { label: 'clean', tone: 'held' },
  weakened: { label: 'weakened', tone: 'due' },
  broken: { label: 'broken in parts', tone: 'stop' },
} as const;

export function StandingTag({ items }: { items: readonly SlipItem[] }) {
  const { label, tone } = STANDING[standing(items)];
  return <Tag tone={tone}>{label}</Tag>;
}

/** The fairness check of a trial, open to the tester's own judgement until the outcomes are shown. */
export function SlipPart({
  trial,
  items,
  sample = false,
}: {
  trial: TrialDetail;
  items: readonly SlipItem[];
  /** Made-up wash days, which stand nowhere else. */
  sample?: boolean;
}) {
  const voice = useVoice();
  const open = trial.outcomesShownAt === null;
  const day = (id: string | null) => trial.washDayRecords.find((known) => known.id === id);
  return (
    <section aria-labelledby="slip" className="max-w-4xl">
      <h2 id="slip" className="flex items-center gap-3 text-xl">
        Fairness check <StandingTag items={items} />
      </h2>
      <p className="mb-3 text-soft">
        Everything that was to be kept the same and was not, worst first, for the main result. What an option
        itself may cause is not unfair.{' '}
        {!sample && (
          <Link className="underline underline-offset-4" to={`/side-by-side?a=${trial.id}`}>
            Compare two wash days side by side
          </Link>
        )}
      </p>
      <FairnessSlip
        voice={voice}
        items={items}
        label="Fairness check"
        whose={({ washDayId }) => {
          const found = day(washDayId);
          return found ? `Wash day ${found.position + 1}` : null;
        }}
        {...(open
          ? {
              action: (item: SlipItem) => (
                <Suspense>
                  <Overrule trial={trial} item={item} />
                </Suspense>
              ),
            }
          : {})}
      />
      {!open && (
        <p className="mt-2 text-sm text-soft">The outcomes have been shown; the check stays as it is.</p>
      )}
    </section>
  );
}
