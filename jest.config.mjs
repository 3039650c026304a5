const transform = {
  '^.+\\.tsx?$': '<rootDir>/../scripts/jestTransform.mjs',
  'clipper2-ts.+\\.js$': '<rootDir>/../scripts/jestTransform.mjs',
};
/** A test that hangs is ended by this, and no test by the pace of the machine: it is far longer than any needs. */
const testTimeout = 600_000;
const seed = '<rootDir>/../scripts/lawsSeed.mjs';
const common = {
  transform,
  testTimeout,
  transformIgnorePatterns: ['/node_modules/(?!clipper2-ts/)'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
};
export default {
  testTimeout,
  projects: [
    { ...common, displayName: 'core', rootDir: 'core', testEnvironment: 'node', setupFilesAfterEnv: [seed] },
    { ...common, displayName: 'server', rootDir: 'server', testEnvironment: 'node' },
    {
      ...common,
      displayName: 'web',
      rootDir: 'web',
      testEnvironment: '<rootDir>/test/environment.mjs',
      setupFiles: ['fake-indexeddb/auto', '<rootDir>/test/sizes.mjs'],
      setupFilesAfterEnv: [seed, '<rootDir>/test/patience.mjs'],
      moduleNameMapper: { '\\.css$': '<rootDir>/test/empty.mjs' },
    },
  ],
};
