import type { KeyOf } from '../vocabulary.ts';
import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  flOzToMl,
  inchToMm,
  mlToFlOz,
  mmToInch,
} from './convert.ts';

/** The units a user may prefer. Everything is stored in the first of each. */
export const VOLUME_UNITS = {
  ml: { label: 'millilitres', sign: 'ml', digits: 0 },
  floz: { label: 'US fluid ounces', sign: 'fl oz', digits: 2 },
} as const;
export const LENGTH_UNITS = {
  mm: { label: 'millimetres', sign: 'mm', digits: 0 },
  in: { label: 'inches', sign: 'in', digits: 2 },
} as const;
export const TEMPERATURE_UNITS = {
  c: { label: 'degrees Celsius', sign: '°C', digits: 1 },
  f: { label: 'degrees Fahrenheit', sign: '°F', digits: 1 },
} as const;

export type VolumeUnit = KeyOf<typeof VOLUME_UNITS>;
export type LengthUnit = KeyOf<typeof LENGTH_UNITS>;
export type TemperatureUnit = KeyOf<typeof TEMPERATURE_UNITS>;
export interface UnitPreferences {
  volume: VolumeUnit;
  length: LengthUnit;
  temperature: TemperatureUnit;
}

export interface Scale {
  sign: string;
  digits: number;
  /** From the stored unit to the shown one. */
  show: (stored: number) => number;
  /** From the shown unit back to the stored one. */
  store: (shown: number) => number;
  /** Units that may be typed behind the number, whatever is preferred, and how each is stored. */
  typed?: Readonly<Record<string, (x: number) => number>>;
}

const same = (x: number) => x;

export function volumeScale(unit: VolumeUnit): Scale {
  const { sign, digits } = VOLUME_UNITS[unit];
  return unit === 'ml'
    ? { sign, digits, show: same, store: same }
    : { sign, digits, show: mlToFlOz, store: flOzToMl };
}

/** The scale of a volume, a length or a temperature, as it is preferred. */
export const unitScale = (of: keyof UnitPreferences, units: UnitPreferences): Scale =>
  of === 'volume'
    ? volumeScale(units.volume)
    : of === 'length'
      ? lengthScale(units.length)
      : temperatureScale(units.temperature);

const TYPED_LENGTHS = {
  mm: same,
  cm: (x: number) => 10 * x,
  in: inchToMm,
  inch: inchToMm,
  inches: inchToMm,
  '"': inchToMm,
  '″': inchToMm,
  '”': inchToMm,
};
const TYPED_TEMPERATURES = { c: same, '°c': same, f: fahrenheitToCelsius, '°f': fahrenheitToCelsius };

export function lengthScale(unit: LengthUnit): Scale {
  const { sign, digits } = LENGTH_UNITS[unit];
  return unit === 'mm'
    ? { sign, digits, show: same, store: same, typed: TYPED_LENGTHS }
    : { sign, digits, show: mmToInch, store: inchToMm, typed: TYPED_LENGTHS };
}

export function temperatureScale(unit: TemperatureUnit): Scale {
  const { sign, digits } = TEMPERATURE_UNITS[unit];
  return unit === 'c'
    ? { sign, digits, show: same, store: same, typed: TYPED_TEMPERATURES }
    : { sign, digits, show: celsiusToFahrenheit, store: fahrenheitToCelsius, typed: TYPED_TEMPERATURES };
}
