export * from './lastTime';
export * from './learning';
export * from './learntWords';
export * from './tallies';
export * from './took';
