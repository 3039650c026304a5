export * from './behind';
export * from './record';
export * from './noting';
export * from './stepFacts';
