import type { Contact, GroundId } from './grounds';

/** An ordinary blank to start from; the piece itself is measured all the same. */
export interface Blank {
  readonly id: string;
  readonly name: string;
  readonly kind: keyof typeof BLANK_KINDS;
  readonly shape:
    | { kind: 'flat'; width: number; height: number }
    | { kind: 'cylinder'; diameter: number; height: number }
    | { kind: 'taper'; rim: number; foot: number; height: number }
    | { kind: 'bulb'; diameter: number; along: number; height: number };
  readonly ground: GroundId;
  readonly contact: Contact;
  readonly colour: string;
  readonly drink: boolean;
}

/** Shelves of blanks, by what they are made of. */
export const BLANK_KINDS = {
  glass: 'Glass',
  ceramic: 'Ceramic',
  metal: 'Metal',
  wood: 'Wood',
  plastic: 'Plastic',
  paper: 'Card and paper',
} as const;

// one line a blank: a table
// prettier-ignore
export const BLANKS: readonly Blank[] = [
  { id: 'tumbler', name: 'straight glass tumbler', kind: 'glass', shape: { kind: 'cylinder', diameter: 75, height: 130 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: true },
  { id: 'pint', name: 'tapered pint glass', kind: 'glass', shape: { kind: 'taper', rim: 88, foot: 61, height: 148.6 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: true },
  { id: 'shot', name: 'small thick glass', kind: 'glass', shape: { kind: 'taper', rim: 48, foot: 38, height: 60 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: true },
  { id: 'highball', name: 'tall straight glass', kind: 'glass', shape: { kind: 'cylinder', diameter: 64, height: 160 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: true },
  { id: 'jar', name: 'storage jar', kind: 'glass', shape: { kind: 'cylinder', diameter: 95, height: 140 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: false },
  { id: 'preserve', name: 'preserving jar, small', kind: 'glass', shape: { kind: 'cylinder', diameter: 70, height: 90 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: false },
  { id: 'bottle', name: 'straight bottle', kind: 'glass', shape: { kind: 'cylinder', diameter: 75, height: 200 }, ground: 'glass', contact: 'smooth', colour: '#7d9a7a', drink: false },
  { id: 'lantern', name: 'lantern cylinder', kind: 'glass', shape: { kind: 'cylinder', diameter: 120, height: 200 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: false },
  { id: 'vase', name: 'tapered vase', kind: 'glass', shape: { kind: 'taper', rim: 120, foot: 80, height: 250 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: false },
  { id: 'bowl', name: 'bulbous glass bowl', kind: 'glass', shape: { kind: 'bulb', diameter: 200, along: 90, height: 130 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: false },
  { id: 'lamp', name: 'bulbous vase', kind: 'glass', shape: { kind: 'bulb', diameter: 160, along: 110, height: 180 }, ground: 'glass', contact: 'smooth', colour: '#dfeaec', drink: false },
  { id: 'pane', name: 'picture-frame pane', kind: 'glass', shape: { kind: 'flat', width: 210, height: 297 }, ground: 'glass', contact: 'smooth', colour: '#e4edee', drink: false },
  { id: 'mug', name: 'straight glazed mug', kind: 'ceramic', shape: { kind: 'cylinder', diameter: 82, height: 95 }, ground: 'glazedCeramic', contact: 'smooth', colour: '#f2efe6', drink: true },
  { id: 'tankard', name: 'stoneware tankard', kind: 'ceramic', shape: { kind: 'cylinder', diameter: 95, height: 140 }, ground: 'glazedCeramic', contact: 'smooth', colour: '#b9a68a', drink: true },
  { id: 'cup', name: 'tapered cup', kind: 'ceramic', shape: { kind: 'taper', rim: 90, foot: 62, height: 82 }, ground: 'glazedCeramic', contact: 'smooth', colour: '#f2efe6', drink: true },
  { id: 'pot', name: 'glazed flower pot', kind: 'ceramic', shape: { kind: 'taper', rim: 160, foot: 115, height: 140 }, ground: 'glazedCeramic', contact: 'smooth', colour: '#5d7f8a', drink: false },
  { id: 'canister', name: 'kitchen canister', kind: 'ceramic', shape: { kind: 'cylinder', diameter: 110, height: 150 }, ground: 'glazedCeramic', contact: 'smooth', colour: '#f2efe6', drink: false },
  { id: 'tile', name: 'glazed tile', kind: 'ceramic', shape: { kind: 'flat', width: 150, height: 150 }, ground: 'glazedCeramic', contact: 'smooth', colour: '#f5f3ee', drink: false },
  { id: 'slate', name: 'slate coaster', kind: 'ceramic', shape: { kind: 'flat', width: 100, height: 100 }, ground: 'glazedCeramic', contact: 'openGrain', colour: '#41474a', drink: false },
  { id: 'flask', name: 'powder-coated steel flask', kind: 'metal', shape: { kind: 'cylinder', diameter: 73, height: 180 }, ground: 'powderCoat', contact: 'satin', colour: '#234a63', drink: false },
  { id: 'beaker', name: 'powder-coated beaker', kind: 'metal', shape: { kind: 'taper', rim: 88, foot: 70, height: 165 }, ground: 'powderCoat', contact: 'satin', colour: '#4c7231', drink: true },
  { id: 'bucket', name: 'galvanised bucket', kind: 'metal', shape: { kind: 'taper', rim: 260, foot: 190, height: 240 }, ground: 'bareMetal', contact: 'satin', colour: '#b4bcc0', drink: false },
  { id: 'tub', name: 'galvanised tub, small', kind: 'metal', shape: { kind: 'taper', rim: 160, foot: 120, height: 130 }, ground: 'bareMetal', contact: 'satin', colour: '#b4bcc0', drink: false },
  { id: 'tin', name: 'painted tin sign', kind: 'metal', shape: { kind: 'flat', width: 200, height: 150 }, ground: 'enamel', contact: 'smooth', colour: '#2f3b3a', drink: false },
  { id: 'letterbox', name: 'letter box front', kind: 'metal', shape: { kind: 'flat', width: 360, height: 100 }, ground: 'powderCoat', contact: 'satin', colour: '#22302f', drink: false },
  { id: 'lunchbox', name: 'painted tin box, lid', kind: 'metal', shape: { kind: 'flat', width: 190, height: 130 }, ground: 'enamel', contact: 'smooth', colour: '#ad3f27', drink: false },
  { id: 'watering', name: 'enamelled can', kind: 'metal', shape: { kind: 'cylinder', diameter: 160, height: 180 }, ground: 'enamel', contact: 'smooth', colour: '#f2efe6', drink: false },
  { id: 'plateMetal', name: 'brushed metal plate', kind: 'metal', shape: { kind: 'flat', width: 150, height: 80 }, ground: 'bareMetal', contact: 'smooth', colour: '#b4bcc0', drink: false },
  { id: 'board', name: 'sealed wooden board', kind: 'wood', shape: { kind: 'flat', width: 300, height: 200 }, ground: 'sealedWood', contact: 'smooth', colour: '#b98f5e', drink: false },
  { id: 'sign', name: 'raw wooden sign', kind: 'wood', shape: { kind: 'flat', width: 400, height: 140 }, ground: 'rawWood', contact: 'openGrain', colour: '#c9a877', drink: false },
  { id: 'stained', name: 'stained plank', kind: 'wood', shape: { kind: 'flat', width: 600, height: 140 }, ground: 'stainedWood', contact: 'satin', colour: '#6e4a2c', drink: false },
  { id: 'crate', name: 'wooden crate side', kind: 'wood', shape: { kind: 'flat', width: 380, height: 180 }, ground: 'rawWood', contact: 'openGrain', colour: '#c9a877', drink: false },
  { id: 'tray', name: 'sealed wooden tray', kind: 'wood', shape: { kind: 'flat', width: 400, height: 300 }, ground: 'sealedWood', contact: 'smooth', colour: '#b98f5e', drink: false },
  { id: 'nameblock', name: 'painted wooden block', kind: 'wood', shape: { kind: 'flat', width: 120, height: 90 }, ground: 'enamel', contact: 'smooth', colour: '#f3e9cf', drink: false },
  { id: 'chalk', name: 'chalkboard', kind: 'wood', shape: { kind: 'flat', width: 300, height: 420 }, ground: 'chalkboard', contact: 'satin', colour: '#2b2f2e', drink: false },
  { id: 'keepsake', name: 'sealed keepsake box, lid', kind: 'wood', shape: { kind: 'flat', width: 220, height: 160 }, ground: 'sealedWood', contact: 'smooth', colour: '#a97c4c', drink: false },
  { id: 'plate', name: 'clear acrylic plate', kind: 'plastic', shape: { kind: 'flat', width: 200, height: 120 }, ground: 'acrylic', contact: 'smooth', colour: '#e6eff0', drink: false },
  { id: 'bin', name: 'polypropylene bin, front', kind: 'plastic', shape: { kind: 'flat', width: 320, height: 180 }, ground: 'polypropylene', contact: 'satin', colour: '#d6dadb', drink: false },
  { id: 'folder', name: 'polypropylene folder', kind: 'plastic', shape: { kind: 'flat', width: 240, height: 320 }, ground: 'polypropylene', contact: 'smooth', colour: '#5d7f8a', drink: false },
  { id: 'lunchPlastic', name: 'polyethylene lid', kind: 'plastic', shape: { kind: 'flat', width: 160, height: 110 }, ground: 'polyethylene', contact: 'smooth', colour: '#f2efe6', drink: false },
  { id: 'phone', name: 'polycarbonate case', kind: 'plastic', shape: { kind: 'flat', width: 75, height: 150 }, ground: 'polycarbonate', contact: 'smooth', colour: '#22302f', drink: false },
  { id: 'petBottle', name: 'clear drinking bottle', kind: 'plastic', shape: { kind: 'cylinder', diameter: 70, height: 180 }, ground: 'pet', contact: 'smooth', colour: '#dfeaec', drink: false },
  { id: 'toybox', name: 'ABS box, front', kind: 'plastic', shape: { kind: 'flat', width: 300, height: 180 }, ground: 'abs', contact: 'smooth', colour: '#d98e16', drink: false },
  { id: 'giftbox', name: 'card gift box, lid', kind: 'paper', shape: { kind: 'flat', width: 200, height: 150 }, ground: 'card', contact: 'satin', colour: '#f3e9cf', drink: false },
  { id: 'bag', name: 'paper bag', kind: 'paper', shape: { kind: 'flat', width: 180, height: 240 }, ground: 'card', contact: 'satin', colour: '#c9a877', drink: false },
  { id: 'album', name: 'album cover', kind: 'paper', shape: { kind: 'flat', width: 300, height: 300 }, ground: 'card', contact: 'satin', colour: '#22302f', drink: false },
];
