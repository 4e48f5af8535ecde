import type { AirFacts } from '@sabor/core/climate/air-ahead';
import { beaufort } from '@sabor/core/climate/beaufort';
import { temperatureScale } from '@sabor/core/units/preferences';
import { fixed } from './numbers.ts';
import type { Voice } from './voice.ts';

/** What the air at a place means for a wash day, in sentences with their numbers. */
export function airInWords(air: AirFacts, place: string, { units }: Pick<Voice, 'units'>): string {
  const { show, sign } = temperatureScale(units.temperature);
  const bare = (celsius: number) => fixed(show(celsius), 1);
  const degrees = (celsius: number) => `${bare(celsius)} ${sign}`;
  const { now, usual, dewPoint, next, met } = air;
  const meaning = dewPoint
    ? `; dew point ${degrees(dewPoint.celsius)}, ${dewPoint.label}: ${dewPoint.says}`
    : '';
  const told: string[] = [];
  if (now) {
    const water =
      now.regain === null ? 'hair takes up water fast' : `hair holds about ${now.regain.toFixed(0)} % water`;
    told.push(
      `Now at ${place}: ${degrees(now.temperatureC)} and ${Math.round(now.humidity)} % humidity, where ${water}${meaning}.`,
    );
    if (now.windMs !== null)
      told.push(`Wind ${now.windMs} m/s, ${beaufort(now.windMs).label}: a day for pins or indoors.`);
  }
  if (usual)
    told.push(
      `No reading from ${place} right now. Usual for the month: ${bare(usual.lowC)} to ${degrees(usual.highC)}, ${Math.round(usual.humidity)} % humidity${meaning}.`,
    );
  if (next) told.push(`Next 24 hours: dew point ${bare(next.lowC)} to ${degrees(next.highC)}.`);
  if (met) {
    const range = met.lowC === met.highC ? degrees(met.lowC) : `${bare(met.lowC)} to ${degrees(met.highC)}`;
    told.push(
      met.apart
        ? `The wash days of this trial so far had ${range}: this one would be ${met.apart} than all of them.`
        : `The wash days of this trial so far had ${range}.`,
    );
  }
  return told.join(' ');
}
