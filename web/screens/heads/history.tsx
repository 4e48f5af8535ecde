import type { HairEvent, HairEventInput, HairFile } from '@sabor/contract/hair-file';
import type { Wearer, Zone } from '@sabor/contract/wearer';
import { HAIR_EVENTS, type HairEventKind } from '@sabor/core/hair/history';
import { zoneWithin } from '@sabor/core/hair/zones';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { Caution, Tag } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';

/** What the hair has been through: entered in two taps, newest first. */
export function History({ wearer, file, zone }: { wearer: Wearer; file: HairFile; zone: Zone | null }) {
  const say = useSay();
  const [on, setOn] = useState(localToday());
  const [note, setNote] = useState('');
  const [refused, setRefused] = useState<string | undefined>();
  const save = useChange((event: HairEventInput) => put(`/hair-events/${event.id}`, event));
  const out = useChange((id: string) => remove(`/hair-events/${id}`));
  const zones = new Map(wearer.zones.map((known) => [known.id, zoneWithin(known)]));
  const where = ({ zoneIds }: HairEvent) =>
    zoneIds.length === 0 ? 'whole head' : zoneIds.map((id) => zones.get(id)).join('; ');
  const add = (kind: HairEventKind) => {
    const event = { id: v7(), wearerId: wearer.id, kind, on, zoneIds: zone ? [zone.id] : [], note };
    save.mutateAsync(event).then(
      () => {
        setRefused(undefined);
        setNote('');
        say(`${HAIR_EVENTS[kind].label} is on the timeline.`, () => out.mutate(event.id));
      },
      (error: Error) => setRefused(error.message),
    );
  };
  const take = (event: HairEvent) =>
    out.mutate(event.id, {
      onSuccess: () =>
        say(`${HAIR_EVENTS[event.kind].label} is taken off the timeline.`, () => save.mutate(event)),
      onError: (error) => say(error.message),
    });
  return (
    <section aria-labelledby="history">
      <h2 id="history" className="text-xl">
        History
      </h2>
      <div className="space-y-6">
        <div>
          <p className="mb-2 text-soft">
            Tap what happened to {zone ? zoneWithin(zone) : 'the whole head'} on that day, or what is booked
            for a day ahead. A zone chosen on the map narrows it.
          </p>
          <div className="mb-3 grid gap-3 sm:grid-cols-2">
            <DateField label="On" value={on} onChange={setOn} error={refused} />
            <TextField label="Note" value={note} onChange={setNote} />
          </div>
          <div className="flex flex-wrap gap-2">
            {Object.entries(HAIR_EVENTS).map(([kind, { label }]) => (
              <button
                key={kind}
                type="button"
                onClick={() => add(kind as HairEventKind)}
                className="min-h-11 rounded-tag border border-ink/30 bg-sheet px-3 text-[0.95rem] hover:border-ink"
              >
                {label}
              </button>
            ))}
          </div>
          <div className="mt-4">
            <Caution>
              Bleach, relaxers and colour are for a licensed professional; Sabor records them and gives no
              advice on doing them. Hair that comes out in patches: see a dermatologist.
            </Caution>
          </div>
        </div>
        <ol className="border-l-4 border-leaf/40 pl-5" aria-label="Timeline">
          {file.events.length === 0 && (
            <li className="text-soft">
              Nothing on the timeline yet. Colour, heat, trims and braids all matter.
            </li>
          )}
          {file.events.map((event) => (
            <li
              key={event.id}
              className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5"
            >
              <span>
                <span className="figure">{showDate(event.on)}</span>{' '}
                <span className="font-semibold">{HAIR_EVENTS[event.kind].label}</span>{' '}
                {event.on > localToday() && <Tag tone="due">ahead</Tag>}
                <span className="text-soft">
                  {' '}
                  · {where(event)}
                  {event.note && ` · “${event.note}”`}
                </span>
              </span>
              <Button
                look="quiet"
                className="shrink-0"
                aria-label={`Remove ${HAIR_EVENTS[event.kind].label}, ${showDate(event.on)}`}
                onClick={() => take(event)}
              >
                Remove
              </Button>
            </li>
          ))}
        </ol>
      </div>
    </section>
  );
}
