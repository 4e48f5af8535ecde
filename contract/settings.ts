import { LENGTH_UNITS, TEMPERATURE_UNITS, VOLUME_UNITS } from '@sabor/core/units/preferences';
import * as v from 'valibot';
import { oneOf } from './fields.ts';

export const Settings = v.object({
  volume: oneOf(VOLUME_UNITS, 'a unit for volumes'),
  length: oneOf(LENGTH_UNITS, 'a unit for lengths'),
  temperature: oneOf(TEMPERATURE_UNITS, 'a unit for temperatures'),
  currency: v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'Give the currency as three letters, such as EUR.')),
});
export type Settings = v.InferOutput<typeof Settings>;

/** What is left out stays as it was, so that two quick changes cannot undo each other. */
export const SettingsChange = v.partial(Settings);
export type SettingsChange = Partial<Settings>;

export const DEFAULT_SETTINGS: Settings = { volume: 'ml', length: 'mm', temperature: 'c', currency: 'EUR' };
