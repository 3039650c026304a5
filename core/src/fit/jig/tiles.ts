import { good, refused, type Result } from '../../units';
import { boxHeight, boxWidth, type Box } from '../../geometry';

/** A sheet of paper, mm. */
export interface Sheet {
  readonly name: 'A4' | 'Letter';
  readonly width: number;
  readonly height: number;
}

export const SHEETS: Record<Sheet['name'], Sheet> = {
  A4: { name: 'A4', width: 210, height: 297 },
  Letter: { name: 'Letter', width: 215.9, height: 279.4 },
};

/** No printer prints to the edge, mm. */
export const PRINT_MARGIN = 10;
/** Neighbouring sheets show the same strip, mm, so that they can be laid over each other. */
export const SHEET_OVERLAP = 10;
const MOST_TILES = 60;
/** So many sheets of several jigs are printed at once and no more. */
export const MOST_SHEETS = 200;

/** One sheet of a tiled drawing: what it shows. */
export interface Tile {
  readonly column: number;
  readonly row: number;
  readonly box: Box;
}

/** A drawing on sheets. */
export interface Tiling {
  readonly sheet: Sheet;
  /** The sheet lies on its long side. */
  readonly across: boolean;
  readonly columns: number;
  readonly rows: number;
  readonly tiles: readonly Tile[];
}

/**
 * Parts a drawing over sheets that overlap, upright or across, whichever takes fewer.
 *
 * @param scale what the print is enlarged by to come out true, near 1
 * @returns sheets row by row from the top left; a problem when there would be too many
 */
export function tileSheets(box: Box, sheet: Sheet, scale = 1): Result<Tiling> {
  const plan = (across: boolean) => {
    const [w, h] = across ? [sheet.height, sheet.width] : [sheet.width, sheet.height];
    const [roomX, roomY] = [(w - 2 * PRINT_MARGIN) / scale, (h - 2 * PRINT_MARGIN) / scale];
    const count = (size: number, room: number) => (size <= room ? 1 : Math.ceil((size - SHEET_OVERLAP) / (room - SHEET_OVERLAP)));
    return { across, roomX, roomY, columns: count(boxWidth(box), roomX), rows: count(boxHeight(box), roomY) };
  };
  const [upright, lying] = [plan(false), plan(true)];
  const best = lying.columns * lying.rows < upright.columns * upright.rows ? lying : upright;
  const { columns, rows, roomX, roomY, across } = best;
  if (!(columns * rows <= MOST_TILES))
    return refused(
      `The jig would take ${columns * rows} sheets of ${sheet.name}.`,
      `up to ${MOST_TILES} sheets`,
      'jig',
      'Save it as SVG and have it plotted, or make a jig of one zone only.',
    );
  const tiles = Array.from({ length: rows * columns }, (_, i): Tile => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const minX = box.minX + column * (roomX - SHEET_OVERLAP);
    const maxY = box.maxY - row * (roomY - SHEET_OVERLAP);
    return { column, row, box: { minX, maxX: minX + roomX, minY: maxY - roomY, maxY } };
  });
  return good({ sheet, across, columns, rows, tiles });
}

/** What a print has to be enlarged by when its check line of `wanted` mm came out `measured` mm long. */
export function scaleFromCheck(measured: number, wanted: number): Result<number> {
  const scale = wanted / measured;
  if (Number.isFinite(scale) && scale > 0.8 && scale < 1.25) return good(scale);
  return refused(
    `A line of ${wanted} mm that measures ${measured.toFixed(1)} mm is no slip of a printer.`,
    `${wanted / 1.25} to ${wanted / 0.8} mm`,
    'Check line',
    'Print at 100 %, without “fit to page”, and measure again.',
  );
}
