// Everything that has to hold: types, lint with the order of rooms, unit tests, the build, and the journeys in a real browser.
import { execFile, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { needChromium, needReaders, root, setup } from './setup.mjs';

await setup();
needChromium();
needReaders();
const cache = resolve(root, '.cache');
mkdirSync(cache, { recursive: true });
const unitFile = resolve(cache, 'unit.json');
const e2eFile = resolve(cache, 'e2e.json');
rmSync(unitFile, { force: true });
rmSync(e2eFile, { force: true });

let broken = 0;
const bin = (name) => resolve(root, 'node_modules/.bin', name);
function step(title, command, args) {
  console.log(`\n— ${title}`);
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, FORCE_COLOR: '0' },
  });
  if (status !== 0) {
    broken += 1;
    console.error(`${title} failed.`);
  }
}

/** A step beside others: what it says is shown when it is done. */
function beside(title, command, args) {
  return new Promise((done) => {
    execFile(command, args, { cwd: root, maxBuffer: 64e6, env: { ...process.env, FORCE_COLOR: '0' } }, (error, out, err) => {
      console.log(`\n— ${title}\n${out}${err}`.trimEnd());
      if (error) {
        broken += 1;
        console.error(`${title} failed.`);
      }
      done();
    });
  });
}

// one lane a core
const lanes = [
  ['core', 'server', 'e2e'].map((project) => [`types: ${project}`, bin('tsc'), ['-p', project]]),
  ['core/tsconfig.test.json', 'web'].map((project) => [`types: ${project}`, bin('tsc'), ['-p', project]]),
];
lanes[0].push(['the order of rooms', bin('depcruise'), ['core/src', 'web/src', 'server/src', '--config', '.dependency-cruiser.cjs']]);
lanes[0].push(['nothing unused', bin('knip'), ['--no-config-hints']]);
lanes[1].push(['lint', bin('eslint'), ['.']]);
await Promise.all(
  lanes.map(async (lane) => {
    for (const args of lane) await beside(...args);
  }),
);
step('unit tests', process.execPath, [
  '--experimental-vm-modules',
  '--disable-warning=ExperimentalWarning',
  'node_modules/jest/bin/jest.js',
  // by itself it would leave a core idle
  '--maxWorkers=2',
  '--json',
  `--outputFile=${unitFile}`,
]);
step('build', process.execPath, ['scripts/build.mjs']);
step('journeys', bin('playwright'), ['test', '-c', 'e2e']);

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);
const unit = read(unitFile);
const e2e = read(e2eFile)?.stats;
const passed = (unit?.numPassedTests ?? 0) + (e2e?.expected ?? 0);
const failed = (unit?.numFailedTests ?? 0) + (unit?.numRuntimeErrorTestSuites ?? 0) + (e2e?.unexpected ?? 0) + (e2e?.flaky ?? 0);
const skipped = (unit?.numPendingTests ?? 0) + (e2e?.skipped ?? 0);
if (skipped > 0) console.error(`${skipped} tests were skipped: a skipped test is a defect.`);
// a step that broke without a failed test of its own still counts
const all = Math.max(failed, broken) + skipped;
console.log(`\n${passed} passed, ${all} failed`);
process.exit(all > 0 ? 1 : 0);
