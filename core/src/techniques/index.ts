export * from './techniqueReadings';
export * from './placingOf';
export * from './recipeFor';
export * from './ways';
export type { TechniqueFile } from './technique';
