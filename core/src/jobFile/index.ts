export * from './files';
export * from './soundJob';
export * from './compareWorkshops';
