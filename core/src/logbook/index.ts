export * from './behind';
export * from './cutAgain';
export * from './record';
export * from './noting';
export * from './spoiled';
export * from './stepFacts';
export * from './workedTime';
