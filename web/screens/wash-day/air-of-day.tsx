import { fieldsOf } from '@sabor/contract/problem';
import type { Air, WashDay, WashDayChange } from '@sabor/contract/wash-day';
import { WashDayChange as Schema } from '@sabor/contract/wash-day';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useState } from 'react';
import * as v from 'valibot';
import { useSettings } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField } from '../../ui/inputs.tsx';
import { showTemperature } from '../../ui/show.ts';
import { AirReading } from './air-reading.tsx';

/** The wash day's air, which can still be given or mended while the day is open. */
export function AirOfDay({
  day,
  open,
  change,
}: {
  day: WashDay;
  open: boolean;
  change: (to: WashDayChange) => Promise<unknown>;
}) {
  const settings = useSettings();
  const [air, setAir] = useState<Air>({
    temperatureC: day.temperatureC,
    humidity: day.humidity,
    windMs: day.windMs,
  });
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const changed = (['temperatureC', 'humidity', 'windMs'] as const).some((key) => air[key] !== day[key]);
  const save = async () => {
    const checked = v.safeParse(Schema, air);
    setProblems(checked.success ? [] : fieldsOf(checked.issues));
    if (!checked.success) return;
    try {
      await change(air);
    } catch (error) {
      setProblems([{ path: 'temperatureC', message: (error as Error).message }]);
    }
  };
  return (
    <section aria-labelledby="air">
      <h2 id="air" className="mb-2 text-xl">
        Air
      </h2>
      {open ? (
        <div className="flex flex-wrap items-start gap-4">
          <NumberField
            className="w-36"
            label="Temperature"
            scale={temperatureScale(settings.temperature)}
            value={air.temperatureC}
            onChange={(temperatureC) => setAir({ ...air, temperatureC })}
            error={problem('temperatureC')}
          />
          <NumberField
            className="w-32"
            label="Humidity"
            unit="%"
            value={air.humidity}
            onChange={(humidity) => setAir({ ...air, humidity })}
            error={problem('humidity')}
          />
          <NumberField
            className="w-32"
            label="Wind"
            unit="m/s"
            value={air.windMs}
            onChange={(windMs) => setAir({ ...air, windMs })}
            error={problem('windMs')}
          />
          {changed && (
            <Button className="mt-6" onClick={() => void save()}>
              Save the air
            </Button>
          )}
        </div>
      ) : day.temperatureC === null ? (
        <p className="text-soft">Not recorded.</p>
      ) : (
        <p>
          {showTemperature(day.temperatureC, settings)}
          {day.humidity !== null && `, ${day.humidity} % humidity`}
        </p>
      )}
      <div className="mt-2 text-soft">
        <AirReading {...air} />
      </div>
    </section>
  );
}
