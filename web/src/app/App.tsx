import { QueryClientProvider, type QueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ComponentType } from 'react';
import { createHashRouter, type RouteObject } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { BenchPage } from '../pages/bench/BenchPage';
import type { WorkshopState } from '../storage/useWorkshop';
import { PLACE } from '../storage/place';
import { Owned } from '../ui/Owned';
import { Toasts } from '../ui/toasts';
import { Fault } from './Fault';
import { Shell } from './Shell';

/** A page that fails leaves the header, so that one can go elsewhere. */
const later = (load: () => Promise<ComponentType>) => {
  const Page = lazy(async () => ({ default: await load() }));
  return (
    <Suspense
      fallback={
        <p className="p-6" role="status">
          One moment…
        </p>
      }
    >
      <Page />
    </Suspense>
  );
};

function Nowhere() {
  return (
    <div className="sheet p-6">
      <h1 className="text-xl font-bold">There is nothing at this address</h1>
      <a className="btn btn-primary mt-3" href="#/">
        To the bench
      </a>
    </div>
  );
}

/** Each page with a fault page of its own inside the shell. */
const pages = (routes: RouteObject[]): RouteObject[] => routes.map((route) => ({ ...route, errorElement: <Fault /> }));

const routerFor = (first: WorkshopState) =>
  createHashRouter([
    {
      path: '/',
      element: <Shell first={first} />,
      errorElement: <Fault />,
      children: pages([
        { index: true, element: <BenchPage /> },
        { path: 'jobs', element: later(async () => (await import('../pages/jobs/JobsPage')).JobsPage) },
        { path: 'job/:id/:station?', element: later(async () => (await import('../pages/job/JobPage')).JobPage) },
        { path: 'quick', element: later(async () => (await import('../pages/quick/QuickPage')).QuickPage) },
        { path: 'stock', element: later(async () => (await import('../pages/stock/StockPage')).StockPage) },
        { path: 'week', element: later(async () => (await import('../pages/week/WeekPage')).WeekPage) },
        { path: 'gather', element: later(async () => (await import('../pages/gather/GatherPage')).GatherPage) },
        { path: 'workshop', element: later(async () => (await import('../pages/workshop/WorkshopPage')).WorkshopPage) },
        { path: 'begin', element: later(async () => (await import('../pages/begin/BeginPage')).BeginPage) },
        { path: 'logbook', element: later(async () => (await import('../pages/logbook/LogbookPage')).LogbookPage) },
        { path: 'practice/:drill?', element: later(async () => (await import('../pages/practice/PracticePage')).PracticePage) },
        { path: '*', element: <Nowhere /> },
      ]),
    },
  ]);

/** The whole application. */
export function App({ first, queries }: { first: WorkshopState; queries: QueryClient }) {
  const [router] = useState(() => routerFor(first));
  return (
    <QueryClientProvider client={queries}>
      <Toasts>
        <Owned by={PLACE}>
          <RouterProvider router={router} />
        </Owned>
      </Toasts>
    </QueryClientProvider>
  );
}
