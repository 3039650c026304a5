import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { filmSuits, TECHNIQUES } from '../facts';
import { otherWays } from './otherWays';

const { jobs, shop } = demoWorkshop();

describe('a job made by another technique', () => {
  it('has all its marks made so, with film and paint that the shop has, and is as it was in all else', () => {
    for (const job of jobs) {
      for (const { technique, job: other } of otherWays(job, shop)) {
        expect(other.marks.map((mark) => mark.technique)).toEqual(other.marks.map(() => technique));
        for (const [i, mark] of other.marks.entries()) {
          const was = job.marks[i]!;
          // a mark that is made so already keeps its film
          if ([was.technique].includes(technique)) expect(mark).toEqual(was);
          else expect(filmSuits(technique, shop.films.find(({ id }) => id === mark.film)!.kind)).toBe(true);
          if (TECHNIQUES[technique].painted) expect(shop.paints.map(({ id }) => id)).toContain(mark.paint);
        }
        expect({ ...other, marks: [] }).toEqual({ ...job, marks: [] });
      }
      // what it is made by already is no other way, unless only some of its marks are
      const now = new Set(job.marks.map(({ technique }) => technique));
      if (now.size === 1) expect(otherWays(job, shop).map(({ technique }) => technique)).not.toContain([...now][0]);
    }
  });
  it('is none where the shop lacks what it takes', () => {
    const bare = { ...shop, films: [], paints: [] };
    expect(jobs.flatMap((job) => otherWays(job, bare))).toEqual([]);
  });
});
