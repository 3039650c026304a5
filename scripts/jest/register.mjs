// Loaded by Node before anything else of a test run: TypeScript, styles and Jest's globals for modules that run in bare Node (ADR 48).
import { register } from 'node:module';

process.setSourceMapsEnabled(true);
register('./hooks.mjs', import.meta.url);
// the runner lets go of its workers when all is done; what a library leaves ticking, such as the frames of jsdom, keeps none alive
process.once('disconnect', () => process.exit());
