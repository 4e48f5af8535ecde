import type { Air } from '@sabor/contract/wash-day';
import { absoluteHumidity } from '@sabor/core/climate/absolute-humidity';
import { beaufort } from '@sabor/core/climate/beaufort';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { dewPointBand } from '@sabor/core/climate/dew-point-bands';
import { moistureRegain } from '@sabor/core/climate/moisture-regain';
import { vapourPressure } from '@sabor/core/climate/saturation';
import { useSettings } from '../../api/queries.ts';
import { showTemperature } from '../../ui/show.ts';
import { Term } from '../../ui/term.tsx';

/** A figure that the air given does not allow is left out; the fields say what is wrong. */
function ifPossible<T>(compute: () => T): T | null {
  try {
    return compute();
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/**
 * What the air means: dew point with the trade's word for it, and beside it what hair itself goes by, the relative
 * humidity; then the wind. Nothing while the air is not known.
 */
export function AirReading({ temperatureC, humidity, windMs }: Air) {
  const settings = useSettings();
  const wind = windMs === null ? null : ifPossible(() => beaufort(windMs));
  const dew =
    temperatureC === null || humidity === null ? null : ifPossible(() => dewPoint(temperatureC, humidity));
  const band = dew === null ? null : dewPointBand(dew, settings.dewPointBands);
  const pressure = dew === null ? null : vapourPressure(temperatureC!, humidity!);
  const water = dew === null ? null : absoluteHumidity(temperatureC!, humidity!);
  const regain = dew === null ? null : moistureRegain(humidity!);
  if (band === null && wind === null) return null;
  return (
    <div aria-live="polite" className="space-y-1">
      {band && dew !== null && (
        <>
          <p>
            <Term of="dew-point">Dew point</Term>{' '}
            <span className="figure">{showTemperature(dew, settings)}</span>, {band.label}: {band.says}{' '}
            (common practice).
          </p>
          <p className="text-[0.85em]">
            The air holds {water!.toFixed(1)} g/m³ of water at a vapour pressure of {pressure!.toFixed(1)}{' '}
            hPa. Hair goes by the humidity:{' '}
            {regain === null
              ? 'over 70 % it takes up water steeply'
              : `about ${regain.toFixed(0)} % of its own weight in water`}{' '}
            (Robbins, unchecked).
          </p>
        </>
      )}
      {wind && (
        <p className="text-[0.85em]">
          Wind {windMs} m/s: Beaufort {wind.number}, {wind.label}.
        </p>
      )}
    </div>
  );
}
