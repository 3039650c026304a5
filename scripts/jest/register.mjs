// Loaded by Node before anything else of a test run: TypeScript, styles and Jest's globals for modules that run in bare Node (ADR 48).
import { register } from 'node:module';

process.setSourceMapsEnabled(true);
register('./hooks.mjs', import.meta.url);
// the runner lets go of its workers when all is done; what a library leaves ticking, such as the frames of jsdom, keeps none alive
process.once('disconnect', () => process.exit());

// The runner tells every worker that listens its settings when the first one asks, and nobody after that: a worker that was told before it asked
// would wait for ever. What it was told is kept for it; heard only once the pool listens, for messages wait for the first to listen.
let told;
process.once('newListener', function listens(name) {
  if (name !== 'message') return void process.once('newListener', listens);
  process.on('message', (message) => {
    if (message?.type === 'jest-light-runner-worker-data') told = message;
  });
});
const { send } = process;
if (send)
  process.send = (message, ...rest) => {
    if (message !== 'jest-light-runner-get-worker-data' || !told) return send.call(process, message, ...rest);
    setImmediate(() => process.emit('message', told));
    return true;
  };
