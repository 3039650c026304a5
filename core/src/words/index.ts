export * from './aheadWords';
export * from './beforeCut';
export * from './careCard';
export * from './mishaps';
export * from './sheetWords';
export * from './stepWords';
export * from './waitWords';
export * from './weedWords';
