import fc from 'fast-check';

// the same cases at every run, so that a red run is about what was changed; LAWS_SEED tries others
fc.configureGlobal({ seed: Number(process.env.LAWS_SEED ?? 20261127) });
