// Makes a face of single strokes from the Hershey letters: each stroke becomes a bar so thin that a pen follows its middle (see
// `core/src/cut/toolpath/penLines.ts`). The letters are those of A. V. Hershey, U. S. National Bureau of Standards; accents are added here.
import { createRequire } from 'node:module';
import { ClipperOffset, EndType, JoinType } from 'clipper2-ts';
import { existsSync, mkdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const out = resolve(root, 'core/faces/generated/hershey-sans.otf');
const require = createRequire(import.meta.url);

/** Units of the letters: capitals are 21 high on a baseline at 22, y down. The face has ten thousand units in an em. */
const [BASE, CAPITAL, EM] = [22, 21, 7000];
const K = EM / CAPITAL;
/** Thickness of a stroke, ten-thousandths of an em. */
const THICK = 60;

/** Accents as strokes over or under a letter of `high` units, around its middle. */
const ACCENTS = {
  '\u0300': (high) => [
    [
      [-3, high + 6],
      [1, high + 2],
    ],
  ],
  '\u0301': (high) => [
    [
      [3, high + 6],
      [-1, high + 2],
    ],
  ],
  '\u0302': (high) => [
    [
      [-4, high + 2],
      [0, high + 6],
      [4, high + 2],
    ],
  ],
  '\u0303': (high) => [
    [
      [-5, high + 2],
      [-3, high + 4],
      [-1, high + 4],
      [1, high + 3],
      [3, high + 3],
      [5, high + 5],
    ],
  ],
  '\u0304': (high) => [
    [
      [-4, high + 4],
      [4, high + 4],
    ],
  ],
  '\u0306': (high) => [
    [
      [-4, high + 6],
      [-2, high + 3],
      [2, high + 3],
      [4, high + 6],
    ],
  ],
  '\u0307': (high) => [dot(0, high + 4)],
  '\u0308': (high) => [dot(-3, high + 4), dot(3, high + 4)],
  '\u030a': (high) => [
    [
      [0, high + 2],
      [2, high + 4],
      [0, high + 6],
      [-2, high + 4],
      [0, high + 2],
    ],
  ],
  '\u030b': (high) => [
    [
      [-1, high + 6],
      [-4, high + 2],
    ],
    [
      [4, high + 6],
      [1, high + 2],
    ],
  ],
  '\u030c': (high) => [
    [
      [-4, high + 6],
      [0, high + 2],
      [4, high + 6],
    ],
  ],
  '\u0327': () => [
    [
      [0, 0],
      [0, -2],
      [2, -4],
      [0, -6],
      [-2, -6],
    ],
  ],
  '\u0328': () => [
    [
      [1, 0],
      [-1, -3],
      [0, -5],
      [3, -5],
    ],
  ],
};
function dot(x, y) {
  return [
    [x, y - 1],
    [x + 1, y],
    [x, y + 1],
    [x - 1, y],
    [x, y - 1],
  ];
}

/** The strokes of a letter, y up from the baseline. */
function strokesOf({ d }, sunk) {
  return d
    .split('M')
    .filter((run) => run.trim() !== '')
    .map((run) =>
      run
        .replace('L', ' ')
        .trim()
        .split(/\s+/)
        .map((pair) => pair.split(',').map(Number))
        .map(([x, y]) => [x, BASE - y - sunk]),
    );
}

/** Stops of a sentence stand on the baseline: in the letters as they are kept they float above it. */
const SUNK = { '.': 3, ',': 3, ':': 3, ';': 3 };

/** The library counts in whole numbers: so many to a ten-thousandth of an em. */
const FINE = 10;

/** Strokes as one outline, ten-thousandths of an em. */
function drawStrokes(path, strokes) {
  const offset = new ClipperOffset();
  for (const stroke of strokes) {
    const points = stroke.map(([x, y]) => ({ x: Math.round(x * K * FINE), y: Math.round(y * K * FINE) }));
    offset.addPath(points, JoinType.Miter, EndType.Square);
  }
  const outline = [];
  offset.execute((THICK / 2) * FINE, outline);
  for (const ring of outline) {
    ring.forEach(({ x, y }, i) => (i === 0 ? path.moveTo(x / FINE, y / FINE) : path.lineTo(x / FINE, y / FINE)));
    path.close();
  }
}

export function writeStrokeFace() {
  if (existsSync(out) && statSync(out).mtimeMs > statSync(fileURLToPath(import.meta.url)).mtimeMs) return;
  const opentype = require('opentype.js');
  const { chars } = require('hersheytext/hersheytext.min.json').futural;
  const letters = new Map(
    chars.map((letter, i) => {
      const character = String.fromCharCode(33 + i);
      return [character, { strokes: strokesOf(letter, SUNK[character] ?? 0), advance: letter.o * 2 }];
    }),
  );
  letters
    .set('’', letters.get("'"))
    .set('‘', letters.get("'"))
    .set('·', { strokes: [dot(4, 9)], advance: 8 });
  letters
    .set('–', {
      strokes: [
        [
          [3, 9],
          [15, 9],
        ],
      ],
      advance: 18,
    })
    .set('—', {
      strokes: [
        [
          [2, 9],
          [24, 9],
        ],
      ],
      advance: 26,
    });
  letters.set('ı', { strokes: letters.get('i').strokes.slice(1), advance: letters.get('i').advance });
  letters.set('ß', {
    strokes: [
      [
        [3, 0],
        [3, 17],
        [5, 20],
        [8, 21],
        [11, 20],
        [12, 18],
        [12, 15],
        [10, 13],
        [8, 12],
        [12, 10],
        [14, 7],
        [14, 4],
        [12, 1],
        [9, 0],
        [7, 0],
      ],
    ],
    advance: 17,
  });
  letters.set('ø', withSlash(letters.get('o'), 14)).set('Ø', withSlash(letters.get('O'), 21));
  letters.set('ł', withBar(letters.get('l'), 12)).set('Ł', withBar(letters.get('L'), 10));
  letters.set('æ', joined(letters.get('a'), letters.get('e'))).set('Æ', joined(letters.get('A'), letters.get('E')));
  letters.set('œ', joined(letters.get('o'), letters.get('e'))).set('Œ', joined(letters.get('O'), letters.get('E')));
  for (let code = 0xc0; code < 0x180; code++) {
    const character = String.fromCharCode(code);
    const [base, ...marks] = character.normalize('NFD');
    const letter = letters.get(base === 'i' || base === 'j' ? (base === 'i' ? 'ı' : base) : base);
    if (letters.has(character) || marks.length === 0 || !letter || !marks.every((mark) => ACCENTS[mark])) continue;
    const points = letter.strokes.flat();
    const [left, right, high] = [
      Math.min(...points.map(([x]) => x)),
      Math.max(...points.map(([x]) => x)),
      Math.max(...points.map(([, y]) => y)),
    ];
    const middle = (left + right) / 2;
    const accents = marks.flatMap((mark) => ACCENTS[mark](high)).map((stroke) => stroke.map(([x, y]) => [x + middle, y]));
    letters.set(character, { strokes: [...letter.strokes, ...accents], advance: letter.advance });
  }
  const glyph = (name, unicode, advance, strokes) => {
    const path = new opentype.Path();
    drawStrokes(path, strokes);
    return new opentype.Glyph({ name, ...(unicode === undefined ? {} : { unicode }), advanceWidth: Math.round(advance * K), path });
  };
  const font = new opentype.Font({
    familyName: 'Kolleta Hershey Sans',
    styleName: 'Regular',
    unitsPerEm: 10_000,
    ascender: 9500,
    descender: -3000,
    glyphs: [
      glyph('.notdef', undefined, 16, []),
      glyph('space', 32, 16, []),
      ...[...letters].map(([character, { strokes, advance }]) =>
        glyph(`u${character.codePointAt(0).toString(16)}`, character.codePointAt(0), advance, strokes),
      ),
    ],
  });
  mkdirSync(dirname(out), { recursive: true });
  writeFileSync(out, Buffer.from(font.toArrayBuffer()));
}

function withSlash({ strokes, advance }, high) {
  return {
    strokes: [
      ...strokes,
      [
        [3, -1],
        [advance - 3, high + 1],
      ],
    ],
    advance,
  };
}
function withBar({ strokes, advance }, at) {
  const [x] = strokes[0][0];
  return {
    strokes: [
      ...strokes,
      [
        [x - 3, at - 2],
        [x + 3, at + 2],
      ],
    ],
    advance,
  };
}
function joined(a, b) {
  const by = a.advance - 4;
  return { strokes: [...a.strokes, ...b.strokes.map((stroke) => stroke.map(([x, y]) => [x + by, y]))], advance: a.advance + b.advance - 4 };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeStrokeFace();
