import type { WashDay } from '@sabor/contract/wash-day';
import { WEATHER_SOURCES } from '@sabor/core/climate/places';
import { useSettings } from '../../api/queries.ts';
import { showTemperature, showTime } from '../../ui/show.ts';

/** The reading that attached itself to the wash, in one line with its source; nothing when there is none. */
export function AttachedAir({ day }: { day: Pick<WashDay, 'air' | 'temperatureC'> }) {
  const settings = useSettings();
  if (!day.air) return null;
  return (
    <p>
      {day.air.place}, {showTime(day.air.at)}: {showTemperature(day.air.temperatureC, settings)},{' '}
      {Math.round(day.air.humidity)} % humidity{day.air.windMs !== null && `, wind ${day.air.windMs} m/s`}{' '}
      <span className="opacity-75">
        ({WEATHER_SOURCES[day.air.source].label}
        {day.temperatureC === null ? '' : '; the air read by hand counts'})
      </span>
    </p>
  );
}
