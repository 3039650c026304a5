// Runs the unit tests, all of them or those whose path has a word in it, and says which files were slowest: npm run unit -- WORD.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root, setup } from './setup.mjs';

/** @returns Jest's report, or nothing where it never came to one */
export function unitTests(args) {
  const file = resolve(root, '.cache/unit.json');
  mkdirSync(resolve(root, '.cache'), { recursive: true });
  rmSync(file, { force: true });
  const { status } = spawnSync(process.execPath, ['node_modules/jest/bin/jest.js', '--json', `--outputFile=${file}`, ...args], {
    cwd: root,
    stdio: 'inherit',
    // tests have no limit of their own: a run that hangs is ended
    timeout: 60 * 60_000,
    env: {
      ...process.env,
      NODE_OPTIONS: `--import ${resolve(root, 'scripts/jest/register.mjs')}`,
    },
  });
  const report = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
  const slowest = (report?.testResults ?? [])
    .map(({ name, startTime, endTime }) => ({ name: relative(root, name), seconds: (endTime - startTime) / 1000 }))
    .sort((a, b) => b.seconds - a.seconds)
    .slice(0, 10);
  console.log(`\nSlowest files:\n${slowest.map(({ name, seconds }) => `${seconds.toFixed(1).padStart(7)} s  ${name}`).join('\n')}`);
  return { failed: status !== 0, report };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await setup();
  process.exit(unitTests(process.argv.slice(2)).failed ? 1 : 0);
}
