/** A face that ships with Kolleta; its outlines are handed to core as bytes. */
export interface FaceFact {
  readonly id: string;
  readonly name: string;
  readonly family: 'script' | 'sans' | 'serif' | 'stencil' | 'stroke';
  /** How heavy it is: 400 is regular, 700 bold. */
  readonly weight: number;
  /** Its files, the common letters first; none where it is made when Kolleta is set up. */
  readonly alphabets: readonly string[];
  /** Its licence allows marks for sale. */
  readonly licence: string;
}

const OFL = 'SIL Open Font License 1.1';
const HERSHEY = 'Hershey letters, free to use where their origin is named: A. V. Hershey, U. S. National Bureau of Standards';
const LATIN = ['latin', 'latin-ext'];
export const FACES: readonly FaceFact[] = [
  { id: 'pacifico', name: 'Pacifico', family: 'script', weight: 400, alphabets: [...LATIN, 'cyrillic'], licence: OFL },
  { id: 'dancing-script', name: 'Dancing Script', family: 'script', weight: 700, alphabets: LATIN, licence: OFL },
  { id: 'montserrat', name: 'Montserrat', family: 'sans', weight: 700, alphabets: [...LATIN, 'cyrillic'], licence: OFL },
  { id: 'archivo-black', name: 'Archivo Black', family: 'sans', weight: 400, alphabets: LATIN, licence: OFL },
  { id: 'cairo', name: 'Cairo, also Arabic', family: 'sans', weight: 700, alphabets: [...LATIN, 'arabic'], licence: OFL },
  { id: 'heebo', name: 'Heebo, also Hebrew', family: 'sans', weight: 700, alphabets: [...LATIN, 'hebrew'], licence: OFL },
  { id: 'mukta', name: 'Mukta, also Devanagari', family: 'sans', weight: 700, alphabets: [...LATIN, 'devanagari'], licence: OFL },
  { id: 'playfair-display', name: 'Playfair Display', family: 'serif', weight: 700, alphabets: [...LATIN, 'cyrillic'], licence: OFL },
  { id: 'saira-stencil-one', name: 'Saira Stencil One', family: 'stencil', weight: 400, alphabets: LATIN, licence: OFL },
  { id: 'hershey-sans', name: 'Hershey Sans, single strokes', family: 'stroke', weight: 400, alphabets: [], licence: HERSHEY },
];

/** Whether a face draws each letter in single strokes, for a pen. */
export const isStrokeFace = (id: string): boolean => FACES.some((face) => face.id === id && face.family === 'stroke');
