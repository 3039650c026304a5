import { readCutterReport, type CutterReport, type HostOrder } from '@kolleta/core/cut';
import type { CutterWorker } from './cutter.worker';
import { Told } from '../storage/told';
import { WatchedWorker } from './watchedWorker';

const ADDRESS = './api/cutter';
/** A cutter that has not answered for this long does not answer, ms. */
const PATIENCE_MS = 5000;

const ownCutter = new WatchedWorker<CutterWorker>(
  'The cutter',
  () => new Worker(new URL('./cutter.worker.ts', import.meta.url), { type: 'module' }),
  PATIENCE_MS,
);

/** The cutter answered what cannot be read: what it does is not known. */
export class Garbled extends Told {
  constructor() {
    super('The cutter answers what cannot be read. Switch it off and on, look at its cable, then send it again.');
  }
}

/** Where the simulated cutter is: at the server, or in a worker of this page where there is no server. */
let place: 'server' | 'page' | undefined;
export const cutterPlace = (): typeof place => place;

async function overHttp(order?: HostOrder): Promise<CutterReport | undefined> {
  const answer = await fetch(ADDRESS, {
    signal: AbortSignal.timeout(PATIENCE_MS),
    ...(order ? { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(order) } : {}),
  });
  // nothing in the answer: its cable is pulled
  if (answer.status === 204) return undefined;
  if (answer.ok) {
    const said = readCutterReport(await answer.json().catch(() => undefined));
    if (!said) throw new Garbled();
    return said;
  }
  throw new Told((await answer.text()) || `The cutter answered ${answer.status}.`);
}

/** Finds out once whether a server has the cutter. */
async function findCutter(): Promise<'server' | 'page'> {
  if (place) return place;
  try {
    const answer = await fetch(ADDRESS, { signal: AbortSignal.timeout(PATIENCE_MS) });
    const json = /json/.test(answer.headers.get('content-type') ?? '');
    place = answer.status === 204 || (answer.ok && json) ? 'server' : 'page';
  } catch {
    place = 'page';
  }
  return place;
}

/**
 * Gives the cutter an order, or asks what it does.
 *
 * @returns what it tells; undefined when it does not answer
 * @throws `Garbled` when nobody can read what it answers
 */
export async function askCutter(order?: HostOrder): Promise<CutterReport | undefined> {
  if ((await findCutter()) === 'page') return ownCutter.call(async (cutter) => (order ? cutter.order(order) : cutter.report()));
  try {
    return await overHttp(order);
  } catch (error) {
    if (error instanceof TypeError || (error as Error).name === 'TimeoutError') return undefined;
    throw error;
  }
}
