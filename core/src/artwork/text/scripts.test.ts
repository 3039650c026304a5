import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxAround, boxWidth, boxOfPaths, difference, flatten, intersection, regionArea, regionOf, type Path } from '../../geometry';
import type { Artwork, TextLine } from '../../job';
import { fontsourceFile, packedFace, scriptFace, SCRIPT_FACES } from '../../../test/scriptFaces';
import { brokenLetters, readFace, type Faces } from './face';
import { FontFile } from './fontFile';
import { layoutLine } from './layoutLine';
import { layoutText } from './layoutText';
import { joiningScripts, scriptOf } from './scripts';
import { unpackFont } from './unpackFont';
import { law } from '../../../test/depth';

let faces: Faces;
beforeAll(() => {
  faces = new Map(Object.keys(SCRIPT_FACES).map((id) => [id, scriptFace(id)]));
});
const line = (text: string, face: string, more: Partial<TextLine> = {}): TextLine => ({
  id: 'l',
  text,
  face,
  scale: 1,
  spacing: 0,
  ...more,
});
const laid = (text: string, face: string, more: Partial<TextLine> = {}) => layoutLine(line(text, face, more), faces.get(face)!, 1, 0);
const boxes = (letters: readonly { path: Path }[]) => letters.map(({ path }) => boxOfPaths([path]));
const regionIn = (path: Path) => regionOf(flatten(path, [100, 0, 0, 100, 0, 0], 0.05));
const touch = (a: Path, b: Path) => intersection(regionIn(a), regionIn(b)).length > 0;

describe('scripts', () => {
  it('are told by their letters; figures, points and marks belong to none', () => {
    expect(['م', 'ש', 'ह', 'A', 'я', 'ω'].map((c) => scriptOf(c)?.name)).toEqual([
      'Arabic',
      'Hebrew',
      'Devanagari',
      'Latin',
      'Cyrillic',
      'Greek',
    ]);
    expect(['4', '.', ' ', '\u0301'].map(scriptOf)).toEqual([undefined, undefined, undefined, undefined]);
    expect(joiningScripts('Tern محمد हिन्दी שלום')).toEqual(['Arabic', 'Devanagari']);
  });
});

describe('words that run from right to left', () => {
  it('stand in the order in which they are read, the first letter at the right', () => {
    for (const [word, face] of [
      ['שלום', 'hebrew'],
      ['دار', 'arabic'],
    ] as const) {
      const { letters, missing } = laid(word, face);
      expect(missing).toEqual([]);
      expect(letters.map(({ text }) => text).join('')).toBe(word);
      const left = boxes(letters).map(({ minX }) => minX);
      expect(left).toEqual(left.toSorted((a, b) => b - a));
    }
  });
  it('figures and Latin words in them keep their own way', () => {
    const { letters } = laid('דג 47 ים', 'hebrew');
    const x = (text: string) => boxes(letters.filter((l) => l.text === text))[0]!.minX;
    expect(x('4')).toBeLessThan(x('7'));
    expect(x('ד')).toBeGreaterThan(x('7'));
    expect(x('י')).toBeLessThan(x('4'));
  });
  it('brackets are turned round', () => {
    const [open, , close] = laid('(ש)', 'hebrew').letters;
    expect(boxes([open!])[0]!.minX).toBeGreaterThan(boxes([close!])[0]!.minX);
    const latin = boxes(laid('(a)', 'latin').letters);
    expect(latin[0]!.minX).toBeLessThan(latin[2]!.minX);
  });
});

