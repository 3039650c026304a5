/** A face that ships with Kolleta; its outlines are handed to core as bytes. */
export interface FaceFact {
  readonly id: string;
  readonly name: string;
  readonly family: 'script' | 'sans' | 'serif' | 'stencil' | 'stroke';
  /** Its licence allows marks for sale. */
  readonly licence: string;
}

const OFL = 'SIL Open Font License 1.1';
const HERSHEY = 'Hershey letters, free to use where their origin is named: A. V. Hershey, U. S. National Bureau of Standards';
export const FACES: readonly FaceFact[] = [
  { id: 'pacifico', name: 'Pacifico', family: 'script', licence: OFL },
  { id: 'dancing-script', name: 'Dancing Script', family: 'script', licence: OFL },
  { id: 'montserrat', name: 'Montserrat', family: 'sans', licence: OFL },
  { id: 'archivo-black', name: 'Archivo Black', family: 'sans', licence: OFL },
  { id: 'playfair-display', name: 'Playfair Display', family: 'serif', licence: OFL },
  { id: 'saira-stencil-one', name: 'Saira Stencil One', family: 'stencil', licence: OFL },
  { id: 'hershey-sans', name: 'Hershey Sans, single strokes', family: 'stroke', licence: HERSHEY },
];

/** Whether a face draws each letter in single strokes, for a pen. */
export const isStrokeFace = (id: string): boolean => FACES.some((face) => face.id === id && face.family === 'stroke');
