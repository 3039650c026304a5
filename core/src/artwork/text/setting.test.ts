import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxWidth, boxOfPaths, flatten, regionOf, union, type Path } from '../../geometry';
import type { Artwork, PieceList, TextLine } from '../../job';
import { shippedFaces } from '../../../test/faces';
import type { Faces } from './face';
import { columnsIn, fillIn } from './fillIn';
import { layoutText } from './layoutText';
import { LIST_MOST_ROWS, partList, partWord, readList } from './readList';
import { writeList } from './writeList';
import { law } from '../../../test/depth';

let faces: Faces;
beforeAll(() => {
  faces = shippedFaces();
});
type Text = Extract<Artwork, { kind: 'text' }>;
const line = (text: string, more: Partial<TextLine> = {}): TextLine => ({
  id: text,
  text,
  face: 'montserrat',
  scale: 1,
  spacing: 0,
  ...more,
});
const set = (lines: TextLine[], more: Partial<Text> = {}) =>
  layoutText({ kind: 'text', lines, align: 'centre', lineSpacing: 1, ...more }, faces);
const ink = (glyphs: readonly Path[]) => boxOfPaths(glyphs);
const pieces = (glyphs: readonly Path[]) => union(...glyphs.map((path) => regionOf(flatten(path, [100, 0, 0, 100, 0, 0], 0.02)))).length;

describe('lines set against each other', () => {
  const three = [line('Tern'), line('Point Rowing'), line('Club', { scale: 0.6 })];
  it.each(['justified', 'stacked'] as const)('%s lines are all as wide as the widest', (align) => {
    const { glyphs } = set(three, { align });
    const rows = [0, 4, 15].map((from, i) => ink(glyphs.slice(from, [4, 15, 19][i])));
    const most = Math.max(...rows.map(boxWidth));
    for (const row of rows) expect(boxWidth(row) / most).toBeCloseTo(1, 3);
  });
  it('spacing of one pair moves what follows, and nothing before', () => {
    const [plain, spaced] = [
      set([line('RIVER', { spacing: 0.001 })], { align: 'left' }),
      set([line('RIVER', { spacing: 0.001, pairs: { 1: 0.2 } })], { align: 'left' }),
    ];
    const shift = plain.glyphs.map((path, i) => ink([spaced.glyphs[i]!]).minX - ink([path]).minX);
    expect(shift.slice(0, 2).every((s) => Math.abs(s) < 1e-6)).toBe(true);
    for (const s of shift.slice(2)) expect(s).toBeCloseTo(0.2, 5);
  });
});

describe('an arc', () => {
  it('keeps every letter as it is and turns it: the further from the middle, the more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 350 }), fc.boolean(), (degrees, hangs) => {
        const straight = set([line('ROWING')]).glyphs;
        const bent = set([line('ROWING')], { arc: hangs ? -degrees : degrees }).glyphs;
        const perimeter = (path: Path) =>
          flatten(path, [1, 0, 0, 1, 0, 0], 1e-4).reduce(
            (sum, ring) =>
              sum +
              ring.reduce((s, p, i) => s + Math.hypot(p[0] - ring[(i + 1) % ring.length]![0], p[1] - ring[(i + 1) % ring.length]![1]), 0),
            0,
          );
        bent.forEach((path, i) => expect(perimeter(path) / perimeter(straight[i]!)).toBeCloseTo(1, 2));
        const feet = bent.map((path) => (ink([path]).minY + ink([path]).maxY) / 2);
        // on an arch the middle stands highest, in a hanging arc lowest
        const [middle, ends] = [(feet[2]! + feet[3]!) / 2, (feet[0]! + feet[5]!) / 2];
        expect(hangs ? ends - middle : middle - ends).toBeGreaterThan(0);
      }),
      law(30),
    );
  });
  it('the width along the arc over its radius is the angle', () => {
    const straight = boxWidth(ink(set([line('IIIIIIIIIIIIIIIIIIII')]).glyphs));
    const half = ink(set([line('IIIIIIIIIIIIIIIIIIII')], { arc: 180 }).glyphs);
    // a half circle of radius w/π, and letters standing on it
    expect(boxWidth(half)).toBeGreaterThan((2 * straight) / Math.PI);
    expect(boxWidth(half)).toBeLessThan((2 * straight) / Math.PI + 2);
  });
});

