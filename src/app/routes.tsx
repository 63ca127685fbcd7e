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
        path: '/colorants',
        lazy: async () => ({ Component: (await import('./colorants/Colorants.tsx')).Colorants }),
      },
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
            path: 'colour',
            lazy: async () => ({
              Component: (await import('./stations/colour/ColourStation.tsx')).ColourStation,
            }),
            children: [
              { index: true, element: <Navigate to="pots" replace /> },
              {
                path: 'pots',
                lazy: async () => ({ Component: (await import('./stations/colour/PotsPage.tsx')).PotsPage }),
              },
              {
                path: 'ombre',
                lazy: async () => ({
                  Component: (await import('./stations/colour/ombre/OmbrePage.tsx')).OmbrePage,
                }),
              },
              {
                path: 'mixing',
                lazy: async () => ({
                  Component: (await import('./stations/colour/mixing/MixingPage.tsx')).MixingPage,
                }),
              },
            ],
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
