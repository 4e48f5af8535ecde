import type { WearEvent } from '@sabor/contract/check-in';
import { type ZoneName, zoneWithin } from '@sabor/core/hair/zones';
import { EVENT_CAME, EVENTS, eventOf } from '@sabor/core/outcomes/events';
import { TOOLS } from '@sabor/core/step/choices';
import { doseInWords } from './dose.ts';
import type { Voice } from './voice.ts';

type Zone = ZoneName & { id: string };

/** Where on the head something was: nothing for all of it, a half, one zone, or so many. */
export function whereInWords(zoneIds: readonly string[], zones: readonly Zone[]): string {
  if (zoneIds.length === 0) return '';
  const of = zones.filter(({ id }) => zoneIds.includes(id));
  for (const side of ['left', 'right'] as const)
    if (of.length > 1 && of.length === zones.filter((zone) => zone.side === side).length)
      if (of.every((zone) => zone.side === side)) return `${side} half`;
  return of.length === 1 ? zoneWithin(of[0]!) : `${of.length} zones`;
}

/** What happened to hair or was done to it, in a phrase: "edges redone, Marsh Gel, 1 pea, fingers, left half". */
export function eventInWords(
  { kind, note, how, productId, dose, tool, zoneIds, spoiledAt, announced, came }: WearEvent,
  zones: readonly Zone[],
  voice: Voice,
): string {
  const { label, as } = eventOf(kind);
  return [
    how ? `${label.toLowerCase()} ${as?.[how]?.label ?? ''}`.trim() : EVENTS[kind].label.toLowerCase(),
    kind === 'disliked' && note,
    productId && voice.product(productId),
    dose && doseInWords(dose),
    tool && TOOLS[tool].label,
    whereInWords(zoneIds, zones),
    spoiledAt && 'spoiled',
    announced && (came ? EVENT_CAME[came].label : 'announced'),
  ]
    .filter(Boolean)
    .join(', ');
}
