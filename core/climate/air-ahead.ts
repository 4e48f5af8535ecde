import type { Scale } from '../units/preferences.ts';
import { beaufort } from './beaufort.ts';
import { dewPoint } from './dew-point.ts';
import { type DewPointBand, dewPointBand } from './dew-point-bands.ts';
import { moistureRegain } from './moisture-regain.ts';
import type { AirSummary, Observation } from './observation.ts';
import type { MonthNormal } from './places.ts';

export interface AirAhead {
  place: string;
  /** The reading of now, where there is one. */
  now: Observation | null;
  /** What a station foresees for the next 24 hours, where there is one. */
  next: AirSummary | null;
  /** The usual weather of this month, where the place has normals. */
  usual: MonthNormal | null;
  /** Dew points (°C) that the trial's wash days so far met. */
  met: readonly number[];
  bands: readonly DewPointBand[];
  scale: Scale;
}

/** How far, in °C, a dew point must lie outside those met before it is worth saying. No source: a model assumption. */
const APART_C = 2;

/**
 * What the air means for the wash day ahead, in sentences with their numbers; null when nothing is known of it. The
 * dew point says what the trade expects of humectants, the relative humidity what the hair itself takes up.
 */
export function airAhead({ place, now, next, usual, met, bands, scale }: AirAhead): string | null {
  const show = (celsius: number) => `${scale.show(celsius).toFixed(1).replace('-', '−')} ${scale.sign}`;
  const bare = (celsius: number) => scale.show(celsius).toFixed(1).replace('-', '−');
  const meaning = (dew: number) => {
    const { label, says } = dewPointBand(dew, bands);
    return `dew point ${show(dew)}, ${label}: ${says}`;
  };
  if (now === null && usual === null) return null;
  const told: string[] = [];
  let dew: number | null;
  if (now !== null) {
    dew = dewPoint(now.temperatureC, now.humidity);
    const regain = moistureRegain(now.humidity);
    told.push(
      `At ${place} now ${show(now.temperatureC)} and ${Math.round(now.humidity)} % humidity, at which hair ${
        regain === null ? 'takes up water steeply' : `holds about ${regain.toFixed(0)} % water`
      }${dew === null ? '' : `; ${meaning(dew)}`}.`,
    );
    if (now.windMs !== null) {
      const { number, label } = beaufort(now.windMs);
      if (number >= 5) told.push(`Wind ${now.windMs} m/s, ${label}: a day for pins or indoors.`);
    }
    if (next?.dewPointLowC != null && next.dewPointHighC != null)
      told.push(`Next 24 hours: dew point ${bare(next.dewPointLowC)} to ${show(next.dewPointHighC)}.`);
  } else {
    const mean = (usual!.highC + usual!.lowC) / 2;
    dew = dewPoint(mean, usual!.humidity);
    told.push(
      `No reading of now at ${place}. Usual for the month: ${bare(usual!.lowC)} to ${show(usual!.highC)}, ${Math.round(usual!.humidity)} % humidity${dew === null ? '' : `; ${meaning(dew)}`}.`,
    );
  }
  if (met.length > 0 && dew !== null && now !== null) {
    const [low, high] = [Math.min(...met), Math.max(...met)];
    const range = met.length === 1 ? show(low) : `${bare(low)} to ${show(high)}`;
    const apart = dew < low - APART_C ? 'drier' : dew > high + APART_C ? 'damper' : null;
    told.push(
      apart
        ? `The trial’s wash days so far met ${range}: this one would be ${apart} than all of them.`
        : `The trial’s wash days so far met ${range}.`,
    );
  }
  return told.join(' ');
}
