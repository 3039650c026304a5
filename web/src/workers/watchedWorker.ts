import { wrap, type Remote } from 'comlink';
import { Told } from '../storage/told';

/** The worker was ended; what to do is in the message. */
export class WorkerStopped extends Told {}

/** Given up once, something is given so many times as long. */
const PATIENCE = 4;

/**
 * How long what tells that it goes on is still waited for, ms: so long from each sign, for what hangs gives none, and at most so many times that in all.
 *
 * @returns told what it is at, how long a sign is waited for, and the time
 */
export function patience(): (at: unknown, limit: number, now: number) => number {
  let [what, since]: [unknown, number] = [undefined, 0];
  return (at, limit, now) => {
    if (at !== what || since === 0) [what, since] = [at, now];
    return Math.min(limit, since + PATIENCE * limit - now);
  };
}

/**
 * Tries again what was given up, with more time: a machine whose cores are at something else is slow for a while, and nobody can do anything about it.
 *
 * @param run tries, with so many times the usual time
 * @param again whether it is worth trying again
 * @throws what the second try throws
 */
export async function withPatience<R>(run: (times: number) => Promise<R>, again: () => boolean): Promise<R> {
  try {
    return await run(1);
  } catch (error) {
    if (!(error instanceof WorkerStopped) || !again()) throw error;
    return run(PATIENCE);
  }
}

/** A worker under a watchdog: calls go one after the other; one that is not answered in time ends the worker, and the next call starts a new one. */
export class WatchedWorker<T> {
  readonly #make: () => Worker;
  readonly #limit: number;
  readonly #name: string;
  #worker: Worker | undefined;
  #remote: Remote<T> | undefined;
  #fail: ((error: Error) => void) | undefined;
  #tail: Promise<unknown> = Promise.resolve();

  /**
   * @param name what it is to the user, as in "The planner"
   * @param limit ms until a call is given up
   */
  constructor(name: string, make: () => Worker, limit: number) {
    this.#name = name;
    this.#make = make;
    this.#limit = limit;
  }

  #start(): Remote<T> {
    if (this.#remote) return this.#remote;
    this.#worker = this.#make();
    this.#worker.onerror = (event) => {
      event.preventDefault();
      this.stop(`${this.#name} failed (${event.message || 'it did not load'}). Reload the page; nothing is lost.`);
    };
    this.#remote = wrap<T>(this.#worker);
    return this.#remote;
  }

  /** Ends the worker and tells the call that it is at; calls behind it get a new one. */
  stop(message: string): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
    this.#fail?.(new WorkerStopped(message));
  }

  /**
   * Calls the worker under the watchdog, when the calls before are answered.
   *
   * @param ask asks the worker; `alive`, told on the way, gives it time anew
   * @throws WorkerStopped when it does not answer in time
   */
  call<R>(ask: (remote: Remote<T>, alive: (ms: number) => void) => Promise<R>, limit = this.#limit): Promise<R> {
    const turn = this.#tail.then(() => this.#run(ask, limit));
    this.#tail = turn.catch(() => undefined);
    return turn;
  }

  async #run<R>(ask: (remote: Remote<T>, alive: (ms: number) => void) => Promise<R>, limit: number): Promise<R> {
    const stopped = new Promise<never>((_, reject) => {
      this.#fail = reject;
    });
    const ring = (ms: number) =>
      setTimeout(() => this.stop('This took too long and was stopped. Undo the last change, or simplify the drawing.'), ms);
    let timer = ring(limit);
    let over = false;
    const alive = (ms: number) => {
      // what the worker told on the way may come in after its answer
      if (over) return;
      clearTimeout(timer);
      timer = ring(ms);
    };
    try {
      return await Promise.race([ask(this.#start(), alive), stopped]);
    } finally {
      over = true;
      clearTimeout(timer);
      this.#fail = undefined;
    }
  }
}
