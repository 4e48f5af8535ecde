import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Stage } from '@sabor/core/outcomes/stages';
import type { Shot } from '@sabor/core/photo/by-arm';
import { DESIGNS } from '@sabor/core/trial/designs';
import { looksOf } from './looks-of.ts';

/** A stage of a wash day's hair, as pictures are filed. */
export interface PictureLook {
  stage: Stage;
  day: number | null;
}

/** What a picture shows of the options: the whole head's, or that of the half it is taken from. */
function armOf(
  { design, arms }: TrialDetail,
  { armId, rightArmId }: Pick<TrialDetail['washDayRecords'][number], 'armId' | 'rightArmId'>,
  angle: Shot['angle'],
): number {
  const right = DESIGNS[design].halves && angle === 'right';
  return arms.findIndex(({ id }) => id === (right ? (rightArmId ?? armId) : armId));
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
  return counted(trial).flatMap((day) => {
    const isSpoiled = (half: 'left' | 'right' | null) => {
      const { spoiled } = looksOf(day, trial, wearer, half);
      return spoiled !== null && look.stage === 'wear' && look.day! >= spoiled.fromDay;
    };
    /** A picture from a side shows its half; any other shows both. */
    const shows = (angle: Shot['angle']): readonly ('left' | 'right' | null)[] =>
      !halves ? [null] : angle === 'left' || angle === 'right' ? [angle] : ['left', 'right'];
    return day.photographs
      .filter((one) => whole(one) && one.stage === look.stage && one.day === look.day)
      .filter(({ angle }) => !shows(angle).some(isSpoiled))
      .map((one) => ({
        id: one.id,
        position: day.position,
        arm: armOf(trial, day, one.angle),
        angle: one.angle,
        at: Date.parse(one.takenAt),
        taken: one.measured?.taken ?? null,
        widths: one.measured?.widths ?? [],
        readings: one.measured?.readings ?? [],
      }));
  });
}
