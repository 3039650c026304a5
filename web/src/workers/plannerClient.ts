import type { Job, Shop, WorkEvent } from '@kolleta/core/job';
import type { Plan } from '@kolleta/core/plan';
import type { Planner } from './planner.worker';
import { takePlannerWorker } from './plannerWorker';
import { WatchedWorker } from './watchedWorker';

/** A plan that is not there after this long is given up, ms. */
const LIMIT_MS = 20_000;

/** So much longer for each open job. */
const MORE_A_JOB_MS = 500;

/** The worker that plans. */
export const plannerWorker = new WatchedWorker<Planner>('The planner', takePlannerWorker, LIMIT_MS);

interface Request {
  jobs: Job[];
  shop: Shop;
  events: WorkEvent[];
  now: number;
  /** No quick first plan. */
  whole?: boolean;
}

/** One line of plans: while one is computed only the newest request waits, and all who wait get its answer. */
class NewestWins {
  #running = false;
  #next: { request: Request; settle: { resolve: (plan: Plan) => void; reject: (error: unknown) => void }[] } | undefined;
  readonly #which: 'workshop' | 'draft';

  constructor(which: 'workshop' | 'draft') {
    this.#which = which;
  }

  plan(request: Request): Promise<Plan> {
    return new Promise((resolve, reject) => {
      this.#next = { request, settle: [...(this.#next?.settle ?? []), { resolve, reject }] };
      if (!this.#running) void this.#run();
    });
  }

  async #run(): Promise<void> {
    this.#running = true;
    while (this.#next) {
      const { request, settle } = this.#next;
      this.#next = undefined;
      try {
        const plan = await plannerWorker.call(
          (planner) => planner.plan(this.#which, request.jobs, request.shop, request.events, request.now, request.whole),
          LIMIT_MS +
            request.jobs.filter((job) => !job.closed).reduce((ms, job) => ms + MORE_A_JOB_MS * (1 + (job.list?.rows.length ?? 0) / 4), 0),
        );
        for (const { resolve } of settle) resolve(plan);
      } catch (error) {
        for (const { reject } of settle) reject(error);
      }
    }
    this.#running = false;
  }
}

const lines = { workshop: new NewestWins('workshop'), draft: new NewestWins('draft') };

/** Plans the workshop, or a draft beside it, in the worker. */
export const requestPlan = (which: 'workshop' | 'draft', request: Request): Promise<Plan> => lines[which].plan(request);
