import type { Due } from '@sabor/contract/today';
import { describe, expect, it } from 'vitest';
import { dueInWords } from './today.ts';

const day = { trialId: 't', question: 'Which gel?', wearerName: 'Una', number: 2, of: 8, washDayId: 'd' };
const says = (due: Due) => dueInWords(due, '2026-11-27').says;

const PATCH = {
  kind: 'patch test',
  wearerId: 'w',
  wearerName: 'Una',
  productName: 'Gel',
  until: '2026-11-28T23:05:59.900Z',
  timeZone: 'Europe/Berlin',
} as const;

describe('what is due in words', () => {
  it.each<[Due, string]>([
    [
      { kind: 'start wash day', ...day, number: 1, begun: false, on: null },
      'Wash day 1 of 8 for Una, planned and not begun.',
    ],
    [
      { kind: 'start wash day', ...day, begun: true, on: '2026-11-30' },
      'Wash day 2 of 8 for Una. Which option it is stays sealed until you start. On the calendar for Mon 30 Nov.',
    ],
    [{ kind: 'continue wash day', ...day }, 'Wash day 2 of 8 for Una is under way.'],
    [
      { kind: 'check-in', ...day, stage: 'wear', day: 1 },
      'Wash day 2 of 8 for Una: check-in due, finished hair, day 1.',
    ],
    [
      { kind: 'end wear', ...day },
      'Wash day 2 of 8 for Una: its planned days are over. Say how it ended: washed or restyled.',
    ],
    [{ kind: 'night', ...day, setWaits: false }, 'Wash day 2 of 8 for Una: what protects the hair tonight?'],
    [
      { ...PATCH, over: false },
      'On Una’s inner arm until Sun 29 Nov, 00:05. Stop at burning, hives or swelling, and see a doctor.',
    ],
    [{ ...PATCH, over: true }, 'On Una’s inner arm; its 48 hours are over. Say how the skin looks.'],
    [
      { kind: 'bottle', productId: 'p', productName: 'Gel', last: '2026-12-22', past: false },
      'Good until Tue 22 Dec, the end of its period after opening.',
    ],
    [
      { kind: 'care', wearerId: 'w', wearerName: 'Una', care: [{ kind: 'trim', over: 1, calledBy: null }] },
      'Due: trim (1 day overdue).',
    ],
  ])('%j', (due, words) => expect(says(due)).toBe(words));
});
