let early: Worker | undefined;

/** A worker that plans. */
export const newPlannerWorker = (): Worker => new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });

/** Makes the worker before anything asks for it, so that it loads beside the page. */
export function warmPlanner(): void {
  early ??= newPlannerWorker();
}

/** The worker that was made early, once; then a new one. */
export function takePlannerWorker(): Worker {
  const worker = early ?? newPlannerWorker();
  early = undefined;
  return worker;
}
