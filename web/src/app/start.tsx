import { QueryClient } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { openWorkshop } from '../storage/workshop';
import type { WorkshopState } from '../storage/useWorkshop';
import { planQuery } from '../workers/usePlan';
import { App } from './App';

const root = createRoot(document.getElementById('root')!);
try {
  const queries = new QueryClient();
  // the plan begins before the page is drawn, at a first start even before the database has answered
  const plan = (state: WorkshopState) => void queries.prefetchQuery(planQuery(state, 0));
  const first = await openWorkshop(plan);
  plan(first);
  root.render(
    <StrictMode>
      <App first={first} queries={queries} />
    </StrictMode>,
  );
} catch (error) {
  root.render(
    <div className="m-8 max-w-xl">
      <h1 className="text-2xl font-bold">Kolleta cannot keep anything here</h1>
      <p className="my-2">
        The browser does not let this page store data ({String(error)}). Allow storage for it, or leave the private window, and reload.
      </p>
    </div>,
  );
}
