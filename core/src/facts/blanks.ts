import type { Contact, GroundId } from './grounds';

/** An ordinary blank to start from; the piece itself is measured all the same. */
export interface Blank {
  readonly id: string;
  readonly name: string;
  readonly shape:
    | { kind: 'flat'; width: number; height: number }
    | { kind: 'cylinder'; diameter: number; height: number }
    | { kind: 'taper'; rim: number; foot: number; height: number };
  readonly ground: GroundId;
  readonly contact: Contact;
  readonly colour: string;
  readonly drink: boolean;
}

export const BLANKS: readonly Blank[] = [
  {
    id: 'tumbler',
    name: 'straight glass tumbler',
    shape: { kind: 'cylinder', diameter: 75, height: 130 },
    ground: 'glass',
    contact: 'smooth',
    colour: '#dfeaec',
    drink: true,
  },
  {
    id: 'jar',
    name: 'storage jar',
    shape: { kind: 'cylinder', diameter: 95, height: 140 },
    ground: 'glass',
    contact: 'smooth',
    colour: '#dfeaec',
    drink: false,
  },
  {
    id: 'flask',
    name: 'powder-coated steel flask',
    shape: { kind: 'cylinder', diameter: 73, height: 180 },
    ground: 'powderCoat',
    contact: 'satin',
    colour: '#234a63',
    drink: false,
  },
  {
    id: 'mug',
    name: 'straight glazed mug',
    shape: { kind: 'cylinder', diameter: 82, height: 95 },
    ground: 'glazedCeramic',
    contact: 'smooth',
    colour: '#f2efe6',
    drink: true,
  },
  {
    id: 'plate',
    name: 'clear acrylic plate',
    shape: { kind: 'flat', width: 200, height: 120 },
    ground: 'acrylic',
    contact: 'smooth',
    colour: '#e6eff0',
    drink: false,
  },
  {
    id: 'board',
    name: 'sealed wooden board',
    shape: { kind: 'flat', width: 300, height: 200 },
    ground: 'sealedWood',
    contact: 'smooth',
    colour: '#b98f5e',
    drink: false,
  },
  {
    id: 'tin',
    name: 'painted tin sign',
    shape: { kind: 'flat', width: 200, height: 150 },
    ground: 'enamel',
    contact: 'smooth',
    colour: '#2f3b3a',
    drink: false,
  },
  {
    id: 'tile',
    name: 'glazed tile',
    shape: { kind: 'flat', width: 150, height: 150 },
    ground: 'glazedCeramic',
    contact: 'smooth',
    colour: '#f5f3ee',
    drink: false,
  },
  {
    id: 'pint',
    name: 'tapered pint glass',
    shape: { kind: 'taper', rim: 88, foot: 61, height: 148.6 },
    ground: 'glass',
    contact: 'smooth',
    colour: '#dfeaec',
    drink: true,
  },
  {
    id: 'bucket',
    name: 'galvanised bucket',
    shape: { kind: 'taper', rim: 260, foot: 190, height: 240 },
    ground: 'bareMetal',
    contact: 'satin',
    colour: '#b4bcc0',
    drink: false,
  },
];
