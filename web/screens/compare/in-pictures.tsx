import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import { mean } from '@sabor/core/middle';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { picturesByArm, shotsTogether } from '@sabor/core/photo/by-arm';
import type { PhotoMeasure } from '@sabor/core/photo/measures';
import type { Shot } from '@sabor/core/photo/shots';
import { DESIGNS } from '@sabor/core/trial/designs';
import { lookedAt, type PictureLook, shotsOf } from '@sabor/reading/pictures';
import { captionInWords, VIEWS } from '@sabor/words/photo';
import { useState } from 'react';
import { Link } from 'react-router';
import { ArmName } from '../../drawings/arm-name.tsx';
import { PictureStrip } from '../../drawings/picture-strip.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { HaloByDay, Readings } from './picture-tables.tsx';

const keyOf = ({ stage, day }: PictureLook) => `${stage} ${day ?? ''}`;
const ofTheHead = Object.keys(ANGLES) as Angle[];

/** The wash days of a trial in pictures, option by option, with what was read in them; described, never tested. */
export function InPictures({ trial, wearer }: { trial: TrialDetail; wearer: Wearer }) {
  const looks = lookedAt(trial);
  const judged = looks.find(({ stage, day }) => stage === 'wear' && day === trial.onDay) ?? looks.at(-1);
  const [look, setLook] = useState(judged && keyOf(judged));
  const [angle, setAngle] = useState<Angle>('back');
  const chosen = looks.find((one) => keyOf(one) === look) ?? judged;
  if (!chosen) return null;
  const { halves } = DESIGNS[trial.design];
  const shots = shotsOf(trial, wearer, chosen);
  const angles = ofTheHead.filter((one) => shots.some((shot) => shot.angle === one));
  const from = angles.includes(angle) ? angle : angles[0];
  const rows = picturesByArm(shots, trial.arms.length, halves);
  const names = trial.arms.map(({ name }) => name);
  return (
    <section aria-labelledby="in-pictures">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 id="in-pictures" className="text-xl">
          In pictures
        </h2>
        <div className="flex flex-wrap gap-4 text-sm">
          <InlineChoice
            label="Hair"
            value={keyOf(chosen)}
            options={looks.map((one) => [keyOf(one), stageLabel(one.stage, one.day)] as const)}
            onChange={setLook}
          />
          {!halves && from && (
            <InlineChoice
              label="Seen"
              value={from}
              options={angles.map((one) => [one, VIEWS[one]] as const)}
              onChange={setAngle}
            />
          )}
        </div>
      </div>
      <p className="mb-3 text-soft">
        What was read in the photographs of each wash day. Described, not tested: wash days differ by
        themselves, and by how much pictures alone do not tell.
      </p>
      <div className="space-y-4">
        {names.map((name, arm) => (
          <ArmStrip
            key={name}
            arm={arm}
            name={name}
            shots={shots.filter((shot) => shot.arm === arm && (halves ? isHalf(shot) : shot.angle === from))}
          />
        ))}
      </div>
      <HaloByDay trial={trial} wearer={wearer} looks={looks} from={halves ? undefined : from} names={names} />
      <p className="mt-2">
        <Link
          className="underline underline-offset-4"
          to={`/light-table?${[`head=${trial.wearerId}`, ...firstOfEachArm(shots, from, halves).map((id) => `photograph=${id}`)].join('&')}`}
        >
          Lay them on the light table
        </Link>
      </p>
      {rows.length > 0 ? (
        <Readings rows={rows} names={names} />
      ) : (
        <p className="mt-3 text-soft">
          None of these is measured yet: open a wash day’s photographs and choose Measure.
        </p>
      )}
    </section>
  );
}

/** The first picture of each option, to be laid over each other. */
const firstOfEachArm = (shots: readonly Shot[], from: Angle | undefined, halves: boolean): string[] => {
  const seen = new Map<number, string>();
  for (const shot of shots)
    if ((halves ? isHalf(shot) : shot.angle === from) && !seen.has(shot.arm)) seen.set(shot.arm, shot.id);
  // Split, one picture shows two options.
  return [...new Set(seen.values())];
};

/** A picture that shows one half, alone or split at the parting. */
const isHalf = ({ half, zone }: Shot) => half !== null || zone !== null;

/** The pictures of one option, wash day by wash day, each with its halo; hair shot again is shown once. */
function ArmStrip({ arm, name, shots }: { arm: number; name: string; shots: readonly Shot[] }) {
  if (shots.length === 0) return null;
  return (
    <div>
      <h3>
        <ArmName arm={arm} name={name} />
      </h3>
      <PictureStrip
        pictures={shotsTogether(shots).map((same) => {
          const [shot] = same;
          const read = (of: PhotoMeasure) =>
            mean(same.flatMap(({ readings }) => readings.find(({ measure }) => measure === of)?.value ?? []));
          return {
            id: shot!.id,
            to: `/photo-bench?${same.map(({ id }) => `photograph=${id}`).join('&')}`,
            shows: `Wash day ${shot!.position + 1}, ${[ANGLES[shot!.angle].label, shot!.zone?.label].filter(Boolean).join(', ')}`,
            title: [`Wash day ${shot!.position + 1}`, shot!.zone?.label].filter(Boolean).join(', '),
            note: `${captionInWords(shot!.angle, read('halo'), read('clump-contrast'))}${same.length > 1 ? `, ${same.length} shots` : ''}`,
          };
        })}
      />
    </div>
  );
}