describe('joined letters', () => {
  it('a word that falls apart becomes one piece, and where it was closed is said', () => {
    const loose = [line('mmm', { face: 'dancing-script', spacing: 0.06 })];
    expect(pieces(set(loose).glyphs)).toBeGreaterThan(1);
    const joined = set([{ ...loose[0]!, joined: true }]);
    expect(pieces(joined.glyphs)).toBe(1);
    expect(joined.closedUp.map((c) => c.pair)).toEqual(['mm', 'mm']);
    for (const c of joined.closedUp) expect(c.by).toBeGreaterThan(0);
  });
  it('letters that touch already stay where they are, and words stay apart', () => {
    const word = 'anna anna';
    const [plain, joined] = [set([line(word, { face: 'pacifico' })]), set([line(word, { face: 'pacifico', joined: true })])];
    expect(joined.closedUp.every((c) => !c.pair.includes(' '))).toBe(true);
    expect(boxWidth(ink(joined.glyphs))).toBeGreaterThan(boxWidth(ink(plain.glyphs)) * 0.9);
  });
  it('says which pair cannot be joined', () => {
    expect(set([line('-_', { joined: true })]).closedUp).toEqual([{ pair: '-_', line: 0, by: undefined }]);
  });
});

describe('ligatures', () => {
  it('are used where the face has them and letters are not spaced', () => {
    const counts = (face: string, spacing: number) => set([line('office fit', { face, spacing })]).glyphs.length;
    const with_ = ['playfair-display', 'montserrat', 'pacifico', 'dancing-script'].filter((face) => counts(face, 0) < counts(face, 0.05));
    expect(with_.length).toBeGreaterThan(0);
    for (const face of with_) expect(set([line('office fit', { face })]).missing).toEqual([]);
  });
});

