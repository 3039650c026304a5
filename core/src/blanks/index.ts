export * from './measureReadings';
export * from './wall';
export * from './zone';
