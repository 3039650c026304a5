const transform = {
  '^.+\\.tsx?$': '<rootDir>/../scripts/jestTransform.mjs',
  'clipper2-ts.+\\.js$': '<rootDir>/../scripts/jestTransform.mjs',
};
const common = {
  transform,
  transformIgnorePatterns: ['/node_modules/(?!clipper2-ts/)'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
};
export default {
  projects: [
    { ...common, displayName: 'core', rootDir: 'core', testEnvironment: 'node' },
    { ...common, displayName: 'server', rootDir: 'server', testEnvironment: 'node' },
    {
      ...common,
      displayName: 'web',
      rootDir: 'web',
      testEnvironment: '<rootDir>/test/environment.mjs',
      setupFiles: ['fake-indexeddb/auto', '<rootDir>/test/sizes.mjs'],
      moduleNameMapper: { '\\.css$': '<rootDir>/test/empty.mjs' },
    },
  ],
};
