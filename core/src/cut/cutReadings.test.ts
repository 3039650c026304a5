import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoShop, plateJob, textMark } from '../../test/sampleJobs';
import { applyToPoint, boxRegion } from '../geometry';
import type { Film, FilmPiece } from '../job';
import { beforeCutWords } from '../words';
import { cutReadings } from './cutReadings';
import { beforeCutOf } from './beforeCut';
import { layoutFilm, type CutPart } from './layout';
import { law } from '../../test/depth';

const shop = demoShop();
const white = shop.films.find((f) => f.id === 'white-gloss')!;
const part = (width: number, height: number, copies = 1): CutPart => ({
  job: 'j',
  mark: 'm',
  name: 'mark',
  copies,
  region: boxRegion({ minX: 0, minY: 0, maxX: width, maxY: height }),
});
const layout = (...parts: CutPart[]) => layoutFilm(white, parts, shop.machines);
const job = plateJob(textMark('Tern'));

function read(own: CutPart, left: number, others: CutPart[] = []) {
  const [mine, shared] = [layout(own), layout(own, ...others)];
  const has = (film: string) => (film === white.id ? left : (shop.films.find((f) => f.id === film)?.length ?? 0));
  const needed = (film: string) => (film === white.id ? shared.taken : 0);
  return cutReadings(job, shared, mine, shop, has, needed, 'mm');
}
const kinds = (readings: { id: string; verdict: string }[]) => readings.map((r) => `${r.id.split(':')[0]} ${r.verdict}`);

describe('what cutting tells', () => {
  it('enough film is fine, and says how much of how much', () => {
    const [reading] = read(part(80, 60), 4000);
    expect(reading).toMatchObject({ verdict: 'fine', value: '80 mm of 4000 mm' });
  });
  it('barely enough is a watch: room is wanted to cut a part again, on the roll or beside it', () => {
    // the part takes 60 mm across the roll, and as much as is held down at both ends
    const taken = layout(part(80, 60)).taken;
    expect(read(part(80, 60), taken + 79)[0]).toMatchObject({
      verdict: 'watch',
      value: '79 mm left over',
      limit: '80 mm to cut one again',
    });
    expect(kinds(read(part(80, 60), taken + 80))).toEqual(['film fine']);
  });
  it('enough for this job but not for all is a watch', () => {
    expect(kinds(read(part(250, 200), 400, [part(250, 400)]))).toEqual(['film watch']);
  });
  it('too little for this job is a stop that names what to buy', () => {
    const [reading] = read(part(250, 600), 300);
    expect(reading!.verdict).toBe('stop');
    expect(reading!.value).toBe('300 mm left');
    expect(reading!.advice).toContain('Buy White gloss');
    expect(reading!.remedies.length).toBeGreaterThan(0);
  });
  it('offers only rolls of the same kind, as wide, with enough beside what others need', () => {
    const [reading] = read(part(250, 600), 300);
    for (const remedy of reading!.remedies) {
      const film = shop.films.find((f) => remedy.label.startsWith(`${f.name} —`))!;
      expect(film.kind).toBe('permanent');
      expect(film.length).toBeGreaterThan(600);
    }
  });
  it('a mark wider than the film, whichever way it is turned, is a stop of its own', () => {
    expect(kinds(read(part(400, 500), 4000))).toEqual(['wide stop']);
    expect(kinds(read(part(400, 200), 4000))).toEqual(['film fine']);
  });
  it('says what it would take, offers film that is wide enough, and never a mark of no size', () => {
    const wide = { ...white, id: 'wide', name: 'Wide white', width: 600 };
    const broad = shop.machines.map((machine) => ({ ...machine, width: 700, most: 9000, carriers: [] }));
    const of = (width: number, films: readonly Film[], copies = 1) => {
      const narrow = { ...white, width };
      const mine = layoutFilm(narrow, [part(200, 260, copies), { ...part(220, 90), name: 'other' }], broad);
      const own = { films: [narrow, ...films], machines: broad };
      return cutReadings(
        job,
        mine,
        mine,
        own,
        () => 4000,
        (id) => (id === white.id ? mine.taken : 0),
        'mm',
      )[0]!;
    };
    const without = of(60, []);
    expect(without).toMatchObject({ verdict: 'stop', value: '60 mm', limit: '220 mm for the smaller side of the mark', remedies: [] });
    expect(without.why).toBe('Mark and other are wider than the roll and the machine take, whichever way round.');
    expect(without.advice).toContain('at least 220 mm');
    expect(of(60, [wide]).remedies.map(({ label }) => label)).toEqual(['Wide white — 600 mm wide']);
    expect(of(60, [{ ...wide, width: 210 }]).remedies).toEqual([]);
    // of 20 copies that film has not enough
    expect(of(60, [wide], 20).remedies).toEqual([]);
    expect(of(150, [wide]).remedies.map(({ label }) => label)).toEqual(['Make it 90 mm wide', 'Wide white — 600 mm wide']);
  });
  it('more than the machine takes in one go is a watch with a way', () => {
    const readings = read(part(270, 900, 4), 9000);
    expect(kinds(readings)).toEqual(['load watch', 'film fine']);
    expect(readings[0]!.why).toContain('in 2 loads');
  });
  describe('where the roll has not enough', () => {
    const read = (pieces: Partial<FilmPiece>[], own: CutPart, left = 50) => {
      const film = {
        ...white,
        pieces: pieces.map((one, i) => ({ id: `p${i}`, kind: 'sheet' as const, width: 300, length: 300, count: 1, ...one })),
      };
      const mine = layoutFilm(film, [own], shop.machines);
      const [reading] = cutReadings(
        job,
        mine,
        mine,
        shop,
        () => left,
        () => mine.taken,
        'mm',
      );
      return reading!;
    };
    it('a sheet beside it that holds all is a way', () => {
      expect(read([{}], part(100, 100))).toMatchObject({
        verdict: 'watch',
        why: expect.stringContaining('300 mm × 300 mm: it holds all of it'),
      });
      expect(read([{ length: 60 }], part(100, 100))).toMatchObject({ verdict: 'stop' });
    });
    it('several pieces are a way too, and pieces with what the roll still has', () => {
      const some = [{ length: 130 }, { length: 130, kind: 'offcut' as const }];
      expect(read(some, part(100, 100, 4))).toMatchObject({
        verdict: 'watch',
        why: 'The roll alone has not enough. Cut 2 from the offcut of 300 mm × 130 mm and 2 from the sheet of 300 mm × 130 mm.',
      });
      expect(read(some, part(100, 100, 6), 130).why).toContain('and 2 from 120 mm of roll');
      // what is left of the roll is too short for the rest
      expect(read(some, part(100, 100, 6), 110)).toMatchObject({ verdict: 'stop' });
    });
    it('what is too wide for the roll goes on a sheet that is larger, and only there', () => {
      const broad = shop.machines.map((machine) => ({ ...machine, width: 700, most: 9000, carriers: [] }));
      const of = (pieces: Partial<FilmPiece>[], own: readonly CutPart[], left = 4000) => {
        const film = {
          ...white,
          width: 150,
          pieces: pieces.map((one, i) => ({ id: `p${i}`, kind: 'sheet' as const, width: 300, length: 300, count: 1, ...one })),
        };
        const mine = layoutFilm(film, own, broad);
        return cutReadings(
          job,
          mine,
          mine,
          { ...shop, machines: broad },
          () => left,
          () => mine.taken,
          'mm',
        );
      };
      const only = of([{}], [part(200, 260)]);
      expect(kinds(only)).toEqual(['wide watch']);
      expect(only[0]!.why).toBe(
        'Mark is wider than the roll and the machine take, whichever way round. Cut it from the sheet of 300 mm × 300 mm: it holds all of it.',
      );
      // the rest comes off the roll
      const some = [part(200, 260), { ...part(100, 100, 6), mark: 'n' }];
      expect(of([{}], some)[0]).toMatchObject({ verdict: 'watch', why: expect.stringContaining('of roll') });
      expect(kinds(of([{}], some, 100))).toContain('wide stop');
      expect(kinds(of([{ width: 190 }], [part(200, 260)]))).toEqual(['wide stop']);
    });
  });
});

