export * from './record';
export * from './noting';
