// what the mutation tester runs: the tests of the rooms that it changes
import all from './jest.config.mjs';

const core = all.projects.find(({ displayName }) => displayName === 'core');
const rooms = (process.env.MUTATE_ROOMS ?? 'core/src').split(',');
export default { ...core, testTimeout: 60_000, testMatch: rooms.map((room) => `<rootDir>/${room.replace('core/', '')}/**/*.test.ts`) };
