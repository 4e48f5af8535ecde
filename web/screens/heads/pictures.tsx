import { ANGLES } from '@sabor/core/basin/angles';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { dayName } from '@sabor/words/day-name';
import { captionInWords } from '@sabor/words/photo';
import { Link } from 'react-router';
import { usePhotographs } from '../../api/queries.ts';
import { PictureStrip } from '../../drawings/picture-strip.tsx';

/** So many of the latest stand on the profile; all of them can be put on the light table. */
const SHOWN = 6;

/** The latest photographs of a head; nothing where there are none. */
export function HeadPictures({ wearerId }: { wearerId: string }) {
  const { data: all = [] } = usePhotographs(wearerId);
  if (all.length === 0) return null;
  const latest = all.toSorted((a, b) => Date.parse(b.takenAt) - Date.parse(a.takenAt)).slice(0, SHOWN);
  return (
    <div className="mt-6">
      <h3 className="text-lg">Latest photographs</h3>
      <PictureStrip
        pictures={latest.map((one) => ({
          id: one.id,
          to: `/photo-bench?photograph=${one.id}`,
          shows: `${dayName(one, one.position)}, ${stageLabel(one.stage, one.day)}, ${ANGLES[one.angle].label}`,
          title: dayName(one, one.position),
          note: `${stageLabel(one.stage, one.day)}, ${ANGLES[one.angle].label}; ${captionInWords(one.angle, one.halo, one.contrast)}`,
        }))}
      />
      <Link className="underline underline-offset-4" to={`/light-table?head=${wearerId}`}>
        All {all.length}, for the light table
      </Link>
    </div>
  );
}
