export * from './feature';
export * from './outline';
export * from './measureReadings';
export * from './wall';
export * from './zone';
export * from './unroll/taper';
export * from './unroll/bulb';
