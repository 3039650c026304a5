import * as opentypeModule from 'opentype.js';
import { refused, good, type Result } from '../../units';

const opentype = opentypeModule.default ?? opentypeModule;
type Font = ReturnType<typeof opentype.parse>;

/** A face ready to be set: one or more files (latin, latin-ext) looked through in turn. */
export interface Face {
  readonly id: string;
  readonly files: readonly Font[];
}

/** Faces by id. */
export type Faces = ReadonlyMap<string, Face>;

/**
 * Reads the files of one face.
 *
 * @param files TTF, OTF or WOFF bytes; characters are looked for in the order given
 * @returns a problem when a file is not a font
 */
export function readFace(id: string, files: readonly ArrayBuffer[]): Result<Face> {
  try {
    return good({ id, files: files.map((bytes) => opentype.parse(bytes)) });
  } catch (error) {
    return refused(`The font "${id}" cannot be read (${String(error)}).`, 'a TTF, OTF or WOFF file', id, 'Choose another face.');
  }
}

/** The file of a face that has a character, and its glyph there. */
export function findGlyph(face: Face, character: string): { font: Font; glyph: ReturnType<Font['charToGlyph']> } | undefined {
  for (const font of face.files) {
    const glyph = font.charToGlyph(character);
    if (glyph.index !== 0) return { font, glyph };
  }
  return undefined;
}
