import { QueryClientProvider, type QueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ComponentType } from 'react';
import { createHashRouter, useRouteError } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { BenchPage } from '../stations/bench/BenchPage';
import type { WorkshopState } from '../storage/useWorkshop';
import { Toasts } from '../ui/toasts';
import { Shell } from './Shell';

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

function Fault() {
  const error = useRouteError();
  return (
    <div className="m-8 max-w-xl">
      <h1 className="text-2xl font-bold">Something in Kolleta failed</h1>
      <p className="my-2">
        Your jobs are kept in this browser and are not touched by it. Reload; if it comes again, take back your last change.
      </p>
      <p className="quiet measure text-sm">{error instanceof Error ? error.message : String(error)}</p>
      <button type="button" className="btn btn-primary mt-3" onClick={() => window.location.reload()}>
        Reload
      </button>
    </div>
  );
}

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

const routerFor = (first: WorkshopState) =>
  createHashRouter([
    {
      path: '/',
      element: <Shell first={first} />,
      errorElement: <Fault />,
      children: [
        { index: true, element: <BenchPage /> },
        { path: 'jobs', element: later(async () => (await import('../stations/jobs/JobsPage')).JobsPage) },
        { path: 'job/:id/:station?', element: later(async () => (await import('../stations/job/JobPage')).JobPage) },
        { path: 'quick', element: later(async () => (await import('../stations/quick/QuickPage')).QuickPage) },
        { path: 'stock', element: later(async () => (await import('../stations/stock/StockPage')).StockPage) },
        { path: 'logbook', element: later(async () => (await import('../stations/logbook/LogbookPage')).LogbookPage) },
        { path: '*', element: <Nowhere /> },
      ],
    },
  ]);

/** The whole application. */
export function App({ first, queries }: { first: WorkshopState; queries: QueryClient }) {
  const [router] = useState(() => routerFor(first));
  return (
    <QueryClientProvider client={queries}>
      <Toasts>
        <RouterProvider router={router} />
      </Toasts>
    </QueryClientProvider>
  );
}
