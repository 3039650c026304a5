import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { dirname, resolve as resolvePath } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { compile } from './compile.mjs';

/** Jest's globals are made anew for each file that asks for them, so that what they register belongs to that file. */
const globals = new URL('./globals.mjs', import.meta.url).href;
const cache = fileURLToPath(new URL('../../.cache/tests', import.meta.url));
mkdirSync(cache, { recursive: true });

/** What is kept in the browser has a state: its modules are read anew for each of its test files. */
const KEPT = '/web/src/storage/';
const anew = (path, parent) => {
  if (!path.includes(KEPT) || !parent.includes(KEPT)) return '';
  const [, reader] = /\?reader=(.+)$/.exec(parent) ?? (/\.test\.tsx?\?/.test(parent) ? [parent, encodeURIComponent(parent)] : []);
  return reader ? `?reader=${reader}` : '';
};

/** As the bundler does it: a module may be named without its ending, a room by its folder. */
const ENDINGS = ['.ts', '.tsx', '/index.ts'];

export async function resolve(specifier, context, next) {
  if (specifier === '@jest/globals') return { url: `${globals}?for=${encodeURIComponent(context.parentURL)}`, shortCircuit: true };
  if (specifier.endsWith('.css')) return { url: 'data:text/javascript,', shortCircuit: true };
  if (specifier.startsWith('.') && context.parentURL?.startsWith('file:')) {
    const path = resolvePath(dirname(fileURLToPath(context.parentURL)), specifier);
    const ending = ENDINGS.find((one) => existsSync(path + one));
    if (ending) return { url: pathToFileURL(path + ending).href + anew(path, context.parentURL), shortCircuit: true };
  }
  // some packages leave the ending of a file of theirs to the bundler
  return next(specifier, context).catch((error) =>
    error.code === 'ERR_MODULE_NOT_FOUND' && !specifier.endsWith('.js') ? next(`${specifier}.js`, context) : Promise.reject(error),
  );
}

export function load(url, context, next) {
  if (!/^file:.*\.(tsx?|json)(\?|$)/.test(url)) return next(url, context);
  const path = fileURLToPath(url);
  const source = readFileSync(path, 'utf8');
  if (path.endsWith('.json')) return { format: 'module', source: `export default ${source}`, shortCircuit: true };
  const kept = resolvePath(cache, createHash('sha1').update(`1${path}\0${source}`).digest('hex'));
  if (existsSync(kept)) return { format: 'module', source: readFileSync(kept, 'utf8'), shortCircuit: true };
  const code = compile(source, path);
  // another worker may read it at this moment
  writeFileSync(`${kept}.${process.pid}`, code);
  renameSync(`${kept}.${process.pid}`, kept);
  return { format: 'module', source: code, shortCircuit: true };
}
