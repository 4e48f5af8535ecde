import type { Settings } from '@sabor/contract/settings';
import { DEW_POINT_BANDS } from '@sabor/core/climate/dew-point-bands';

/** What a user who has set nothing prefers. */
export const DEFAULT_SETTINGS: Settings = {
  volume: 'ml',
  length: 'mm',
  temperature: 'c',
  currency: 'EUR',
  market: 'eu',
  dewPointBands: [...DEW_POINT_BANDS],
};
