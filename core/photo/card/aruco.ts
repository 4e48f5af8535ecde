/// <reference path="./js-aruco2.d.ts" />
import * as aruco from 'js-aruco2';

/** What js-aruco2 offers, as far as it is used; the package has no types of its own. */
interface Aruco {
  Dictionary: new (name: string) => { codeList: string[] };
  Detector: new (config: {
    dictionaryName: string;
    maxHammingDistance?: number;
  }) => {
    detectImage: (
      width: number,
      height: number,
      data: Uint8ClampedArray | Uint8Array,
    ) => { id: number; corners: { x: number; y: number }[]; hammingDistance: number }[];
  };
}

/** Node.js gives what the package puts on itself as its default; a bundler gives it by name. */
const given = aruco as { AR?: Aruco; default?: { AR: Aruco } };

export const AR: Aruco = (given.AR ?? given.default?.AR)!;
