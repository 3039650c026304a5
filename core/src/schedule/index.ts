export * from './calendar';
export * from './placeSteps';
export * from './scheduleReadings';
export * from './solve';
export * from './waitsOpen';
