import { expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop } from '../../test/sampleJobs';
import { readJobFile, readWorkshopFile, writeJobFile, writeWorkshopFile } from './files';
import { law } from '../../test/depth';

const demo = demoWorkshop();
const files = [...demo.jobs.map(writeJobFile), writeWorkshopFile(demo)];
const values: unknown[] = [null, true, -1, 1e308, '', 'x', [], {}, '__proto__', [[]], { id: 'x' }];

/** Puts a strange value somewhere into plain data. */
function plant(data: unknown, way: readonly number[], value: unknown): unknown {
  if (way.length === 0 || typeof data !== 'object' || data === null) return value;
  const keys = Object.keys(data);
  if (keys.length === 0) return value;
  const key = keys[way[0]! % keys.length]!;
  const copy = (Array.isArray(data) ? [...data] : { ...data }) as Record<string, unknown>;
  copy[key] = plant(copy[key], way.slice(1), value);
  return copy;
}

it('any file with something strange in it is taken whole or refused with the place, and never throws', () => {
  let refusedOnes = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...files),
      fc.array(fc.nat(30), { minLength: 1, maxLength: 8 }),
      fc.constantFrom(...values),
      (file, way, value) => {
        const text = JSON.stringify(plant(JSON.parse(file), way, value));
        for (const result of [readJobFile(text, 'f.json'), readWorkshopFile(text, 'f.json')]) {
          if (result.ok) continue;
          refusedOnes += 1;
          expect(result.problem.found).toContain('"f.json"');
          expect(result.problem.where).toContain('f.json');
          expect(result.problem.wayOut.length).toBeGreaterThan(10);
        }
      },
    ),
    law(300, undefined, 7),
  );
  expect(refusedOnes).toBeGreaterThan(300);
});

it('a file cut short anywhere is refused', () => {
  fc.assert(
    fc.property(fc.constantFrom(...files), fc.double({ min: 0, max: 0.999, noNaN: true }), (file, share) => {
      expect(readJobFile(file.slice(0, Math.floor((file.length - 2) * share)), 'f.json').ok).toBe(false);
    }),
    law(60, undefined, 8),
  );
});
