import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { MADE_JOBS, madeShop } from '../../test/madeJobs';
import { DEMO_START, demoShop } from '../../test/sampleJobs';
import { readHpgl } from '../artwork';
import { CUT_FILES, cutOutline, placedBox } from '../cut';
import { LABEL, TECHNIQUES } from '../facts';
import { boxOf, boxWidth } from '../geometry';
import type { Shop } from '../job';
import { formatMoment } from '../schedule';
import { careCards, careText, stepText, stepTitle } from '../words';
import { Memo, planWorkshop, type JobPlan } from './index';

/** What a maker is told of each: read through by a person against the handbook, from the bare piece to the card. */
interface Told {
  readonly steps: string;
  readonly stops: readonly string[];
  readonly watches: readonly string[];
  /** Said on the card, and not said. */
  readonly card: RegExp;
  readonly never: RegExp;
}

const TOLD: Readonly<Record<string, Told>> = {
  c: {
    steps: 'sand stain cut weed tape dust place edge cover cover pullLetters touchUp pack',
    ...{ stops: [], watches: [], card: /Until it has hardened/, never: /wash|dishwasher|hair dryer/ },
  },
  d: {
    steps: 'cut weed tape wipe place etch rinse pack',
    ...{ stops: [], watches: [], card: /part of the glass: it stands food/, never: /not for food|hair dryer|hardened/ },
  },
  e: {
    steps: 'own own cut weed lint prePress press pressBack finish pack',
    ...{ stops: [], watches: [], card: /inside out/, never: /dishwasher|hair dryer/ },
  },
  m: {
    steps: 'sand stain seal cut weed tape weed tape weed tape dust place place place pack',
    ...{ stops: [], watches: [], card: /hair dryer/, never: /[Ww]ash|dishwasher/ },
  },
  o: {
    steps: 'cut weed tape wipe place pack',
    ...{ stops: [], watches: [], card: /Filled[\s\S]*First wash by hand[\s\S]*no dishwasher/, never: /outdoors/ },
  },
  q: {
    steps: 'cut cut weed weed lint prePress press press pressBack pack',
    ...{ stops: [], watches: ['contrast'], card: /First wash/, never: /dishwasher|hair dryer/ },
  },
  s: {
    steps: 'write cut wipe place pack',
    ...{ stops: [], watches: [], card: /fridge[\s\S]*hair dryer/, never: /Filled|not for food/ },
  },
  w: {
    steps: 'cut weed lint prePress press pressBack pack',
    ...{ stops: [], watches: ['weave'], card: /inside out/, never: /hair dryer/ },
  },
  x: {
    steps: 'cut weed tape brush place edge dab dab pull touchUp pack',
    ...{ stops: [], watches: ['stick', 'grip'], card: /Until it has hardened/, never: /dishwasher|hair dryer/ },
  },
  y: {
    steps: 'cut weed lint prePress press pressBack pack',
    ...{ stops: ['scorch'], watches: [], card: /inside out/, never: /hair dryer/ },
  },
  bb: {
    steps: 'cut weed lint prePress press pressBack pack',
    ...{ stops: [], watches: [], card: /First wash/, never: /hair dryer/ },
  },
  gg: {
    steps: 'cut weed tape wipe place pack',
    ...{ stops: ['stick', 'grip'], watches: [], card: /hair dryer/, never: /Filled/ },
  },
  hh: {
    steps: 'cut weed tape wipe place pack',
    ...{ stops: [], watches: [], card: /comes off again[\s\S]*hidden spot/, never: /outdoors|Filled/ },
  },
};

let shop: Shop;
const plans = new Map<string, JobPlan>();
beforeAll(() => {
  const faces = shippedFaces();
  shop = madeShop(demoShop());
  for (const job of MADE_JOBS) plans.set(job.id, planWorkshop([job], shop, [], DEMO_START, faces, new Memo()).jobs.get(job.id)!);
});

const jobOf = (id: string) => MADE_JOBS.find((job) => job.id === id)!;
const planOf = (id: string) => plans.get(id)!;
const textOf = (id: string, kind: string) =>
  stepText(
    planOf(id).recipe.steps.find((one) => one.kind === kind)!,
    'mm',
  );

