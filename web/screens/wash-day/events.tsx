import type { Product } from '@sabor/contract/shelf';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import { eventInWords } from '@sabor/words/event';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useVoice } from '../../api/voice.ts';
import { DateField } from '../../ui/dates.tsx';
import { showDate } from '../../ui/show.ts';
import { Acts } from '../worn/acts.tsx';

/** What happened to the hair and was done to it, day by day; a day to come is announced. */
export function Events({
  day,
  wearer,
  products,
  open,
}: {
  day: WashDay;
  wearer: Wearer;
  products: readonly Product[];
  open: boolean;
}) {
  const voice = useVoice();
  const [search] = useSearchParams();
  const [on, setOn] = useState(search.get('on') ?? wearDate(new Date().toISOString(), wearer.timeZone));
  const dates = [...new Set(day.events.map((event) => event.on))].sort();
  return (
    <section aria-labelledby="events">
      <h2 id="events" className="mb-2 text-xl">
        What happened while worn
      </h2>
      {open && (
        <>
          <DateField className="mb-2 w-48" label="On" value={on} onChange={setOn} />
          <Acts
            key={on}
            day={day}
            wearer={wearer}
            products={products}
            on={on}
            groups={['care', 'hap', 'none', 'night']}
          />
        </>
      )}
      {dates.length === 0 && !open && <p className="text-soft">Nothing noted.</p>}
      <ul className="mt-3 text-[0.95rem] text-soft">
        {dates.map((date) => (
          <li key={date}>
            {showDate(date)}:{' '}
            {day.events
              .filter((event) => event.on === date)
              .map((event) => eventInWords(event, wearer.zones, voice))
              .join(' · ')}
          </li>
        ))}
      </ul>
    </section>
  );
}
