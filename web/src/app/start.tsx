import { QueryClient } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { isStorageError, NotKept, NotTheWriter } from '../storage/keeping';
import { askForPen } from '../storage/pen';
import type { WorkshopState } from '../storage/useWorkshop';
import { openWorkshop, StorageEmptied, watchDatabase } from '../storage/workshop';
import { planQuery } from '../workers/usePlan';
import { App } from './App';
import { Emptied, NoStorage } from './NoStorage';

// what could not be kept, or was refused, is told by the bands at the top
window.addEventListener('unhandledrejection', (event) => {
  if (event.reason instanceof NotKept || event.reason instanceof NotTheWriter) event.preventDefault();
});

const root = createRoot(document.getElementById('root')!);
try {
  void askForPen();
  const queries = new QueryClient();
  // the plan begins before the page is drawn, at a first start even before the database has answered
  const plan = (state: WorkshopState) => void queries.prefetchQuery(planQuery(state, 0));
  const first = await openWorkshop(plan);
  plan(first);
  watchDatabase();
  root.render(
    <StrictMode>
      <App first={first} queries={queries} />
    </StrictMode>,
  );
  // asks the browser not to throw the workshop away when room gets short
  void navigator.storage?.persist?.();
} catch (error) {
  root.render(error instanceof StorageEmptied ? <Emptied /> : <NoStorage error={error} storage={isStorageError(error)} />);
}
// when the first screen is there: the service worker fetches everything else then
const later = window.requestIdleCallback ?? ((run: () => void) => setTimeout(run, 1500));
window.setTimeout(() => later(() => void import('./offline').then(({ workOffline }) => workOffline())), 1500);
