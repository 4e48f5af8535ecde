/** What goes on in a made-up trial beside its arms. In points of a 0–10 rating. */
export interface World {
  /** Share of yesterday's own luck that is still there. */
  lag: number;
  /** Change from the first wash day to the last. */
  drift: number;
  /** Half the swing of a season over the trial. */
  season: number;
  /** SD of each wash day's weather. */
  weather: number;
  /** What the left is rated over the right. */
  bias: number;
  /** Share of yesterday's deviation that the next wash day keeps, whatever the arm. */
  carry: number;
  /** Chance that a wash day (of half-heads: a side of it) goes unrated. */
  missing: number;
  /** Only wash days worse than usual go unrated, twice as often. */
  badMissing: boolean;
  /** Steps of the ratings, and zones that are rated. */
  step: number;
  zones: number;
  looks: 1 | 2;
}

const PLAIN: World = {
  ...{ lag: 0, drift: 0, season: 0, weather: 0, bias: 0, carry: 0, missing: 0, badMissing: false },
  ...{ step: 0.5, zones: 6, looks: 1 },
};
const ROUGH: World = { ...PLAIN, lag: 0.5, drift: 3, season: 0.5, weather: 0.4, bias: 0.8, carry: 0.25 };

export const WORLDS: Record<string, World> = {
  plain: PLAIN,
  'drift, season, weather, carry-over': ROUGH,
  'missing days': { ...ROUGH, missing: 0.1 },
  'bad days missing': { ...ROUGH, missing: 0.1, badMissing: true },
  'whole points, two zones': { ...ROUGH, step: 1, zones: 2 },
  'two looks': { ...ROUGH, looks: 2 },
};
