import fc from 'fast-check';

// the same cases at every run, so that a red run is about what was changed; LAWS_SEED tries others, and a deep run more of a law that does not
// say how many
fc.configureGlobal({ seed: Number(process.env.LAWS_SEED ?? 20261127), numRuns: process.env.LAWS === 'deep' ? 1000 : 100 });
