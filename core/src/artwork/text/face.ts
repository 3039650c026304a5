import { refused, good, type Result } from '../../units';
import { FontFile } from './fontFile';
import { unpackWoff } from './unpackFont';

/** A face that ships: its files are looked through in turn, and read only when one is needed. */
export interface Face {
  readonly id: string;
  /** How many files it has. */
  readonly count: number;
  /** One of its files; undefined when it cannot be read. */
  readonly file: (index: number) => FontFile | undefined;
}

/** Faces by id. */
export type Faces = ReadonlyMap<string, Face>;

/**
 * Reads the files of one face: the first at once, the others when a character is not in it.
 *
 * @param files TTF, OTF or WOFF bytes; characters are looked for in the order given
 * @returns a problem when the first file is not a font
 */
export function readFace(id: string, files: readonly ArrayBuffer[]): Result<Face> {
  const read = new Map<number, FontFile | undefined>();
  try {
    const [first] = files;
    if (!first) throw new Error('it has no file');
    read.set(0, new FontFile(unpackWoff(first)));
  } catch (error) {
    return refused(`The font "${id}" cannot be read (${String(error)}).`, 'a TTF, OTF or WOFF file', id, 'Choose another font.');
  }
  const file = (index: number): FontFile | undefined => {
    if (!read.has(index)) {
      try {
        read.set(index, new FontFile(unpackWoff(files[index]!)));
      } catch {
        read.set(index, undefined);
      }
    }
    return read.get(index);
  };
  return good({ id, count: files.length, file });
}

/** The first file of a face that has some characters, all of them. */
export function fileWith(face: Face, ...characters: readonly string[]): FontFile | undefined {
  for (let i = 0; i < face.count; i++) {
    const font = face.file(i);
    if (font && characters.every((character) => font.has(character))) return font;
  }
  return undefined;
}

/** Letters that names are made of. */
const COMMON = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789&.,-'!?";

/** Common letters that a face has and that cannot be drawn: its file is damaged. */
export const brokenLetters = (face: Face): string[] =>
  [...COMMON].filter((letter) => {
    const font = fileWith(face, letter);
    if (!font) return false;
    try {
      return font.shape(letter, { rightToLeft: false, apart: false }).every(({ id }) => font.path(id).length === 0);
    } catch {
      return true;
    }
  });
