import swc from '@swc/core';

/** A module of ours as plain JavaScript. */
export const compile = (source, path) =>
  swc.transformSync(source, {
    filename: path,
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: path.endsWith('x') },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
    sourceMaps: 'inline',
  }).code;
