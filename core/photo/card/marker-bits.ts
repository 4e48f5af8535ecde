import { AR } from './aruco.ts';

const dictionary = new AR.Dictionary('ARUCO_MIP_36h12');

/**
 * The modules of a marker, row by row, `true` where white, its black border included: eight by eight. Source: the
 * dictionary ARUCO_MIP_36h12 (Garrido-Jurado et al. 2016, Pattern Recognition 51, 481–491) as js-aruco2 ships it.
 */
export function markerBits(id: number): boolean[][] {
  const code = dictionary.codeList[id];
  if (code === undefined) throw new RangeError(`There is no marker ${id}.`);
  return Array.from({ length: 8 }, (_, y) =>
    Array.from(
      { length: 8 },
      (_, x) => x > 0 && x < 7 && y > 0 && y < 7 && code[(y - 1) * 6 + (x - 1)] === '1',
    ),
  );
}
