/** How a reading of the weather came in. */
export const WEATHER_SOURCES = {
  hand: { label: 'by hand' },
  csv: { label: 'from a file' },
  metar: { label: 'from a METAR report' },
  station: { label: 'simulated station' },
} as const;
export type WeatherSource = keyof typeof WEATHER_SOURCES;

/** What the simulated weather station plays. It is a stand-in: its weather is made up, seeded and always the same. */
export const SCENARIOS = {
  seasons: {
    label: 'the seasons of this place',
    says: 'follows the monthly normals, with fronts, day and night',
  },
  'dry-cold': { label: 'dry cold', says: 'hard frost, dew point near −12 °C' },
  'sticky-heat': { label: 'sticky heat', says: 'over 30 °C by day, dew point near 23 °C' },
  gale: { label: 'gale', says: 'mean wind of Beaufort 8 and more' },
} as const;
export type Scenario = keyof typeof SCENARIOS;

/** A month's usual weather at a place: mean daily high and low in °C, mean humidity in %, mean wind in m/s. */
export interface MonthNormal {
  month: number;
  highC: number;
  lowC: number;
  humidity: number;
  windMs: number;
}

/** Made-up normals of a mild coast, for a place that was given none of its own. */
export const MILD_COAST: readonly MonthNormal[] = (
  [
    [7, 2, 86, 7],
    [8, 2, 83, 6.5],
    [10, 3, 80, 6],
    [13, 5, 76, 5.5],
    [17, 8, 74, 5],
    [20, 11, 75, 4.5],
    [22, 13, 75, 4.5],
    [22, 13, 77, 4.5],
    [19, 11, 80, 5],
    [15, 8, 84, 6],
    [11, 5, 87, 6.5],
    [8, 3, 88, 7],
  ] as const
).map(([highC, lowC, humidity, windMs], i) => ({ month: i + 1, highC, lowC, humidity, windMs }));
