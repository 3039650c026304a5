// Installs what is missing: packages when the lock or Node changed, the validators, and Chromium when asked for.
import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = resolve(root, 'node_modules/.kolleta-stamp');

/** Runs a command in the project's folder; ends this process with its code when it fails. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (status !== 0) process.exit(status ?? 1);
}

/** Installs the packages, all of them or those that the application is built from. */
function installPackages(all) {
  const wanted = createHash('sha256')
    .update(readFileSync(resolve(root, 'package-lock.json')))
    .update(process.version)
    .digest('hex');
  const there = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
  if (there === `${wanted} all` || (!all && there === `${wanted} build`)) return;
  console.log('Installing packages…');
  const from = Date.now();
  run('npm', ['ci', ...(all ? [] : ['--omit=dev'])]);
  writeFileSync(stamp, `${wanted} ${all ? 'all' : 'build'}`);
  console.log(`Packages: ${secondsSince(from)}`);
}

/** How long something took, in words. */
export const secondsSince = (from) => `${((Date.now() - from) / 1000).toFixed(1)} s`;

/** How Chromium is started here: headless, and silent on the network. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Where Chromium is, or undefined. */
export function findChromium() {
  const candidates = [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
  ];
  return candidates.find((path) => path && existsSync(path));
}

/** Installs a Debian package when it may; says how otherwise. */
function needPackage(name, what, otherwise) {
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0) {
    console.error(`${what} Install it (Debian: apt-get install ${name})${otherwise}.`);
    process.exit(1);
  }
  console.log(`Installing ${name}…`);
  run('apt-get', ['update', '-qq'], { stdio: ['ignore', 'ignore', 'inherit'] });
  run('apt-get', ['install', '-y', '-qq', name], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}

/** Installs Debian's Chromium when there is none and it may. */
export function needChromium() {
  if (!findChromium()) needPackage('chromium-headless-shell', 'The browser tests need Chromium.', ' or set CHROMIUM_PATH');
}

/** Installs the programs that others wrote and that tests read our files with. */
export function needReaders() {
  if (spawnSync('hp2xx', ['-q', '-V']).error) needPackage('hp2xx', 'The tests read HPGL with hp2xx.', '');
  if (spawnSync('pdftoppm', ['-v']).error) needPackage('poppler-utils', 'The tests read PDF with pdftoppm.', '');
}

/** Installs and makes what is missing. Whoever only builds needs no packages of tests and bench. */
export async function setup({ all = true } = {}) {
  installPackages(all);
  const from = Date.now();
  const { writeValidators } = await import('./validators.mjs');
  await writeValidators();
  const { writeStrokeFace } = await import('./strokeFace.mjs');
  writeStrokeFace();
  if (Date.now() - from > 500) console.log(`Validators and the stroke face: ${secondsSince(from)}`);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await setup();
