import type { WashDay } from '@sabor/contract/wash-day';
import { ANGLES } from '@sabor/core/basin/angles';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { Link } from 'react-router';
import { captionOf } from '../../drawings/caption-of.ts';
import { PictureStrip } from '../../drawings/picture-strip.tsx';

/** The photographs of a wash day in the order they were taken, each with its halo; nothing where there are none. */
export function Pictures({ day }: { day: WashDay }) {
  const taken = day.photographs.filter(({ size, received }) => received >= size);
  if (taken.length === 0) return null;
  return (
    <section className="mt-10" aria-labelledby="pictures">
      <h2 id="pictures" className="text-xl">
        Photographs
      </h2>
      <PictureStrip
        pictures={taken.map(({ id, stage, day: n, angle, measured }) => ({
          id,
          to: `/photo-bench?photograph=${id}`,
          shows: `${stageLabel(stage, n)}, ${ANGLES[angle].label}`,
          title: `${stageLabel(stage, n)}, ${ANGLES[angle].label}`,
          note: measured ? captionOf(angle, measured) : 'not measured yet',
        }))}
      />
      <Link className="underline underline-offset-4" to={`/light-table?head=${day.wearerId}`}>
        Lay them on the light table
      </Link>
    </section>
  );
}
