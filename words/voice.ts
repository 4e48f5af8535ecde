import type { UnitPreferences } from '@sabor/core/units/preferences';

/** What words must know of the one they are spoken to: names of products, and the units that are preferred. */
export interface Voice {
  product: (id: string) => string;
  units: UnitPreferences;
}

/** Metric, and products by the name a look-up gives. */
export const plainVoice = (product: (id: string) => string = () => 'a product'): Voice => ({
  product,
  units: { volume: 'ml', length: 'mm', temperature: 'c' },
});
