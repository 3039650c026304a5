import type { Artwork, Mark, PieceList } from '../../job';

type Row = PieceList['rows'][number];
const PLACE = /\{([^{}]+)\}/g;

/** The columns that a mark's words ask for, as they are named in the list. */
export function columnsIn(artwork: Artwork, list: PieceList | undefined): string[] {
  if (artwork.kind !== 'text' || !list) return [];
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

/** A mark's words for one piece: columns in braces are filled in, others stay as they are. */
export function fillIn(artwork: Artwork, list: PieceList, row: Row): Artwork {
  if (artwork.kind !== 'text') return artwork;
  const cell = (name: string): string | undefined => {
    const at = list.columns.findIndex((column) => column.trim().toLowerCase() === name.trim().toLowerCase());
    return at < 0 ? undefined : (row.cells[at] ?? '');
  };
  return {
    ...artwork,
    lines: artwork.lines.map((line) => ({ ...line, text: line.text.replace(PLACE, (whole, name: string) => cell(name) ?? whole) })),
  };
}
