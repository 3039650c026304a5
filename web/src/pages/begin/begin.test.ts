import { expect, it } from '@jest/globals';
import { USUAL_CUTTERS, USUAL_FILMS, USUAL_TAPES, USUAL_WEEKS } from '@kolleta/core/facts';
import { applyPatch, emptyShop } from '@kolleta/core/job';
import { readWorkshopFile, writeWorkshopFile } from '@kolleta/core/jobFile';
import { begin, type Answers } from './begin';

const ids = () => {
  let n = 0;
  return () => `id${n++}`;
};
const began = (answers: Answers, language = 'de') => {
  const { document } = applyPatch(emptyShop('Europe/Dublin', language), begin(emptyShop('Europe/Dublin', language), answers, ids()));
  const read = readWorkshopFile(writeWorkshopFile({ shop: document, jobs: [], events: [] }), 'begun');
  if (!read.ok) throw new Error(read.problem.found);
  return read.value.shop;
};

it('every question can be left: the workshop is empty then, and can be saved', () => {
  expect(began({ films: [], tapes: [] })).toEqual(emptyShop('Europe/Dublin', 'de'));
});

it('every answer there is makes a workshop that can be saved, each thing with an id of its own', () => {
  for (const lengths of ['mm', 'inch'] as const) {
    for (const cutter of USUAL_CUTTERS.keys()) {
      const shop = began({
        ...{ lengths, cutter, week: 'weekends' },
        films: [...USUAL_FILMS.keys()],
        tapes: [...USUAL_TAPES.keys()],
      });
      expect([shop.films.length, shop.tapes.length, shop.machines.length]).toEqual([USUAL_FILMS.length, USUAL_TAPES.length, 1]);
      expect(shop.hours.week).toEqual(USUAL_WEEKS.weekends.week);
      expect(shop.temperatures).toBe(lengths === 'inch' ? 'F' : 'C');
      const [machine] = shop.machines;
      // what is spoken of in inches is round in them
      if (lengths === 'inch') for (const mm of [machine!.width, machine!.most]) expect(mm / 12.7).toBeCloseTo(Math.round(mm / 12.7), 6);
      else expect(machine!.width).toBe(USUAL_CUTTERS[cutter]!.width);
    }
  }
});
