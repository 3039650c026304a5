import { drawMark, simpleShape } from '../core/src/artwork';
import { checkNesting, type NestPart } from '../core/src/cut';
import { fillSheet } from '../core/src/cut/nest/fillSheet';
import { applyToRegion, boxHeight, boxOf, boxWidth, difference, flatten, IDENTITY, numbersFrom, regionOf, scaling, regionArea, offset, type Point, type Region } from '../core/src/geometry';
import { shippedFaces } from '../core/test/faces';
import { demoShop, textMark } from '../core/test/sampleJobs';
const faces = shippedFaces();
const WORDS = ['Tern', 'Ahoy', 'Anchor', 'Skerry', 'Oar', 'Regatta', 'Gull', 'Tide', 'Bow', 'Harbour', 'Cox', 'Wake'];
const FACES = ['pacifico', 'dancing-script', 'montserrat', 'archivo-black'];
const circle = (r: number, n = 60): Point[] => Array.from({ length: n }, (_, i): Point => [r * Math.cos((2 * Math.PI * i) / n), r * Math.sin((2 * Math.PI * i) / n)]);
const ring = (r: number): Region => difference([{ outer: circle(r), holes: [] }], [{ outer: circle(r * 0.72), holes: [] }]);
const shape = (name: 'heart' | 'star'): Region => regionOf(flatten(simpleShape(name), IDENTITY, 0.05), 'evenodd');
const sized = (region: Region, side: number): Region => { const box = boxOf(region); return applyToRegion(scaling(side / Math.max(boxWidth(box), boxHeight(box))), region); };
function set(seed: number): NestPart[] {
  const random = numbersFrom(seed * 71);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
  return Array.from({ length: 30 }, (_, i): NestPart => {
    const side = random();
    const region = i % 2 === 0 ? drawMark(textMark(pick(WORDS), {}, pick(FACES)), { width: 200, height: 100 }, faces).layers[0]!.region : pick([() => shape('heart'), () => shape('star'), () => ring(30)])();
    return { region: sized(region, i % 2 === 0 ? 40 + side * 80 : 20 + side * 45), copies: 1 };
  });
}
const outline: Region = [{ outer: [[0,0],[240,0],[260,60],[230,180],[120,200],[0,170]], holes: [] }];
const cut = difference(difference(outline, [{outer: circle(28).map(([x,y])=>[x+70,y+60] as Point), holes: []}]), [{outer: [[150,90],[200,90],[200,140],[150,140]], holes: []}]);
const sheet = { film: demoShop().films[0]!, outline: cut, from: { kind: 'offcut' as const, id: 'x' } };
const opt = { gap: 2, holdDown: 3 };
for (let s = 1; s <= 4; s++) {
  const parts = set(s);
  const t = performance.now();
  let first = 0;
  const one = fillSheet(parts, sheet, opt, { rounds: 1, seed: s });
  first = performance.now() - t;
  const till = performance.now() + 8000;
  let rounds = 0;
  let best = one;
  while (performance.now() < till) { const f = fillSheet(parts, sheet, opt, { rounds: 4, seed: s * 100 + rounds }); rounds += 4; if (f.area > best.area) best = f; }
  const closed = (r: Region) => regionArea(offset(offset(r, 1), -1));
  const area = best.nested.reduce((n, { part }) => n + closed(parts[part]!.region), 0);
  const sa = regionArea(cut);
  console.log(s, first.toFixed(0), 'ms', rounds, 'rounds', (100 * one.area / sa).toFixed(1), (100 * best.area / sa).toFixed(1), (100 * area / sa).toFixed(1), best.nested.length, checkNesting({ nested: best.nested, tooLarge: parts.map((_, i) => i) }, parts, [sheet], opt));
}
