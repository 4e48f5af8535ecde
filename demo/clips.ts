import type { ClipKind } from '@sabor/core/basin/clip';
import { demoId } from './ids.ts';
import { calendar, type Rows } from './rows.ts';
import { TRIALS } from './trials.ts';

/** A clip of the demo as it was filmed once; see `scripts/film-demo.ts`. */
export interface Filmed {
  file: string;
  trial: string;
  washDay: number;
  kind: ClipKind;
  seconds: number;
  size: number;
}

/** The id of a filmed clip. */
export const clipId = ({ file }: Filmed): string => demoId(`clip ${file}`);

/** The rows of the demo's clips, taken after the day's photographs, dated up to `now`. */
export function clipTables(all: readonly Filmed[], now: Date): Rows {
  const { at } = calendar(now);
  return {
    clip: all.map((one) => ({
      id: clipId(one),
      wash_day_id: demoId(`wash day ${one.trial} ${one.washDay}`),
      stage: 'wear',
      day: 1,
      kind: one.kind,
      taken_at: at(
        TRIALS.find(({ key }) => key === one.trial)!.washDaysAgo[one.washDay]!,
        one.kind === 'bounce' ? 11.3 : 11.35,
      ),
      type: 'video/webm',
      seconds: one.seconds,
      size: one.size,
    })),
  };
}
