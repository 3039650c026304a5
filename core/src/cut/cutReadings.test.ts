import { describe, expect, it } from '@jest/globals';
import { demoShop, plateJob, textMark } from '../../test/sampleJobs';
import { boxRegion } from '../geometry';
import { cutReadings } from './cutReadings';
import { layoutFilm, type CutPart } from './layout';

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
    expect(kinds(read(part(400, 500), 4000))).toContain('wide stop');
    expect(kinds(read(part(400, 200), 4000))).toEqual(['film fine']);
  });
  it('more than the machine takes in one go is a watch with a way', () => {
    const readings = read(part(270, 900, 4), 9000);
    expect(kinds(readings)).toEqual(['load watch', 'film fine']);
    expect(readings[0]!.why).toContain('in 2 loads');
  });
});