describe('letters that join', () => {
  it('Arabic letters of one word touch where the script joins them, and have other shapes than alone', () => {
    const { letters } = laid('بحث', 'arabic');
    const right = letters.toSorted((a, b) => boxes([b])[0]!.minX - boxes([a])[0]!.minX);
    for (let i = 0; i + 1 < right.length; i++) expect(touch(right[i]!.path, right[i + 1]!.path)).toBe(true);
    const alone = boxes(laid('ح', 'arabic').letters)[0]!;
    const within = boxes(letters.filter(({ text }) => text === 'ح'))[0]!;
    expect(Math.abs(boxWidth(alone) - boxWidth(within))).toBeGreaterThan(0.02);
  });
  it('lam and alef are one letter, and parts of it keep their places in the word', () => {
    const { letters } = laid('سلام', 'arabic');
    expect(letters.map(({ text }) => text)).toEqual(['س', 'لا', 'م']);
    expect(letters.map(({ index }) => index)).toEqual([0, 1, 3]);
  });
  it('space between letters is laid between words only', () => {
    const width = (spacing: number) => {
      const all = boxes(laid('بحر شمال', 'arabic', { spacing }).letters);
      return boxWidth(boxAround(all));
    };
    expect(width(0.4) - width(0)).toBeCloseTo(0.4, 6);
    expect(boxWidth(boxAround(boxes(laid('بحث', 'arabic', { spacing: 0.4 }).letters)))).toBeCloseTo(
      boxWidth(boxAround(boxes(laid('بحث', 'arabic').letters))),
      6,
    );
  });
  it('Devanagari vowels that are written before their consonant stand there, and belong to one letter with it', () => {
    const { letters } = laid('हिन्दी', 'devanagari');
    expect(letters[0]!.text).toBe('हि');
    expect(letters.map(({ text }) => text).join('')).toBe('हिन्दी');
    for (let i = 0; i + 1 < letters.length; i++) expect(touch(letters[i]!.path, letters[i + 1]!.path)).toBe(true);
  });
});

describe('marks', () => {
  it('above and below belong to their letter and stand over it', () => {
    const { letters } = laid('שָׁלוֹם', 'hebrew');
    expect(letters.map(({ text }) => [...text].length)).toEqual([3, 1, 2, 1]);
    const bare = boxes(laid('שלום', 'hebrew').letters);
    boxes(letters).forEach((box, i) => expect(Math.abs((box.minX + box.maxX - bare[i]!.minX - bare[i]!.maxX) / 2)).toBeLessThan(0.25));
    const [plain, marked] = [laid('x', 'latin').letters[0]!, laid('x\u0301', 'latin').letters];
    expect(marked).toHaveLength(1);
    expect(boxes(marked)[0]!.maxY).toBeGreaterThan(boxes([plain])[0]!.maxY + 0.05);
  });
});

describe('a letter and its marks', () => {
  it('are set in one file, the first that has both; a mark that no file has with its letter is missing, and stands nowhere', () => {
    const read = readFace('two', [fontsourceFile('cairo', 'latin', 700, 'woff'), fontsourceFile('montserrat', 'latin', 700, 'woff')]);
    if (!read.ok) throw new Error(read.problem.found);
    const set = (text: string) => layoutLine(line(text, 'two'), read.value, 1, 0);
    const [plain, marked] = [set('x'), set('x\u0301')];
    expect(marked.missing).toEqual([]);
    expect(marked.letters).toHaveLength(1);
    // not the x of the first file, which has no such mark
    expect(marked.end).not.toBeCloseTo(plain.end, 3);
    const [box] = boxes(marked.letters);
    expect(box!.maxY).toBeGreaterThan(boxes(plain.letters)[0]!.maxY);
    const lacking = set('x\u0302y');
    expect(lacking.missing).toEqual(['\u0302']);
    expect(lacking.letters.map(({ text }) => text)).toEqual(['x', 'y']);
  });
});

describe('space of one pair', () => {
  it('opens between the two as they are read, also where they run to the left', () => {
    const [plain, spaced] = [laid('שלום', 'hebrew', { spacing: 0.001 }), laid('שלום', 'hebrew', { spacing: 0.001, pairs: { 1: 0.2 } })];
    const left = (one: typeof plain) => boxes(one.letters).map(({ minX }) => minX);
    const by = left(spaced).map((x, i) => x - left(plain)[i]!);
    // the first two stand at the right, the others before them
    expect(by.map((shift) => Math.round(shift * 1000) / 1000)).toEqual([0.2, 0.2, 0, 0]);
  });
});

