import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../../test/sampleJobs';
import type { Faces } from '../../artwork';
import type { Job, Mark, Reading, Shop } from '../../job';
import { madeWide } from './madeWide';
import { Memo, planWorkshop } from '../../plan';

let faces: Faces;
let shop: Shop;
const memo = new Memo();
beforeAll(() => {
  faces = shippedFaces();
  shop = demoShop();
});

const readings = (job: Job, own = shop): readonly Reading[] =>
  planWorkshop([job], own, [], DEMO_START, faces, memo).jobs.get('j')!.readings;
const read = (kind: string, job: Job, own = shop): Reading | undefined => readings(job, own).find((r) => r.id.split(':')[0] === kind);
const plate = (mark: Partial<Mark> = {}, piece: Partial<Job['piece']> = {}, word = 'Tern', face = 'montserrat'): Job => {
  const job = plateJob(textMark(word, mark, face));
  return { ...job, piece: { ...job.piece, ...piece } };
};

describe('size', () => {
  it('is fine inside, a watch in the breathing room, a stop past the zone', () => {
    const sized = (width: number) => read('size', plate({ size: { mode: 'width', width } }))!.verdict;
    expect(sized(120)).toBe('fine');
    expect(sized(185)).toBe('watch');
    expect(sized(230)).toBe('stop');
  });
  it('offers to centre a mark that fits in the middle', () => {
    const moved = read('size', plate({ size: { mode: 'width', width: 120 }, offset: { x: 60, y: 0 } }))!;
    expect(moved.verdict).not.toBe('fine');
    expect(moved.remedies.map((c) => c.label)[0]).toBe('Centre it');
  });
  it('the largest at a place off the middle still keeps its breathing room', () => {
    const off = readings(plate({ offset: { x: 40, y: 10 } }));
    expect(off.find((r) => r.id === 'size:m')!.verdict).toBe('fine');
  });
});

describe('how it is seen on a round piece', () => {
  const round = (width: number) => {
    const job = plate({ size: { mode: 'width', width } }, { shape: { kind: 'cylinder', diameter: 80, height: 120 } });
    return read('seen', { ...job, zones: [{ ...job.zones[0]!, width: 240 }] })!;
  };
  it('up to 35 % of the wrap is seen at once', () => {
    expect(round(80).verdict).toBe('fine');
    expect(round(100).verdict).toBe('watch');
    expect(round(80).why).toMatch(/From the front it reads \d\d % of its length/);
  });
  it('a flat piece has no such reading', () => expect(read('seen', plate())).toBeUndefined());
});

describe('thin and small parts', () => {
  it('limits follow the film: what plain film keeps, glitter does not', () => {
    const thin = (film: string) => read('thin', plate({ film, size: { mode: 'width', width: 24 } }, {}, 'Tern', 'pacifico'))!;
    expect(thin('white-gloss').limit).toContain('0.8 mm');
    expect(thin('brick-glitter').limit).toContain('1.5 mm');
    expect(thin('brick-glitter').verdict).not.toBe('fine');
  });
  it('a hair under half the limit is a stop, and its places are pointed at', () => {
    const hair = read('thin', plate({ size: { mode: 'height', height: 6 } }, {}, 'Fionn', 'dancing-script'))!;
    expect(hair.verdict).toBe('stop');
    expect(hair.places!.length).toBeGreaterThan(0);
  });
  it('letters so small that thickening would close their insides are not offered it', () => {
    const tiny = readings(plate({ size: { mode: 'width', width: 9 } }, {}, 'Zoë & Ítalo'));
    for (const kind of ['thin', 'small']) {
      const reading = tiny.find((r) => r.id === `${kind}:m`)!;
      expect([kind, reading.verdict === 'fine']).toEqual([kind, false]);
      expect(reading.remedies.filter(({ label }) => label.startsWith('Thicken'))).toEqual([]);
    }
  });
  it('for a stencil it is the film between the openings that counts', () => {
    const stencil = plate(
      { technique: 'stencil', film: 'stencil', paint: 'cream', size: { mode: 'width', width: 60 } },
      {},
      'HONOUR',
      'saira-stencil-one',
    );
    expect(read('thin', stencil)!.why).toContain('strip');
  });
  it('parts under 3 mm² of a decal are lost, counters under 1 mm² stay shut', () => {
    const small = read('small', plate({ size: { mode: 'height', height: 4 } }, {}, 'oi.'))!;
    expect(small.verdict).toBe('watch');
    expect(small.limit).toBe('parts 3 mm², insides 1 mm²');
    expect(small.remedies.some((c) => /Drop/.test(c.label))).toBe(true);
  });
  it('when everything is too small there is nothing to drop, and advice instead', () => {
    const all = read('small', plate({ size: { mode: 'height', height: 1.2 } }, {}, 'i'))!;
    expect(all.remedies.some((c) => /Drop/.test(c.label))).toBe(false);
    expect(all.advice).toMatch(/larger/);
  });
});

