import { CARE } from '@sabor/core/hair/care-kinds';
import type { Collision } from '@sabor/core/hair/collisions';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { dateInWords } from './dates.ts';

/** What a trial would meet, said beside today (yyyy-mm-dd): "Trim is due on Tue 15 Dec: have it before the first wash day …". */
export function collisionInWords(collision: Collision, today: string): string {
  const on = dateInWords(collision.on, today);
  if ('due' in collision) return `${CARE[collision.due].label} is due on ${on}: ${collision.says}.`;
  const { event, settled, says } = collision;
  const later = settled === null ? '' : ` Better to begin on ${dateInWords(settled, today)} or later.`;
  return `${HAIR_EVENTS[event].label} on ${on}: ${says}.${later}`;
}
