import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop } from '../../test/sampleJobs';
import { SIDE_JOBS, sideShop } from '../../test/sideJobs';
import type { Faces } from '../artwork';
import { isWashed } from '../blanks';
import { holdsCut, type Job, type Shop } from '../job';
import { formatMoment } from '../schedule';
import { stepText, weedWords } from '../words';
import { Memo, planWorkshop, type JobPlan } from './index';

/** What a maker is told of a side job: by tape and what it lifts from, weeding, contrast, hold, the order of work, and the days. */
interface Told {
  readonly tape: readonly string[];
  readonly on: readonly string[];
  readonly kept: readonly string[];
  readonly contrast: string;
  readonly stick: string;
  readonly steps: string;
  readonly packed: string;
  /** The last of the later dates: a first wash, or water. */
  readonly later: string;
  readonly washed: boolean;
}

/** Each was read through by a person against the handbook: what is clean, gentle, dry and in order for this piece. */
const TOLD: readonly (readonly [string, Told])[] = [
  [
    'a',
    {
      tape: ['paper-low'],
      on: ['water stain'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'watch',
      steps: 'sand stain cut weed tape dust place pack',
      packed: 'Wed 2 Dec',
      later: 'Wed 2 Dec',
      washed: false,
    },
  ],
  [
    'b',
    {
      tape: ['paper-low'],
      on: ['acrylic craft paint'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'coat coat cut weed tape dust place pack',
      packed: 'Wed 2 Dec',
      later: 'Fri 25 Dec',
      washed: false,
    },
  ],
  [
    'f',
    {
      tape: ['paper-low'],
      on: ['acrylic craft paint'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'brush coat coat cut weed tape dust place pack',
      packed: 'Wed 2 Dec',
      later: 'Fri 25 Dec',
      washed: true,
    },
  ],
  [
    'g',
    {
      tape: ['clear-medium', 'paper-low', 'clear-medium'],
      on: ['glazed ceramic', 'Signal amber', 'glazed ceramic'],
      kept: ['backing', 'shapes', 'shapes'],
      contrast: 'watch,fine',
      stick: 'fine,fine',
      steps: 'cut cut cut weed tape weed tape weed tape wipe place place pack',
      packed: 'Tue 1 Dec',
      later: 'Fri 4 Dec',
      washed: true,
    },
  ],
  [
    'h',
    {
      tape: ['paper-low'],
      on: ['acrylic craft paint'],
      kept: ['surround'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'label sand coat coat cut weed tape dust place edge dab dab pull touchUp pack',
      packed: 'Fri 4 Dec',
      later: 'Sun 27 Dec',
      washed: false,
    },
  ],
  [
    'j',
    {
      tape: ['clear-medium'],
      on: ['glass'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'cut weed tape wipe place pack',
      packed: 'Tue 1 Dec',
      later: 'Fri 4 Dec',
      washed: true,
    },
  ],
  [
    'k',
    {
      tape: ['paper-low'],
      on: ['raw wood'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'watch',
      steps: 'cut weed tape dustWood place pack',
      packed: 'Tue 1 Dec',
      later: '',
      washed: false,
    },
  ],
  [
    'l',
    {
      tape: ['clear-medium', 'clear-medium'],
      on: ['polycarbonate', 'polycarbonate'],
      kept: ['shapes', 'shapes'],
      contrast: 'fine,fine',
      stick: 'fine,fine',
      steps: 'cut cut weed tape weed tape wipe place place pack',
      packed: 'Tue 1 Dec',
      later: 'Fri 4 Dec',
      washed: true,
    },
  ],
  [
    'n',
    {
      tape: ['clear-medium'],
      on: ['glass'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'cut weed tape wipe place pack',
      packed: 'Tue 1 Dec',
      later: 'Fri 4 Dec',
      washed: false,
    },
  ],
  [
    'p',
    {
      tape: ['paper-low'],
      on: ['card'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'cut weed tape dustPaper place pack',
      packed: 'Tue 1 Dec',
      later: '',
      washed: false,
    },
  ],
  [
    'r',
    {
      tape: ['paper-low'],
      on: ['spray enamel'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'sand wipe coat coat cut weed tape dust place pack',
      packed: 'Thu 3 Dec',
      later: 'Wed 9 Dec',
      washed: false,
    },
  ],
  [
    't',
    {
      tape: ['paper-low', 'paper-low'],
      on: ['painted wall', 'Petrol removable'],
      kept: ['backing', 'shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'cut cut weed tape weed tape dust place pack',
      packed: 'Tue 1 Dec',
      later: '',
      washed: false,
    },
  ],
  [
    'u',
    {
      tape: ['clear-medium'],
      on: ['glass'],
      kept: ['plate'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'label cut weed tape wipe place pack',
      packed: 'Wed 2 Dec',
      later: 'Sat 5 Dec',
      washed: true,
    },
  ],
  [
    'v',
    {
      tape: ['paper-low'],
      on: ['clear sealer'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'wipe coat coat seal cut weed tape dust place pack',
      packed: 'Tue 1 Dec',
      later: 'Sat 2 Jan',
      washed: true,
    },
  ],
  [
    'aa',
    {
      tape: ['paper-low'],
      on: ['sealed wood'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'cut weed tape dust place trim pack',
      packed: 'Tue 1 Dec',
      later: '',
      washed: false,
    },
  ],
  [
    'cc',
    {
      tape: ['paper-low', 'paper-low', 'paper-low'],
      on: ['enamelled or painted, cured', 'enamelled or painted, cured', 'enamelled or painted, cured'],
      kept: ['shapes', 'shapes', 'shapes'],
      contrast: 'fine,fine,fine',
      stick: 'fine,fine,fine',
      steps: 'cut cut weed tape weed tape weed tape dust place place place pack',
      packed: 'Tue 1 Dec',
      later: 'Fri 4 Dec',
      washed: true,
    },
  ],
  [
    'dd',
    {
      tape: ['paper-low', 'paper-low'],
      on: ['card', 'Petrol'],
      kept: ['backing', 'shapes'],
      contrast: 'fine',
      stick: 'fine',
      steps: 'cut cut weed tape weed tape dustPaper place pack',
      packed: 'Tue 1 Dec',
      later: '',
      washed: false,
    },
  ],
  [
    'gg',
    {
      tape: ['none'],
      on: ['silicone'],
      kept: ['shapes'],
      contrast: 'fine',
      stick: 'stop',
      steps: 'cut weed tape wipe place pack',
      packed: 'Tue 1 Dec',
      later: 'Fri 4 Dec',
      washed: false,
    },
  ],
];

let faces: Faces;
let shop: Shop;
const plans = new Map<string, JobPlan>();
const planOf = (job: Job): JobPlan => planWorkshop([job], shop, [], DEMO_START, faces, new Memo()).jobs.get(job.id)!;
const day = (at: number | undefined) => (at ? formatMoment(at, shop.hours.zone).slice(0, -6) : '');
beforeAll(() => {
  faces = shippedFaces();
  shop = sideShop(demoShop());
  for (const job of SIDE_JOBS) plans.set(job.id, planOf(job));
});
const jobOf = (id: string): Job => SIDE_JOBS.find((job) => job.id === id)!;
const read = (id: string, reading: string, plan = plans.get(id)!) => plan.readings.find((one) => one.id === reading);
const step = (id: string, kind: string) => plans.get(id)!.recipe.steps.find((one) => one.kind === kind)!;

describe('the side jobs', () => {
  it('are all told of', () => expect(TOLD.map(([id]) => id)).toEqual(SIDE_JOBS.map(({ id }) => id)));
  it.each(TOLD)('%s: tape, cleaning, contrast, weeding, order and dates', (id, told) => {
    const plan = plans.get(id)!;
    expect(plan.aside).toBeUndefined();
    const verdicts = (kind: string) =>
      plan.readings
        .filter((reading) => reading.id.startsWith(`${kind}:`))
        .map(({ verdict }) => verdict)
        .join(',');
    expect({
      tape: plan.layers.map(({ choice }) => choice?.tape.id ?? 'none'),
      on: plan.layers.map(({ surface }) => surface.name),
      kept: plan.layers.map(({ weeding }) => weeding.kept),
      contrast: verdicts('contrast'),
      stick: verdicts('stick'),
      steps: plan.recipe.steps.map(({ about }) => (about.kind === 'clean' ? about.cleaning : about.kind)).join(' '),
      packed: day(plan.schedule.packed),
      later: day(plan.schedule.care.reduce((latest, { until }) => Math.max(latest, until), 0)),
      washed: isWashed(jobOf(id).piece),
    }).toEqual(told);
    // no step of it is left without words, and none says what is not true of this piece
    for (const one of plan.recipe.steps) {
      expect(stepText(one, 'mm')).toMatch(/\.$/);
      if (!told.washed) expect(stepText(one, 'mm')).not.toMatch(/dishwasher|first wash/i);
    }
  });
  it('a, k: over gaps film is slit with the tape still on', () => {
    expect(read('a', 'slats:word')?.why).toMatch(/tape still on/);
    expect(read('k', 'slats:anchor')?.verdict).toBe('watch');
  });
  it('b, f, v, dd: every name of a list has letters of one size, and its own minutes', () => {
    for (const id of ['b', 'f', 'v', 'dd']) {
      const [plan] = plans.get(id)!.marks;
      for (const { em } of plan!.variants) expect([id, Math.abs(em / plan!.variants[0]!.em - 1) < 1e-4]).toEqual([id, true]);
    }
  });
  it('g, dd: letters on a backing lie on film, whose tape must not lift the one below; the order is said', () => {
    expect(stepText(step('dd', 'place'), 'mm')).toContain('In this order: petrol and white gloss');
    expect(plans.get('g')!.layers[1]!.choice!.tape.kind).toBe('paperLow');
  });
  it('h, u: the label is off and dry before anything comes on the piece', () => {
    for (const id of ['h', 'u']) {
      const { steps } = plans.get(id)!.recipe;
      const next = steps.find((one) => one.after.some((lag) => lag.step === steps[0]!.id))!;
      expect(['sand', 'clean']).toContain(next.kind);
      expect(next.after.find((lag) => lag.step === steps[0]!.id)!.least).toBeGreaterThanOrEqual(12 * 60);
    }
  });
  it('h: an open strip that tears keeps its film from the knife until it is mended', () => {
    const stops = plans.get('h')!.readings.filter(holdsCut);
    expect(stops.map(({ id }) => id)).toEqual(['thin:plank']);
  });
  it('j: letters go on a stemless glass with snips in the tape, a solid disc of that size does not', () => {
    expect(read('j', 'bulb:name')?.verdict).toBe('fine');
    expect(stepText(step('j', 'tape'), 'mm')).toMatch(/Snip it 13 times/);
    const job = jobOf('j');
    const art = jobOf('k').marks[0]!.artwork;
    const solid = { ...job, marks: [{ ...job.marks[0]!, artwork: art, edits: [] }] };
    expect(read('j', 'bulb:name', planOf(solid))?.verdict).toBe('stop');
  });
  it('l: four marks evenly round begin at the middle of their zone', () => {
    const [side] = plans.get('l')!.marks;
    expect(side!.copies).toHaveLength(3);
    expect(side!.fitted.at[0]).toBeCloseTo(jobOf('l').zones[0]!.x, 3);
  });
  it('p, r: a corner that something is added to later stays free', () => {
    for (const [id, mark] of [
      ['p', 'numeral'],
      ['r', 'words'],
    ] as const) {
      expect(read(id, `size:${mark}`)?.verdict).toBe('fine');
    }
  });
  it('r: the second coat of spray follows within the hour, film when it has hardened', () => {
    const second = plans.get('r')!.recipe.steps.filter(({ kind }) => kind === 'coat')[1]!;
    expect(second.after[0]).toMatchObject({ why: 'recoatSoon', most: 60 });
  });
  it('t: film that comes off again is right on a wall, film that stays is a watch; nobody wraps a wall', () => {
    expect(read('t', 'kind:sign')).toBeUndefined();
    const job = jobOf('t');
    for (const ground of ['paintedWall', 'texturedWall'] as const) {
      const staying = {
        ...job,
        piece: { ...job.piece, ground },
        marks: job.marks.map((mark) => ({ ...mark, film: 'white-gloss', edits: [] })),
      };
      const kind = read('t', 'kind:sign', planOf(staying));
      expect([kind?.verdict, kind?.remedies[0]?.label]).toEqual(['watch', expect.stringContaining('removable')]);
    }
    expect(stepText(step('t', 'pack'), 'mm')).not.toMatch(/wrap/);
  });
  it('u: what is taken out of a plate is weeded so, in words', () => {
    expect(weedWords(plans.get('u')!.layers[0]!.weeding.kept as never, true)).toMatch(/letters? (?:out|come|away)/i);
  });
  it('gg: silicone is refused, with what else can be done', () => {
    expect(read('gg', 'stick:name')?.advice).toMatch(/tag/);
    expect(read('gg', 'stick:name')?.remedies).toEqual([]);
  });
});
