import { QueryClient } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { readClock } from '../storage/clock';
import { openWorkshop } from '../storage/workshop';
import { planQuery } from '../workers/usePlan';
import { App } from './App';
import { warmPlanner } from '../workers/plannerClient';
import './theme.css';

warmPlanner();

const root = createRoot(document.getElementById('root')!);
try {
  const first = await openWorkshop();
  await readClock();
  const queries = new QueryClient();
  // the plan begins before the page is drawn
  void queries.prefetchQuery(planQuery(first, 0));
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
