import type { EventInput } from '@sabor/contract/check-in';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { EVENTS, type EventKind } from '@sabor/core/outcomes/events';
import { localDate } from '@sabor/core/time/zones';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useWashDayChange } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { makeTap } from '../../offline/outbox.ts';
import { DateField } from '../../ui/dates.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';
import { EventZones } from './event-zones.tsx';

/** What happened to the hair, day by day: one tap sets it, another takes it back. */
export function Events({ day, wearer, open }: { day: WashDay; wearer: Wearer; open: boolean }) {
  const say = useSay();
  const [on, setOn] = useState(localDate(new Date().toISOString(), wearer.timeZone));
  const add = useWashDayChange(day.id, (event: EventInput) => put<WashDay>(`/events/${event.id}`, event));
  const onError = (error: Error) => say(error.message);
  const toggle = (kind: EventKind) => {
    const there = day.events.find((event) => event.kind === kind && event.on === on);
    void makeTap(day.id, {
      kind: 'event',
      eventId: there?.id ?? v7(),
      event: kind,
      on,
      gone: there !== undefined,
    });
  };
  const dates = [...new Set(day.events.map((event) => event.on))].sort();
  return (
    <section aria-labelledby="events">
      <h2 id="events" className="mb-2 text-xl">
        What happened while worn
      </h2>
      {open && (
        <>
          <DateField className="mb-2 w-48" label="On" value={on} onChange={setOn} />
          <div className="flex flex-wrap gap-2">
            {Object.entries(EVENTS).map(([key, { label, good }]) => {
              const there = day.events.some((event) => event.kind === key && event.on === on);
              return (
                <button
                  key={key}
                  type="button"
                  aria-pressed={there}
                  onClick={() => toggle(key as EventKind)}
                  className={`min-h-11 rounded-tag border px-3 text-[0.95rem] ${there ? (good ? 'border-leaf bg-leaf-pale font-semibold text-leaf' : 'border-mango bg-mango-pale font-semibold text-mango-deep') : 'border-ink/30 bg-sheet'}`}
                >
                  {label}
                </button>
              );
            })}
          </div>
        </>
      )}
      {dates.length === 0 && !open && <p className="text-soft">Nothing noted.</p>}
      <ul className="mt-2 text-[0.95rem] text-soft">
        {dates.map((date) => (
          <li key={date}>
            {showDate(date)}:{' '}
            {open ? (
              <span className="inline-flex flex-wrap gap-x-4 gap-y-1">
                {day.events
                  .filter((event) => event.on === date)
                  .map((event) => (
                    <EventZones
                      key={event.id}
                      event={event}
                      wearer={wearer}
                      save={(next) => add.mutate(next, { onError })}
                    />
                  ))}
              </span>
            ) : (
              day.events
                .filter((event) => event.on === date)
                .map(
                  ({ kind, zoneIds }) =>
                    `${EVENTS[kind].label.toLowerCase()}${zoneIds.length ? ' (in part)' : ''}`,
                )
                .join(', ')
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
