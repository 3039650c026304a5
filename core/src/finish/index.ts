export * from './drying';
export * from './filmSteps';
export * from './finishReadings';
export * from './paint';
export * from './prepare';
export * from './recipeDraft';
export type { RecipeInput, RecipeLayer } from './recipeInput';
export * from './workStep';
