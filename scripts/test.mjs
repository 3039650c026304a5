// Everything that has to hold: types, lint with the order of rooms, unit tests, the build, and the journeys in a real browser.
// With --deep only the laws, with many cases and other seeds: npm run test:deep.
import { execFile, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { needChromium, needReaders, root, setup } from './setup.mjs';
import { unitTests } from './unit.mjs';

await setup();
needReaders();
if (process.argv.includes('--deep')) {
  const seed = process.env.LAWS_SEED ?? String(Math.floor(Date.now() / 1000));
  Object.assign(process.env, { LAWS: 'deep', LAWS_SEED: seed });
  console.log(`Laws with many cases, LAWS_SEED=${seed}`);
  process.exit(unitTests([]).failed ? 1 : 0);
}
needChromium();
const cache = resolve(root, '.cache');
mkdirSync(cache, { recursive: true });
const e2eFile = resolve(cache, 'e2e.json');
rmSync(e2eFile, { force: true });

const began = Date.now();
let broken = 0;
const bin = (name) => resolve(root, 'node_modules/.bin', name);
const sayTime = (title, from) => console.log(`${title}: ${((Date.now() - from) / 1000).toFixed(0)} s`);

/** A step beside others: what it says is shown when it is done. */
function beside(title, command, args) {
  const from = Date.now();
  // the compiler of types would rather have memory than collect it
  const env = { ...process.env, FORCE_COLOR: '0', GOGC: 'off' };
  return new Promise((done) => {
    execFile(command, args, { cwd: root, maxBuffer: 64e6, env }, (error, out, err) => {
      console.log(`\n— ${title}\n${out}${err}`.trimEnd());
      sayTime(title, from);
      if (error) {
        broken += 1;
        console.error(`${title} failed.`);
      }
      done();
    });
  });
}

const node = process.execPath;
const types = ['core', 'core/tsconfig.test.json', 'web', 'server', 'e2e'].map((project) => [
  `types: ${project}`,
  node,
  [resolve(root, 'node_modules/typescript7/bin/tsc'), '-p', project, '--singleThreaded'],
]);
// one lane a core
const lanes = [
  [
    ...types,
    ['the order of rooms', bin('depcruise'), ['core/src', 'web/src', 'server/src', '--config', '.dependency-cruiser.cjs']],
    ['nothing unused', bin('knip'), ['--no-config-hints']],
  ],
  [
    ['lint', bin('eslint'), ['.', '--cache', '--cache-location', '.cache/eslint']],
    ['build', node, ['scripts/build.mjs']],
  ],
];
await Promise.all(
  lanes.map(async (lane) => {
    for (const args of lane) await beside(...args);
  }),
);

console.log('\n— unit tests');
const units = Date.now();
const { failed: unitFailed, report: unit } = unitTests([]);
sayTime('unit tests', units);
if (unitFailed) broken += 1;

console.log('\n— journeys');
const journeys = Date.now();
const { status } = spawnSync(bin('playwright'), ['test', '-c', 'e2e'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, FORCE_COLOR: '0' },
});
sayTime('journeys', journeys);
if (status !== 0) broken += 1;

const e2e = existsSync(e2eFile) ? JSON.parse(readFileSync(e2eFile, 'utf8')).stats : undefined;
const passed = (unit?.numPassedTests ?? 0) + (e2e?.expected ?? 0);
const failed = (unit?.numFailedTests ?? 0) + (unit?.numRuntimeErrorTestSuites ?? 0) + (e2e?.unexpected ?? 0) + (e2e?.flaky ?? 0);
const skipped = (unit?.numPendingTests ?? 0) + (e2e?.skipped ?? 0);
if (skipped > 0) console.error(`${skipped} tests were skipped: a skipped test is a defect.`);
// a step that broke without a failed test of its own still counts
const all = Math.max(failed, broken) + skipped;
sayTime('\nin all', began);
console.log(`\n${passed} passed, ${all} failed`);
process.exit(all > 0 ? 1 : 0);
