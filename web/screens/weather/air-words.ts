import type { Settings } from '@sabor/contract/settings';
import { beaufort } from '@sabor/core/climate/beaufort';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { dewPointBand } from '@sabor/core/climate/dew-point-bands';
import type { AirSummary, Observation } from '@sabor/core/climate/observation';
import { showTemperature } from '../../ui/show.ts';

const wind = (ms: number | null, strongest = false) =>
  ms === null ? [] : [`${strongest ? 'wind up to' : 'wind'} ${ms} m/s (Beaufort ${beaufort(ms).number})`];

/** One reading in one line. */
export function airLine(air: Observation, settings: Settings): string {
  const dew = dewPoint(air.temperatureC, air.humidity);
  return [
    showTemperature(air.temperatureC, settings),
    `${Math.round(air.humidity)} % humidity`,
    ...(dew === null
      ? []
      : [`dew point ${showTemperature(dew, settings)}, ${dewPointBand(dew, settings.dewPointBands).label}`]),
    ...wind(air.windMs),
  ].join(' · ');
}

/** A day's or a week's weather in one line. */
export function spanLine(air: AirSummary, settings: Settings): string {
  const range = (low: number, high: number) => {
    const [a, b] = [showTemperature(low, settings), showTemperature(high, settings)];
    return a === b ? a : `${a.replace(/ \S+$/, '')} to ${b}`;
  };
  return [
    range(air.lowC, air.highC),
    `${Math.round(air.humidity)} % humidity`,
    ...(air.dewPointC === null || air.dewPointLowC === null || air.dewPointHighC === null
      ? []
      : [
          `dew point ${range(air.dewPointLowC, air.dewPointHighC)}, ${dewPointBand(air.dewPointC, settings.dewPointBands).label}`,
        ]),
    ...wind(air.windMs, true),
  ].join(' · ');
}
