export * from './calendar';
export * from './checkSolution';
export * from './listSchedule';
export * from './placeSteps';
export * from './problem';
export * from './scheduleReadings';
export * from './solve';
export * from './waitsOpen';
