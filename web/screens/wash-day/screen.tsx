import { lazy, Suspense, useEffect, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useShelf, useTrial, useWashDay, useWearer } from '../../api/queries.ts';
import { Failed, InSlices, Loading } from '../../ui/states.tsx';
import { useFollowed } from './followed.ts';

const conductor = import('./conductor.tsx');
// Whoever shows it hears of a failure.
conductor.catch(() => {});
const Conductor = lazy(async () => ({ default: (await conductor).Conductor }));
const DayPage = lazy(async () => ({ default: (await import('./day-page.tsx')).DayPage }));

export function WashDayScreen() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const day = useWashDay(id, true);
  useFollowed(id);
  const trial = useTrial(day.data?.trialId ?? 'new');
  const wearer = useWearer(day.data?.wearerId ?? 'new');
  const shelf = useShelf();
  const armId = day.data?.armId;
  // A blind trial is sealed as its first wash day begins: its options have other ids from then on, and what was kept of it before
  // knows none of them.
  const sealedSince = armId !== undefined && trial.data?.arms.every(({ id }) => id !== armId) === true;
  const { refetch } = trial;
  /** The option for which the trial was asked anew; where it is as old as before, this device had kept it. */
  const [askedFor, setAskedFor] = useState<string>();
  useEffect(() => {
    if (sealedSince) void refetch().then(() => setAskedFor(armId));
  }, [sealedSince, refetch, armId]);
  if (sealedSince && trial.error) return <Failed error={trial.error} retry={refetch} />;
  if (sealedSince && askedFor === armId && !trial.isFetching)
    return (
      <Failed
        error={
          new Error(
            'This blind trial was sealed since this device last heard of it, and Sabor’s server does not answer. The wash day shows here once it does; what was told on this device is still here.',
          )
        }
        retry={refetch}
      />
    );
  if (day.error && day.isError) return <Failed error={day.error} retry={day.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  if (!day.data || !trial.data || sealedSince || !wearer.data || !shelf.data)
    return <Loading what="the wash day" />;
  const parts = { day: day.data, trial: trial.data, wearer: wearer.data, products: shelf.data.products };
  const conducting = day.data.status === 'under way' || (day.data.status === 'worn' && search.has('step'));
  return (
    <Suspense fallback={<Loading what="the wash day" />}>
      <InSlices what="the wash day">
        {conducting ? <Conductor {...parts} /> : <DayPage {...parts} />}
      </InSlices>
    </Suspense>
  );
}
