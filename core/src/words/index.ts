export * from './grammar';
export * from './stepWords';
export * from './waitWords';