describe('side jobs that are masked, etched, pressed or written', () => {
  it('are all told of', () => expect(Object.keys(TOLD)).toEqual(MADE_JOBS.map(({ id }) => id)));
  it.each(Object.entries(TOLD))('%s: from the bare piece to the card', (id, told) => {
    const plan = planOf(id);
    const having = (verdict: string) => plan.readings.filter((r) => r.verdict === verdict).map((r) => r.id.split(':')[0]);
    expect({
      steps: plan.recipe.steps.map(({ about }) => (about.kind === 'clean' ? about.cleaning : about.kind)).join(' '),
      stops: having('stop'),
      watches: having('watch'),
    }).toEqual({ steps: told.steps, stops: told.stops, watches: told.watches });
    const day = (at: number) => formatMoment(at, shop.hours.zone);
    const cards = careCards({
      job: jobOf(id),
      waits: plan.schedule.care,
      packed: plan.schedule.packed!,
      films: shop.films,
      maker: shop.name,
      day,
    });
    const text = cards.map(careText).join('\n');
    expect(text).toMatch(told.card);
    expect(text).not.toMatch(told.never);
  });
  it('m: the rings have the inner width that was given', () => {
    const inner = planOf('m').marks.map(({ fitted }) => fitted.layers[0]!.region[0]!.holes[0]!.map(([x]) => x));
    expect(inner.map((xs) => Math.round((Math.max(...xs) - Math.min(...xs)) * 10) / 10)).toEqual([80, 60, 60]);
  });
  it('o: equal heights by a stop under them, and a film that turns is judged by the worse of its colours', () => {
    expect(textOf('o', 'place')).toMatch(/A stop .* above the foot/);
    expect(planOf('o').readings.find((r) => r.id === 'contrast:toast')!.verdict).not.toBe('stop');
    const dark = { ...jobOf('o'), piece: { ...jobOf('o').piece, behind: '#1b2a3c' } };
    const plan = planWorkshop([dark], shop, [], DEMO_START, shippedFaces(), new Memo()).jobs.get('o')!;
    expect(plan.readings.find((r) => r.id === 'contrast:toast')).toMatchObject({ verdict: 'stop' });
  });
  it('x: on coir film that stays is the better stencil, and its surround is dabbed', () => {
    expect(textOf('x', 'dab')).toMatch(/sponge/);
    const clean = { ...jobOf('x'), marks: [{ ...jobOf('x').marks[0]!, film: 'stencil' }] };
    const smooth = { ...jobOf('x'), piece: { ...jobOf('x').piece, ground: 'sealedWood' as const, contact: 'smooth' as const } };
    const kinds = [clean, smooth].map((job) =>
      planWorkshop([job], shop, [], DEMO_START, shippedFaces(), new Memo())
        .jobs.get('x')!
        .readings.find((r) => r.id === 'kind:word'),
    );
    expect(kinds[0]).toBeUndefined();
    expect(kinds[1]).toMatchObject({ verdict: 'watch', why: expect.stringMatching(/pulls harder/) });
  });
  it('gg: silicone is refused as a decal, and it is said what else can be done', () => {
    const stop = planOf('gg').readings.find((r) => r.id === 'stick:word')!;
    expect(stop.advice).toMatch(/card or tag/);
    expect(stop.remedies).toEqual([]);
  });
  it('hh: goes on the inside, cut mirrored, floated on wet', () => {
    expect(textOf('hh', 'place')).toMatch(/Mist the piece/);
    const [plan] = planOf('hh').marks;
    expect(cutOutline(plan!.flat[0]!.region, plan!.mark)).not.toEqual(plan!.flat[0]!.region);
  });
  it('what is pressed is cut mirrored and lies on its carrier; what is masked or etched is not', () => {
    for (const job of MADE_JOBS) {
      const [plan] = planOf(job.id).marks;
      const region = plan!.flat[0]!.region;
      const outline = cutOutline(region, plan!.mark);
      const turned = cutOutline(region, { ...plan!.mark, technique: 'decal', seenThrough: true });
      const pressed = TECHNIQUES[job.marks[0]!.technique].filmBy === 'heat';
      if (pressed) expect(outline).toEqual(turned);
      expect(/Carrier side down/.test(textOf(job.id, 'cut'))).toBe(pressed);
    }
  });
  it('q: the lower film is pressed short, the upper one in full, then both from behind; the film goes along with the cloth', () => {
    const presses = planOf('q').recipe.steps.flatMap(({ about }) => (about.kind === 'press' ? [about.press.seconds] : []));
    expect(presses).toEqual([3, 15]);
    expect(planOf('q').readings.find((r) => r.id === 'stretch:word')?.verdict).toBe('fine');
    const stiff = { ...jobOf('q'), marks: [{ ...jobOf('q').marks[0]!, film: 'brick-heat', edits: [] }] };
    const plan = planWorkshop([stiff], shop, [], DEMO_START, shippedFaces(), new Memo()).jobs.get('q')!;
    expect(plan.readings.find((r) => r.id === 'stretch:word')).toMatchObject({
      verdict: 'watch',
      remedies: [{ label: 'Cut it from Soft white' }],
    });
  });
  it('y: film that is pressed too hot for polyester is stopped, and cooler film is offered', () => {
    const stop = planOf('y').readings.find((r) => r.id === 'scorch:word')!;
    expect(stop.why).toMatch(/Polyester cloth does not stand the heat/);
    expect(stop.remedies.map(({ label }) => label)).toContain('Cut it from Brick heat film');
  });
  it('bb: a mark larger than the plate is pressed twice, side by side; foil is peeled cold', () => {
    expect(planOf('bb').layers[0]!.width).toBeLessThanOrEqual(380);
    const small = { ...shop, presses: [{ id: 'p', name: 'Small', width: 230, height: 230 }] };
    const plan = planWorkshop([jobOf('bb')], small, [], DEMO_START, shippedFaces(), new Memo()).jobs.get('bb')!;
    expect(plan.readings.find((r) => r.id === 'plate:word')).toMatchObject({ verdict: 'watch', value: '2 presses side by side' });
    expect(textOf('bb', 'press')).toMatch(/go cold/);
  });
  it('w: rough cloth is pressed firmly', () => expect(textOf('w', 'press')).toMatch(/firm pressure, for the cloth is rough/));
  it('s: the labels are of one size, written before they are cut, in one file of two passes that a cutter reads', () => {
    const [layout] = planOf('s').layouts;
    const widths = layout!.outlines.map((region) => boxWidth(boxOf(region)));
    expect(Math.max(...widths) - Math.min(...widths)).toBeLessThan(0.01);
    const svg = CUT_FILES.svg.write(layout!, 'labels');
    expect(svg.indexOf('<g id="pen">')).toBeGreaterThan(0);
    expect(svg.indexOf('<g id="knife">')).toBeGreaterThan(svg.indexOf('<g id="pen">'));
    const hpgl = readHpgl(CUT_FILES.hpgl.write(layout!, 'labels', layout!.machine));
    if (!hpgl.ok) throw new Error(hpgl.problem.found);
    const runs = (pen: boolean) =>
      hpgl.value.moves.filter((move, i, all) => move.down && !all[i + 1]?.down && (move.pen ?? false) === pen).length;
    expect(runs(false)).toBe(3);
    expect(runs(true)).toBe(layout!.pens!.reduce((sum, lines) => sum + lines!.length, 0));
    const own = { ...jobOf('s'), marks: [{ ...jobOf('s').marks[0]!, plates: 'own' as const }] };
    const free = planWorkshop([own], shop, [], DEMO_START, shippedFaces(), new Memo()).jobs.get('s')!.layouts[0]!;
    expect(new Set(free.outlines.map((region) => boxWidth(boxOf(region)).toFixed(1))).size).toBe(3);
  });
  it.each([
    ['heat', 'writable-white', 'stop', /smears under a hot press/],
    ['heat', 'white-gloss', 'stop', /smears under a hot press/],
    ['decal', 'brick-heat', 'stop', /no adhesive until it is pressed hot/],
    ['written', 'brick-heat', 'stop', /no adhesive until it is pressed hot/],
    ['written', 'white-gloss', 'watch', /Ink hardly dries on it/],
    ['decal', 'writable-white', 'watch', /made to be written on/],
  ] as const)('a %s from %s is a %s, and what is said of it is true', (technique, film, verdict, why) => {
    const job = jobOf('e');
    const wrong = { ...job, marks: [{ ...job.marks[0]!, technique, film }] };
    const plan = planWorkshop([wrong], shop, [], DEMO_START, shippedFaces(), new Memo()).jobs.get('e')!;
    expect(plan.readings.find(({ id }) => id === 'kind:word')).toMatchObject({ verdict, why: expect.stringMatching(why) });
  });
  it('s: what is placed is the plate, which lies lower than its words', () => {
    const { fitted, mark } = planOf('s').marks[0]!;
    expect(fitted.box.minY - placedBox(mark, fitted.box).minY).toBe(LABEL.margin);
    expect(placedBox({ technique: 'decal' }, fitted.box)).toEqual(fitted.box);
  });
  it('c: the ground shows in the letters, all around is painted, and what else goes on lies on the new paint', () => {
    const sign = jobOf('c');
    expect(planOf('c').marks[0]!.surface.name).toBe('water stain');
    const two = { ...sign, marks: [...sign.marks, { ...sign.marks[0]!, id: 'x', technique: 'decal' as const, film: 'ink-matt' }] };
    const plan = planWorkshop([two], shop, [], DEMO_START, shippedFaces(), new Memo()).jobs.get('c')!;
    expect(plan.marks.find(({ mark }) => mark.id === 'x')!.surface.name).toBe('acrylic craft paint');
    expect(planOf('c').recipe.steps.map(stepTitle)).toContain('Pull the 4 letters of word');
  });
});
