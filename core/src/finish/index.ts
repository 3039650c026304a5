export * from './drying';
export * from './finishReadings';
export * from './recipe';
export * from './workStep';
