/** What a workshop uses up beside film, tape and paint. */
export type SupplyKindId =
  'cleaner' | 'cloth' | 'abrasive' | 'brush' | 'masking' | 'blade' | 'glove' | 'cream' | 'blank' | 'trimming' | 'packing' | 'other';

export const SUPPLY_KINDS: Record<
  SupplyKindId,
  {
    readonly name: string;
    readonly unit: SupplyUnit;
    /** A tool that serves every step of a job; else it is used up step by step. */
    readonly serves?: 'job';
    /** So many jobs one of it serves before it is worn. */
    readonly lasts?: number;
  }
> = {
  cleaner: { name: 'cleaner', unit: 'ml' },
  cloth: { name: 'cloths and wipes', unit: 'piece', serves: 'job', lasts: 2 },
  abrasive: { name: 'sandpaper and pads', unit: 'piece' },
  brush: { name: 'brushes, foam, sponges', unit: 'piece', serves: 'job', lasts: 12 },
  masking: { name: 'masking tape', unit: 'm' },
  blade: { name: 'blades', unit: 'piece' },
  glove: { name: 'gloves', unit: 'piece', serves: 'job' },
  cream: { name: 'etching cream', unit: 'ml' },
  blank: { name: 'blank pieces', unit: 'piece' },
  trimming: { name: 'trimmings: ribbon, cord, hooks, feet', unit: 'piece' },
  packing: { name: 'packing', unit: 'piece' },
  other: { name: 'other', unit: 'piece' },
};

export type SupplyUnit = 'piece' | 'ml' | 'm' | 'g';

/** What supplies are counted in. */
export const SUPPLY_UNITS: Record<SupplyUnit, { readonly name: string; readonly one: string }> = {
  piece: { name: 'pieces', one: 'piece' },
  ml: { name: 'ml', one: 'ml' },
  m: { name: 'metres', one: 'metre' },
  g: { name: 'grams', one: 'gram' },
};

export type CarrierGrade = 'light' | 'standard' | 'strong';

/** How hard a carrier sheet holds film, and after how many uses it usually holds no more, until the log knows better. */
export const CARRIER_GRADES: Record<CarrierGrade, { readonly name: string; readonly lasts: number }> = {
  light: { name: 'light hold', lasts: 25 },
  standard: { name: 'usual hold', lasts: 40 },
  strong: { name: 'strong hold', lasts: 40 },
};

export type StockKind = 'film' | 'tape' | 'paint' | 'supply';

/** What is kept in stock, and what it is counted in. */
export const STOCK_KINDS: Record<StockKind, { readonly name: string }> = {
  film: { name: 'film, mm of roll' },
  tape: { name: 'tape, mm of roll' },
  paint: { name: 'paint, ml' },
  supply: { name: 'supplies, in their unit' },
};
