import { showPercent } from '../../units/percent.ts';
import { crossSection, densityClass } from './density.ts';
import { type CurlMeasure, readCurl } from './pattern.ts';
import { readShed, type WornMeanwhile } from './shed.ts';
import { strandClass } from './strand.ts';
import { extension, readStretch, recovery, STRETCH_CALLS, type StretchCall } from './stretch.ts';

/** What can be measured on a head besides porosity. */
export const MEASURE_KINDS = {
  strand: { label: 'Strand', how: 'Thickness of one hair, by micrometer or microscope.' },
  curl: {
    label: 'Curl shape',
    how: 'One curl: the width of its arc, its waves over a length at rest, that length at rest and pulled straight.',
  },
  ponytail: { label: 'Ponytail', how: 'All hair in one tail at the back, a thread around it, no squeezing.' },
  stretch: {
    label: 'Stretch test',
    how: 'One wet hair: its length at rest, gently stretched, and let go again.',
  },
  'build-up': {
    label: 'Build-up, felt',
    how: 'Dry lengths between two fingers, before a wash: 0 squeaks, 5 feels coated, 10 waxy or dull all over.',
  },
  shed: {
    label: 'Shed hairs',
    how: 'Hairs that came out at this detangle: counted, or an estimate from – to.',
  },
} as const;
export type MeasureKind = keyof typeof MEASURE_KINDS;

export type MeasureResult =
  | { kind: 'strand'; micrometres: number }
  | ({ kind: 'curl' } & CurlMeasure)
  | { kind: 'build-up'; feels: number }
  | { kind: 'ponytail'; circumferenceMm: number }
  | { kind: 'stretch'; wetMm: number; stretchedMm: number; releasedMm: number }
  | { kind: 'shed'; from: number; to: number; days: number; worn: WornMeanwhile };

export interface MeasureReading {
  /** What it comes to, in a few words. */
  says: string;
  /** What that rests on, with its uncertainty and standing. */
  because: string;
  /** A calm pointer to a professional, where there is reason for one. */
  caution: string | null;
}

const SHED_VERDICTS = {
  under: 'fewer than is ordinary',
  ordinary: 'ordinary',
  above: 'somewhat more than is ordinary',
  'far above': 'far more than is ordinary',
} as const;

/** Any measurement in words. Throws a RangeError with a sentence for the user where it cannot be. */
export function readMeasure(result: MeasureResult): MeasureReading {
  switch (result.kind) {
    case 'strand':
      return {
        says: strandClass(result.micrometres),
        because: `${result.micrometres} µm; fine under 60, coarse from 80 (common practice).`,
        caution: null,
      };
    case 'curl': {
      const { index, coil, waves50, types, doubt } = readCurl(result);
      return {
        says: `${Number(result.diameterMm.toFixed(1))} mm across, index ${index.toFixed(1)}, type ${types.join(' or ')}`,
        because: `${waves50.toFixed(1)} waves in 50 mm. Eight types by diameter and index, after Loussouarn et al. 2007; their limits are unchecked and uncertain.${
          doubt
            ? ` These measures do not belong to one even coil: its width and waves would make an index of ${coil.toFixed(1)}. Measure again.`
            : ''
        }`,
        caution: null,
      };
    }
    case 'build-up':
      return {
        says: `${Number(result.feels.toFixed(1))} of 10`,
        because: 'Your own hand; it shifts the build-up ledger for this head.',
        caution: null,
      };
    case 'ponytail':
      return {
        says: `${densityClass(result.circumferenceMm)} density`,
        because: `${Math.round(crossSection(result.circumferenceMm))} mm² across; low under 50 mm around, high from 100 (common practice).`,
        caution: null,
      };
    case 'stretch': {
      const { call, chances } = readStretch(result);
      const others = (Object.keys(chances) as StretchCall[]).filter(
        (key) => key !== call && chances[key] >= 0.05,
      );
      const maybe = others.map((key) => `${STRETCH_CALLS[key].label} ${showPercent(chances[key])}`);
      return {
        says: STRETCH_CALLS[call].label,
        because: `Extension ${showPercent(extension(result))}, recovery ${showPercent(recovery(result))}. Measured again it would read the same ${chances[call] >= 0.995 ? 'nearly always' : `${showPercent(chances[call])} of the time`}${maybe.length ? `, ${maybe.join(', ')}` : ''}. Trade belief.`,
        caution: null,
      };
    }
    case 'shed': {
      const { expected, verdict } = readShed(result.from, result.to, result.days, result.worn);
      return {
        says: SHED_VERDICTS[verdict],
        because: `${expected.low} to ${expected.high} are ordinary after ${result.days} ${result.days === 1 ? 'day' : 'days'} (50 to 100 a day, common practice; how much stays in the hair is a model assumption).`,
        caution:
          verdict === 'far above'
            ? 'One count can mislead; count again next time. If it stays this high, or hair comes out in patches, a dermatologist can tell why.'
            : null,
      };
    }
  }
}
