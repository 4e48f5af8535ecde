import { startBy } from '@sabor/core/basin/lay-out';
import { type DryingForecast, FEWEST, FOUR_OF_FIVE } from '@sabor/core/hair/drying';
import { counted } from '@sabor/words/numbers';
import { showShare } from '../../ui/show.ts';

const chanceInWords = (chance: number) =>
  chance < 0.01 ? 'under 1 %' : chance > 0.99 ? 'over 99 %' : showShare(chance);

/** When to begin so that the hair is dry in time, and what beginning later is worth, by how this head dries. */
export function DryBy({
  forecast,
  differ,
  toWashed,
  doneBy,
  free,
  start,
}: {
  forecast: DryingForecast;
  /** The options dry in different ways, and this is of the slowest. */
  differ: boolean;
  toWashed: number;
  doneBy: string;
  free: number;
  start: string | null;
}) {
  if (start === null) return null;
  if (forecast.tooFew)
    return (
      <p className="mt-2">
        When it will be dry is not known: {forecast.runs === 0 ? 'no day' : counted(forecast.runs, 'day')}{' '}
        worked and dried like this {forecast.runs > 1 ? 'were' : 'was'} timed to fully dry; {FEWEST.told} are
        needed.
      </p>
    );
  return (
    <p className="mt-2">
      To be fully dry by {doneBy} on four of five such days, start by{' '}
      <strong className="figure">{startBy(doneBy, toWashed + forecast.within(FOUR_OF_FIVE))}</strong>:{' '}
      {Math.round(toWashed)} min until it is washed, and {forecast.runs} days of this head dried like this
      {differ && ' (the options dry in different ways; this is the slowest)'}. Started at {start}, the chance
      is {chanceInWords(forecast.chance(free - toWashed))}.
    </p>
  );
}
