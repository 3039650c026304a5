export * from './files';
export * from './soundJob';
export * from './compareWorkshops';
export * from './stockList';
