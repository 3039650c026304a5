// Measures speed and size; nothing here is a test.
import { resolve } from 'node:path';
import { needChromium, root, run, setup } from './setup.mjs';
import { build } from './build.mjs';

await setup();
await build();
needChromium();
run(resolve(root, 'node_modules/.bin/tsx'), ['bench/main.ts', ...process.argv.slice(2)]);