describe('contrast', () => {
  it('names what it is judged against: the piece, what stands behind, or the paint', () => {
    expect(read('contrast', plate())!.why).toContain('the plate');
    expect(read('contrast', plate({}, { ground: 'glass', behind: '#7a4a1e' }))!.why).toContain('what stands behind it');
    expect(read('contrast', plate({ technique: 'stencil', film: 'stencil', paint: 'cream' }))!.why).toContain('Cream acrylic');
  });
  it('a clear piece is judged by what is behind it, not by its own tint', () => {
    const glass = (behind: string) =>
      read('contrast', plate({ film: 'white-gloss' }, { ground: 'glass', colour: '#22302f', behind }))!.verdict;
    expect(glass('#fbfbf8')).toBe('stop');
    expect(glass('#3a1a0a')).toBe('fine');
  });
  it('offers only films in stock that pass and are left', () => {
    const low = read('contrast', plate({ film: 'ink-matt' }))!;
    expect(low.verdict).toBe('stop');
    const empty = { ...shop, films: shop.films.map((f) => (f.id === 'white-gloss' ? { ...f, length: 0 } : f)) };
    expect(low.remedies.some((c) => c.label.startsWith('White gloss'))).toBe(true);
    expect(read('contrast', plate({ film: 'ink-matt' }), empty)!.remedies.some((c) => c.label.startsWith('White gloss'))).toBe(false);
  });
  it('rests when it is subtle on purpose', () => expect(read('contrast', plate({ film: 'ink-matt', subtle: true }))!.verdict).toBe('fine'));
});

describe('will it stick', () => {
  it.each([
    ['glass', 'smooth', 'fine'],
    ['powderCoat', 'satin', 'fine'],
    ['polyethylene', 'smooth', 'stop'],
    ['polypropylene', 'smooth', 'stop'],
    ['silicone', 'smooth', 'stop'],
    ['glass', 'openGrain', 'watch'],
    ['glass', 'ribbed', 'stop'],
  ] as const)('a decal on %s, %s: %s', (ground, contact, verdict) =>
    expect(read('stick', plate({}, { ground, contact }))!.verdict).toBe(verdict),
  );
  it('dry, unhandled, short use turns a stop into a watch', () => {
    const use = { drink: false, food: false, dryShort: true };
    expect(read('stick', plate({}, { ground: 'polypropylene', use }))!.verdict).toBe('watch');
  });
  it('a stencil is a watch at worst', () => {
    expect(
      read('stick', plate({ technique: 'stencil', film: 'stencil', paint: 'cream' }, { ground: 'silicone', contact: 'ribbed' }))!.verdict,
    ).toBe('watch');
  });
  it('wax and cold have readings of their own', () => {
    expect(read('wax', plate({}, { waxed: true }))!.verdict).toBe('stop');
    expect(read('wax', plate())).toBeUndefined();
    expect(read('cold', plate(), { ...shop, climate: { celsius: 8, humidity: 0.5 } })!.verdict).toBe('stop');
  });
  it('refused plastics offer advice, not a remedy that would not hold', () => {
    const kit = read('stick', plate({}, { ground: 'polypropylene' }))!;
    expect(kit.remedies).toEqual([]);
    expect(kit.advice).toMatch(/tag|another plastic/);
  });
});

