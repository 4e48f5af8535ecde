import { createBrowserRouter } from 'react-router';
import { Frame } from './frame.tsx';
import { Broken } from './screens/broken.tsx';

const screen = (load: () => Promise<{ Screen: React.ComponentType }>) => async () => ({
  Component: (await load()).Screen,
});

export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <Broken />,
    children: [
      { index: true, lazy: screen(() => import('./screens/today/screen.tsx')) },
      { path: 'shelf', lazy: screen(() => import('./screens/shelf/screen.tsx')) },
      { path: 'shelf/import', lazy: screen(() => import('./screens/shelf/import.tsx')) },
      { path: 'shelf/:id', lazy: screen(() => import('./screens/shelf/product.tsx')) },
      { path: 'heads', lazy: screen(() => import('./screens/heads/screen.tsx')) },
      { path: 'heads/new', lazy: screen(() => import('./screens/heads/wearer.tsx')) },
      { path: 'heads/:id', lazy: screen(() => import('./screens/heads/file.tsx')) },
      { path: 'heads/:id/edit', lazy: screen(() => import('./screens/heads/wearer.tsx')) },
      { path: 'routines', lazy: screen(() => import('./screens/routines/screen.tsx')) },
      { path: 'routines/:id', lazy: screen(() => import('./screens/routines/routine.tsx')) },
      { path: 'trials', lazy: screen(() => import('./screens/trials/screen.tsx')) },
      { path: 'trials/:id', lazy: screen(() => import('./screens/trials/trial.tsx')) },
      { path: 'trials/:id/plan', lazy: screen(() => import('./screens/trials/plan.tsx')) },
      { path: 'trials/:id/compare', lazy: screen(() => import('./screens/compare/screen.tsx')) },
      { path: 'trials/:id/lay-out', lazy: screen(() => import('./screens/lay-out/screen.tsx')) },
      { path: 'wash-days/:id', lazy: screen(() => import('./screens/wash-day/screen.tsx')) },
      { path: 'wash-days/:id/look/:stage', lazy: screen(() => import('./screens/check-in/screen.tsx')) },
      {
        path: 'wash-days/:id/photographs/:stage',
        lazy: screen(() => import('./screens/photographs/screen.tsx')),
      },
      { path: 'panels/:id', lazy: screen(() => import('./screens/panel/screen.tsx')) },
      { path: 'side-by-side', lazy: screen(() => import('./screens/side-by-side/screen.tsx')) },
      { path: 'trials/:id/codes', lazy: screen(() => import('./screens/trials/codes.tsx')) },
      { path: 'screen', lazy: screen(() => import('./screens/screen/screen.tsx')) },
      { path: 'screen/label', lazy: screen(() => import('./screens/screen/label.tsx')) },
      { path: 'weather', lazy: screen(() => import('./screens/weather/screen.tsx')) },
      { path: 'weather/new', lazy: screen(() => import('./screens/weather/edit.tsx')) },
      { path: 'weather/:id', lazy: screen(() => import('./screens/weather/place.tsx')) },
      { path: 'weather/:id/edit', lazy: screen(() => import('./screens/weather/edit.tsx')) },
      { path: 'data', lazy: screen(() => import('./screens/data/screen.tsx')) },
      { path: '*', element: <Broken lost /> },
    ],
  },
]);
