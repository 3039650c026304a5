import { expect, it } from '@jest/globals';
import { plateJob, textMark } from '../../test/sampleJobs';
import { surfaceOf } from '../blanks';
import { BROKEN } from '../job';
import { fitReadings } from './fitReadings';
import type { FitContext } from './readings/context';

it('a reading that cannot be worked out is named, and takes none of the others along', () => {
  const mark = textMark('Tern');
  const { piece } = plateJob(mark);
  // nothing but the mark, its piece and what is on top of that can be looked at
  const surface = surfaceOf(piece, []);
  const seen = ['mark', 'piece', 'several', 'surface'];
  const broken = new Proxy({ piece, mark, several: false, surface } as unknown as FitContext, {
    get: (context, field) => {
      if (seen.includes(String(field))) return Reflect.get(context, field) as unknown;
      throw new TypeError(`no ${String(field)}`);
    },
  });
  const readings = fitReadings(broken);
  const ids = readings.map((reading) => reading.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const kind of ['size', 'thin', 'small', 'contrast']) expect(ids).toContain(`${BROKEN}${kind}:${mark.id}`);
  // the hold on a plate needs nothing but the surface
  expect(ids).toContain(`stick:${mark.id}`);
  for (const reading of readings.filter(({ id }) => id.startsWith(BROKEN))) {
    expect(reading.verdict).toBe('watch');
    expect(reading.why).not.toMatch(/TypeError|no \w+$/);
  }
});
