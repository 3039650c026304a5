export * from './stockList';
export * from './logList';
