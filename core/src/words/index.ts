export * from './aheadWords';
export * from './grammar';
export * from './stepWords';
export * from './waitWords';
export * from './weedWords';
