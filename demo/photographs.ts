import { demoId } from './ids.ts';
import { calendar, type Rows } from './rows.ts';
import { TRIALS } from './trials.ts';
import { zoneId } from './wearers.ts';

/** A photograph of the demo as it was drawn and read once; see `scripts/draw-demo.ts`. */
export interface Drawn {
  file: string;
  trial: string;
  washDay: number;
  day: number;
  angle: string;
  shot: number;
  /** From near: which of the head's zones, its place and side. */
  zone?: readonly [place: string, side: string] | null;
  width: number;
  height: number;
  size: number;
  measured: {
    leftOut: { x: number; y: number }[][];
    taken: Record<string, unknown> | null;
    thinnest: number | null;
    widths: number[];
    notes: readonly string[];
    curlWidth?: number | null;
    readings: { measure: string; value: number | null; why: string | null }[];
  };
}

/** The id of a drawn photograph. */
export const photographId = ({ file }: Drawn): string => demoId(`photograph ${file}`);

const wearerOf = ({ trial }: Drawn): string => TRIALS.find(({ key }) => key === trial)!.wearer;

/** The rows of the demo's photographs and of what was read in them, dated up to `now`. */
export function photographTables(all: readonly Drawn[], now: Date): Rows {
  const { at } = calendar(now);
  const takenAt = ({ trial, washDay, day, shot, angle }: Drawn, later = 0) => {
    const ago = TRIALS.find(({ key }) => key === trial)!.washDaysAgo[washDay]!;
    // Shot again a few minutes later, the hair untouched.
    return at(
      ago - (day - 1),
      (day === 1 ? 11.1 : 8.6) +
        0.05 * shot +
        (angle === 'left' ? 0.02 : angle === 'close-up' ? 0.03 : 0) +
        later,
    );
  };
  return {
    photograph: all.map((one) => ({
      id: photographId(one),
      wash_day_id: demoId(`wash day ${one.trial} ${one.washDay}`),
      stage: 'wear',
      day: one.day,
      angle: one.angle,
      zone_id: one.zone ? zoneId(wearerOf(one), ...one.zone) : null,
      taken_at: takenAt(one),
      type: 'image/jpeg',
      width: one.width,
      height: one.height,
      size: one.size,
    })),
    photograph_measured: all.map((one) => ({
      photograph_id: photographId(one),
      measured_at: takenAt(one, 1),
      rule_mm: 100,
      left_out: one.measured.leftOut,
      card: one.measured.taken?.card ?? null,
      px_per_mm: one.measured.taken?.pxPerMm ?? null,
      edge_mm: one.measured.taken?.edgeMm ?? null,
      tilt: one.measured.taken?.tilt ?? null,
      exposure: one.measured.taken?.exposure ?? null,
      kelvin: one.measured.taken?.kelvin ?? null,
      clipped: one.measured.taken?.clipped ?? null,
      thinnest_mm: one.measured.thinnest,
      widths: one.measured.widths,
      notes: one.measured.notes,
      curl_width_mm: one.measured.curlWidth ?? null,
    })),
    photograph_reading: all.flatMap((one) =>
      one.measured.readings.map((reading) => ({ photograph_id: photographId(one), ...reading })),
    ),
  };
}
