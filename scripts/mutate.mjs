// Changes one room's code a little at a time and sees whether its tests notice: npm run mutate -- core/src/tape/grip.ts, or a folder.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { root, setup } from './setup.mjs';

await setup();
const paths = process.argv.slice(2);
if (paths.length === 0 || paths.some((path) => !existsSync(resolve(root, path)))) {
  console.error('Say which file or folder of core/src: npm run mutate -- core/src/tape');
  process.exit(1);
}
const filesIn = (path) =>
  statSync(resolve(root, path)).isDirectory() ? readdirSync(resolve(root, path)).flatMap((name) => filesIn(join(path, name))) : [path];
const mutate = paths.flatMap(filesIn).filter((path) => path.endsWith('.ts') && !path.endsWith('.test.ts') && !path.endsWith('index.ts'));
const cache = resolve(root, '.cache');
mkdirSync(cache, { recursive: true });
const config = resolve(cache, 'stryker.json');
writeFileSync(
  config,
  JSON.stringify({
    mutate,
    testRunner: 'jest',
    testRunnerNodeArgs: ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'],
    jest: { configFile: 'jest.mutate.config.mjs', enableFindRelatedTests: false },
    coverageAnalysis: 'perTest',
    concurrency: 2,
    // a loop that no longer ends is told by this
    timeoutMS: 60_000,
    // words are looked at in the pictures; what matters here is what is computed
    mutator: { excludedMutations: ['StringLiteral'] },
    reporters: ['clear-text'],
    clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
    tempDirName: '.cache/stryker',
    cleanTempDir: 'always',
    symlinkNodeModules: true,
    ignorePatterns: ['web', 'e2e', 'docs', 'bench', '.cache', '**/dist'],
  }),
);
// a folder is looked after by its own tests
const rooms = [...new Set(mutate.map((path) => dirname(path)))];
const env = { ...process.env, MUTATE_ROOMS: rooms.join(',') };
const { status } = spawnSync(resolve(root, 'node_modules/.bin/stryker'), ['run', config], { cwd: root, stdio: 'inherit', env });
process.exit(status ?? 1);
