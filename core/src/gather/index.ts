export * from './gatherList';
export * from './gatherWords';
