import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { mainResult, ratedBy } from '@sabor/core/compare/main-result';
import { dayNumber } from '@sabor/core/outcomes/day-number';
import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { PARTS_OF_DAY, stageLabel } from '@sabor/core/outcomes/stages';
import { keysOf } from '@sabor/core/vocabulary';
import { withNearness } from '@sabor/reading/main-of';
import { counted } from '@sabor/words/numbers';
import { useSettings } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { Term } from '../../ui/term.tsx';
import { airLine } from '../weather/air-words.ts';
import { type Look, stagePath } from '../worn/look-path.ts';

export const lookPath = (washDayId: string, look: Look) => `/wash-days/${washDayId}/look/${stagePath(look)}`;

/** Every look at this wash day's hair: those taken, the one that is due, and those still to come or missed. */
export function Looks({
  day,
  trial,
  wearer,
  open,
}: {
  day: WashDay;
  trial: TrialDetail;
  wearer: Wearer;
  open: boolean;
}) {
  const settings = useSettings();
  const today = wearDate(new Date().toISOString(), wearer.timeZone);
  const reached =
    day.revealAt === null ? 0 : (dayOfWear(wearDate(day.revealAt, wearer.timeZone), today) ?? 0);
  const last = Math.max(trial.wearDays, ...day.checkIns.map((checkIn) => checkIn.day ?? 0));
  const looks: Look[] = [
    ...(['before', 'wet', 'cast'] as const).map((stage): Look => ({ stage, day: null, part: 'first' })),
    ...Array.from({ length: last }, (_, i) => i + 1).flatMap((n) =>
      keysOf(PARTS_OF_DAY)
        .filter(
          (part) => part === 'first' || day.checkIns.some((known) => known.day === n && known.part === part),
        )
        .map((part): Look => ({ stage: 'wear', day: n, part })),
    ),
  ];
  const rated = ratedBy(trial.primary);
  const weights = new Map(trial.weights.map(({ zoneId, weight }) => [zoneId, weight]));
  const isDue = (look: Look) =>
    look.stage === 'wear'
      ? look.day === reached && look.part === 'first'
      : look.stage !== 'before' && day.revealAt === null;
  const shot = (look: Look) =>
    day.photographs.filter(
      ({ stage, day: n, size, received }) => stage === look.stage && n === look.day && received >= size,
    ).length;
  return (
    <section aria-labelledby="looks">
      <h2 id="looks" className="mb-1 text-xl">
        Check-ins
      </h2>
      <p className="text-soft">
        Rated <Term of="zone">zone</Term> by zone, 0 to 10; <Term of="days-worn">days worn</Term> are counted
        from the finished hair.
      </p>
      <ol className="mt-2">
        {looks.map((look) => {
          const taken = day.checkIns.find(
            (known) => known.stage === look.stage && known.day === look.day && known.part === look.part,
          );
          const primary = taken
            ? dayNumber(
                withNearness(day, trial.primary)
                  .checkIns.find(({ id }) => id === taken.id)!
                  .ratings.filter(({ outcome }) => outcome === rated),
                weights,
              )
            : null;
          const may = open && (look.stage !== 'wear' || look.day! <= reached);
          const label = stageLabel(look.stage, look.day, look.part);
          const verb = taken ? 'Change' : isDue(look) ? 'Check in' : 'Add';
          return (
            <li
              key={label}
              className="flex min-h-12 flex-wrap items-center justify-between gap-3 border-b border-rule py-1"
            >
              <span className="w-36 font-semibold">{label}</span>
              <span className="flex-1 text-soft">
                {taken
                  ? `${counted(taken.ratings.length, 'rating')}${taken.felt.length ? `, ${taken.felt.length} in words` : ''}${taken.curls.length ? `, ${taken.curls.length} curls` : ''}${primary === null ? '' : ` · ${mainResult(rated).label.toLowerCase()} ${primary.toFixed(1)}`}`
                  : look.stage === 'wear' && look.day! > reached
                    ? day.revealAt === null
                      ? 'once the hair is finished'
                      : 'to come'
                    : isDue(look)
                      ? 'due'
                      : 'not taken'}
                {taken?.air && <span className="block text-sm">{airLine(taken.air, settings)}</span>}
              </span>
              {look.stage !== 'before' && look.part === 'first' && (may || shot(look) > 0) && (
                <ButtonLink
                  look="quiet"
                  to={`/wash-days/${day.id}/photographs/${stagePath({ ...look, part: 'first' })}`}
                  aria-label={`${shot(look) === 0 ? 'Photographs' : counted(shot(look), 'photograph')}: ${label}`}
                >
                  {shot(look) === 0 ? 'Photographs' : counted(shot(look), 'photograph')}
                </ButtonLink>
              )}
              {may && (
                <ButtonLink
                  look={isDue(look) && !taken ? 'main' : 'quiet'}
                  to={lookPath(day.id, look)}
                  aria-label={`${verb}: ${label}`}
                >
                  {verb}
                </ButtonLink>
              )}
            </li>
          );
        })}
      </ol>
      {open && reached > 0 && (
        <p className="mt-2 flex flex-wrap gap-x-4">
          <span className="py-2 text-soft">Another check-in today:</span>
          {keysOf(PARTS_OF_DAY)
            .filter((part) => part !== 'first')
            .map((part) => (
              <ButtonLink
                key={part}
                look="quiet"
                to={lookPath(day.id, { stage: 'wear', day: reached, part })}
              >
                {PARTS_OF_DAY[part].label}
              </ButtonLink>
            ))}
        </p>
      )}
    </section>
  );
}
