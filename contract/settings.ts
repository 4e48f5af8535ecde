import { MARKETS } from '@sabor/core/ingredients/formula';
import { LENGTH_UNITS, TEMPERATURE_UNITS, VOLUME_UNITS } from '@sabor/core/units/preferences';
import * as v from 'valibot';
import { name, number, oneOf } from './fields.ts';

const BandInput = v.object({
  below: v.nullable(number('The limit of a band', -45, 60)),
  label: name('A band'),
  says: v.pipe(v.string(), v.trim(), v.maxLength(200, 'Keep it under 200 characters.')),
});

/** Dew-point bands, lowest first, each with its upper limit; the last alone has none. */
export const DewPointBands = v.pipe(
  v.array(BandInput),
  v.minLength(2, 'Keep at least two bands.'),
  v.maxLength(8, 'Eight bands are plenty.'),
  v.check(
    (bands) => bands.every(({ below }, i) => (below === null) === (i === bands.length - 1)),
    'Every band but the last needs an upper limit.',
  ),
  v.check(
    (bands) => bands.every(({ below }, i) => i === 0 || below === null || below > bands[i - 1]!.below!),
    'Each limit must lie over the one before it.',
  ),
);

export const Settings = v.object({
  volume: oneOf(VOLUME_UNITS, 'a unit for volumes'),
  length: oneOf(LENGTH_UNITS, 'a unit for lengths'),
  temperature: oneOf(TEMPERATURE_UNITS, 'a unit for temperatures'),
  dewPointBands: DewPointBands,
  market: oneOf(MARKETS, 'a market'),
  currency: v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'Give the currency as three letters, such as EUR.')),
});
export type Settings = v.InferOutput<typeof Settings>;

/** What is left out stays as it was, so that two quick changes cannot undo each other. */
export const SettingsChange = v.partial(Settings);
export type SettingsChange = Partial<Settings>;
