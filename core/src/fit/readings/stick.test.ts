import { describe, expect, it } from '@jest/globals';
import { demoShop, plateJob, textMark } from '../../../test/sampleJobs';
import { surfaceOf } from '../../blanks';
import { GROUNDS, type GroundId } from '../../facts';
import { applyPatch, type Job, type Piece } from '../../job';
import type { FitContext } from './context';
import { blankForFilm, coldReading, stickReading, waxReading } from './stick';

const shop = demoShop();
const use = { drink: false, food: false, dryShort: false };
const grounds = Object.keys(GROUNDS) as GroundId[];
const context = (piece: Partial<Piece>, mark: Partial<Job['marks'][number]> = {}, own: Partial<typeof shop> = {}): FitContext => {
  const job = plateJob(textMark('x', mark));
  const whole = { ...job.piece, ...piece };
  return {
    ...{ piece: whole, mark: job.marks[0]!, several: false, shop: { ...shop, ...own } },
    ...{ surface: surfaceOf(whole, shop.paints), behind: { colour: '#22302f', colours: ['#22302f'], name: 'the plate' } },
  } as unknown as FitContext;
};
const stick = (...given: Parameters<typeof context>) => stickReading(context(...given))!;

describe('whether film holds', () => {
  it.each<[string, Partial<Piece>, 'fine' | 'watch' | 'stop']>([
    ['glass', { ground: 'glass' }, 'fine'],
    ['polystyrene, which has just enough', { ground: 'polystyrene' }, 'fine'],
    ['chalk-like paint of old', { ground: 'chalkPaint' }, 'fine'],
    ['chalk-like paint of this job', { ground: 'rawWood', coat: 'chalkPaint' }, 'fine'],
    ['polypropylene', { ground: 'polypropylene' }, 'stop'],
    ['polyethylene', { ground: 'polyethylene' }, 'stop'],
    ['silicone', { ground: 'silicone' }, 'stop'],
    ['open grain', { ground: 'rawWood', contact: 'openGrain' }, 'watch'],
    ['open grain, painted twice', { ground: 'rawWood', contact: 'openGrain', coat: 'acrylic' }, 'fine'],
    ['open grain, stained', { ground: 'rawWood', contact: 'openGrain', coat: 'waterStain' }, 'watch'],
    ['open grain, sealed', { ground: 'rawWood', contact: 'openGrain', sealedFirst: true }, 'fine'],
    ['ribs', { ground: 'glass', contact: 'ribbed' }, 'stop'],
    ['ribs, painted', { ground: 'rawWood', contact: 'ribbed', coat: 'acrylic' }, 'stop'],
    ['a painted wall', { ground: 'paintedWall', contact: 'satin' }, 'fine'],
    ['polypropylene under paint', { ground: 'polypropylene', coat: 'acrylic' }, 'stop'],
    ['silicone under chalk-like paint', { ground: 'silicone', coat: 'chalkPaint' }, 'stop'],
    ['silicone, sealed', { ground: 'silicone', sealedFirst: true }, 'stop'],
    ['waxed wood under paint', { ground: 'waxedWood', coat: 'acrylic' }, 'stop'],
  ])('%s', (_what, piece, verdict) => expect(stick(piece).verdict).toBe(verdict));
  it('dry, unhandled and short turns a stop into a watch, and says so; a watch stays one', () => {
    const short = { use: { ...use, dryShort: true } };
    expect(stick({ ground: 'silicone', ...short })).toMatchObject({ verdict: 'watch', why: expect.stringMatching(/Kept dry, unhandled/) });
    expect(stick({ ground: 'rawWood', contact: 'openGrain', ...short }).verdict).toBe('watch');
    expect(stick({ ground: 'silicone' }).why).not.toMatch(/Kept dry/);
  });
  it('a coat that nothing holds is said, of every technique; dry and short it is a watch', () => {
    const peeling = { ground: 'silicone', coat: 'acrylic' } as const;
    expect(stick(peeling).why).toMatch(/^No coat holds on silicone/);
    expect(stick(peeling, { technique: 'stencil' }).verdict).toBe('stop');
    expect(stick({ ...peeling, use: { ...use, dryShort: true } }).verdict).toBe('watch');
  });
  it('says what is on top, the figure, and the limit', () => {
    expect(stick({ ground: 'glass' })).toMatchObject({
      value: 'holds',
      figures: 'Surface energy over 100 mN/m of 36; touched by 100 % of the film, of 70 %.',
      why: 'Glass, smooth: film holds well on this.',
    });
    expect(stick({ ground: 'rawWood', coat: 'chalkPaint' })).toMatchObject({
      figures: expect.stringMatching(/^Surface energy 36 mN/),
      why: expect.stringMatching(/^Chalk-like paint/),
    });
    expect(stick({ ground: 'silicone' }).why).toMatch(/^Silicone lets go of film that has to stay/);
    expect(stick({ ground: 'rawWood', contact: 'openGrain' }).why).toMatch(/open-grained surface is touched by only 55 %/);
  });
  it('offers to seal what drinks where that helps, and a stencil where one holds; else it says what to do', () => {
    const labels = (piece: Partial<Piece>) => stick(piece).remedies.map(({ label }) => label);
    expect(labels({ ground: 'rawWood', contact: 'openGrain' })).toEqual(['Seal it first', 'Paint it through a stencil']);
    expect(labels({ ground: 'concrete', contact: 'ribbed' })).toEqual([]);
    expect(stick({ ground: 'concrete', contact: 'ribbed' }).advice).toMatch(/smoother place/);
    expect(labels({ ground: 'silicone' })).toEqual([]);
    expect(stick({ ground: 'silicone' }).advice).toMatch(/card or tag/);
    // a watch by energy still holds a stencil for an hour
    expect(stick({ ground: 'rawWood', contact: 'openGrain' }).advice).toBeUndefined();
    const job = plateJob(textMark('x'));
    const seal = stick({ ground: 'rawWood', contact: 'openGrain' }).remedies[0]!;
    expect(applyPatch(job, seal.patch).document.piece.sealedFirst).toBe(true);
    expect(stick({ ground: 'rawWood', contact: 'openGrain' }, {}, { paints: [] }).remedies.map(({ label }) => label)).toEqual([
      'Seal it first',
    ]);
  });
  it('a stencil only has to hold for an hour: a watch at worst, wherever it is', () => {
    for (const ground of grounds)
      for (const contact of ['smooth', 'satin', 'openGrain', 'ribbed'] as const) {
        const reading = stick({ ground, contact }, { technique: 'stencil' });
        const weak = GROUNDS[ground].energy.range[0] < 32 || contact === 'ribbed';
        expect([ground, contact, reading.verdict]).toEqual([ground, contact, weak ? 'watch' : 'fine']);
        expect(reading.remedies).toEqual([]);
        expect(reading.advice !== undefined).toBe(weak);
        expect(reading.why).toMatch(weak ? /hardly lets it/ : /until it is pulled off again/);
      }
  });
});

