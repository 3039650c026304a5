import Papa from 'papaparse';
import type { PieceList } from '../../job';
import { FORMULA, formatLength, parseLength, type LengthSystem } from '../../units';
import { isHeading } from './readList';

/** What a reader could take for the end of a cell. */
const PARTING = /[,;|\t\u001e\u001f]/;

/** A measure as it would be typed: handy where that is what it is, else to a thousandth of a mm. */
function measure(mm: number | undefined, system: LengthSystem): string {
  if (mm === undefined) return '';
  const handy = formatLength(mm, system);
  const read = parseLength(handy, system, 'measure');
  return read.ok && Math.abs(read.value - mm) < 5e-4 ? handy : `${Number(mm.toFixed(3))} mm`;
}

/**
 * A list as CSV, with the measures of unlike pieces in columns of their own: what `readList` reads back as it was. A plain list of names
 * has no heading.
 *
 * @param system in which measures are written
 */
export function writeList(list: PieceList, system: LengthSystem = 'mm'): string {
  const measured = list.rows.some((row) => row.width !== undefined || row.height !== undefined);
  const plain = !measured && list.columns.length === 1 && list.columns[0] === 'name' && !isHeading(list.rows[0]?.cells[0] ?? '');
  const rows = list.rows.map((row) => [...row.cells, ...(measured ? [measure(row.width, system), measure(row.height, system)] : [])]);
  const head = measured ? [...list.columns, 'width', 'height'] : list.columns;
  return Papa.unparse(plain ? rows : [head, ...rows], {
    newline: '\n',
    escapeFormulae: FORMULA,
    quotes: (cell) => PARTING.test(String(cell)),
  });
}
