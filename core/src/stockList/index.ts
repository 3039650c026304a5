export * from './stockList';
