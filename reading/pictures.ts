import type { Photograph } from '@sabor/contract/photograph';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { PLACES, zoneLabel } from '@sabor/core/hair/zones';
import type { Stage } from '@sabor/core/outcomes/stages';
import type { Shot } from '@sabor/core/photo/shots';
import { DESIGNS } from '@sabor/core/trial/designs';
import { looksOf } from './looks-of.ts';
import { sidesOf } from './side-of.ts';

/** A stage of a wash day's hair, as pictures are filed. */
export interface PictureLook {
  stage: Stage;
  day: number | null;
}

type Half = 'left' | 'right';

/** The half of a head a picture shows alone: that of its side, or from near that of its zone; null where it shows both. */
function halfIn(
  { angle, zoneId }: Pick<Photograph, 'angle' | 'zoneId'>,
  sideOf: ReturnType<typeof sidesOf>,
): Half | null {
  if (angle === 'left' || angle === 'right') return angle;
  const side = zoneId === null ? 'both' : sideOf(zoneId);
  return side === 'both' ? null : side;
}

/** What a picture shows of the options: the whole head's, or that of the half it shows. */
function armOf(
  { design, arms }: TrialDetail,
  { armId, rightArmId }: Pick<TrialDetail['washDayRecords'][number], 'armId' | 'rightArmId'>,
  half: Half | null,
): number {
  const right = DESIGNS[design].halves && half === 'right';
  return arms.findIndex(({ id }) => id === (right ? (rightArmId ?? armId) : armId));
}

/** The place a picture from near shows; where halves are compared, both halves' places of one name are one. */
function zoneOf(zoneId: string | null, zones: Wearer['zones'], halves: boolean): Shot['zone'] {
  const zone = zones.find(({ id }) => id === zoneId);
  if (!zone) return null;
  const { place, ownName = null } = zone;
  if (halves) return { key: `${place} ${ownName ?? ''}`, label: ownName ?? PLACES[place].label };
  return { key: zone.id, label: zoneLabel({ ...zone, ownName }) };
}

/** The days of a trial that were judged or may yet be: those given up are not. */
const counted = ({ washDayRecords }: TrialDetail) =>
  washDayRecords.filter(({ status }) => status === 'worn' || status === 'finished');

const whole = ({ size, received }: { size: number; received: number }) => received >= size;

/** The looks of a trial that have pictures, in the order hair goes through them. */
export function lookedAt(trial: TrialDetail): PictureLook[] {
  const found = new Map<string, PictureLook>();
  for (const day of counted(trial))
    for (const { stage, day: n, ...photograph } of day.photographs)
      if (whole(photograph)) found.set(`${stage} ${n}`, { stage, day: n });
  const order = ['before', 'wet', 'cast', 'wear'];
  return [...found.values()].sort(
    (a, b) => order.indexOf(a.stage) - order.indexOf(b.stage) || (a.day ?? 0) - (b.day ?? 0),
  );
}

/**
 * A trial's whole photographs of one look, each with the option it shows; unmeasured ones have no reading. What shows hair
 * that something spoiled is left out, as its ratings are.
 */
export function shotsOf(
  trial: TrialDetail,
  wearer: Pick<Wearer, 'zones' | 'curls' | 'timeZone'>,
  look: PictureLook,
): Shot[] {
  const { halves } = DESIGNS[trial.design];
  const sideOf = sidesOf(wearer);
  return counted(trial).flatMap((day) => {
    const isSpoiled = (half: 'left' | 'right' | null) => {
      const { spoiled } = looksOf(day, trial, wearer, half);
      return spoiled !== null && look.stage === 'wear' && look.day! >= spoiled.fromDay;
    };
    /** A picture of one half shows that half; any other shows both. */
    const shows = (half: Half | null): readonly (Half | null)[] =>
      !halves ? [null] : half ? [half] : ['left', 'right'];
    return (
      day.photographs
        .filter((one) => whole(one) && one.stage === look.stage && one.day === look.day)
        .map((one) => ({ ...one, half: halfIn(one, sideOf) }))
        .filter(({ half }) => !shows(half).some(isSpoiled))
        // From near, hair of no one half is no option's.
        .filter(({ angle, half }) => !halves || angle !== 'close-up' || half !== null)
        .flatMap((one) => {
          const readings = one.measured?.readings ?? [];
          // Split at the parting, a picture of both halves is a picture of each.
          const isSplit = halves && one.half === null && readings.some(({ half }) => half !== null);
          return (isSplit ? (['left', 'right'] as const) : [one.half]).map((half) => ({
            id: one.id,
            position: day.position,
            arm: armOf(trial, day, half),
            angle: one.angle,
            zone: zoneOf(one.zoneId, wearer.zones, halves),
            half,
            at: Date.parse(one.takenAt),
            taken: one.measured?.taken ?? null,
            widths: isSplit ? [] : (one.measured?.widths ?? []),
            readings: readings.filter((reading) => reading.half === (isSplit ? half : null)),
          }));
        })
    );
  });
}