describe('a face of several weights', () => {
  it('is heavier the more it is asked for, and no heavier than it can be', () => {
    const ink = (weight?: number) => regionArea(regionIn(laid('H', 'weighed', weight === undefined ? {} : { weight }).letters[0]!.path));
    const weights = faces.get('weighed')!.file(0)!.weights!;
    expect(weights.most).toBeGreaterThan(weights.least);
    expect(ink(weights.most)).toBeGreaterThan(ink(weights.least));
    expect(ink(weights.most)).toBeCloseTo(ink(weights.most + 50), 9);
    expect(ink()).toBeCloseTo(ink(weights.usual), 9);
  });
});

describe('files', () => {
  it('a face as WOFF2 has the letters, widths and kerning that it has as WOFF', () => {
    for (const [id, alphabet, weight] of [
      ['montserrat', 'latin', 700],
      ['cairo', 'arabic', 700],
      ['mukta', 'devanagari', 700],
      ['heebo', 'hebrew', 700],
      ['pacifico', 'latin-ext', 400],
      ['playfair-display', 'cyrillic', 700],
      ['dancing-script', 'latin', 700],
    ] as const) {
      const [web, older] = ['woff2', 'woff'].map((kind) => {
        const unpacked = unpackFont(fontsourceFile(id, alphabet, weight, kind), id);
        if (!unpacked.ok) throw new Error(unpacked.problem.found);
        return new FontFile(unpacked.value[0]!);
      }) as [FontFile, FontFile];
      const characters = [...'AVToffiçéąžбжпתשלبحقमहिक'].filter((one) => older.has(one)).join('');
      expect(characters.length).toBeGreaterThan(1);
      const style = { rightToLeft: false, apart: false };
      const glyphs = older.shape(characters, style);
      expect(web.shape(characters, style)).toEqual(glyphs);
      // the two were made from one drawing by ways of their own: their outlines cover the same
      for (const { id: glyph } of glyphs) {
        const [a, b] = [web, older].map((font) => regionIn(font.path(glyph)));
        expect(regionArea(difference(a!, b!)) + regionArea(difference(b!, a!))).toBeLessThan(0.01 * regionArea(b!) + 1);
      }
    }
  });
  it('WOFF2 is unpacked, a collection is taken apart, and what is cut off is refused with the way out', () => {
    const [bare] = SCRIPT_FACES.weighed!;
    const view = new DataView(new ArrayBuffer(20));
    ['ttcf', 1, 2, 20, 20].forEach((word, i) => view.setUint32(4 * i, typeof word === 'string' ? 0x74746366 : word === 1 ? 0x10000 : word));
    const tables = new DataView(bare!).getUint16(4);
    const own = new Uint8Array(20 + bare!.byteLength);
    own.set(new Uint8Array(view.buffer));
    own.set(new Uint8Array(bare!), 20);
    const moved = new DataView(own.buffer);
    for (let i = 0; i < tables; i++) moved.setUint32(20 + 12 + 16 * i + 8, moved.getUint32(20 + 12 + 16 * i + 8) + 20);
    const taken = unpackFont(own.buffer, 'both');
    if (!taken.ok) throw new Error(taken.problem.found);
    expect(taken.value).toHaveLength(2);
    for (const one of taken.value) {
      const face = readFace('one', [one]);
      expect(face.ok && brokenLetters(face.value)).toEqual([]);
      expect(face.ok && face.value.file(0)!.name).toMatch(/Bricolage/);
    }
    for (const packed of [packedFace(), own.buffer]) {
      const short = unpackFont(packed.slice(0, 400), 'short');
      const reads = short.ok && short.value.some((one) => readFace('short', [one]).ok);
      expect(reads).toBe(false);
      if (!short.ok) expect(short.problem.wayOut).toMatch(/again/);
    }
  });
  it('a font that says it is larger than it can be is refused before any room is made for it', () => {
    const words = (...all: readonly number[]) => {
      const view = new DataView(new ArrayBuffer(4 * all.length));
      all.forEach((word, i) => view.setUint32(4 * i, word));
      return view.buffer;
    };
    // one table of 4 bytes that is to become 4 GB, and forty that are to become 50 MB each
    const woff = (tables: number, length: number) =>
      words(
        ...[0x774f4646, 0x10000, 0, tables << 16, 0, 0, 0, 0, 0, 0, 0],
        ...Array.from({ length: tables }, (_, i) => [0x676c7900 + i, 44 + 20 * tables, 100_000, length, 0]).flat(),
        ...Array<number>(25_000).fill(0),
      );
    // a hundred fonts that share one table of 5 MB
    const collection = new DataView(new ArrayBuffer(6_000_000));
    [0x74746366, 0x10000, 100].forEach((word, i) => collection.setUint32(4 * i, word));
    for (let i = 0; i < 100; i++) collection.setUint32(12 + 4 * i, 500);
    [0x10000, 0x10000, 0].forEach((word, i) => collection.setUint32(500 + 4 * i, word));
    [0x676c7966, 0, 1000, 5_000_000].forEach((word, i) => collection.setUint32(512 + 4 * i, word));
    // a packed font of which one table has a length of 34 bits
    const woff2 = new Uint8Array(200);
    woff2.set(new Uint8Array(words(0x774f4632, 0x10000, 200, 1 << 16, 0, 20)));
    woff2.set([1, 0x8f, 0xff, 0xff, 0xff, 0x7f], 48);
    for (const bytes of [woff(1, 0xffffffff), woff(40, 50_000_000), collection.buffer, woff2.buffer]) {
      const found = unpackFont(bytes, 'huge');
      expect(!found.ok && found.problem.found).toContain('it says that it is larger than it can be');
    }
  });
});

