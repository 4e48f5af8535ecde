import type { Due, Today } from '@sabor/contract/today';
import { localToday } from '@sabor/core/time/today';
import { dueInWords } from '@sabor/words/today';
import { notify, wantsNotices } from '../../devices/notify.ts';
import { get } from '../../http/http.ts';
import { wayTo } from './way-to.ts';

/** How often what is due is looked up while a page lies open, ms. */
const EVERY_MS = 5 * 60_000;
/** What waits for a person and an hour; the rest waits for the next visit. */
const PRESSING: readonly Due['kind'][] = [
  'check-in',
  'announced',
  'later step',
  'night',
  'end wear',
  'start wash day',
  'patch test',
];

/** What is due now and pressing: each with what it is known by, so that it is told once a day. */
export function pressing(due: readonly Due[], today: string): { key: string; one: Due }[] {
  return due
    .filter((one) => PRESSING.includes(one.kind))
    .filter((one) => one.kind !== 'patch test' || one.over)
    .filter((one) => one.kind !== 'start wash day' || (one.on !== null && one.on <= today))
    .map((one) => ({ key: `${today} ${one.kind} ${wayTo(one).to}`, one }));
}

const TOLD = 'sabor reminded of';

function told(): string[] {
  try {
    return JSON.parse(localStorage.getItem(TOLD) ?? '[]');
  } catch {
    return [];
  }
}

/** Tells of what has come due since, once; only while nobody looks at the page. */
async function remind(): Promise<void> {
  if (!wantsNotices() || document.visibilityState === 'visible') return;
  const { due } = await get<Today>('/today');
  const today = localToday();
  const before = told().filter((key) => key.startsWith(today));
  const all = pressing(due, today);
  for (const { key, one } of all.filter(({ key }) => !before.includes(key))) {
    const { title, says } = dueInWords(one, today);
    await notify(key, title, says, wayTo(one).to);
  }
  localStorage.setItem(TOLD, JSON.stringify([...new Set([...before, ...all.map(({ key }) => key)])]));
}

/** Reminds while a page lies open in the background. Gives how it ends. */
export function beginReminding(): () => void {
  const now = () => void remind().catch(() => {});
  const timer = setInterval(now, EVERY_MS);
  document.addEventListener('visibilitychange', now);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', now);
  };
}
