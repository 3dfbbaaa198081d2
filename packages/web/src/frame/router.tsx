import { createBrowserRouter, type RouteObject } from 'react-router';
import { Frame } from './Frame';
import { Home } from './Home';
import { Lost } from './Lost';

/** Every place, each loaded when first opened. */
const routes: RouteObject[] = [
  {
    path: '/',
    element: <Frame />,
    errorElement: <Lost />,
    children: [
      { index: true, element: <Home /> },
      {
        path: 'pour',
        lazy: async () => ({ Component: (await import('../pour/QuickPourScreen')).QuickPourScreen }),
      },
      {
        path: 'colorways',
        lazy: async () => ({ Component: (await import('../colorways/ColorwaysScreen')).ColorwaysScreen }),
      },
      {
        path: 'colorways/:id',
        lazy: async () => ({ Component: (await import('../colorways/FormulationScreen')).FormulationScreen }),
      },
      { path: 'book', lazy: async () => ({ Component: (await import('../book/BookScreen')).BookScreen }) },
      {
        path: 'book/:id',
        lazy: async () => ({ Component: (await import('../book/BatchScreen')).BatchScreen }),
      },
      {
        path: 'book/:id/again',
        lazy: async () => ({ Component: (await import('../book/DyeAgainScreen')).DyeAgainScreen }),
      },
      {
        path: 'shelf/:resource?/:id?',
        lazy: async () => ({ Component: (await import('../shelf/ShelfScreen')).ShelfScreen }),
      },
      { path: 'pots', lazy: async () => ({ Component: (await import('../pots/PotsScreen')).PotsScreen }) },
      {
        path: 'pots/:id',
        lazy: async () => ({ Component: (await import('../pots/PourCardScreen')).PourCardScreen }),
      },
      { path: '*', element: <Lost /> },
    ],
  },
];

export const router = createBrowserRouter(routes);
