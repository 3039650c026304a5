import { createHash } from 'node:crypto';
import { compile } from './compile.mjs';

/**
 * Jest runs modules in a context of its own, where each look at a global such as `Math` is slow: ten times so for whole plans. Each
 * module gets its own constants for the globals that loops use.
 */
const GLOBALS = ['Math', 'Number', 'Array', 'Map', 'Set', 'Float64Array', 'Int32Array', 'Object', 'BigInt'];
const declares = (source, name) =>
  new RegExp(`\\b(?:const|let|var|class|function)\\s+${name}\\b|\\bas\\s+${name}\\b|import[^;]*\\b${name}\\b`).test(source);
const prefix = (source) => {
  const free = GLOBALS.filter((name) => source.includes(name) && !declares(source, name));
  return free.length > 0 ? `const { ${free.join(', ')} } = globalThis; ` : '';
};

export default {
  getCacheKey: (source, path, { configString }) => createHash('sha1').update(`4${path}\0${source}\0${configString}`).digest('hex'),
  process(source, path) {
    if (!/\.tsx?$/.test(path)) {
      const ours = /^\s*(import|export)\b/m.test(source) && /clipper2-ts|culori/.test(path);
      return { code: ours ? prefix(source) + source : source };
    }
    return { code: prefix(source) + compile(source, path) };
  },
};
