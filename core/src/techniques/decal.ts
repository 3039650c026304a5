import type { Making } from '../job';
import { stuckOn } from './stuckOn';
import type { TechniqueFile } from './technique';

/** Film that stays on the piece. */
export const decal: TechniqueFile<Extract<Making, { technique: 'decal' }>> = { make: stuckOn, readings: () => [] };
