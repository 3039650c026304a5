import type { Artwork, Mark, PieceList, ShelfItem } from '../../job';

type Row = PieceList['rows'][number];
const PLACE = /\{([^{}]+)\}/g;

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The columns that a mark's words ask for, as they are named in the list; of a drawing the one that names the drawing of each piece. */
export function columnsIn(artwork: Artwork, list: PieceList | undefined): string[] {
  if (!list) return [];
  if (artwork.kind !== 'text') return list.columns.filter((column) => artwork.column !== undefined && sameName(column, artwork.column));
  const asked = artwork.lines.flatMap((line) => [...line.text.matchAll(PLACE)].map((match) => match[1]!.trim().toLowerCase()));
  return list.columns.filter((column) => asked.includes(column.trim().toLowerCase()));
}

/** What stands in braces and names no column of the list. */
export function unknownColumns(artwork: Extract<Artwork, { kind: 'text' }>, list: PieceList | undefined): string[] {
  const known = new Set((list?.columns ?? []).map((column) => column.trim().toLowerCase()));
  const asked = artwork.lines.flatMap((line) => [...line.text.matchAll(PLACE)].map((match) => match[1]!));
  return [...new Set(asked.filter((name) => !known.has(name.trim().toLowerCase())))];
}

/** Words without the braces around some names. */
export const withoutColumns = (text: string, names: readonly string[]): string =>
  text.replace(PLACE, (whole, name: string) => (names.includes(name) ? name : whole));

/** Whether a mark differs from piece to piece. */
export const isPersonal = (mark: Pick<Mark, 'artwork'>, list: PieceList | undefined): boolean =>
  list !== undefined &&
  list.rows.length > 0 &&
  (columnsIn(mark.artwork, list).length > 0 || list.rows.some((row) => row.width !== undefined || row.height !== undefined));

/** The drawing on the shelf that a cell of a list names. */
export const drawingNamed = (cell: string, shelf: readonly ShelfItem[]): ShelfItem | undefined =>
  shelf.find(({ name }) => sameName(name, cell));

/**
 * A mark's words for one piece: columns in braces are filled in, others stay as they are. A drawing that the list names comes from the shelf; one
 * that is not there has nothing to cut.
 */
export function fillIn(artwork: Artwork, list: PieceList, row: Row, shelf: readonly ShelfItem[] = []): Artwork {
  const cell = (name: string): string | undefined => {
    const at = list.columns.findIndex((column) => sameName(column, name));
    return at < 0 ? undefined : (row.cells[at] ?? '');
  };
  if (artwork.kind !== 'text') {
    const named = artwork.column === undefined ? undefined : cell(artwork.column);
    if (named === undefined) return artwork;
    const item = drawingNamed(named, shelf);
    return { kind: 'drawing', name: named, parts: item ? item.parts : [], leftOut: [], ...(item ? { shelf: item.id } : {}) };
  }
  return {
    ...artwork,
    lines: artwork.lines.map((line) => ({ ...line, text: line.text.replace(PLACE, (whole, name: string) => cell(name) ?? whole) })),
  };
}