describe('food and lip', () => {
  const drink = { drink: true, food: false, dryShort: false };
  it('film within 20 mm of a drinking rim is a stop that the lip band clears', () => {
    const mug = plate({ size: { mode: 'height', height: 90 } }, { use: drink }, 'I');
    const food = read('food', mug)!;
    expect(food.verdict).toBe('stop');
    expect(food.remedies[0]!.label).toMatch(/20 mm below the rim/);
  });
  it('a mark that runs over the rim says so, not by a negative depth', () => {
    expect(read('food', plate({ size: { mode: 'height', height: 200 } }, { use: drink }, 'I'))!.value).toMatch(/^40 mm over the rim$/);
  });
  it('food on the piece: on the back of a clear one, or for display', () => {
    const labels = (ground: 'glass' | 'enamel') =>
      read('food', plate({}, { ground, use: { drink: false, food: true, dryShort: false } }))!.remedies.map((c) => c.label);
    expect(labels('glass')).toEqual(['Put it on the back', 'It is for display only']);
    expect(labels('enamel')).toEqual(['It is for display only']);
  });
});

describe('drawing', () => {
  it('an empty mark is a stop without readings of fit', () => {
    const empty = readings(plate({}, {}, '   '));
    expect(empty.find((r) => r.id === 'empty:m')!.verdict).toBe('stop');
    expect(empty.some((r) => r.station === 'fit')).toBe(false);
  });
  it('a film that does not suit the technique is a watch', () => {
    expect(read('kind', plate({ film: 'white-removable' }))!.verdict).toBe('watch');
    expect(read('kind', plate({ technique: 'stencil', film: 'white-gloss', paint: 'cream' }))!.verdict).toBe('watch');
    expect(read('kind', plate())).toBeUndefined();
  });
});

describe('on a belly', () => {
  /** A stemless glass: 90 mm at its widest, the wall curved with a radius of 60. */
  const glass = (mark: Partial<Mark>, word = 'TERN'): Job => {
    const job = plate(mark, { ground: 'glass', shape: { kind: 'bulb', diameter: 90, along: 60, height: 90 } }, word);
    return { ...job, zones: [{ ...job.zones[0]!, y: 5, width: 130, height: 80, breathing: 5 }] };
  };
  const square = {
    kind: 'drawing',
    name: 'tile',
    parts: [{ id: 'p', colour: '#000000', path: [['M', [0, 0]], ['L', [9, 0]], ['L', [9, 9]], ['L', [0, 9]], ['Z']], fill: 'nonzero' }],
    leftOut: [],
  };
  it('letters 50 mm high follow with snipped tape; a solid piece of that size does not', () => {
    const letters = glass({ size: { mode: 'height', height: 50 } }, 'TE');
    expect(read('bulb', letters)!.verdict).toBe('fine');
    const snips = read('snips', letters)!;
    expect(snips.verdict).toBe('watch');
    expect(snips.value).toMatch(/^\d+ snips, /);
    const tile = glass({ size: { mode: 'height', height: 50 }, artwork: square as unknown as Mark['artwork'] });
    const stop = read('bulb', tile)!;
    expect(stop.verdict).toBe('stop');
    for (const { label } of stop.remedies.filter(({ label: words }) => words.startsWith('Make it') && /wide$/.test(words)))
      expect(Number(/([\d.]+) mm/.exec(label)![1])).toBeLessThan(50);
  });
  it('the snips stand in the steps of tape and place, and nothing of them where none are needed', () => {
    const about = (job: Job, kind: string) => {
      const { about: told } = planWorkshop([job], shop, [], DEMO_START, faces, memo)
        .jobs.get('j')!
        .recipe.steps.find((step) => step.kind === kind)!;
      return told.kind === 'place' ? told.snips : told.kind === 'tape' ? told.tape?.snips : undefined;
    };
    const large = glass({ size: { mode: 'height', height: 50 } }, 'TE');
    expect(about(large, 'tape')).toMatchObject({ count: expect.any(Number), length: expect.any(Number) });
    expect(about(large, 'place')).toEqual(about(large, 'tape'));
    expect(about(glass({ size: { mode: 'height', height: 5 } }, 'T'), 'tape')).toBeUndefined();
  });
});

describe('a stretched mark that is made another width', () => {
  it('stays stretched as it was; one with a width alone gets no height', () => {
    const at = (size: Mark['size']) => madeWide({ id: 'm', size }, 40, 50)[0];
    expect(at({ mode: 'width', width: 40, height: 20 })).toMatchObject({ value: { width: 50, height: 25 } });
    expect(at({ mode: 'width', width: 40 })).toMatchObject({ value: { mode: 'width', width: 50 } });
    expect(at({ mode: 'largest' })).toMatchObject({ value: { mode: 'width', width: 50 } });
  });
});
