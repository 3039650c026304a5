export * from './bench';
export { Memo } from './memo';
export type { LayerPlan } from './steps';
export type { MarkPlan } from './planMark';
export * from './planWorkshop';
export * from './jigOfZone';
export * from './dayTape';
export * from './priced';
export * from './rankWays';
