import { relative, resolve } from 'node:path';
import { serve } from '@hono/node-server';
import { createApp } from './app';

const port = Number(process.env['PORT'] ?? 4173);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT="${process.env['PORT']}" is no port. Give a number from 1 to 65535, or leave it out for 4173.`);
  process.exit(1);
}
const built = resolve(import.meta.dirname, '../../web/dist');
const server = serve({ fetch: createApp(relative(process.cwd(), built) || '.').fetch, port, hostname: '127.0.0.1' }, (info) => {
  console.log(`Kolleta is at http://127.0.0.1:${info.port}/  (Ctrl+C stops it)`);
});
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken. Stop what uses it, or start with another: PORT=4180 npm run demo`
      : `The server cannot start: ${error.message}`,
  );
  process.exit(1);
});
