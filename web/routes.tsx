import { createBrowserRouter } from 'react-router';
import { Frame } from './frame.tsx';
import { PAGES } from './pages.ts';
import { Broken } from './screens/broken.tsx';
import { followMoves } from './ui/go-on.ts';

export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <Broken />,
    children: [
      ...PAGES.map(({ path, load }) => ({
        ...(path === '' ? { index: true as const } : { path }),
        lazy: async () => ({ Component: await load() }),
      })),
      { path: '*', element: <Broken lost /> },
    ],
  },
  // By itself: whoever is not let in sees nothing of the bench around it.
  {
    path: 'sign-in',
    errorElement: <Broken />,
    lazy: async () => ({ Component: (await import('./screens/access/sign-in.tsx')).SignInScreen }),
  },
  {
    path: 'own',
    errorElement: <Broken />,
    lazy: async () => ({ Component: (await import('./screens/own/frame.tsx')).OwnFrame }),
    children: [
      {
        index: true,
        lazy: async () => ({ Component: (await import('./screens/own/screen.tsx')).OwnScreen }),
      },
      {
        path: ':washDayId/:stage',
        lazy: async () => ({ Component: (await import('./screens/own/look.tsx')).OwnLookScreen }),
      },
    ],
  },
]);

followMoves(router);
