import { checkNesting, freeEnd, nestedLength, Separation, skyline } from '../core/src/cut';
import { grownOutline, nestBody } from '../core/src/cut/nest/nestShape';
import { shippedFaces } from '../core/test/faces';
import { demoShop } from '../core/test/sampleJobs';
import { decalSet } from './nest';
const parts = decalSet(1, shippedFaces());
const OPTIONS = { gap: 2, holdDown: 10 };
const sheet = freeEnd(demoShop().films[0]!, 305);
let t = performance.now();
const bodies = parts.map((p) => nestBody(p, 2));
console.log('bodies', performance.now() - t, bodies.map((b) => `${b.shapes[0]!.ax.length}/${b.shapes[0]!.poles.length / 3}`).join(' '));
const start = skyline(parts, [sheet], OPTIONS, { rounds: 1, seed: 1 });
const s = new Separation(parts, sheet, OPTIONS, start, 1);
console.log('start', nestedLength(start, parts), s.length, 'area', bodies.reduce((a, b) => a + b.area, 0) / 287);
t = performance.now();
let last = s.length;
for (let r = 1; performance.now() - t < 8000; r++) {
  s.round();
  if (s.length < last) { last = s.length; console.log(r, ((performance.now() - t) / 1000).toFixed(2), last.toFixed(1)); }
}
const n = { nested: s.nested(), tooLarge: [] };
console.log(nestedLength(n, parts), checkNesting(n, parts, [sheet], OPTIONS));
