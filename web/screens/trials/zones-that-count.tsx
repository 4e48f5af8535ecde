import type { TrialInput } from '@sabor/contract/trial';
import type { Wearer } from '@sabor/contract/wearer';
import { HeadMap } from '../../drawings/head-map.tsx';
import { LEAF, tint } from '../../drawings/tint.ts';

/** Which zones make up a wash day's one number, promised before the data. */
export function ZonesThatCount({
  wearer,
  value,
  change,
  problem,
}: {
  wearer: Wearer;
  value: TrialInput;
  change: (next: (old: TrialInput) => TrialInput) => void;
  problem: (path: string) => string | undefined;
}) {
  const counts = new Set(value.weights.map(({ zoneId }) => zoneId));
  const toggle = (zoneId: string) =>
    change((old) => ({
      ...old,
      weights: counts.has(zoneId)
        ? old.weights.filter((one) => one.zoneId !== zoneId)
        : [...old.weights, { zoneId, weight: 1 }],
    }));
  return (
    <div>
      <p className="font-semibold">Zones that count: {counts.size}</p>
      <p className="mb-2 text-soft">
        They are averaged into one number a wash day. More zones steady that number; they are never counted as
        more trials.
      </p>
      <HeadMap
        className="max-w-md"
        label="Zones that count"
        zones={wearer.zones}
        look={({ id }) =>
          counts.has(id)
            ? { text: '✓', says: 'counts', chosen: true, fill: tint(LEAF, 0.25) }
            : { says: 'does not count' }
        }
        onChoose={({ id }) => toggle(id)}
      />
      {problem('weights') && (
        <p role="alert" className="font-semibold text-brick">
          {problem('weights')}
        </p>
      )}
    </div>
  );
}
