import type { SetText } from '../import/svgText';
import type { Face } from './face';
import { setLine } from './layoutText';

const plain = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');

/**
 * Sets text of drawings in the faces at hand, found by their family's name.
 *
 * @param faces with the names that drawings call them by
 */
export const setTextIn =
  (faces: readonly { name: string; face: Face }[]): SetText =>
  (text, families) => {
    const wanted = families.split(',').map((family) => plain(family.replace(/['"]/g, '')));
    const found = wanted.flatMap((family) =>
      faces.filter(({ name, face }) => family !== '' && (plain(name) === family || plain(face.id) === family)),
    )[0];
    return found && setLine(text, found.face);
  };
