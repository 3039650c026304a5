/**
 * Every kind of reading that there is: whether it ever offers remedies, which the law of remedies then has to meet, and whether those
 * change what a mark looks like,
 * so that they are shown before they are done.
 */
export const READING_KINDS = {
  aside: { offers: false, changesLook: false },
  bend: { offers: true, changesLook: true },
  broken: { offers: false, changesLook: false },
  bulb: { offers: true, changesLook: true },
  climate: { offers: false, changesLook: false },
  cold: { offers: false, changesLook: false },
  column: { offers: true, changesLook: false },
  contrast: { offers: true, changesLook: true },
  date: { offers: true, changesLook: false },
  drawings: { offers: true, changesLook: true },
  dropped: { offers: false, changesLook: false },
  edge: { offers: true, changesLook: false },
  empty: { offers: true, changesLook: false },
  eye: { offers: true, changesLook: false },
  film: { offers: true, changesLook: false },
  filmgone: { offers: true, changesLook: false },
  food: { offers: true, changesLook: false },
  glyphs: { offers: true, changesLook: true },
  grip: { offers: true, changesLook: false },
  joined: { offers: true, changesLook: true },
  kind: { offers: true, changesLook: true },
  left: { offers: true, changesLook: false },
  lift: { offers: true, changesLook: false },
  load: { offers: false, changesLook: false },
  missed: { offers: false, changesLook: false },
  names: { offers: true, changesLook: true },
  over: { offers: false, changesLook: false },
  paint: { offers: true, changesLook: false },
  rows: { offers: true, changesLook: false },
  scatter: { offers: true, changesLook: true },
  seen: { offers: true, changesLook: true },
  shape: { offers: false, changesLook: false },
  size: { offers: true, changesLook: true },
  slats: { offers: false, changesLook: false },
  small: { offers: true, changesLook: true },
  snips: { offers: true, changesLook: true },
  spread: { offers: true, changesLook: false },
  stick: { offers: true, changesLook: false },
  terms: { offers: true, changesLook: false },
  thin: { offers: true, changesLook: true },
  tips: { offers: false, changesLook: false },
  wax: { offers: true, changesLook: false },
  wide: { offers: true, changesLook: false },
  zone: { offers: true, changesLook: false },
} as const satisfies Record<string, { offers: boolean; changesLook: boolean }>;

export type ReadingKind = keyof typeof READING_KINDS;

/** A kind, and what it is about where there are several. */
export type ReadingId = ReadingKind | `${ReadingKind}:${string}`;
