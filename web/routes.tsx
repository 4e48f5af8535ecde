import { createBrowserRouter } from 'react-router';
import { Frame } from './frame.tsx';
import { Broken } from './screens/broken.tsx';

/** A screen that is fetched when it is first gone to. */
const screen = (load: () => Promise<React.ComponentType>) => async () => ({ Component: await load() });

export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <Broken />,
    children: [
      { index: true, lazy: screen(async () => (await import('./screens/today/screen.tsx')).TodayScreen) },
      { path: 'shelf', lazy: screen(async () => (await import('./screens/shelf/screen.tsx')).ShelfScreen) },
      {
        path: 'shelf/import',
        lazy: screen(async () => (await import('./screens/shelf/import.tsx')).ShelfImportScreen),
      },
      {
        path: 'shelf/:id',
        lazy: screen(async () => (await import('./screens/shelf/product.tsx')).ProductScreen),
      },
      { path: 'heads', lazy: screen(async () => (await import('./screens/heads/screen.tsx')).HeadsScreen) },
      {
        path: 'heads/new',
        lazy: screen(async () => (await import('./screens/heads/wearer.tsx')).WearerScreen),
      },
      {
        path: 'heads/:id',
        lazy: screen(async () => (await import('./screens/heads/file.tsx')).ProfileScreen),
      },
      {
        path: 'heads/:id/edit',
        lazy: screen(async () => (await import('./screens/heads/wearer.tsx')).WearerScreen),
      },
      {
        path: 'routines',
        lazy: screen(async () => (await import('./screens/routines/screen.tsx')).RoutinesScreen),
      },
      {
        path: 'routines/:id',
        lazy: screen(async () => (await import('./screens/routines/routine.tsx')).RoutineScreen),
      },
      {
        path: 'trials',
        lazy: screen(async () => (await import('./screens/trials/screen.tsx')).TrialsScreen),
      },
      {
        path: 'trials/:id',
        lazy: screen(async () => (await import('./screens/trials/trial.tsx')).TrialScreen),
      },
      {
        path: 'trials/:id/plan',
        lazy: screen(async () => (await import('./screens/trials/plan.tsx')).PlanScreen),
      },
      {
        path: 'trials/:id/compare',
        lazy: screen(async () => (await import('./screens/compare/screen.tsx')).ComparisonScreen),
      },
      {
        path: 'trials/:id/lay-out',
        lazy: screen(async () => (await import('./screens/lay-out/screen.tsx')).LayOutScreen),
      },
      {
        path: 'wash-days/:id',
        lazy: screen(async () => (await import('./screens/wash-day/screen.tsx')).WashDayScreen),
      },
      {
        path: 'wash-days/:id/look/:stage',
        lazy: screen(async () => (await import('./screens/check-in/screen.tsx')).CheckInScreen),
      },
      {
        path: 'wash-days/:id/photographs/:stage',
        lazy: screen(async () => (await import('./screens/photographs/screen.tsx')).PhotographsScreen),
      },
      {
        path: 'panels/:id',
        lazy: screen(async () => (await import('./screens/panel/screen.tsx')).PanelScreen),
      },
      {
        path: 'side-by-side',
        lazy: screen(async () => (await import('./screens/side-by-side/screen.tsx')).SideBySideScreen),
      },
      {
        path: 'trials/:id/codes',
        lazy: screen(async () => (await import('./screens/trials/codes.tsx')).CodesScreen),
      },
      {
        path: 'screen',
        lazy: screen(async () => (await import('./screens/screen/screen.tsx')).ScreeningScreen),
      },
      {
        path: 'screen/label',
        lazy: screen(async () => (await import('./screens/screen/label.tsx')).LabelScreen),
      },
      {
        path: 'weather',
        lazy: screen(async () => (await import('./screens/weather/screen.tsx')).WeatherScreen),
      },
      {
        path: 'weather/new',
        lazy: screen(async () => (await import('./screens/weather/edit.tsx')).PlaceEditScreen),
      },
      {
        path: 'weather/:id',
        lazy: screen(async () => (await import('./screens/weather/place.tsx')).PlaceScreen),
      },
      {
        path: 'weather/:id/edit',
        lazy: screen(async () => (await import('./screens/weather/edit.tsx')).PlaceEditScreen),
      },
      { path: 'data', lazy: screen(async () => (await import('./screens/data/screen.tsx')).DataScreen) },
      { path: '*', element: <Broken lost /> },
    ],
  },
]);
