import { mean } from '@sabor/core/middle';
import type { Outcome } from '@sabor/core/outcomes/outcomes';
import { besideUsual } from '@sabor/words/usual';
import { useUsual } from '../../api/queries.ts';

/**
 * What was just rated beside what is usual on this head at this stage: of the one zone that is chosen, else over the zones. Said
 * once there is a number, never before: a range that is seen first pulls the rating towards it.
 */
export function UsualLine({
  wearerId,
  trialId,
  stage,
  day,
  outcome,
  zones,
  chosen,
  ratingOf,
}: {
  wearerId: string;
  trialId: string;
  stage: string;
  day: number | null;
  outcome: Outcome;
  zones: readonly { id: string }[];
  chosen: readonly string[];
  ratingOf: (zoneId: string) => number | null;
}) {
  const usual = useUsual(wearerId, stage, day, trialId).data;
  const [only, ...more] = chosen;
  const one = only !== undefined && more.length === 0 ? only : null;
  const values = (one ? [one] : zones.map(({ id }) => id)).flatMap((id) => ratingOf(id) ?? []);
  const value = mean(values);
  const found = usual?.find((band) => band.outcome === outcome && band.zoneId === one);
  const said =
    value !== null && found ? besideUsual(value, found.usual, one ? 'this zone' : 'this head') : null;
  return (
    <p role="status" className="mt-2 min-h-6 text-sm text-soft">
      {said}
    </p>
  );
}