describe('a film wider than the machine', () => {
  it('is never laid out wider than the machine takes, and is trimmed first', () => {
    const side = fc.integer({ min: 100, max: 700 });
    fc.assert(
      fc.property(
        side,
        side,
        fc.array(fc.tuple(fc.integer({ min: 10, max: 90 }), fc.integer({ min: 10, max: 90 })), { minLength: 1, maxLength: 8 }),
        (film, takes, parts) => {
          const machines = [{ ...shop.machines[0]!, name: 'Small', width: takes }];
          const laid = layoutFilm(
            { ...white, width: film },
            parts.map(([w, h]) => part(w, h)),
            machines,
          );
          const reach = Math.max(
            ...laid.parts.flatMap(({ outline, place }) =>
              laid.outlines[outline]!.flatMap(({ outer }) => outer.map((point) => applyToPoint(place, point)[0])),
            ),
          );
          expect(laid.width).toBe(Math.min(film, takes));
          expect(reach).toBeLessThanOrEqual(takes);
          expect(beforeCutOf(laid).before?.trim).toEqual(film > takes ? { to: takes, machine: 'Small' } : undefined);
        },
      ),
      law(60),
    );
  });
  it('says so, with the cover sheet, before it says how much it takes', () => {
    const say = (mm: number) => `${mm} mm`;
    expect(beforeCutWords({ trim: { to: 305, machine: 'Small' }, covered: true }, say)).toBe(
      'Trim the film to 305 mm first: it is wider than the Small takes. Pull the clear cover sheet off before you cut. ',
    );
    expect(beforeCutWords(undefined, say)).toBe('');
  });
});
