import { expose } from 'comlink';
import { cutterHost, type CutterReport, type HostOrder } from '@kolleta/core/cut';

/** As fast as the one that the server has. */
const PACE = 10;
const host = cutterHost(() => performance.now(), PACE);

const cutter = {
  order: (order: HostOrder): CutterReport | undefined => host.order(order),
  report: (): CutterReport | undefined => host.report(),
};

export type CutterWorker = typeof cutter;
expose(cutter);
