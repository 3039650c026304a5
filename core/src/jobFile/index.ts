export * from './files';
export * from './compareWorkshops';
