import { askEarly, heardEarly } from './http/early.ts';
import { pageAt } from './pages.ts';
import './styles.css';

// What the first page is made of is asked for at once, while the application itself is still on its way.
const page = pageAt(location.pathname);
// What a stranger, a rater or a wearer opens asks for its own alone.
if (!/^\/(own|sign-in)(\/|$)/.test(location.pathname))
  for (const path of ['/settings', ...(page?.asks ?? [])]) askEarly(path);
void heardEarly(page?.asks[0] ?? '').then((answer) => {
  if (answer) for (const path of page?.follows(answer) ?? []) askEarly(path);
});
const screen = page?.load().catch(() => {});
// A wash day at a step is conducted: what conducts it is fetched beside its screen, not after.
if (new URLSearchParams(location.search).has('step')) void import('./screens/wash-day/conductor.tsx');

// React makes errors as it loads, which nobody reads; for the place of each, V8 reads all of React a second time.
const { stackTraceLimit } = Error;
Error.stackTraceLimit = 0;
const app = import('./app.tsx').finally(() => {
  Error.stackTraceLimit = stackTraceLimit;
});
void Promise.all([app, screen]).then(([{ start }]) => {
  // In a task of its own: what was tapped while the application loaded is heard first.
  setTimeout(() => start(new URL(import.meta.url).pathname));
});
