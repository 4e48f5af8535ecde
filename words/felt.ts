import { EFFORT } from '@sabor/core/basin/effort';
import type { Comparison } from '@sabor/core/compare/comparison';
import type { FeltOfArm, FeltRow } from '@sabor/core/compare/felt-by-arm';
import type { UpkeepRow } from '@sabor/core/compare/upkeep';
import { FELT } from '@sabor/core/felt/felt';
import { type ZoneName, zoneWithin } from '@sabor/core/hair/zones';
import { EVENTS } from '@sabor/core/outcomes/events';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { SLOTS } from '@sabor/core/step/slots';
import { counted, rounded } from './numbers.ts';

const wordsOf = (what: FeltRow['what']): readonly string[] =>
  what.is === 'effort' ? EFFORT[what.effort].words : FELT[what.quality].words;

/** What a row of readings is of: "Cast, day 2", "Slip, condition", "Patience it took". */
export function feltHeading(what: FeltRow['what']): string {
  if (what.is === 'effort') return EFFORT[what.effort].label;
  const { where, quality } = what;
  const at = where.at === 'step' ? SLOTS[where.slot].label : stageLabel(where.stage, where.day);
  return `${FELT[quality].label}, ${at.toLowerCase()}`;
}

/** The word that is wished for of a row of readings; null where none is. */
export function wishedInWords(what: FeltRow['what'], wished: Partial<Record<string, number>>): string | null {
  const place = what.is === 'felt' ? wished[what.quality] : undefined;
  return place === undefined ? null : `wished: ${wordsOf(what)[place]}`;
}

/** An arm's readings in words: the middle one, and how many wash days came to each where they did not agree. */
export function feltOfArmInWords(
  what: FeltRow['what'],
  { counts, middle }: FeltOfArm,
): { middle: string; counts: string | null } {
  const words = wordsOf(what);
  if (middle === null) return { middle: 'not read', counts: null };
  const told = counts.flatMap((n, at) => (n > 0 ? [`${words[at]} ${n}`] : []));
  const all = counts.reduce((a, b) => a + b, 0);
  return {
    middle: words[middle]!,
    counts: told.length > 1 ? told.join(' · ') : counted(all, 'wash day'),
  };
}

/** How often something was needed: "5 days, on 3 of 4 wash days". */
export function upkeepInWords({ days, washDays, of }: UpkeepRow['arms'][number]): string {
  if (of === 0) return 'no wash day';
  if (days === 0) return `never, ${counted(of, 'wash day')}`;
  return `${counted(days, 'day')}, on ${washDays} of ${counted(of, 'wash day')}`;
}

/** "Wash day 3, Marsh Gel, crown, left: frizz 2 → 5 once the cast was broken." */
export function holdTooLowInWords(
  { position, arm, zoneId, outcome, when, before, after }: Comparison['holdTooLow'][number],
  arms: readonly string[],
  zones: readonly (ZoneName & { id: string })[],
): string {
  const zone = zones.find(({ id }) => id === zoneId);
  const where = zone ? `, ${zoneWithin(zone)}` : '';
  const then = when === 'cast broken' ? 'once the cast was broken' : 'by evening';
  return `Wash day ${position + 1}, ${arms[arm]}${where}: ${OUTCOMES[outcome].label.toLowerCase()} ${rounded(before)} → ${rounded(after)} ${then}.`;
}

/** What was spoiled and from which day on it is not judged: "Wash day 3, left half: covered, not judged from day 2 on." */
export const spoiledInWords = ({ position, half, fromDay, kind }: Comparison['spoiled'][number]): string =>
  `Wash day ${position + 1}${half ? `, ${half} half` : ''}: ${EVENTS[kind].label.toLowerCase()}, not judged from day ${fromDay} on${half ? ', nor is its other half' : ''}.`;
