import type { WashDay } from '@sabor/contract/wash-day';
import { type DayAir, OutdoorsInput } from '@sabor/contract/weather';
import { useState } from 'react';
import * as v from 'valibot';
import { useSettings, useWashDayChange } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { NumberField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { spanLine } from '../weather/air-words.ts';

/** The weather of each day of wear in one line, with the hours the hair spent in it. */
export function WearAir({ day, open }: { day: WashDay; open: boolean }) {
  return (
    <section aria-labelledby="wear-air">
      <h2 id="wear-air" className="mb-2 text-xl">
        Weather while worn
      </h2>
      <ol>
        {day.days.map((one) => (
          <DayRow key={one.on} washDayId={day.id} day={one} open={open} />
        ))}
      </ol>
    </section>
  );
}

function DayRow({ washDayId, day, open }: { washDayId: string; day: DayAir; open: boolean }) {
  const settings = useSettings();
  const [hours, setHours] = useState<OutdoorsInput>({
    outdoorHours: day.outdoorHours,
    indoorHours: day.indoorHours,
  });
  const [error, setError] = useState<string>();
  const save = useWashDayChange(washDayId, (to: OutdoorsInput) =>
    put<WashDay>(`/wash-days/${washDayId}/outdoors/${day.on}`, to),
  );
  const keep = () => {
    if (hours.outdoorHours === day.outdoorHours && hours.indoorHours === day.indoorHours) return;
    const checked = v.safeParse(OutdoorsInput, hours);
    setError(checked.success ? undefined : checked.issues[0].message);
    if (checked.success)
      save.mutateAsync(checked.output).catch((problem: Error) => setError(problem.message));
  };
  const date = showDate(day.on);
  return (
    <li className="border-b border-rule py-2">
      <p>
        <span className="font-semibold">{date}</span>{' '}
        {day.air ? (
          <>
            {day.place}: {spanLine(day.air, settings)}
          </>
        ) : (
          <span className="text-soft">no readings for where the wearer was</span>
        )}
      </p>
      {open ? (
        <div className="mt-1 flex flex-wrap items-start gap-4">
          {(
            [
              ['outdoorHours', 'outdoors'],
              ['indoorHours', 'indoors'],
            ] as const
          ).map(([key, where]) => (
            <NumberField
              key={key}
              className="w-32"
              label={
                <>
                  Hours {where}
                  <span className="sr-only"> on {date}</span>
                </>
              }
              unit="h"
              value={hours[key]}
              onChange={(to) => setHours({ ...hours, [key]: to })}
              onBlur={keep}
            />
          ))}
          {error && (
            <p role="alert" className="basis-full text-sm font-semibold text-brick">
              {error}
            </p>
          )}
        </div>
      ) : (
        day.outdoorHours !== null && <p className="text-sm text-soft">{day.outdoorHours} h outdoors</p>
      )}
    </li>
  );
}
