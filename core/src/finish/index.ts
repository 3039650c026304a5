export * from './drying';
export * from './finishReadings';
export * from './recipe';
export type { RecipeInput, RecipeLayer } from './recipeInput';
export * from './stencil';
export * from './workStep';
