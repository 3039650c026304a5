export * from './record';
export * from './noting';
export * from './stepFacts';
