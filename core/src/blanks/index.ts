export * from './measureReadings';
export * from './wall';
export * from './zone';
export * from './unroll/taper';
