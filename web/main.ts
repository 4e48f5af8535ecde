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
// React begins in a task of its own: with all the rest it would keep a slow phone from what is tapped meanwhile.
const react = import('react-dom/client');
const screen = react.then(() => page?.load()).catch(() => {});
// A wash day at a step is conducted: what conducts it is fetched beside its screen, not after.
if (new URLSearchParams(location.search).has('step'))
  void react.then(() => import('./screens/wash-day/conductor.tsx'));

void Promise.all([react.then(() => import('./app.tsx')), screen]).then(([{ start }]) => {
  // In a task of its own: what was tapped while the application loaded is heard first.
  setTimeout(() => start(new URL(import.meta.url).pathname));
});
