import { proxy } from 'comlink';
import { withoutPhotos, type Job, type JobId, type Shop, type WorkEvent } from '@kolleta/core/job';
import type { Plan } from '@kolleta/core/plan';
import type { Stands } from '@kolleta/core/schedule';
import type { Planner } from './planner.worker';
import { Receiver } from './carried';
import { takePlannerWorker } from './plannerWorker';
import { patience, WatchedWorker, withPatience, WorkerStopped } from './watchedWorker';

/** What all jobs take together, and what other work in this worker takes, is given up after this long, ms. */
const LIMIT_MS = 20_000;
/** A job of which nothing more is planned after this long is set aside, ms; with a list it has so much more a row. */
const JOB_MS = 8_000;
const ROW_MS = 500;
export const timeFor = (job: Job | undefined): number =>
  JOB_MS + ROW_MS * (job?.list?.rows.length ?? 0) * Math.max(1, job?.marks.length ?? 1);

/** Jobs that took too long, as they were then: they are tried again once they have changed. */
const tooSlow: string[] = [];
/** So many of them are remembered. */
const MOST_SLOW = 20;
const signature = (job: Job): string => JSON.stringify([job.id, job.piece, job.zones, job.marks, job.list]);
const isSlow = (job: Job): boolean => tooSlow.length > 0 && tooSlow.includes(signature(job));

/** The worker that plans. */
export const plannerWorker = new WatchedWorker<Planner>('The planner', takePlannerWorker, LIMIT_MS);

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
  readonly #receiver = new Receiver();

  constructor(which: 'workshop' | 'draft') {
    this.#which = which;
  }

  plan(request: Request): Promise<Plan> {
    return new Promise((resolve, reject) => {
      this.#next = { request, settle: [...(this.#next?.settle ?? []), { resolve, reject }] };
      if (!this.#running) void this.#run();
    });
  }

  /** Plans; a job that takes too long is set aside, and the others are planned without it. */
  async #planWithoutSlow(request: Request): Promise<Plan> {
    for (;;) {
      const { jobs, shop, now, whole, stands } = request;
      // nobody plans by pictures
      const events = withoutPhotos(request.events);
      let current: Job | undefined;
      try {
        const ask = (times: number) =>
          plannerWorker.call((planner, alive) => {
            const left = patience();
            const onJob = (id: JobId | undefined) => {
              current = jobs.find((job) => job.id === id);
              alive(left(id, current ? timeFor(current) : times * (LIMIT_MS + jobs.length * 50), performance.now()));
            };
            const slow = jobs.filter(isSlow).map((job) => job.id);
            return planner.planAfter(this.#receiver.known, this.#which, jobs, shop, events, now, whole, slow, proxy(onJob), stands);
          }, times * LIMIT_MS);
        // where it was at no job, no job is to blame
        const plan = this.#receiver.receive(await withPatience(ask, () => !current));
        for (const fault of plan.faults) console.error(`Set aside: ${fault}`);
        return plan;
      } catch (error) {
        if (!(error instanceof WorkerStopped) || !current) throw error;
        tooSlow.push(signature(current));
        if (tooSlow.length > MOST_SLOW) tooSlow.shift();
      }
    }
  }

  async #run(): Promise<void> {
    this.#running = true;
    while (this.#next) {
      const { request, settle } = this.#next;
      this.#next = undefined;
      try {
        const plan = await this.#planWithoutSlow(request);
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
