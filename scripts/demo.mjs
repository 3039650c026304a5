// One command from a fresh clone to the demo workshop.
import { resolve } from 'node:path';
import { root, run } from './setup.mjs';
import { build } from './build.mjs';

await build();
run(process.execPath, [resolve(root, 'server/dist/main.js')]);
