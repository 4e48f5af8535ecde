import type { Air, WashDay } from '@sabor/contract/wash-day';
import { airOf } from '@sabor/reading/air-of';
import { useSettings } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { showTemperature } from '../../ui/show.ts';
import { AirFields, useAir } from './air-fields.tsx';
import { AirReading } from './air-reading.tsx';
import { AttachedAir } from './attached-air.tsx';

/** The wash day's air, which can still be given or mended while the day is open. */
export function AirOfDay({
  day,
  open,
  change,
}: {
  day: WashDay;
  open: boolean;
  change: (to: Air) => Promise<unknown>;
}) {
  const settings = useSettings();
  const { keep, changed, ...fields } = useAir(day);
  return (
    <section aria-labelledby="air">
      <h2 id="air" className="mb-2 text-xl">
        Air
      </h2>
      <AttachedAir day={day} />
      {open ? (
        <div className="mt-2 flex flex-wrap items-start gap-4">
          <AirFields {...fields} />
          {changed && (
            <Button className="mt-6" onClick={() => void keep(change)}>
              Save the air
            </Button>
          )}
        </div>
      ) : day.temperatureC === null ? (
        !day.air && <p className="text-soft">Not recorded.</p>
      ) : (
        <p>
          Read by hand: {showTemperature(day.temperatureC, settings)}
          {day.humidity !== null && `, ${day.humidity} % humidity`}
        </p>
      )}
      <div className="mt-2 text-soft">
        <AirReading {...airOf({ ...fields.air, air: day.air })} />
      </div>
    </section>
  );
}
