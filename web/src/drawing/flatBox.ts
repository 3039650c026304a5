import { bendRegion } from '@kolleta/core/blanks';
import { boxOf, boxRegion, type Box } from '@kolleta/core/geometry';
import type { Shape } from '@kolleta/core/job';

/** What a box on a wall covers once the wall is laid flat, mm. */
export const flatBox = (box: Box, shape: Shape): Box =>
  shape.kind === 'taper' ? boxOf(bendRegion(boxRegion(box), shape, shape.height / 2)) : box;
