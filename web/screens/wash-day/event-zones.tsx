import type { EventInput, WearEvent } from '@sabor/contract/check-in';
import type { Wearer } from '@sabor/contract/wearer';
import { zoneLabel } from '@sabor/core/hair/zones';
import { EVENTS } from '@sabor/core/outcomes/events';

/** Where on the head something happened: everywhere, one side, or one zone. */
export function EventZones({
  event,
  wearer,
  save,
}: {
  event: WearEvent;
  wearer: Wearer;
  save: (event: EventInput) => void;
}) {
  const side = (which: 'left' | 'right') =>
    wearer.zones.filter((zone) => zone.side === which).map(({ id }) => id);
  const same = (ids: readonly string[]) =>
    ids.length === event.zoneIds.length && ids.every((id) => event.zoneIds.includes(id));
  const value =
    event.zoneIds.length === 0
      ? ''
      : same(side('left'))
        ? 'left'
        : same(side('right'))
          ? 'right'
          : event.zoneIds.length === 1
            ? event.zoneIds[0]!
            : 'several';
  const choose = (to: string) =>
    save({ ...event, zoneIds: to === '' ? [] : to === 'left' || to === 'right' ? side(to) : [to] });
  return (
    <label className="inline-flex items-center gap-1">
      {EVENTS[event.kind].label.toLowerCase()}
      <select
        className="rounded border border-ink/25 bg-sheet px-1 text-sm"
        aria-label={`Where: ${EVENTS[event.kind].label.toLowerCase()}`}
        value={value}
        onChange={(e) => choose(e.target.value)}
      >
        <option value="">whole head</option>
        <option value="left">left half</option>
        <option value="right">right half</option>
        {value === 'several' && <option value="several">several zones</option>}
        {wearer.zones.map((zone) => (
          <option key={zone.id} value={zone.id}>
            {zoneLabel(zone).toLowerCase()}
          </option>
        ))}
      </select>
    </label>
  );
}
