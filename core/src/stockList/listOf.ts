import Papa from 'papaparse';
import { FORMULA } from '../units';

/**
 * A list for a spreadsheet: comma-separated, a heading first, with the mark that says in which letters it is written. What a spreadsheet would run as
 * a formula has an apostrophe before it (OWASP, "CSV injection"); numbers stay numbers.
 */
export function listOf<C extends string>(columns: readonly C[], rows: readonly Partial<Record<C, string | number>>[]): string {
  const data = rows.map((row) => columns.map((column) => row[column] ?? ''));
  return `\uFEFF${Papa.unparse({ fields: [...columns], data }, { escapeFormulae: FORMULA })}\r\n`;
}
