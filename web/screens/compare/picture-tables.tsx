import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Angle } from '@sabor/core/basin/angles';
import { type ArmsInPictures, apartInPictures, picturesByArm } from '@sabor/core/photo/by-arm';
import { PHOTO_MEASURES } from '@sabor/core/photo/measures';
import { DESIGNS } from '@sabor/core/trial/designs';
import { type PictureLook, shotsOf } from '@sabor/reading/pictures';
import { counted } from '@sabor/words/numbers';
import { apartInWords, REFUSALS, readingInWords, unlikeInWords, VIEWS } from '@sabor/words/photo';
import { ArmName } from '../../drawings/arm-name.tsx';

const daysNamed = (positions: readonly number[]) =>
  `${positions.length === 1 ? 'Wash day' : 'Wash days'} ${positions.map((at) => at + 1).join(', ')}`;

/** Means of the wash days, view by view, and how far two options lie apart beside the picture's own error. */
export function Readings({ rows, names }: { rows: readonly ArmsInPictures[]; names: readonly string[] }) {
  return (
    <div className="mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label="Read in pictures">
      <table className="w-full text-left text-[0.95rem]">
        <thead className="text-sm text-soft">
          <tr className="border-b border-rule">
            <th scope="col" className="py-1 pr-4 font-semibold">
              Read in pictures
            </th>
            {names.map((name, arm) => (
              <th key={name} scope="col" className="py-1 pr-4">
                <ArmName arm={arm} name={name} />
              </th>
            ))}
          </tr>
        </thead>
        {rows.map((row) => (
          <RowGroup key={`${row.measure} ${row.view} ${row.zone?.key}`} row={row} names={names} />
        ))}
      </table>
    </div>
  );
}

/** One reading: its options side by side, and under them what they say beside each other, so that no screen is too narrow for it. */
function RowGroup({ row, names }: { row: ArmsInPictures; names: readonly string[] }) {
  const { measure, view, zone, arms, unlike, refused } = row;
  const apart = names.length === 2 ? apartInPictures(row, 0, 1) : null;
  const told = apart !== null || unlike.length > 0 || refused.length > 0;
  return (
    <tbody className="border-b border-rule align-top">
      <tr>
        <th scope="rowgroup" rowSpan={told ? 2 : 1} className="py-2 pr-4 font-normal">
          <span className="font-semibold">{PHOTO_MEASURES[measure].label}</span>, {VIEWS[view]}
          {zone && `, ${zone.label}`}
        </th>
        {arms.map(({ mean, days }, arm) => (
          <td key={names[arm]} className="py-2 pr-4">
            <span className="figure font-semibold">
              {mean === null ? '–' : readingInWords(measure, mean)}
            </span>
            <span className="block text-sm text-soft">{counted(days.length, 'wash day')}</span>
          </td>
        ))}
      </tr>
      {told && (
        <tr>
          <td colSpan={names.length} className="pb-2 text-sm">
            {apart && apartInWords(measure, apart, [names[0]!, names[1]!])}
            {unlike.map(({ position, why, whole }) => (
              <span key={position} className="block text-mango-deep">
                {whole ? daysNamed([position]) : `A picture of wash day ${position + 1}`} left out, beside the
                others: {why.map(unlikeInWords).join(' ')}
              </span>
            ))}
            {[...new Set(refused.map(({ why }) => why))].map((why) => (
              <span key={why} className="block text-soft">
                {daysNamed(refused.filter((one) => one.why === why).map(({ position }) => position))}:{' '}
                {REFUSALS[why]}
              </span>
            ))}
          </td>
        </tr>
      )}
    </tbody>
  );
}

/** The halo from one view over the days worn, option by option; nothing where pictures show one day alone. */
export function HaloByDay({
  trial,
  wearer,
  looks,
  from,
  names,
}: {
  trial: TrialDetail;
  wearer: Wearer;
  looks: readonly PictureLook[];
  /** In half-head designs each half is seen from its own side. */
  from: Angle | undefined;
  names: readonly string[];
}) {
  const { halves } = DESIGNS[trial.design];
  const days = looks.flatMap((look) => {
    const row = picturesByArm(shotsOf(trial, wearer, look), names.length, halves).find(
      ({ measure, view }) => measure === 'halo' && (halves || view === from),
    );
    return look.day !== null && row ? [{ day: look.day, row }] : [];
  });
  if (days.length < 2) return null;
  return (
    <details className="mt-2">
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">Frizz halo over the days</summary>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Frizz halo over the days">
        <table className="text-left text-[0.95rem]">
          <thead className="text-sm text-soft">
            <tr className="border-b border-rule">
              <th scope="col" className="py-1 pr-6 font-semibold">
                Day worn
              </th>
              {names.map((name, arm) => (
                <th key={name} scope="col" className="py-1 pr-6">
                  <ArmName arm={arm} name={name} />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {days.map(({ day, row }) => (
              <tr key={day} className="border-b border-rule">
                <th scope="row" className="py-1 pr-6 font-normal">
                  {day}
                </th>
                {row.arms.map(({ mean, days: of }, arm) => (
                  <td key={names[arm]} className="py-1 pr-6">
                    <span className="figure">{mean === null ? '–' : readingInWords('halo', mean)}</span>{' '}
                    <span className="text-sm text-soft">
                      {of.length > 0 && counted(of.length, 'wash day')}
                    </span>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
