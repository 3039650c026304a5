import { cutterHost, type CutterHost, type HostOrder } from '@kolleta/core/cut';
import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { isOwnOrigin } from './ownNames';

/** The largest job that is taken, bytes. */
const MOST_BYTES = 2 * 1024 * 1024;
const KINDS = new Set(['load', 'set', 'send', 'pause', 'resume', 'stop', 'openLid', 'closeLid', 'runOut', 'unplug', 'plug', 'pace']);
/** No simulated cutter works more than so many times as fast as a machine. */
const FASTEST = 1000;
const positive = (value: unknown): boolean => typeof value === 'number' && Number.isFinite(value) && value > 0;

/** Whether what came in is an order, with the parts that it needs. */
function isOrder(data: unknown): data is HostOrder {
  const order = (data ?? {}) as {
    kind?: unknown;
    times?: unknown;
    film?: unknown;
    run?: unknown;
    hpgl?: unknown;
    machine?: Record<string, unknown>;
  };
  if (typeof order.kind !== 'string' || !KINDS.has(order.kind)) return false;
  if (order.kind === 'load') {
    const { width, length, name } = (order.film ?? {}) as { width?: unknown; length?: unknown; name?: unknown };
    return positive(width) && typeof length === 'number' && length >= 0 && (name === undefined || typeof name === 'string');
  }
  if (order.kind === 'send')
    return typeof order.run === 'string' && typeof order.hpgl === 'string' && (order.film === undefined || typeof order.film === 'string');
  if (order.kind === 'pace') return positive(order.times) && (order.times as number) <= FASTEST;
  if (order.kind === 'set') {
    const { machine } = order;
    const origin = machine?.['origin'] as { x?: unknown; y?: unknown } | undefined;
    return (
      typeof machine?.['rollFed'] === 'boolean' &&
      ['step', 'knife', 'travel'].every((key) => positive(machine[key])) &&
      Number.isFinite(origin?.x) &&
      Number.isFinite(origin?.y)
    );
  }
  return true;
}

/**
 * The simulated cutter over HTTP: GET tells what it does, POST gives it an order as JSON. Only pages of this server may give orders.
 *
 * @returns 204, nothing, when its cable is pulled, 400 for what is no order, 403 for a page from elsewhere, 413 for an order over 2 MB
 */
export function cutterRoutes(host: CutterHost = cutterHost(() => performance.now(), Number(process.env['CUTTER_PACE'] ?? 10) || 10)): Hono {
  const app = new Hono();
  app.use('*', async (context, next) => {
    const host = context.req.header('host') ?? new URL(context.req.url).host;
    if (!isOwnOrigin(context.req.header('origin'), host)) return context.text('Only from here.', 403);
    await next();
    context.header('Cache-Control', 'no-store');
    return undefined;
  });
  app.get('/', (context) => {
    const report = host.report();
    return report ? context.json(report) : context.body(null, 204);
  });
  const tooLarge = bodyLimit({
    maxSize: MOST_BYTES,
    onError: (context) => context.text('The cutter takes orders up to 2 MB. Cut fewer marks at once.', 413),
  });
  app.post('/', tooLarge, async (context) => {
    if (!/^application\/json/.test(context.req.header('content-type') ?? '')) return context.text('Orders come as JSON.', 400);
    const data: unknown = await context.req.json().catch(() => undefined);
    if (!isOrder(data)) return context.text('That is no order for a cutter.', 400);
    const report = host.order(data);
    return report ? context.json(report) : context.body(null, 204);
  });
  return app;
}
