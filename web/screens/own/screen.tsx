import type { Looks, WaitingLook } from '@sabor/contract/looks';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { Link } from 'react-router';
import { useLooks, useMe } from '../../api/queries.ts';
import { useLookBox } from '../../offline/look-box.ts';
import { Fold } from '../../ui/fold.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { ThisDevice } from '../access/this-device.tsx';
import { stagePath } from '../worn/look-path.ts';
import { headOf, saidSoFar } from './own-looks.ts';
import { OwnPictures } from './pictures.tsx';
import { OwnSent } from './sent.tsx';

/** A rater’s or a wearer’s own page: the looks that wait; of a wearer also their pictures and what they agreed to. */
export function OwnScreen() {
  const me = useMe();
  const looks = useLooks();
  if (looks.isLoadingError) return <Failed error={looks.error} retry={looks.refetch} />;
  if (!looks.data) return <Loading what="what waits for you" />;
  const isWearer = me.data?.person?.role === 'wearer';
  return (
    <>
      <Heading title={isWearer ? 'Your hair' : 'Hair to look at'}>
        {isWearer
          ? 'Say how it looks on the days asked for. What it was washed with is not told here: a look that knows is another look.'
          : 'You are asked how the hair looks, and told nothing of what was used on it: a look that knows is another look.'}
      </Heading>
      <OwnSent />
      <section aria-labelledby="waiting">
        <h2 id="waiting" className="text-xl">
          Looks
        </h2>
        <Waiting looks={looks.data} />
      </section>
      {isWearer && <OwnPictures looks={looks.data.looks} />}
      <div className="mt-10">
        <Fold late summary="This device">
          <ThisDevice />
        </Fold>
      </div>
    </>
  );
}

function Waiting({ looks }: { looks: Looks }) {
  const box = useLookBox();
  if (looks.looks.length === 0)
    return (
      <Nothing title="Nothing waits">
        Come back on a day the hair is worn. Nothing has to be done now.
      </Nothing>
    );
  const rated = (look: WaitingLook) => {
    const { ratings } = saidSoFar(look, box);
    return look.counting.filter((zone) =>
      ratings.some(({ zoneId, outcome }) => zoneId === zone && outcome === look.main),
    ).length;
  };
  return (
    <ul className="mt-3 grid gap-3 sm:grid-cols-2">
      {looks.looks.map((look) => {
        const done = rated(look);
        return (
          <li key={`${look.washDayId} ${look.stage} ${look.day}`}>
            <Link
              to={`/own/${look.washDayId}/${stagePath({ ...look, part: 'first' })}`}
              className={`block min-h-20 rounded-tag border-2 p-4 ${done === 0 ? 'border-hibiscus' : 'border-rule'}`}
            >
              <span className="block text-lg font-semibold">
                {headOf(looks, look)?.name}: {stageLabel(look.stage, look.day)}
              </span>
              <span className="text-sm text-soft">
                washed {showDate(look.washedOn)};{' '}
                {done === 0 ? 'not looked at yet' : done === look.counting.length ? 'looked at' : 'begun'}
              </span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
