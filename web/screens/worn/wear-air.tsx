import type { WashDay } from '@sabor/contract/wash-day';
import { type DayAir, OutdoorsInput } from '@sabor/contract/weather';
import { useState } from 'react';
import * as v from 'valibot';
import { useSettings, useWashDayChange } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';
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
          <DayInAir key={one.on} washDay={day} on={one.on} open={open} />
        ))}
      </ol>
    </section>
  );
}

const hoursOf = ({ outdoorHours, indoorHours }: OutdoorsInput): OutdoorsInput => ({
  outdoorHours,
  indoorHours,
});
const hoursLine = ({ outdoorHours, indoorHours }: OutdoorsInput) =>
  [
    ...(outdoorHours === null ? [] : [`${outdoorHours} h outdoors`]),
    ...(indoorHours === null ? [] : [`${indoorHours} h indoors`]),
  ].join(', ');

/** One day's weather, and the hours the hair spent in it: typed, or said again as on the day before. */
export function DayInAir({ washDay, on, open }: { washDay: WashDay; on: string; open: boolean }) {
  const day = washDay.days.find((one) => one.on === on);
  if (!day) return null;
  const before = washDay.days.findLast(
    (one) => one.on < on && (one.outdoorHours !== null || one.indoorHours !== null),
  );
  return (
    <DayRow
      key={`${day.outdoorHours} ${day.indoorHours}`}
      washDayId={washDay.id}
      day={day}
      before={day.outdoorHours === null && day.indoorHours === null ? before : undefined}
      open={open}
    />
  );
}

function DayRow({
  washDayId,
  day,
  before,
  open,
}: {
  washDayId: string;
  day: DayAir;
  /** The last day that has hours, where this one has none. */
  before: DayAir | undefined;
  open: boolean;
}) {
  const settings = useSettings();
  const say = useSay();
  const [hours, setHours] = useState<OutdoorsInput>(hoursOf(day));
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
  const repeat = (from: DayAir) =>
    save.mutateAsync(hoursOf(from)).then(
      () => say(`As on ${showDate(from.on)}.`, () => save.mutateAsync(hoursOf(day))),
      (problem: Error) => setError(problem.message),
    );
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
          {before && (
            <Button className="self-end" onClick={() => repeat(before)}>
              <span className="sr-only">{date}: </span>As on {showDate(before.on)}: {hoursLine(before)}
            </Button>
          )}
          {error && (
            <p role="alert" className="basis-full text-sm font-semibold text-brick">
              {error}
            </p>
          )}
        </div>
      ) : (
        hoursLine(day) && <p className="text-sm text-soft">{hoursLine(day)}</p>
      )}
    </li>
  );
}
