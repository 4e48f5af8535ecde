import { fieldsOf } from '@sabor/contract/problem';
import { type Air, type WashDay, WashDayChange } from '@sabor/contract/wash-day';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useState } from 'react';
import * as v from 'valibot';
import type { Refused } from '../../api/http.ts';
import { useSettings } from '../../api/queries.ts';
import { NumberField } from '../../ui/inputs.tsx';
import { AirReading } from './air-reading.tsx';

/** The air before the first step. */
export function AirCard({
  day,
  save,
  next,
}: {
  day: WashDay;
  save: (air: Air) => Promise<unknown>;
  next: () => void;
}) {
  const settings = useSettings();
  const [air, setAir] = useState<Air>({
    temperatureC: day.temperatureC,
    humidity: day.humidity,
    windMs: day.windMs,
  });
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const keep = async () => {
    const checked = v.safeParse(WashDayChange, air);
    if (!checked.success) return setProblems(fieldsOf(checked.issues));
    try {
      await save(air);
      next();
    } catch (error) {
      const refused = error as Refused;
      setProblems(
        refused.fields?.length ? refused.fields : [{ path: 'temperatureC', message: refused.message }],
      );
    }
  };
  return (
    <section className="flex flex-1 flex-col" aria-labelledby="air">
      <div className="flex-1">
        <h1 id="air" className="text-5xl sm:text-6xl">
          The air
        </h1>
        <p className="mt-2 text-lg text-paper/80">
          Outdoors, as the hair will meet it. A thermometer with humidity on the window sill is enough.
        </p>
        <div className="mt-5 grid gap-4 rounded-tag bg-paper p-4 text-ink sm:grid-cols-2">
          <NumberField
            label="Temperature"
            scale={temperatureScale(settings.temperature)}
            value={air.temperatureC}
            onChange={(temperatureC) => setAir({ ...air, temperatureC })}
            error={problem('temperatureC')}
          />
          <NumberField
            label="Humidity"
            unit="%"
            value={air.humidity}
            onChange={(humidity) => setAir({ ...air, humidity })}
            error={problem('humidity')}
          />
          <NumberField
            label="Wind"
            unit="m/s"
            value={air.windMs}
            onChange={(windMs) => setAir({ ...air, windMs })}
            error={problem('windMs')}
          />
        </div>
        <div className="mt-4 text-xl">
          <AirReading {...air} />
        </div>
      </div>
      <div className="sticky bottom-0 grid grid-cols-3 gap-3 bg-ink pt-4 pb-2">
        <button
          type="button"
          className="col-span-2 min-h-16 rounded-tag bg-hibiscus px-5 text-xl font-semibold text-white"
          onClick={() => void keep()}
        >
          To the first step
        </button>
        <button
          type="button"
          className="min-h-16 rounded-tag border-2 border-paper/60 px-5 text-xl font-semibold"
          onClick={next}
        >
          Later
        </button>
      </div>
    </section>
  );
}
