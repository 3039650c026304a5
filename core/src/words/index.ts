export * from './aheadWords';
export * from './sheetWords';
export * from './stepWords';
export * from './waitWords';
export * from './weedWords';
