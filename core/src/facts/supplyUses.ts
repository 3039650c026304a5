import { TRADE, type Column } from './fact';
import type { StepKind } from './stepKinds';
import type { SupplyKindId, SupplyUnit } from './supplyKinds';

export const SUPPLY_USES_COLUMN: Column = { unit: 'in the unit of each row, for a job and for a piece', source: TRADE };

/** What a kind of step uses up beside film, tape and paint. */
export interface SupplyUse {
  readonly kind: SupplyKindId;
  /** How it is called where none of its kind is in stock. */
  readonly name: string;
  readonly unit: SupplyUnit;
  readonly job: number;
  readonly piece: number;
}

const CLOTH: SupplyUse = { kind: 'cloth', name: 'lint-free cloths', unit: 'piece', job: 1, piece: 0 };
const ALCOHOL: SupplyUse = { kind: 'cleaner', name: 'isopropyl alcohol', unit: 'ml', job: 2, piece: 2 };
const PAPER: SupplyUse = { kind: 'abrasive', name: 'fine sandpaper', unit: 'piece', job: 0.5, piece: 0.25 };
const GLOVES: SupplyUse = { kind: 'glove', name: 'gloves', unit: 'piece', job: 2, piece: 0 };
const BRUSH: SupplyUse = { kind: 'brush', name: 'a brush, pad or sponge', unit: 'piece', job: 1, piece: 0 };

/** What each kind of step uses up; a tool that serves several steps of a job is counted once. */
export const SUPPLY_USES: Partial<Record<StepKind, readonly SupplyUse[]>> = {
  sand: [PAPER],
  scrape: [ALCOHOL, CLOTH],
  fill: [{ kind: 'other', name: 'filler', unit: 'piece', job: 0.2, piece: 0 }],
  stain: [CLOTH, GLOVES],
  coat: [BRUSH],
  seal: [BRUSH],
  sealOver: [BRUSH],
  edge: [BRUSH],
  dab: [BRUSH],
  cover: [BRUSH],
  etch: [GLOVES],
  pack: [{ kind: 'packing', name: 'packing', unit: 'piece', job: 0, piece: 1 }],
};

/** A wipe that takes alcohol; and masking around a stencil, metres for each mark. */
export const WIPE_USES: readonly SupplyUse[] = [ALCOHOL, CLOTH];
export const MASKING_USE: SupplyUse = { kind: 'masking', name: 'masking tape', unit: 'm', job: 0, piece: 1 };
export const CREAM_USE = { kind: 'cream', name: 'etching cream', unit: 'ml' } as const;
