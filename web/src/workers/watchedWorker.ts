import { wrap, type Remote } from 'comlink';
import { Told } from '../storage/told';

/** The worker was ended; what to do is in the message. */
export class WorkerStopped extends Told {}

/**
 * A worker that gives no sign for so long is dead or hangs, ms. It says nothing about what it was at: that a machine is busy is nobody's fault, and
 * what is too much work is counted (ADR 50).
 */
const SILENT_MS = 5 * 60_000;

/** A worker under a watchdog: calls go one after the other; one that stays silent ends the worker, and the next call starts a new one. */
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
   * @param limit ms without a sign until a call is given up
   */
  constructor(name: string, make: () => Worker, limit = SILENT_MS) {
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

  /** Makes the worker before anything asks for it, so that it is loaded by then. */
  warm(): void {
    this.#start();
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
   * @param ask asks the worker; `alive`, told on the way, is a sign
   * @throws WorkerStopped when it stays silent
   */
  call<R>(ask: (remote: Remote<T>, alive: () => void) => Promise<R>): Promise<R> {
    const turn = this.#tail.then(() => this.#run(ask));
    this.#tail = turn.catch(() => undefined);
    return turn;
  }

  async #run<R>(ask: (remote: Remote<T>, alive: () => void) => Promise<R>): Promise<R> {
    const stopped = new Promise<never>((_, reject) => {
      this.#fail = reject;
    });
    const ring = () =>
      setTimeout(
        () => this.stop(`${this.#name} gives no answer and was stopped. Try it again, or reload the page; nothing is lost.`),
        this.#limit,
      );
    let timer = ring();
    let over = false;
    const alive = () => {
      // what the worker told on the way may come in after its answer
      if (over) return;
      clearTimeout(timer);
      timer = ring();
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
