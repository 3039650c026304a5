// What the mutation tester runs: the tests of the rooms that it changes, in Jest's own VM, where it can see what each test reaches.
const rooms = (process.env.MUTATE_ROOMS ?? 'core/src').split(',');
export default {
  displayName: 'core',
  rootDir: 'core',
  testEnvironment: 'node',
  transform: {
    '^.+\\.tsx?$': '<rootDir>/../scripts/jest/transform.mjs',
    'clipper2-ts.+\\.js$': '<rootDir>/../scripts/jest/transform.mjs',
  },
  transformIgnorePatterns: ['/node_modules/(?!clipper2-ts/)'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  setupFilesAfterEnv: ['<rootDir>/../scripts/jest/laws.mjs'],
  testTimeout: 60_000,
  testMatch: rooms.map((room) => `<rootDir>/${room.replace('core/', '')}/**/*.test.ts`),
};
