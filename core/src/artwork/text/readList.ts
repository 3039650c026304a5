import Papa from 'papaparse';
import type { PieceList } from '../../job';
import { cellOf, good, parseLength, refused, type LengthSystem, type Result } from '../../units';

/** As many rows as a job has pieces at most. */
export const LIST_MOST_ROWS = 500;
const MOST_COLUMNS = 20;
const MOST_LETTERS = 500;

const HEADS =
  /^(name|names|first|last|surname|crew|number|no|no\.|title|line ?\d*|text|role|seat|word|words|date|year|boat|piece|letter|width|height)$/i;
/** Whether a cell reads like the heading of a column. */
export const isHeading = (cell: string): boolean => HEADS.test(cell);
/** Columns that measure the place for marks on a piece that is unlike the others. */
const MEASURES = ['width', 'height'] as const;

/**
 * Reads a list that was typed, pasted or saved as CSV: a row a line, columns by commas, semicolons or tabs.
 *
 * @param text of the list
 * @param newId gives an id for each row
 * @param system in which columns called width and height are read where a cell names no unit
 * @returns columns named by the first row where it reads like headings, else "name", "column 2" …; empty rows are passed over. A problem
 *   when nothing is in it or it is
 *   longer than a job can be.
 */
export function readList(text: string, newId: () => string, system: LengthSystem = 'mm'): Result<PieceList> {
  const clean = text.replace(/^\uFEFF/, '').trim();
  // one name a line may hold a comma of its own only when other lines do too: a guess that the reader makes
  const hasColumns = /[\t;,]/.test(clean.split(/\r?\n/, 3).join('\n'));
  const parsed = Papa.parse<string[]>(clean, { skipEmptyLines: 'greedy', ...(hasColumns ? {} : { delimiter: '\u0001' }) });
  const open = parsed.errors.find((error) => error.type === 'Quotes');
  if (open)
    return refused(
      `A quotation mark is opened in row ${(open.row ?? 0) + 1} and not closed where it should be.`,
      'quotation marks in pairs',
      `List, row ${(open.row ?? 0) + 1}`,
      'Close it, or take it away, and take the list in again. Nothing was changed.',
    );
  const rows = parsed.data.map((row) => row.map((cell) => cellOf(cell.trim()).slice(0, MOST_LETTERS)));
  const [first] = rows;
  if (!first) return refused('The list is empty.', 'one name a line', 'List', 'Type or paste one name a line.');
  const headed = rows.length > 1 && first.some(isHeading) && first.every((cell) => cell !== '');
  const body = headed ? rows.slice(1) : rows;
  if (body.length > LIST_MOST_ROWS)
    return refused(
      `The list has ${body.length.toLocaleString('en')} rows.`,
      `up to ${LIST_MOST_ROWS} rows, one a piece`,
      'List',
      `A job has at most ${LIST_MOST_ROWS} pieces: part the list and make a job of each part. Nothing was changed.`,
    );
  const width = Math.max(...rows.map((row) => row.length));
  if (width > MOST_COLUMNS)
    return refused(
      `The list has ${width} columns.`,
      `up to ${MOST_COLUMNS}`,
      'List',
      'Keep only the columns that are cut. Nothing was changed.',
    );
  const names = Array.from({ length: width }, (_, i) => (headed ? first[i] : undefined) || (i === 0 ? 'name' : `column ${i + 1}`));
  // two columns of one name could not be told apart
  const columns = names.map((name, i) => (names.indexOf(name) === i ? name : `${name} ${i + 1}`));
  const list: PieceList = { columns, rows: body.map((cells) => ({ id: newId(), cells: columns.map((_, i) => cells[i] ?? '') })) };
  return headed ? withMeasures(list, system) : good(list);
}

/** A list whose columns of widths and heights have become measures of its pieces; an empty cell leaves a piece like the others. */
function withMeasures(list: PieceList, system: LengthSystem): Result<PieceList> {
  const at = MEASURES.map((name) => list.columns.findIndex((column) => column.trim().toLowerCase() === name));
  if (at.every((i) => i < 0)) return good(list);
  const kept = list.columns.flatMap((_, i) => (at.includes(i) ? [] : [i]));
  const rows: PieceList['rows'][number][] = [];
  for (const [n, row] of list.rows.entries()) {
    // a list of sizes alone numbers its pieces
    const own: { width?: number; height?: number } = {};
    for (const [k, name] of MEASURES.entries()) {
      const cell = row.cells[at[k]!];
      if (!cell) continue;
      const read = parseLength(cell, system, `${name} in row ${n + 1} of the list`, 1);
      if (!read.ok) return { ok: false, problem: { ...read.problem, found: `Row ${n + 1}, ${name}: ${read.problem.found}` } };
      own[name] = read.value;
    }
    rows.push({ ...row, cells: kept.length > 0 ? kept.map((i) => row.cells[i]!) : [`${n + 1}`], ...own });
  }
  return good({ columns: kept.length > 0 ? kept.map((i) => list.columns[i]!) : ['piece'], rows });
}

/** One word parted over several pieces: a letter each, or what stands between bars. */
export function partWord(word: string, newId: () => string): PieceList {
  const pieces = word.includes('|') ? word.split('|') : [...word.replace(/\s/g, '')];
  return {
    columns: ['letter'],
    rows: pieces
      .map((p) => p.trim())
      .filter(Boolean)
      .slice(0, LIST_MOST_ROWS)
      .map((cell) => ({ id: newId(), cells: [cell] })),
  };
}

/**
 * A list with its rows parted: each letter, or each word, of a row's cells is a row of its own. Cells that have fewer parts than others of their
 * row stay empty there.
 *
 * @returns as many rows as a list may have
 */
export function partList({ columns, rows }: PieceList, into: 'letters' | 'words', newId: () => string): PieceList {
  const partsOf = (cell: string): string[] => (into === 'words' ? cell.split(/\s+/).filter(Boolean) : [...cell.replace(/\s/g, '')]);
  const parted = rows.flatMap((row) => {
    const cells = row.cells.map(partsOf);
    const most = Math.max(0, ...cells.map((parts) => parts.length));
    return Array.from({ length: most }, (_, i) => ({ ...row, id: newId(), cells: cells.map((parts) => parts[i] ?? '') }));
  });
  return { columns, rows: parted.slice(0, LIST_MOST_ROWS) };
}
