export * from './techniqueReadings';
export * from './recipeFor';
export * from './ways';
export type { TechniqueFile } from './technique';
