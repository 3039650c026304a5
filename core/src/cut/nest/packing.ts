/** A box to be laid on film, mm. */
export interface PackItem {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  /** May not be turned: its film has a direction. */
  readonly fixed?: boolean;
}

/** Where a box lies: its lower left corner, mm from the film's; `turned` by a quarter. */
export interface PackedBox {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly turned: boolean;
}

export interface Packing {
  readonly boxes: readonly PackedBox[];
  /** How far along the film the boxes reach, mm. */
  readonly length: number;
  /** Boxes wider than the film either way. */
  readonly tooWide: readonly string[];
}
