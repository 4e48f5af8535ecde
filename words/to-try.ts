import type { ToTry } from '@sabor/contract/today';
import { SLOTS } from '@sabor/core/step/slots';
import { dateInWords } from './dates.ts';
import { ideaInWords } from './idea.ts';

/** What waits to be tried, in a title and a sentence. `today` is yyyy-mm-dd. */
export function toTryInWords(one: ToTry, today: string): { title: string; says: string } {
  switch (one.kind) {
    case 'retest':
      return {
        title: one.question,
        says: `To be run again on ${one.wearerName}’s head${one.why === '' ? '.' : `: ${one.why}`}`,
      };
    case 'formula':
      return {
        title: one.question,
        says: `${one.productName} has another formula since ${dateInWords(one.until, today)}: what was found on ${one.wearerName}’s head was found with the earlier one.`,
      };
    case 'idea': {
      const where = SLOTS[one.at].label;
      return {
        title: `${where}: ${ideaInWords(one, one.productName)}`,
        says: `Came to mind on ${one.wearerName}’s wash day, ${dateInWords(one.on, today)}.`,
      };
    }
    case 'untried':
      return {
        title: one.productName,
        says: `Of ${one.lineName}, of which another was used. Not tried yet.`,
      };
  }
}
