/**
 * One curl measured: the diameter of its arc, its waves over a length at rest, and its length at rest and pulled
 * straight. All in mm.
 */
export interface CurlMeasure {
  diameterMm: number;
  waves: number;
  overMm: number;
  restingMm: number;
  stretchedMm: number;
}

/** Curl index: how many times longer a curl is pulled straight than at rest. 1 is straight. */
export function curlIndex({
  restingMm,
  stretchedMm,
}: Pick<CurlMeasure, 'restingMm' | 'stretchedMm'>): number {
  if (!(restingMm > 0 && stretchedMm > 0)) throw new RangeError('Both lengths must be more than 0.');
  if (stretchedMm < restingMm)
    throw new RangeError('A curl cannot be shorter stretched than it rests. Check both lengths.');
  return stretchedMm / restingMm;
}

/**
 * The index an even coil of this diameter and this many waves would have: √(1 + (πD/P)²), P the length of one wave.
 * Source: geometry of the helix.
 */
export function coilIndex({
  diameterMm,
  waves,
  overMm,
}: Pick<CurlMeasure, 'diameterMm' | 'waves' | 'overMm'>): number {
  return Math.sqrt(1 + ((Math.PI * diameterMm * waves) / overMm) ** 2);
}

/** Waves in 50 mm of hair at rest. */
export const wavesPer50 = ({ waves, overMm }: Pick<CurlMeasure, 'waves' | 'overMm'>): number =>
  (50 * waves) / overMm;

/**
 * The eight types by measured shape: I–IV by curl diameter, V–VIII by curl index once the arcs are small. After
 * Loussouarn et al. 2007, Int. J. Dermatology 46 (suppl. 1). The limits are from memory, uncertain, and not checked
 * against the paper: read a type as a neighbourhood.
 */
export const EIGHT_TYPES = [
  { type: 'I', diameterFrom: 90, indexFrom: 1 },
  { type: 'II', diameterFrom: 45, indexFrom: 1 },
  { type: 'III', diameterFrom: 20, indexFrom: 1 },
  { type: 'IV', diameterFrom: 12, indexFrom: 1 },
  { type: 'V', diameterFrom: 0, indexFrom: 1 },
  { type: 'VI', diameterFrom: 0, indexFrom: 1.7 },
  { type: 'VII', diameterFrom: 0, indexFrom: 2.5 },
  { type: 'VIII', diameterFrom: 0, indexFrom: 4 },
] as const;
export type EightType = (typeof EIGHT_TYPES)[number]['type'];

/** How near a limit a measure must lie for the neighbouring type to be named too. Model assumption. */
const NEAR = 0.15;

function typeAt(diameterMm: number, index: number): number {
  const large = EIGHT_TYPES.findIndex(({ diameterFrom }) => diameterFrom > 0 && diameterMm >= diameterFrom);
  if (large >= 0) return large;
  return EIGHT_TYPES.findLastIndex(({ diameterFrom, indexFrom }) => diameterFrom === 0 && index >= indexFrom);
}

/** The type a curl falls in, with a neighbour where it lies within 15 % of a limit. */
export function eightTypes(curl: CurlMeasure): EightType[] {
  const index = curlIndex(curl);
  const types = new Set<number>();
  for (const d of [1 - NEAR, 1, 1 + NEAR])
    for (const k of [1 - NEAR, 1, 1 + NEAR]) types.add(typeAt(curl.diameterMm * d, Math.max(1, index * k)));
  return [...types].sort((a, b) => a - b).map((i) => EIGHT_TYPES[i]!.type);
}

/** How far the lengths' index and the coil's may part, as a ratio, before the measures are worth taking again. Model assumption. */
const PART = 1.4;

/** A curl's shape in numbers, with a doubt where its measures do not belong to one coil. Throws for lengths that cannot be. */
export function readCurl(curl: CurlMeasure): {
  index: number;
  coil: number;
  waves50: number;
  types: EightType[];
  doubt: boolean;
} {
  const index = curlIndex(curl);
  const coil = coilIndex(curl);
  return {
    index,
    coil,
    waves50: wavesPer50(curl),
    types: eightTypes(curl),
    doubt: Math.max(index / coil, coil / index) > PART,
  };
}
