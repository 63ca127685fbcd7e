import { createBrowserRouter, Navigate } from 'react-router';
import { Broken } from './parts/Broken.tsx';
import { Loading } from './parts/Loading.tsx';
import { Shelf } from './shelf/Shelf.tsx';

export const router = createBrowserRouter([
  {
    hydrateFallbackElement: <Loading />,
    errorElement: <Broken />,
    children: [
      { path: '/', element: <Shelf /> },
      {
        path: '/plan/:planId',
        lazy: async () => ({ Component: (await import('./workbench/Workbench.tsx')).Workbench }),
        children: [
          { index: true, element: <Navigate to="design" replace /> },
          {
            path: 'mould',
            lazy: async () => ({
              Component: (await import('./stations/mould/MouldStation.tsx')).MouldStation,
            }),
          },
          {
            path: 'design',
            lazy: async () => ({
              Component: (await import('./stations/design/DesignStation.tsx')).DesignStation,
            }),
          },
          {
            path: 'batter',
            lazy: async () => ({
              Component: (await import('./stations/batter/BatterStation.tsx')).BatterStation,
            }),
          },
          {
            path: 'pots',
            lazy: async () => ({ Component: (await import('./stations/pots/PotsStation.tsx')).PotsStation }),
          },
          {
            path: 'pour-day',
            lazy: async () => ({ Component: (await import('./stations/pourday/PourSheet.tsx')).PourSheet }),
          },
          {
            path: 'cut',
            lazy: async () => ({ Component: (await import('./stations/cut/CutStation.tsx')).CutStation }),
          },
        ],
      },
      { path: '*', element: <Broken /> },
    ],
  },
]);
