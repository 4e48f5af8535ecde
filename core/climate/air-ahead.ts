import { beaufort } from './beaufort.ts';
import { dewPoint } from './dew-point.ts';
import { type DewPointBand, dewPointBand } from './dew-point-bands.ts';
import { moistureRegain } from './moisture-regain.ts';
import type { AirSummary, Observation } from './observation.ts';
import type { MonthNormal } from './places.ts';

export interface AirAhead {
  /** The reading of now, where there is one. */
  now: Observation | null;
  /** What a station foresees for the next 24 hours, where there is one. */
  next: AirSummary | null;
  /** The usual weather of this month, where the place has normals. */
  usual: MonthNormal | null;
  /** Dew points (°C) that the trial's wash days so far met. */
  met: readonly number[];
  bands: readonly DewPointBand[];
}

/** What is known of the air for a wash day, in °C, % and m/s. */
export interface AirFacts {
  /** Now; `regain` is the water hair holds in %, null where that rises too steeply to tell. `windMs` where it matters. */
  now: { temperatureC: number; humidity: number; regain: number | null; windMs: number | null } | null;
  /** Usual for the month, where nothing was read now. */
  usual: { lowC: number; highC: number; humidity: number } | null;
  /** The dew point of now, or of the usual month, and its band. */
  dewPoint: { celsius: number; label: string; says: string } | null;
  /** The dew point over the next 24 hours. */
  next: { lowC: number; highC: number } | null;
  /** The dew points the trial's wash days so far met, and how far out this one would be. */
  met: { lowC: number; highC: number; apart: 'drier' | 'damper' | null } | null;
}

/** How far, in °C, a dew point must lie outside those met before it is worth saying. No source: a model assumption. */
const APART_C = 2;
/** Beaufort number from which wind matters to a style. Common practice, no source. */
const WINDY = 5;

/**
 * What is known of the air for the wash day ahead; null when nothing is. The dew point says what the trade expects of
 * humectants, the relative humidity what the hair itself takes up.
 */
export function airAhead({ now, next, usual, met, bands }: AirAhead): AirFacts | null {
  if (now === null && usual === null) return null;
  const dew =
    now === null
      ? dewPoint((usual!.highC + usual!.lowC) / 2, usual!.humidity)
      : dewPoint(now.temperatureC, now.humidity);
  const band = dew === null ? null : dewPointBand(dew, bands);
  const [low, high] = [Math.min(...met), Math.max(...met)];
  return {
    now: now && {
      temperatureC: now.temperatureC,
      humidity: now.humidity,
      regain: moistureRegain(now.humidity),
      windMs: now.windMs !== null && beaufort(now.windMs).number >= WINDY ? now.windMs : null,
    },
    usual: now === null ? { lowC: usual!.lowC, highC: usual!.highC, humidity: usual!.humidity } : null,
    dewPoint: dew === null ? null : { celsius: dew, label: band!.label, says: band!.says },
    next:
      now !== null && next?.dewPointLowC != null && next.dewPointHighC != null
        ? { lowC: next.dewPointLowC, highC: next.dewPointHighC }
        : null,
    met:
      met.length > 0 && dew !== null && now !== null
        ? {
            lowC: low,
            highC: high,
            apart: dew < low - APART_C ? 'drier' : dew > high + APART_C ? 'damper' : null,
          }
        : null,
  };
}
