import { inspectPlaces, largestFit, largestFitAnywhere, largestFitRound, counterRings, outerRings, outlinePoints } from '../core/src/fit';
import { drawMark } from '../core/src/artwork';
import { boxRegion, difference, regionOf, union, type Point, type Region, type Ring } from '../core/src/geometry';
import { shippedFaces } from '../core/test/faces';
import { demoShop, textMark } from '../core/test/sampleJobs';
import { atMost, timed, type Figure } from './figure';

const polygon = (n: number, r: number, [cx, cy]: Point = [0, 0]): Ring =>
  Array.from({ length: n }, (_, i): Point => [cx + r * Math.cos((2 * Math.PI * i) / n), cy + r * Math.sin((2 * Math.PI * i) / n)]);
const box = (minX: number, minY: number, maxX: number, maxY: number): Region => boxRegion({ minX, minY, maxX, maxY });
const ringOf = (region: Region): Ring => region[0]!.outer;
const disc = (r: number, at: Point = [0, 0]): Region => [{ outer: polygon(600, r, at), holes: [] }];

/** Largest fits whose answer a formula gives: name, what was found, what is right. */
function knownFits(): [string, number, number][] {
  const square = ringOf(box(-1, -1, 1, 1));
  const round = polygon(600, 1);
  const bar = ringOf(box(-3, -1, 3, 1));
  const ell = difference(box(0, 0, 60, 60), box(30, 30, 60, 60));
  const cross = union(box(-50, -20, 50, 20), box(-20, -50, 20, 50));
  const convex = (art: Ring, zone: Ring, margin = 0) => largestFit(art, zone, margin).scale;
  const anywhere = (art: Ring, zone: Region, turn = false) => largestFitAnywhere([art], zone, { turn }).scale;
  return [
    ['square-in-circle', convex(square, polygon(2000, 50)), 50 / Math.SQRT2],
    ['circle-in-square-with-margin', convex(round, ringOf(box(0, 0, 100, 100)), 10), 40],
    [
      'square-in-triangle',
      convex(square, [
        [0, 0],
        [60, 0],
        [30, 60],
      ]),
      15,
    ],
    ['bar-in-circle', convex(bar, polygon(2000, 50)), 50 / Math.sqrt(10)],
    [
      'circle-in-triangle',
      convex(round, [
        [0, 0],
        [60, 0],
        [0, 80],
      ]),
      20,
    ],
    ['square-in-ell', anywhere(square, ell), 15],
    ['circle-in-ell', anywhere(round, ell), (30 * Math.SQRT2) / (1 + Math.SQRT2)],
    ['circle-beside-a-post', anywhere(round, difference(box(-50, -50, 50, 50), disc(20))), (50 * Math.SQRT2 - 20) / (1 + Math.SQRT2)],
    ['circle-in-ring', anywhere(round, difference(disc(50), disc(20))), 15],
    // its corners lie in the notches of the cross: half the side is the arm's half width
    ['square-in-cross', anywhere(square, cross), 20],
    ['bar-on-the-diagonal', anywhere(ringOf(box(-4, -0.5, 4, 0.5)), box(0, 0, 90, 90), true), (90 * Math.SQRT2) / 9],
    [
      'ring-round-a-post',
      largestFitRound([round], [polygon(600, 0.5).toReversed()], difference(box(-50, -50, 50, 50), disc(15, [8, 0])), 0)?.scale ?? 0,
      50,
    ],
    ['square-in-the-larger-of-two', anywhere(square, [...box(0, 0, 20, 20), ...box(40, 0, 80, 40)]), 20],
  ];
}

/** Largest fits whose answer is known: the error in percent; how long a mark of 60 letters takes; inspection and joining of 100. */
export async function fitFigures(): Promise<Figure[]> {
  const errors = knownFits().map(([name, found, known]) => atMost(`fit/error/${name}`, (100 * Math.abs(found - known)) / known, 0.5, '%'));
  const faces = shippedFaces();
  const drawn = (text: string, face: string) => drawMark(textMark(text, {}, face), { width: 180, height: 100 }, faces);
  const sixty = drawn('The quick tern dives past a red buoy nine, home by half past four', 'dancing-script');
  const outline = outlinePoints(sixty);
  const rings = outerRings(sixty.layers);
  const holed = difference(box(-90, -50, 90, 50), union(disc(12, [-30, 10]), box(20, -50, 30, 10)));
  const hundred = drawn(
    'The quick brown tern dives past a red buoy at nine and is home by half past four in spite of rain, wind and a low tide',
    'montserrat',
  );
  const films = demoShop().films;
  const overlapping = Array.from({ length: 100 }, (_, i): Ring => polygon(120, 6, [(i % 20) * 9, Math.floor(i / 20) * 9]));
  return [
    ...errors,
    atMost('fit/convex-60-glyphs', await timed(() => largestFit(outline, ringOf(box(-90, -50, 90, 50)), 5)), 50, 'ms'),
    atMost(
      'fit/anywhere-60-glyphs',
      await timed(() => largestFitRound(rings, counterRings(sixty.layers), holed, largestFitAnywhere(rings, holed).scale)),
      500,
      'ms',
    ),
    atMost('fit/inspect-100-glyphs', await timed(() => inspectPlaces(hundred.layers, { technique: 'decal' }, films)), 150, 'ms'),
    atMost('fit/one-outline-100-glyphs', await timed(() => union(...overlapping.map((ring) => regionOf([ring])))), 150, 'ms'),
  ];
}
