import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { cutterRoutes } from './cutterRoutes';
import { isOwnHost } from './ownNames';

/** Scripts, styles and workers only from here; no request leaves the machine. */
const CONTENT_POLICY =
  "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; connect-src 'self'; worker-src 'self'; font-src 'self'; object-src 'none'; base-uri 'none'; form-action 'none'; manifest-src 'self'; frame-ancestors 'none'";

/**
 * The built application as static files under a strict content policy, for requests to this machine by its own names. What is missing is
 * 404, never the page
 * itself, and no answer but a good one is kept.
 *
 * @param root folder of the built application, from the working directory
 */
export function createApp(root: string): Hono {
  const app = new Hono();
  app.use('*', async (context, next) => {
    const host = context.req.header('host') ?? new URL(context.req.url).host;
    if (isOwnHost(host)) await next();
    else context.res = context.text('Kolleta answers to 127.0.0.1 and localhost only. Open it there.', 421);
    context.header('Content-Security-Policy', CONTENT_POLICY);
    context.header('X-Content-Type-Options', 'nosniff');
    context.header('Referrer-Policy', 'no-referrer');
    if (!context.res.ok) context.header('Cache-Control', 'no-store');
    else if (!context.req.path.startsWith('/api/'))
      context.header('Cache-Control', context.req.path.startsWith('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache');
  });
  app.route('/api/cutter', cutterRoutes());
  app.use('*', serveStatic({ root }));
  app.notFound((context) => context.text('There is nothing at this address.', 404));
  return app;
}
