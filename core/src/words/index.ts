export * from './aheadWords';
export * from './stepWords';
export * from './waitWords';
export * from './weedWords';
