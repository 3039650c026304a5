export * from './chooseTape';
export * from './grip';
export * from './gripReading';
export * from './tapePieces';
export * from './tapePlan';
export type { Lift, TapePiece } from './tapeTask';
