/** A stretch of dew points with the trade's word for it and what it means for a formula. */
export interface DewPointBand {
  /** Upper limit in °C, exclusive; null for the last, which has none. */
  below: number | null;
  label: string;
  says: string;
}

/** Dew-point bands as curly-hair testers use them. Common practice, no source; the tester may change them. */
export const DEW_POINT_BANDS: readonly DewPointBand[] = [
  { below: 2, label: 'dry', says: 'strong humectants can draw water out of the hair' },
  { below: 9, label: 'a bit dry', says: 'moderate humectants with a film over them' },
  { below: 16, label: 'easy on curls', says: 'most formulas behave as their labels promise' },
  { below: null, label: 'humid', says: 'humectants can swell the hair; film formers earn their keep' },
];

/** The band a dew point (°C) falls in. The last band takes whatever is over the limits. */
export function dewPointBand(
  celsius: number,
  bands: readonly DewPointBand[] = DEW_POINT_BANDS,
): DewPointBand {
  return bands.find(({ below }) => below === null || celsius < below) ?? bands.at(-1)!;
}
