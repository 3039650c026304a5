import { wrap, type Remote } from 'comlink';

/** The worker was ended; what to do is in the message. */
export class WorkerStopped extends Error {}

/** A worker under a watchdog: one that does not answer in time is ended, everybody who waits is told, and the next call starts a new one. */
export class WatchedWorker<T> {
  readonly #make: () => Worker;
  readonly #limit: number;
  readonly #name: string;
  #worker: Worker | undefined;
  #remote: Remote<T> | undefined;
  #waiting: ((error: Error) => void)[] = [];

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

  /** Ends the worker and tells everybody who waits for it. */
  stop(message: string): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
    const waiting = this.#waiting;
    this.#waiting = [];
    for (const fail of waiting) fail(new WorkerStopped(message));
  }

  /** Calls the worker under the watchdog. */
  async call<R>(ask: (remote: Remote<T>) => Promise<R>, limit = this.#limit): Promise<R> {
    let fail: (error: Error) => void = () => undefined;
    const stopped = new Promise<never>((_, reject) => {
      fail = reject;
      this.#waiting.push(reject);
    });
    const timer = setTimeout(() => this.stop('This took too long and was stopped. Undo the last change, or simplify the drawing.'), limit);
    try {
      return await Promise.race([ask(this.#start()), stopped]);
    } finally {
      clearTimeout(timer);
      this.#waiting = this.#waiting.filter((other) => other !== fail);
    }
  }
}
