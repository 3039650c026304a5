import { proxy } from 'comlink';
import { withoutPhotos, type Job, type JobId, type Shop, type WorkEvent } from '@kolleta/core/job';
import type { Plan } from '@kolleta/core/plan';
import type { Stands } from '@kolleta/core/schedule';
import type { Planner } from './planner.worker';
import { Receiver } from './carried';
import { newPlannerWorker, takePlannerWorker } from './plannerWorker';
import { WatchedWorker } from './watchedWorker';

/** Jobs that take too much work and that are tried all the same, because their maker asked. */
const patient = new Set<JobId>();
/** From the next plan on a job may take more work. */
export const tryLonger = (job: JobId): void => void patient.add(job);

/** The worker that plans. */
export const plannerWorker = new WatchedWorker<Planner>('The planner', takePlannerWorker);
/** Drafts are planned beside the workshop: a word that is typed on a page just opened does not wait for all jobs. */
const draftWorker = new WatchedWorker<Planner>('The planner of drafts', newPlannerWorker);
/** Makes the worker of drafts before the first word is typed. */
export const warmDrafts = (): void => draftWorker.warm();

interface Request {
  jobs: Job[];
  shop: Shop;
  events: WorkEvent[];
  now: number;
  /** No quick first plan. */
  whole?: boolean;
  /** Where the steps stand by the plan that people know. */
  stands?: Stands | undefined;
}

/** One line of plans: while one is computed only the newest request waits, and all who wait get its answer. */
class NewestWins {
  #running = false;
  #next: { request: Request; settle: { resolve: (plan: Plan) => void; reject: (error: unknown) => void }[] } | undefined;
  readonly #which: 'workshop' | 'draft';
  readonly #worker: WatchedWorker<Planner>;
  readonly #receiver = new Receiver();

  constructor(which: 'workshop' | 'draft', worker: WatchedWorker<Planner>) {
    this.#which = which;
    this.#worker = worker;
  }

  plan(request: Request): Promise<Plan> {
    return new Promise((resolve, reject) => {
      this.#next = { request, settle: [...(this.#next?.settle ?? []), { resolve, reject }] };
      if (!this.#running) void this.#run();
    });
  }

  async #plan({ jobs, shop, events, now, whole, stands }: Request): Promise<Plan> {
    const carried = await this.#worker.call((planner, alive) =>
      planner.planAfter(
        ...([this.#receiver.known, proxy(alive), this.#which] as const),
        // nobody plans by pictures
        ...([jobs, shop, withoutPhotos(events), now, { whole, stands, patient }] as const),
      ),
    );
    const plan = this.#receiver.receive(carried);
    for (const fault of plan.faults) console.error(`Set aside: ${fault}`);
    return plan;
  }

  async #run(): Promise<void> {
    this.#running = true;
    while (this.#next) {
      const { request, settle } = this.#next;
      this.#next = undefined;
      try {
        const plan = await this.#plan(request);
        for (const { resolve } of settle) resolve(plan);
      } catch (error) {
        for (const { reject } of settle) reject(error);
      }
    }
    this.#running = false;
  }
}

const lines = { workshop: new NewestWins('workshop', plannerWorker), draft: new NewestWins('draft', draftWorker) };

/** Plans the workshop, or a draft beside it. */
export const requestPlan = (which: 'workshop' | 'draft', request: Request): Promise<Plan> => lines[which].plan(request);
