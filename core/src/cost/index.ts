export * from './cost';
export * from './quote';
