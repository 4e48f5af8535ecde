import type { ComponentType } from 'react';

export interface Page {
  path: string;
  load: () => Promise<ComponentType>;
  /** What it asks the server for as it opens. */
  asks: readonly string[];
  /** What it asks for once the first of these is answered, because the answer names it. */
  follows: (answer: Record<string, unknown>) => readonly string[];
}

const page = (
  path: string,
  load: Page['load'],
  asks: readonly string[] = [],
  follows: Page['follows'] = () => [],
): Page => ({ path, load, asks, follows });

const trialAndHead: Page['follows'] = ({ trialId, wearerId }) => [
  `/trials/${trialId}`,
  `/wearers/${wearerId}`,
];
const headOfTrial: Page['follows'] = ({ wearerId }) => [
  `/wearers/${wearerId}`,
  `/wearers/${wearerId}/file`,
  `/wearers/${wearerId}/ledger`,
];

/** Every page: its address, its screen, which is fetched when it is first gone to, and what that asks for at once. */
export const PAGES: readonly Page[] = [
  page('', async () => (await import('./screens/today/screen.tsx')).TodayScreen, [
    '/today',
    '/trials',
    '/memos',
  ]),
  page('shelf', async () => (await import('./screens/shelf/screen.tsx')).ShelfScreen, ['/shelf']),
  page('shelf/import', async () => (await import('./screens/shelf/import.tsx')).ShelfImportScreen),
  page('shelf/buying', async () => (await import('./screens/shelf/buying.tsx')).BuyingScreen, [
    '/buying',
    '/shelf',
  ]),
  page('shelf/mixes', async () => (await import('./screens/shelf/mixes.tsx')).MixesScreen, [
    '/recipes',
    '/shelf',
  ]),
  page('shelf/new', async () => (await import('./screens/shelf/product.tsx')).ProductScreen),
  page('shelf/:id', async () => (await import('./screens/shelf/known.tsx')).KnownScreen, [
    '/shelf',
    '/verdicts',
    '/products/:id/used',
  ]),
  page('shelf/:id/edit', async () => (await import('./screens/shelf/product.tsx')).ProductScreen),
  page('heads', async () => (await import('./screens/heads/screen.tsx')).HeadsScreen, ['/wearers']),
  page('heads/new', async () => (await import('./screens/heads/wearer.tsx')).WearerScreen),
  page('heads/:id', async () => (await import('./screens/heads/file.tsx')).ProfileScreen),
  page('heads/:id/edit', async () => (await import('./screens/heads/wearer.tsx')).WearerScreen),
  page('routines', async () => (await import('./screens/routines/screen.tsx')).RoutinesScreen, ['/routines']),
  page('routines/:id', async () => (await import('./screens/routines/routine.tsx')).RoutineScreen),
  page('trials', async () => (await import('./screens/trials/screen.tsx')).TrialsScreen, ['/trials']),
  page('trials/:id', async () => (await import('./screens/trials/trial.tsx')).TrialScreen, [
    '/trials/:id',
    '/shelf',
  ]),
  page('trials/:id/plan', async () => (await import('./screens/trials/plan.tsx')).PlanScreen),
  page(
    'trials/:id/compare',
    async () => (await import('./screens/compare/screen.tsx')).ComparisonScreen,
    ['/trials/:id', '/shelf'],
    headOfTrial,
  ),
  page(
    'trials/:id/report',
    async () => (await import('./screens/report/screen.tsx')).ReportScreen,
    ['/trials/:id', '/shelf', '/verdicts'],
    headOfTrial,
  ),
  page('trials/:id/sample', async () => (await import('./screens/compare/sample.tsx')).SampleScreen, [
    '/trials/:id',
    '/shelf',
  ]),
  page('trials/:id/lay-out', async () => (await import('./screens/lay-out/screen.tsx')).LayOutScreen),
  page('calendar', async () => (await import('./screens/calendar/screen.tsx')).CalendarScreen),
  page('wash-days', async () => (await import('./screens/wash-days/screen.tsx')).WashDaysScreen, [
    '/wash-days',
  ]),
  page(
    'wash-days/import',
    async () => (await import('./screens/wash-days/import.tsx')).WashDaysImportScreen,
    ['/wash-days'],
  ),
  page('wash-days/new', async () => (await import('./screens/wash-days/log.tsx')).LogScreen, [
    '/wearers',
    '/routines',
  ]),
  page(
    'wash-days/:id/afterwards',
    async () => (await import('./screens/wash-days/afterwards.tsx')).AfterwardsScreen,
    ['/wash-days/:id', '/shelf'],
  ),
  page(
    'wash-days/:id',
    async () => (await import('./screens/wash-day/screen.tsx')).WashDayScreen,
    ['/wash-days/:id', '/shelf'],
    trialAndHead,
  ),
  page(
    'wash-days/:id/look/:stage',
    async () => (await import('./screens/check-in/screen.tsx')).CheckInScreen,
    ['/wash-days/:id'],
  ),
  page(
    'wash-days/:id/photographs/:stage',
    async () => (await import('./screens/photographs/screen.tsx')).PhotographsScreen,
    ['/wash-days/:id'],
  ),
  page('board', async () => (await import('./screens/board/screen.tsx')).BoardScreen, [
    '/wearers',
    '/trials',
    '/shelf',
  ]),
  page('verdicts/:id', async () => (await import('./screens/verdict/screen.tsx')).VerdictScreen, [
    '/verdicts',
    '/shelf',
    '/wearers',
  ]),
  page(
    'verdicts/:id/report',
    async () => (await import('./screens/report/of-verdict.tsx')).VerdictReportScreen,
    ['/verdicts', '/shelf'],
  ),
  page('panels/:id', async () => (await import('./screens/panel/screen.tsx')).PanelScreen),
  page('side-by-side', async () => (await import('./screens/side-by-side/screen.tsx')).SideBySideScreen),
  page('trials/:id/codes', async () => (await import('./screens/trials/codes.tsx')).CodesScreen),
  page('screen', async () => (await import('./screens/screen/screen.tsx')).ScreeningScreen),
  page('screen/label', async () => (await import('./screens/screen/label.tsx')).LabelScreen),
  page('weather', async () => (await import('./screens/weather/screen.tsx')).WeatherScreen, ['/weather']),
  page('weather/new', async () => (await import('./screens/weather/edit.tsx')).PlaceEditScreen),
  page('weather/:id', async () => (await import('./screens/weather/place.tsx')).PlaceScreen),
  page('weather/:id/edit', async () => (await import('./screens/weather/edit.tsx')).PlaceEditScreen),
  page('light-table', async () => (await import('./screens/light-table/screen.tsx')).LightTableScreen),
  page('photo-bench', async () => (await import('./screens/photo-bench/screen.tsx')).PhotoBenchScreen),
  page('phone', async () => (await import('./screens/access/screen.tsx')).AccessScreen, ['/access']),
  page('welcome', async () => (await import('./screens/access/welcome.tsx')).WelcomeScreen, ['/me']),
  page('help', async () => (await import('./screens/help/screen.tsx')).HelpScreen),
  page('data', async () => (await import('./screens/data/screen.tsx')).DataScreen),
];

const parts = (path: string) => path.split('/').filter(Boolean);

/** The page at an address, with what it asks for; undefined where there is none. */
export function pageAt(pathname: string): Omit<Page, 'path'> | undefined {
  const here = parts(pathname);
  const found = PAGES.filter(({ path }) => {
    const wanted = parts(path);
    return (
      wanted.length === here.length && wanted.every((part, i) => part.startsWith(':') || part === here[i])
    );
  }).sort((a, b) => a.path.split(':').length - b.path.split(':').length)[0];
  if (!found) return undefined;
  const named = new Map(parts(found.path).map((part, i) => [part, here[i]!]));
  const asks = found.asks.map(
    (ask) =>
      `/${parts(ask)
        .map((part) => named.get(part) ?? part)
        .join('/')}`,
  );
  return { load: found.load, asks, follows: found.follows };
}
