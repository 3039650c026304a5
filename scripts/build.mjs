// Builds the application and the server when anything that they are made of changed.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root, run, secondsSince, setup } from './setup.mjs';

function hashOf(paths) {
  const hash = createHash('sha256');
  const visit = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) if (!['dist', 'node_modules', 'generated'].includes(name)) visit(resolve(path, name));
    } else hash.update(path).update(readFileSync(path));
  };
  paths.forEach((path) => visit(resolve(root, path)));
  return hash.digest('hex');
}

export async function build() {
  await setup({ all: false });
  const stamp = resolve(root, 'node_modules/.kolleta-build');
  const wanted = hashOf(['core/src', 'core/test', 'web', 'server', 'demo', 'scripts/demoBench.ts', 'package-lock.json']);
  const built = existsSync(resolve(root, 'web/dist/index.html')) && existsSync(resolve(root, 'server/dist/main.js'));
  if (built && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  const from = Date.now();
  run(process.execPath, ['--import', 'tsx', resolve(root, 'scripts/demoBench.ts')]);
  const vite = resolve(root, 'node_modules/vite/bin/vite.js');
  run(process.execPath, [vite, 'build', 'web', '--logLevel', 'warn'], { env: { ...process.env, KOLLETA_BUILD: wanted.slice(0, 12) } });
  run(process.execPath, [vite, 'build', 'server', '--logLevel', 'warn']);
  writeFileSync(stamp, wanted);
  console.log(`Build: ${secondsSince(from)}`);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await build();
