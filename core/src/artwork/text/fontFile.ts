import type * as HarfBuzz from 'harfbuzzjs';
import type { Path, Segment } from '../../geometry';

type Engine = typeof HarfBuzz;

let engine: Engine | undefined;

/** Loads the engine that sets letters; before that no font is read. It is WebAssembly: only the worker that needs it loads it. */
export async function loadShaper(): Promise<void> {
  engine ??= await import('harfbuzzjs');
}

/** A glyph in its place in a run, in ems. */
export interface ShapedGlyph {
  readonly id: number;
  /** The first code unit of the text that it stands for. */
  readonly cluster: number;
  readonly advance: number;
  readonly dx: number;
  readonly dy: number;
}

/** How a run is set. */
export interface RunStyle {
  readonly rightToLeft: boolean;
  /** Letters that are spaced stand alone: ligatures that are a matter of taste are left out. */
  readonly apart: boolean;
  /** Of a face whose weight can be chosen. */
  readonly weight?: number;
}

/** Weights that a variable face can have: the least, the one that it has by itself and the most. */
export interface Weights {
  readonly least: number;
  readonly usual: number;
  readonly most: number;
}

/** The engine counts in whole numbers: so many of them a unit of the font. */
const FINE = 32;
/** The weight axis of variable fonts. */
const WEIGHT = 'wght';
/** The full name among a font's names. */
const FULL_NAME = 4;
/** Ligatures of taste. */
const TASTE = ['liga', 'clig'];
/** Fonts have from 16 to 16,384 units an em. */
const UNITS = { least: 16, most: 16_384, head: 18 } as const;

/** One font file, read: which characters it has, how it sets them side by side, and their outlines. */
export class FontFile {
  readonly #engine: Engine;
  readonly #font: HarfBuzz.Font;
  /** Of the engine's numbers an em. */
  readonly #em: number;
  readonly #weighed = new Map<number, HarfBuzz.Font>();
  readonly #characters: ReadonlySet<number>;
  readonly #paths = new Map<string, Path>();
  readonly weights: Weights | undefined;
  /** What it calls itself; empty where it does not. */
  readonly name: string;

  /**
   * @param bytes TTF or OTF, not packed
   * @throws when they are no font
   */
  constructor(bytes: ArrayBuffer) {
    if (!engine) throw new Error('a font is read before the engine that sets letters is there');
    this.#engine = engine;
    const face = new engine.Face(new engine.Blob(bytes));
    const head = face.referenceTable('head');
    const units = head && head.length > UNITS.head + 1 ? head[UNITS.head]! * 256 + head[UNITS.head + 1]! : 0;
    this.#characters = new Set(face.collectUnicodes());
    if (!(units >= UNITS.least && units <= UNITS.most) || this.#characters.size === 0) throw new Error('no letters in it');
    const { min, default: usual, max } = face.getAxisInfos()[WEIGHT] ?? { min: 0, default: 0, max: 0 };
    this.weights = max > min ? { least: min, usual, most: max } : undefined;
    this.name = face.getName(FULL_NAME, 'en');
    this.#em = units * FINE;
    this.#font = new engine.Font(face);
    this.#font.setScale(this.#em, this.#em);
  }

  /** Whether it has a character, as it is or from its letter and marks. */
  has(character: string): boolean {
    const points = (text: string) => [...text].every((one) => this.#characters.has(one.codePointAt(0)!));
    return points(character) || (character.normalize('NFD') !== character && points(character.normalize('NFD')));
  }

  #of(weight: number | undefined): HarfBuzz.Font {
    const { weights } = this;
    if (!weights || weight === undefined) return this.#font;
    const held = Math.min(weights.most, Math.max(weights.least, weight));
    const known = this.#weighed.get(held);
    if (known) return known;
    const made = new this.#engine.Font(this.#font.face);
    made.setScale(this.#em, this.#em);
    made.setVariations([new this.#engine.Variation(WEIGHT, held)]);
    this.#weighed.set(held, made);
    return made;
  }

  /** Sets a run of one script in one direction: its glyphs from left to right. */
  shape(text: string, { rightToLeft, apart, weight }: RunStyle): ShapedGlyph[] {
    const { Buffer, Direction, Feature, shape } = this.#engine;
    const buffer = new Buffer();
    buffer.addText(text);
    buffer.setDirection(rightToLeft ? Direction.RTL : Direction.LTR);
    buffer.guessSegmentProperties();
    shape(this.#of(weight), buffer, apart ? TASTE.map((tag) => new Feature(tag, 0)) : []);
    const places = buffer.getGlyphPositions();
    return buffer.getGlyphInfos().map(({ codepoint, cluster }, i): ShapedGlyph => {
      const { xAdvance, xOffset, yOffset } = places[i]!;
      return { id: codepoint, cluster, advance: xAdvance / this.#em, dx: xOffset / this.#em, dy: yOffset / this.#em };
    });
  }

  /** The outline of a glyph, em, y up, around its own origin. */
  path(id: number, weight?: number): Path {
    const key = `${id} ${weight ?? ''}`;
    const known = this.#paths.get(key);
    if (known) return known;
    const em = this.#em;
    const made = this.#of(weight)
      .glyphToJson(id)
      .map(({ type, values }): Segment => {
        const at = (i: number) => [values[2 * i]! / em, values[2 * i + 1]! / em] as const;
        if (type === 'M' || type === 'L') return [type, at(0)];
        if (type === 'Q') return ['Q', at(0), at(1)];
        return type === 'C' ? ['C', at(0), at(1), at(2)] : ['Z'];
      });
    this.#paths.set(key, made);
    return made;
  }
}