describe('lines spread to one width', () => {
  it('reach it in every script that has room for it, and never tear a joined word', () => {
    const art = (texts: readonly string[], face: string): Extract<Artwork, { kind: 'text' }> => ({
      kind: 'text',
      align: 'justified',
      lineSpacing: 1,
      lines: texts.map((text, i) => ({ ...line(text, face), id: `l${i}` })),
    });
    const rows = (text: Extract<Artwork, { kind: 'text' }>) => {
      const { glyphs } = layoutText(text, faces);
      const all = glyphs.map((path) => boxOfPaths([path]));
      const second = all.filter(({ maxY }) => maxY < -0.3);
      return [boxWidth(boxAround(all)), boxWidth(boxAround(second))] as const;
    };
    const [whole, spread] = rows(art(['בחר הים הגדול מאוד', 'בחר הים'], 'hebrew'));
    expect(spread / whole).toBeCloseTo(1, 2);
    const [, joined] = rows(art(['بحر الشمال الكبير', 'بحث'], 'arabic'));
    expect(joined).toBeCloseTo(boxWidth(boxAround(boxes(laid('بحث', 'arabic').letters))), 2);
  });
});

describe('joined', () => {
  it('letters touch, or their pair is named', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Za-z]{2,6}$/), fc.double({ min: 0, max: 0.3, noNaN: true }), (word, spacing) => {
        const { letters, closed } = laid(word, 'latin', { joined: true, spacing });
        const apart = closed.filter(({ by }) => by === undefined).map(({ pair }) => pair);
        for (let i = 0; i + 1 < letters.length; i++) {
          const [a, b] = [letters[i]!, letters[i + 1]!];
          if (!touch(a.path, b.path)) expect(apart).toContain(`${a.text}${b.text}`);
        }
      }),
      law(40),
    );
  });
});
