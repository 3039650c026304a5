// Tests run in bare Node, two workers, each of which reads a module once (ADR 48). `npm run unit -- NAME` runs those whose path has that in it.
const laws = '<rootDir>/../scripts/jest/laws.mjs';
const common = {
  runner: ['jest-light-runner', { runtime: 'child_process' }],
  transform: {},
  testMatch: ['**/*.test.{ts,tsx}'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  setupFilesAfterEnv: [laws],
};
export default {
  // by itself it would leave a core idle
  maxWorkers: 2,
  projects: [
    { ...common, displayName: 'core', rootDir: 'core' },
    { ...common, displayName: 'server', rootDir: 'server' },
    {
      ...common,
      displayName: 'web',
      rootDir: 'web',
      setupFiles: ['<rootDir>/test/browserLike.mjs'],
      setupFilesAfterEnv: [laws, '<rootDir>/test/eachFile.mjs'],
    },
  ],
};