describe('lists', () => {
  let n = 0;
  const list = (text: string) => readList(text, () => `r${++n}`);
  it('reads names, columns with headings, and quoted cells', () => {
    const names = list('Ada\nBó Ní Cheallaigh\n\nCormac');
    expect(names.ok && names.value.rows.map((r) => r.cells)).toEqual([['Ada'], ['Bó Ní Cheallaigh'], ['Cormac']]);
    const csv = list('Name;Seat\r\n"Byrne; Ada";bow\r\nFinn;stroke');
    expect(csv.ok && csv.value).toMatchObject({
      columns: ['Name', 'Seat'],
      rows: [{ cells: ['Byrne; Ada', 'bow'] }, { cells: ['Finn', 'stroke'] }],
    });
  });
  it('a list that is written is read back as it was: commas, quotes and semicolons in any column, headings, measures', () => {
    const cell = fc.stringMatching(/^[A-Za-zäöü0-9 '"\-,;|&]{0,12}$/).map((c) => c.trim());
    const lists = fc.integer({ min: 1, max: 4 }).chain((wide) =>
      fc.record({
        columns: fc.constant(['name', 'Boat', 'column 3', 'seat, and side'].slice(0, wide)),
        rows: fc.array(
          fc.record(
            {
              cells: fc.array(cell, { minLength: wide, maxLength: wide }).filter((cells) => cells.some((c) => c !== '')),
              width: fc.double({ min: 1, max: 900, noNaN: true }),
              height: fc.integer({ min: 1, max: 900 }),
            },
            { requiredKeys: ['cells'] },
          ),
          { minLength: 1, maxLength: 6 },
        ),
      }),
    );
    fc.assert(
      fc.property(lists, fc.constantFrom<'mm' | 'inch'>('mm', 'inch'), (some, system) => {
        const text = writeList({ ...some, rows: some.rows.map((row, i) => ({ id: `${i}`, ...row })) }, system);
        const back = readList(text, () => 'r', system);
        if (!back.ok) throw new Error(`${text}: ${back.problem.found}`);
        expect(back.value.columns).toEqual(some.columns);
        expect(back.value.rows.map(({ cells }) => cells)).toEqual(some.rows.map(({ cells }) => cells));
        for (const [i, { width, height }] of some.rows.entries()) {
          const row = back.value.rows[i]!;
          expect([row.width === undefined, row.height === undefined]).toEqual([width === undefined, height === undefined]);
          expect(Math.abs((row.width ?? 0) - (width ?? 0))).toBeLessThan(1e-3);
          expect(Math.abs((row.height ?? 0) - (height ?? 0))).toBeLessThan(1e-3);
        }
      }),
    );
  });
  it('5,000 names and an empty list are refused with the way out', () => {
    const many = list(Array.from({ length: 5000 }, (_, i) => `Name ${i}`).join('\n'));
    expect(!many.ok && `${many.problem.found} ${many.problem.wayOut}`).toMatch(/5,000 rows.*at most 500/);
    expect(list(' \n ').ok).toBe(false);
    const most = list(Array.from({ length: LIST_MOST_ROWS }, (_, i) => `Name ${i}`).join('\n'));
    expect(most.ok && most.value.rows.length).toBe(LIST_MOST_ROWS);
  });
  it('columns called width and height measure unlike pieces; a cell that is no length is refused by its row', () => {
    const sized = readList('name,width,height\nAda,120,40\nFinn,,30\nOrla,3 in,', () => `r${++n}`, 'mm');
    expect(sized.ok && sized.value).toMatchObject({
      columns: ['name'],
      rows: [
        { cells: ['Ada'], width: 120, height: 40 },
        { cells: ['Finn'], height: 30 },
        { cells: ['Orla'], width: expect.closeTo(76.2, 9) },
      ],
    });
    expect(sized.ok && 'width' in sized.value.rows[1]!).toBe(false);
    const alone = readList('width;height\n4;2\n5;2', () => `r${++n}`, 'inch');
    expect(alone.ok && alone.value).toMatchObject({
      columns: ['piece'],
      rows: [
        { cells: ['1'], width: 101.6 },
        { cells: ['2'], width: 127 },
      ],
    });
    const wrong = readList('name,width\nAda,wide', () => 'r');
    expect(!wrong.ok && wrong.problem.found).toMatch(/^Row 1, width: "wide" is not a length/);
  });
  it('a quotation mark that is not closed is refused with its row', () => {
    const broken = list('name\n"broken, quote\nFinn,2,3\n');
    expect(!broken.ok && broken.problem.found).toMatch(/quotation mark is opened in row 2/);
  });
  it('fills words in, and leaves braces that name nothing', () => {
    const read = list('name,boat\nAda,Petrel\nFinn,Gannet');
    if (!read.ok) throw new Error(read.problem.found);
    const art: Artwork = { kind: 'text', align: 'left', lineSpacing: 1, lines: [line('{Name} of {boat} {x}')] };
    expect(columnsIn(art, read.value)).toEqual(['name', 'boat']);
    const filled = fillIn(art, read.value, read.value.rows[1]!);
    expect(filled.kind === 'text' && filled.lines[0]!.text).toBe('Finn of Gannet {x}');
  });
  it('rows are parted into letters or words, each a row of its own with its measures; no letter is lost', () => {
    const words = fc.array(fc.stringMatching(/^[A-Za-z]{1,6}( [A-Za-z]{1,6}){0,2}$/), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(words, (names) => {
        let n = 0;
        const whole: PieceList = { columns: ['name'], rows: names.map((cell, i) => ({ id: `r${i}`, cells: [cell], width: 30 + i })) };
        const letters = partList(whole, 'letters', () => `l${n++}`);
        expect(letters.rows.map((row) => row.cells[0]).join('')).toBe(names.join('').replaceAll(' ', ''));
        expect(letters.rows.every(({ cells, width }) => [...cells[0]!].length === 1 && width! >= 30)).toBe(true);
        expect(new Set(letters.rows.map(({ id }) => id)).size).toBe(letters.rows.length);
        const parted = partList(whole, 'words', () => `w${n++}`);
        expect(parted.rows.map((row) => row.cells[0])).toEqual(names.flatMap((name) => name.split(' ')));
      }),
      law(50),
    );
  });
  it('a word is parted by letters or by bars', () => {
    expect(partWord('ROW ER', () => 'x').rows.map((r) => r.cells[0])).toEqual(['R', 'O', 'W', 'E', 'R']);
    expect(partWord('TERN|POINT', () => 'x').rows.map((r) => r.cells[0])).toEqual(['TERN', 'POINT']);
  });
});
