import { shippedFaces } from '../core/test/faces';
import { decalSet } from './nest';
import { grownOutline } from '../core/src/cut/nest/nestShape';
import { boxOf, boxCentre, applyToRegion, translation, offset, regionArea } from '../core/src/geometry';
const p = decalSet(1, shippedFaces())[7]!;
console.log(JSON.stringify(boxOf(p.region)), p.region.length, p.region[0]!.outer.length, regionArea(p.region), regionArea(grownOutline(p.region, 2)));
