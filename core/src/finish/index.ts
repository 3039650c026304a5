export * from './cleaning';
export * from './drying';
export * from './filmSteps';
export * from './finishReadings';
export * from './groundSteps';
export * from './paint';
export * from './recipeDraft';
export type { RecipeInput, RecipeLayer } from './recipeInput';
export * from './workStep';
