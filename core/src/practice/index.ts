export * from './drills';
export * from './round';
