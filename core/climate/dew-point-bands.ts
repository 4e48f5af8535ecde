/** Dew-point bands as curly-hair testers use them. Common practice, no source. Upper limits in °C, exclusive. */
export const DEW_POINT_BANDS = [
  { key: 'dry', below: 2, label: 'dry', says: 'strong humectants can draw water out of the hair' },
  { key: 'low', below: 9, label: 'on the dry side', says: 'moderate humectants with a film over them' },
  { key: 'middle', below: 16, label: 'kind', says: 'most formulas behave as their labels promise' },
  {
    key: 'humid',
    below: Number.POSITIVE_INFINITY,
    label: 'humid',
    says: 'humectants can swell the hair; film formers earn their keep',
  },
] as const;

export type DewPointBand = (typeof DEW_POINT_BANDS)[number];

/** The band a dew point (°C) falls in. */
export function dewPointBand(celsius: number): DewPointBand {
  return DEW_POINT_BANDS.find((band) => celsius < band.below) ?? DEW_POINT_BANDS[DEW_POINT_BANDS.length - 1]!;
}
