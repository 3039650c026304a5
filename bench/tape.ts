import { gripWindow, tapePlan, type Lift } from '../core/src/tape';
import { numbersFrom } from '../core/src/geometry';
import { demoShop } from '../core/test/sampleJobs';
import { atMost, timed, type Figure } from './figure';

const SURFACES = [
  { hold: 1, contact: 1, strength: Infinity, wear: 'hard' },
  { hold: 0.85, contact: 0.9, strength: 5, wear: 'sealed' },
  { hold: 0.4, contact: 0.9, strength: 1.5, wear: 'raw' },
] as const;

/** Sixty marks of all sizes on glass, sealed wood and chalk-like paint, lifted once to three times each. */
function sixtyLifts(): Lift[] {
  const random = numbersFrom(7);
  return Array.from({ length: 60 }, (_, i): Lift => {
    const surface = SURFACES[Math.floor(random() * SURFACES.length)]!;
    return {
      id: `m${i}`,
      width: 15 + random() * 165,
      height: 10 + random() * 80,
      times: 1 + Math.floor(random() * 3),
      finish: 'gloss',
      window: gripWindow({ kind: 'permanent', finish: 'gloss', surface, sheet: false, daysCut: 0 }),
    };
  });
}

/** The tape plan of sixty marks: how long it is looked for, and its length against tape for each mark by itself. */
export async function tapeFigures(): Promise<Figure[]> {
  const { tapes } = demoShop();
  const lifts = sixtyLifts();
  const ms = await timed(() => tapePlan(lifts, tapes, { rounds: 400, seed: 1 }));
  const together = tapePlan(lifts, tapes, { rounds: 400, seed: 1 }).length;
  const alone = lifts.reduce((sum, lift) => sum + tapePlan([lift], tapes).length, 0);
  return [atMost('tape/60-marks', ms, 1000, 'ms'), atMost('tape/60-marks-against-each-alone', (100 * together) / alone, 100, '%')];
}
