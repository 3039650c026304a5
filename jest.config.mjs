const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true }, transform: { react: { runtime: 'automatic' } } },
      module: { type: 'es6' },
    },
  ],
};
const common = { transform, extensionsToTreatAsEsm: ['.ts', '.tsx'], testPathIgnorePatterns: ['/node_modules/', '/dist/'] };
export default {
  projects: [
    { ...common, displayName: 'core', rootDir: 'core', testEnvironment: 'node' },
    {
      ...common,
      displayName: 'web',
      rootDir: 'web',
      testEnvironment: '<rootDir>/test/environment.mjs',
      setupFiles: ['fake-indexeddb/auto'],
      moduleNameMapper: { '\\.css$': '<rootDir>/test/empty.mjs' },
    },
  ],
};
