import type { WearEvent } from '@sabor/contract/check-in';
import type { Wearer } from '@sabor/contract/wearer';
import { zoneWithin } from '@sabor/core/hair/zones';
import { EVENTS } from '@sabor/core/outcomes/events';
import { benchChip } from '../../ui/five-words.tsx';

/** Where on the head something happened: everywhere, one half, or one zone. */
export function EventZones({
  event,
  wearer,
  save,
}: {
  event: WearEvent;
  wearer: Wearer;
  save: (zoneIds: string[]) => void;
}) {
  const label = EVENTS[event.kind].label;
  const side = (which: 'left' | 'right') =>
    wearer.zones.filter((zone) => zone.side === which).map(({ id }) => id);
  const same = (ids: readonly string[]) =>
    ids.length > 0 && ids.length === event.zoneIds.length && ids.every((id) => event.zoneIds.includes(id));
  const halves = (['left', 'right'] as const).filter((which) => side(which).length > 0);
  const one = event.zoneIds.length === 1 ? event.zoneIds[0]! : '';
  return (
    <div role="group" aria-label={`Where: ${label}`} className="flex flex-wrap items-center gap-1.5">
      <span className="font-semibold">{label}:</span>
      <button
        type="button"
        className={benchChip}
        aria-pressed={event.zoneIds.length === 0}
        onClick={() => save([])}
      >
        whole head
      </button>
      {halves.map((which) => (
        <button
          key={which}
          type="button"
          className={benchChip}
          aria-pressed={same(side(which))}
          onClick={() => save(side(which))}
        >
          {which} half
        </button>
      ))}
      <select
        className="min-h-12 rounded-tag border border-ink/30 bg-sheet px-2 text-[0.95rem]"
        aria-label={`One zone: ${label}`}
        value={one}
        onChange={(e) => e.target.value && save([e.target.value])}
      >
        <option value="">
          {event.zoneIds.length > 1 && !halves.some((which) => same(side(which)))
            ? `${event.zoneIds.length} zones`
            : 'one zone …'}
        </option>
        {wearer.zones.map((zone) => (
          <option key={zone.id} value={zone.id}>
            {zoneWithin(zone)}
          </option>
        ))}
      </select>
    </div>
  );
}
