import type { ComponentType } from 'react';
import { createBrowserRouter, redirect, type RouteObject } from 'react-router';
import { Broken } from './parts/Broken.tsx';
import { Loading } from './parts/Loading.tsx';
import { Page } from './parts/Page.tsx';
import { PartBroken, PartFailed } from './parts/PartBroken.tsx';
import { Shelf } from './shelf/Shelf.tsx';

type Loaded = () => Promise<{ readonly Component: ComponentType }>;

/**
 * A part of a page, loaded when it is wanted. One that cannot be loaded fails alone: it is caught here, as
 * the router would show nothing of what stands round it either.
 */
const part = (path: string, load: Loaded, children: RouteObject[] = []): RouteObject => ({
  path,
  errorElement: <PartBroken />,
  lazy: () => load().catch((error: unknown) => ({ element: <PartFailed error={error} /> })),
  ...(children.length > 0 ? { children } : {}),
});

/**
 * The page that a station opens with. Left to what is drawn, a second press on the station while it is on its
 * way would leave none.
 */
const first = (page: string): RouteObject => ({
  index: true,
  loader: ({ request }) => redirect(`${new URL(request.url).pathname.replace(/\/$/, '')}/${page}`),
});

const stations: RouteObject[] = [
  first('design'),
  part('mould', async () => ({
    Component: (await import('./stations/mould/MouldStation.tsx')).MouldStation,
  })),
  part('design', async () => ({
    Component: (await import('./stations/design/DesignStation.tsx')).DesignStation,
  })),
  part('batter', async () => ({
    Component: (await import('./stations/batter/BatterStation.tsx')).BatterStation,
  })),
  part(
    'colour',
    async () => ({ Component: (await import('./stations/colour/ColourStation.tsx')).ColourStation }),
    [
      first('pots'),
      part('pots', async () => ({ Component: (await import('./stations/colour/PotsPage.tsx')).PotsPage })),
      part('ombre', async () => ({
        Component: (await import('./stations/colour/ombre/OmbrePage.tsx')).OmbrePage,
      })),
      part('mixing', async () => ({
        Component: (await import('./stations/colour/mixing/MixingPage.tsx')).MixingPage,
      })),
    ],
  ),
  part(
    'clock',
    async () => ({ Component: (await import('./stations/clock/ClockStation.tsx')).ClockStation }),
    [
      first('timetable'),
      part('timetable', async () => ({
        Component: (await import('./stations/clock/TimetablePage.tsx')).TimetablePage,
      })),
      part('ways', async () => ({ Component: (await import('./stations/clock/WaysPage.tsx')).WaysPage })),
      part('stages', async () => ({
        Component: (await import('./stations/clock/StagesPage.tsx')).StagesPage,
      })),
      part('after', async () => ({
        Component: (await import('./stations/clock/AfterPage.tsx')).AfterPage,
      })),
      part('teach', async () => ({
        Component: (await import('./stations/clock/TeachPage.tsx')).TeachPage,
      })),
      part('conditions', async () => ({
        Component: (await import('./stations/clock/ConditionsPage.tsx')).ConditionsPage,
      })),
    ],
  ),
  part(
    'sheet',
    async () => ({ Component: (await import('./stations/sheet/SheetStation.tsx')).SheetStation }),
    [
      first('acts'),
      part('acts', async () => ({ Component: (await import('./stations/sheet/PourSheet.tsx')).PourSheet })),
      part('card', async () => ({ Component: (await import('./stations/sheet/BenchCard.tsx')).BenchCard })),
      part('jugs', async () => ({
        Component: (await import('./stations/sheet/JugLedger.tsx')).JugLedger,
      })),
    ],
  ),
  // what the sheet was called: addresses are kept
  { path: 'pour-day/*', loader: ({ params }) => redirect(`/plan/${params['planId'] ?? ''}/sheet`) },
  part('cut', async () => ({ Component: (await import('./stations/cut/CutStation.tsx')).CutStation })),
];

export const router = createBrowserRouter([
  {
    element: <Page />,
    hydrateFallbackElement: <Loading />,
    errorElement: <Broken />,
    children: [
      { path: '/', element: <Shelf /> },
      part('/kept', async () => ({ Component: (await import('./kept/Kept.tsx')).Kept })),
      part('/new', async () => ({ Component: (await import('./begin/Begin.tsx')).Begin })),
      part('/supplies', async () => ({ Component: (await import('./supplies/Supplies.tsx')).Supplies })),
      part('/colorants', async () => ({ Component: (await import('./colorants/Colorants.tsx')).Colorants })),
      part(
        '/plan/:planId',
        async () => ({ Component: (await import('./workbench/Workbench.tsx')).Workbench }),
        stations,
      ),
      part('/today', async () => ({ Component: (await import('./day/Today.tsx')).Today })),
      part('/batch/:batchId', async () => ({ Component: (await import('./day/Room.tsx')).Room }), [
        { index: true, lazy: async () => ({ Component: (await import('./day/DayPage.tsx')).DayPage }) },
        part('ready', async () => ({ Component: (await import('./day/LaidPage.tsx')).LaidPage })),
        part('labels', async () => ({ Component: (await import('./day/Labels.tsx')).Labels })),
        part('weights', async () => ({ Component: (await import('./day/Weights.tsx')).Weights })),
        part('end', async () => ({ Component: (await import('./day/EndPage.tsx')).EndPage })),
      ]),
      { path: '*', element: <Broken /> },
    ],
  },
]);