describe('wax, cold and blanks', () => {
  it('wax is a stop until it is off', () => {
    expect(waxReading(context({ waxed: true }))).toMatchObject({ verdict: 'stop', mark: 'm', id: 'wax:m' });
    expect(waxReading(context({}))).toBeUndefined();
    expect(waxReading(context({ ground: 'waxedWood', coat: 'acrylic' }))).toMatchObject({
      verdict: 'stop',
      remedies: [],
      advice: expect.stringContaining('raw wood'),
    });
    const [remedy] = waxReading(context({ waxed: true }))!.remedies;
    expect(applyPatch({ ...plateJob(textMark('x')), piece: context({ waxed: true }).piece }, remedy!.patch).document.piece.waxed).toBe(
      false,
    );
  });
  it('under ten degrees nothing wets', () => {
    const at = (celsius: number) => coldReading(context({}, {}, { climate: { celsius, humidity: 0.5 } }));
    expect(at(9.9)).toMatchObject({ verdict: 'stop', limit: '10 °C', remedies: [] });
    expect(at(10)).toBeUndefined();
  });
  it('a blank says before it is bought whether film holds, as the reading does afterwards', () => {
    for (const ground of grounds)
      for (const contact of ['smooth', 'satin', 'openGrain', 'ribbed'] as const) {
        const said = blankForFilm(ground, contact);
        expect([ground, contact, said.verdict]).toEqual([ground, contact, stick({ ground, contact }).verdict]);
        expect(said.why).toMatch(said.verdict === 'fine' ? /^Takes film that stays\.$/ : /^(Lets go|Holds film badly|Too rough|Rough)/);
        expect(said.why.includes('Sealed first, it does.')).toBe(
          said.verdict !== 'fine' && GROUNDS[ground].porous && stick({ ground, contact, sealedFirst: true }).verdict === 'fine',
        );
      }
    expect(blankForFilm('silicone', 'smooth').why).toMatch(/^Lets go of film that has to stay/);
    expect(blankForFilm('glass', 'ribbed').why).toMatch(/^Too rough/);
    expect(blankForFilm('rawWood', 'openGrain').why).toMatch(/^Rough: .* Sealed first/);
  });
});
