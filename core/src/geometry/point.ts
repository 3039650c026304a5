/** A place in mm: x to the right, y up. */
export type Point = readonly [x: number, y: number];

/** A closed line of points; the last joins the first without being repeated. */
export type Ring = readonly Point[];

/** One connected area: its outer ring runs counter-clockwise, its holes clockwise. */
export interface Part {
  readonly outer: Ring;
  readonly holes: readonly Ring[];
}

/** An area of any number of parts that do not overlap. */
export type Region = readonly Part[];

/** Many times as quick as `Math.hypot`; coordinates are no larger than metres in mm. */
export const distance = (a: Point, b: Point): number => Math.sqrt((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2);

/** Every ring of a region, outer rings and holes alike. */
export const ringsOf = (region: Region): Ring[] => region.flatMap((part) => [part.outer, ...part.holes]);
