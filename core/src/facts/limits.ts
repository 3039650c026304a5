import { TRADE, type Column } from './fact';

export const LIMITS_COLUMN: Column = { unit: 'as named', source: TRADE };

/** Limits that readings are judged by. */
export const LIMITS = {
  /** A kept part under this is lost, mm². */
  smallPart: 3,
  /** A counter under this cannot be weeded, mm². */
  smallCounter: 1,
  /** Strokes under this share of what film keeps are a stop, not a watch. */
  thinStop: 0.5,
  /** Film keeps this far from a drinking rim, mm. */
  lipBand: 20,
  /** A zone's breathing room as a share of its smaller side: marks, and stencils. */
  breathing: 1 / 8,
  breathingStencil: 1 / 10,
  /** Share of the wrap that is seen at once from the front. */
  seenShare: 0.35,
  /** Pieces of a set that differ by more than so many mm, or this share of their smaller side, look different. */
  setSpread: 1.5,
  setSpreadShare: 0.02,
  /** Measures of one set lie within this share of the least. */
  setSlip: 0.25,
  /** Letters smaller than this share of the middle ones of their list stand out. */
  listOutlier: 0.7,
  /** Where more than this share of a mark's parts is dropped as small, words go and not only specks. */
  droppedShare: 0.2,
  /** What lies on so much of another film lies on it, and is seen against it. */
  onFilm: 0.6,
  /** What is thin over less than this from its end is a tip, no stroke, mm; a tip shorter than the second weeds by itself. */
  tip: 2,
  longTip: 1,
  /** Film bridges a joint between slats no wider than this, mm; what crosses less of a gap than this only touches it, mm². */
  tightJoint: 1,
  touches: 1,
  /** What lies on less of another mark than this share only touches it. */
  onMark: 0.005,
  /** More thickening than this a side, mm, is another font. */
  thickenMost: 0.5,
  /** A fix that makes a mark narrower than this share of itself takes away what its maker wanted. */
  leastOfSize: 0.4,
  /** A straight line on a taper may leave the level by so much at its ends, mm. */
  sag: 1,
} as const;

/** Will it stick: energy in mN/m, contact as a share, temperature in °C. */
export const STICK = {
  energyFine: 36,
  energyWatch: 32,
  contactFine: 0.7,
  contactWatch: 0.4,
  leastCelsius: 10,
} as const;

/** Contrast: WCAG ratio and ΔE2000. */
export const CONTRAST = { stopDifference: 15, stopRatio: 1.6, stopRatioDifference: 25, fineRatio: 3 } as const;

/** Weeding in minutes; areas in mm². */
export const WEEDING = {
  start: 0.4,
  piece: 0.06,
  small: 0.12,
  smallFrom: 15,
  smallFull: 4,
  metreOfEdge: 0.25,
  staleADay: 0.25,
  staleDays: 7,
  onCarrier: 25,
  /** Film darker than this hides its cuts, WCAG luminance. */
  dark: 0.08,
} as const;

/** The knife: goes over the start of an outline again, mm, so that its corner is cut through. */
export const KNIFE = { overcut: 0.3, step: 0.025, mostOffset: 2 } as const;

/** Relief cuts, mm: how near to a mark they may come, how far the border lies around all, and how wide a strip of waste is at most to begin with. */
export const RELIEF = { clearance: 1, border: 3, strip: 60, least: 20, most: 300 } as const;

/** Spares of bits that are easily lost: up to how large a bit is small, mm², and how many kinds of bits get one. */
export const SPARES = { area: 12, most: 12 } as const;

/** Laying out film, mm. */
export const LAYOUT = {
  /** Between any two parts, to begin with; and at most. */
  gap: 3,
  mostGap: 50,
  /** Where the machine holds the film down: at each side, and at both ends of what is taken. */
  holdDown: 10,
  /** Kept free along the edges and holes of a sheet or an offcut, which its carrier holds. */
  onCarrier: 3,
  /** What is left is worth keeping from a box so large on each side. */
  leastOffcut: 50,
  /** And is then worth so much of the same film on a roll: it has to be found, and something has to fit on it. */
  offcutWorth: 0.5,
  maskingBorder: 25,
  /** Another film is offered only where so much more than is needed is left of it. */
  reserve: 60,
  /** A mark that is too wide is offered so much smaller than the widest, since it is measured without its border. */
  belowWidest: 40,
  /** And never smaller than this. */
  narrowest: 40,
} as const;

/** Paint: m² that a litre covers, dabbed or brushed, and what is lost in the tool; how much the edges add to a face. */
export const PAINT = { spreadDabbed: 6, spreadBrushed: 8, loss: 0.4, leastMl: 2, edges: 1.15 } as const;

/** Letters and shapes of a mask are pulled one by one: more than so many, or any under so many mm², are worth a thought. */
export const MASK = { many: 20, smallPart: 30 } as const;

/** Etching cream: minutes that it stays on by its sheet, mm of it over the openings, and least ml. */
export const ETCHING = { least: 5, usual: 10, most: 15, thick: 1.5, leastMl: 5, rinsed: 30 } as const;

/** Heat-applied film. */
export const PRESSING = {
  /** Seconds that drive the damp out of the cloth, and of a layer that others follow on. */
  prePress: 5,
  layer: 3,
  /** The second press, from behind or over a sheet, as a share of the first. */
  second: 0.5,
  /** Neighbouring presses overlap by so much, mm. */
  overlap: 10,
  /** What may be typed of a press: °C, and seconds. */
  celsius: { least: 80, most: 230 },
  most: 120,
  /** A second press is no shorter, seconds. */
  leastSecond: 3,
  /** Minutes: film is pressed so soon on a warmed piece, and the next layer so soon on the last. */
  onWarm: 60,
  nextLayer: 24 * 60,
  /** Minutes until film that is peeled cold has cooled. */
  cools: 5,
  /** Hours until it may be washed. */
  firstWash: 24,
} as const;

/** Written labels: mm. */
export const LABEL = {
  /** The pen's line; the least height of letters that it draws as single strokes, and as outlines. */
  pen: 0.4,
  leastStroke: 3,
  leastOutlined: 5,
  /** Around the words, and how the corners are rounded. */
  margin: 4,
  corner: 2,
  /** Pen out and knife in, minutes; how fast a pen writes, mm/s. */
  change: 0.5,
  write: 40,
  /** Colours of ink. */
  ink: '#1d2021',
} as const;

/** Haze is seen before what is darker than this, WCAG luminance. */
export const HAZE = { white: 0.75 } as const;

/**
 * Bridges that hold the islands of a stencil, mm: usual width, and how far over the least stroke of the film; an island of so many mm² lies
 * still by itself.
 */
export const BRIDGES = { width: 1.5, overLeast: 1.25, steady: 12 } as const;
