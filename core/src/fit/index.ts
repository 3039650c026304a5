export * from './contrast';
export * from './fitMark';
export * from './fitReadings';
export * from './handySize';
export * from './inspectMark';
export * from './largestFit';
export type { FitContext } from './readings/context';
