export * from './event';
export * from './guarded';
export * from './ids';
export * from './job';
export * from './making';
export * from './patch';
export * from './reading';
export * from './shop';
