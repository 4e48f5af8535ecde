import type { AirForWashDay, Due } from '@sabor/contract/today';
import { CARE } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { PATCH_HOURS } from '@sabor/core/hair/patch-test';
import { EVENTS } from '@sabor/core/outcomes/events';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { SLOTS } from '@sabor/core/step/slots';
import { airInWords } from './air.ts';
import { dateInWords, momentInWords } from './dates.ts';
import { counted } from './numbers.ts';
import type { Voice } from './voice.ts';

/** What is due, in a title and a sentence. `today` is yyyy-mm-dd. */
export function dueInWords(due: Due, today: string): { title: string; says: string } {
  if (due.kind === 'read')
    return {
      title: due.question,
      says: `Finished. The comparison is ready to read${
        due.written > 0 ? `; ${due.written} of ${due.products} verdicts are written` : ''
      }.`,
    };
  if (due.kind === 'left open')
    return { title: `${due.name} on ${due.wearerName}`, says: `Its verdict left this open: ${due.what}` };
  if (due.kind === 'care') {
    const told = due.care.map(({ kind, over, calledBy }) => {
      const why = calledBy
        ? `after ${HAIR_EVENTS[calledBy].label.toLowerCase()}`
        : over === 0
          ? 'today'
          : `${counted(over, 'day')} overdue`;
      return `${CARE[kind].label.toLowerCase()} (${why})`;
    });
    return { title: `Care for ${due.wearerName}`, says: `Due: ${told.join(', ')}.` };
  }
  if (due.kind === 'problems') {
    const told = due.problems.map(({ what, since }) => `${what} (since ${dateInWords(since, today)})`);
    return { title: `Open on ${due.wearerName}’s head`, says: `${told.join('; ')}.` };
  }
  if (due.kind === 'patch test') {
    const until = momentInWords(due.until, due.timeZone, today);
    return {
      title: `Patch test: ${due.productName}`,
      says: due.over
        ? `On ${due.wearerName}’s inner arm; its ${PATCH_HOURS} hours are over. Say how the skin looks.`
        : `On ${due.wearerName}’s inner arm until ${until}. Stop at burning, hives or swelling, and see a doctor.`,
    };
  }
  if (due.kind === 'bottle') {
    const last = dateInWords(due.last, today);
    return {
      title: due.productName,
      says: due.past
        ? `Past its period after opening since ${last}. Do not use it, do not test it.`
        : `Good until ${last}, the end of its period after opening.`,
    };
  }
  // A wash day by itself is the only one there is of it.
  const at =
    due.of === 1
      ? `Wash day of ${due.wearerName}`
      : `Wash day ${due.number} of ${due.of} for ${due.wearerName}`;
  const says = (() => {
    switch (due.kind) {
      case 'start wash day':
        return [
          due.begun
            ? `${at}. Which option it is stays sealed until you start.`
            : `${at}, planned and not begun.`,
          ...(due.on === null ? [] : [`On the calendar for ${dateInWords(due.on, today)}.`]),
        ].join(' ');
      case 'continue wash day':
        return `${at} is under way.`;
      case 'end wear':
        return `${at}: its planned days are over. Say how it ended: washed or restyled.`;
      case 'check-in':
        return `${at}: check-in due, ${stageLabel(due.stage, due.day).toLowerCase()}.`;
      case 'announced':
        return `${at}: ${EVENTS[due.event].label.toLowerCase()} was announced for ${dateInWords(due.on, today)}. Say what it came to.`;
      case 'later step':
        return `${at}: ${SLOTS[due.slot].label.toLowerCase()}${due.half ? `, ${due.half} half` : ''}, planned for a day worn that has come.`;
      case 'night':
        return `${at}: what protects the hair tonight?${due.setWaits ? ' The set goes on drying and is taken down tomorrow.' : ''}`;
    }
  })();
  return { title: due.question, says };
}

/** What the air means for a wash day, or why nothing is known of it. */
export function airForWashDayInWords({ wearerName, place, air }: AirForWashDay, voice: Voice): string {
  if (place === null)
    return `Sabor does not know where ${wearerName} is. Say so under Weather, and the air is recorded by itself.`;
  return air
    ? airInWords(air, place.name, voice)
    : `No reading from ${place.name} right now, and no usual months. Add readings under Weather.`;
}
