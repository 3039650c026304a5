import Papa from 'papaparse';
import { FILM_KINDS, FINISH_GRIP, COATS, SUPPLY_KINDS, SUPPLY_UNITS, TAPE_KINDS } from '../facts';
import type { Film, Id, Paint, Shop, StockKindId, Supply, Tape } from '../job';
import { cellOf, decimalsOf, good, numberBy, refused, type Decimals, type DecimalSign, type Result } from '../units';
import { listOf } from './listOf';

/** The columns of a stock list, in this order; lengths in mm, prices in the currency's main unit. */
const COLUMNS = ['what', 'name', 'kind', 'finish', 'colour', 'more colours', 'width mm', 'left', 'unit', 'price', 'low', 'note'] as const;
type Column = (typeof COLUMNS)[number];
type Row = Partial<Record<Column, string>>;

const major = (minor: number | undefined) => (minor === undefined ? '' : (minor / 100).toFixed(2));

/**
 * The stock as a list that a spreadsheet opens: one row a thing.
 *
 * @param shop as it is counted now
 * @param filmLeft mm left of each roll
 */
export function writeStockList(shop: Shop, filmLeft: (film: Id) => number): string {
  const rows: Row[] = [
    ...shop.films.map((film): Row => ({
      ...{ what: 'film', name: film.name, kind: film.kind, finish: film.finish, colour: film.colour },
      ...{
        'more colours': (film.colours ?? []).join(' '),
        'width mm': `${film.width}`,
        left: `${Math.round(filmLeft(film.id))}`,
        unit: 'mm',
      },
      ...{ price: major(film.price), note: film.note ?? '' },
    })),
    ...shop.tapes.map((tape): Row => ({
      ...{ what: 'tape', name: tape.name, kind: tape.kind, 'width mm': `${tape.width}`, left: `${Math.round(tape.length)}`, unit: 'mm' },
      ...{ price: major(tape.price), note: tape.note ?? '' },
    })),
    ...shop.paints.map((paint): Row => ({
      ...{ what: 'paint', name: paint.name, kind: paint.coat, colour: paint.colour, left: `${paint.volume}`, unit: 'ml' },
      ...{ price: major(paint.price), note: paint.note ?? '' },
    })),
    ...(shop.supplies ?? []).map((one): Row => ({
      ...{ what: 'supply', name: one.name, kind: one.kind, left: `${one.amount}`, unit: one.unit },
      ...{ price: major(one.price), low: one.low === undefined ? '' : `${one.low}`, note: one.note ?? '' },
    })),
  ];
  return listOf([...COLUMNS], rows);
}

/** What a stock list holds. */
export interface StockList {
  readonly things: readonly (
    | { readonly stock: 'film'; readonly thing: Omit<Film, 'id'> }
    | { readonly stock: 'tape'; readonly thing: Omit<Tape, 'id'> }
    | { readonly stock: 'paint'; readonly thing: Omit<Paint, 'id'> }
    | { readonly stock: 'supply'; readonly thing: Omit<Supply, 'id'> }
  )[];
  /** By what sign its numbers were read, and one that could be read by either; without a sign it is to be asked. */
  readonly decimals: Decimals;
  /** Rows that cannot be taken, by their line, and why. */
  readonly leftOut: readonly { readonly line: number; readonly why: string }[];
}

/** A row of a table of facts, by its id or its name. */
function rowIn<K extends string>(table: Readonly<Record<K, { readonly name?: string }>>, text: string): K | undefined {
  const wanted = text.trim().toLowerCase();
  return (Object.keys(table) as K[]).find((id) => id.toLowerCase() === wanted || table[id].name?.toLowerCase() === wanted);
}

/** Columns of numbers; what is read there was written with points by then. */
const NUMBERS = ['width mm', 'left', 'price', 'low'] as const satisfies readonly Column[];
const number = (text: string | undefined): number | undefined => {
  const n = numberBy(text ?? '', '.');
  return n !== undefined && n >= 0 && n <= 1_000_000 ? n : undefined;
};
const hex = (text: string | undefined): string | undefined =>
  /^#[0-9a-f]{6}$/i.test((text ?? '').trim()) ? text!.trim().toLowerCase() : undefined;

/** More rows than this no list has. */
const MOST_ROWS = 5000;

/** What is wrong with a row. */
class Unfit extends Error {}
const need = <T>(value: T | undefined, why: string): T => {
  if (value === undefined) throw new Unfit(why);
  return value;
};

const price = (row: Row): number | undefined => {
  const amount = number(row.price);
  return amount === undefined ? undefined : Math.round(amount * 100);
};

const READERS: Record<StockKindId, (row: Row, name: string) => StockList['things'][number]> = {
  film: (row, name) => {
    const colours = (row['more colours'] ?? '').split(/[\s,;]+/).flatMap((text) => hex(text) ?? []);
    return {
      stock: 'film',
      thing: {
        name,
        kind: need(rowIn(FILM_KINDS, row.kind ?? ''), `“${row.kind ?? ''}” is no kind of film`),
        finish: rowIn(FINISH_GRIP as Record<Film['finish'], { name?: string }>, row.finish ?? '') ?? 'gloss',
        colour: need(hex(row.colour), 'its colour is not like #1f4e79'),
        ...(colours.length > 0 ? { colours: colours.slice(0, 6) } : {}),
        width: need(number(row['width mm']) || undefined, 'it has no width in mm'),
        length: need(number(row.left), 'what is left is not a length in mm'),
        price: price(row) ?? 0,
        ...(row.note ? { note: row.note.slice(0, 2000) } : {}),
      },
    };
  },
  tape: (row, name) => ({
    stock: 'tape',
    thing: {
      name,
      kind: need(rowIn(TAPE_KINDS, row.kind ?? ''), `“${row.kind ?? ''}” is no kind of tape`),
      width: need(number(row['width mm']) || undefined, 'it has no width in mm'),
      length: need(number(row.left), 'what is left is not a length in mm'),
      price: price(row) ?? 0,
      ...(row.note ? { note: row.note.slice(0, 2000) } : {}),
    },
  }),
  paint: (row, name) => {
    const cost = price(row);
    return {
      stock: 'paint',
      thing: {
        name,
        coat: need(rowIn(COATS, row.kind ?? ''), `“${row.kind ?? ''}” is no kind of paint, stain or sealer`),
        colour: need(hex(row.colour), 'its colour is not like #1f4e79'),
        volume: need(number(row.left), 'what is left is not a number of ml'),
        ...(cost === undefined ? {} : { price: cost }),
        ...(row.note ? { note: row.note.slice(0, 2000) } : {}),
      },
    };
  },
  supply: (row, name) => {
    const low = number(row.low);
    return {
      stock: 'supply',
      thing: {
        name,
        kind: rowIn(SUPPLY_KINDS, row.kind ?? '') ?? 'other',
        amount: need(number(row.left), 'what is left is not a number'),
        unit: rowIn(SUPPLY_UNITS, row.unit ?? '') ?? 'piece',
        price: price(row) ?? 0,
        ...(low === undefined ? {} : { low }),
        ...(row.note ? { note: row.note.slice(0, 2000) } : {}),
      },
    };
  },
};

/**
 * Reads a stock list as `writeStockList` writes it, or typed in a spreadsheet with the same column names in any order.
 *
 * @param sign that parts the decimals of its numbers, where somebody said so; else the list as a whole says it
 * @returns the things of it, and the rows that cannot be taken with their line; a problem when the columns that it lives by are missing
 */
export function readStockList(text: string, file: string, sign?: DecimalSign): Result<StockList> {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim().toLowerCase(),
    transform: cellOf,
  });
  const missing = (['what', 'name', 'kind', 'left'] as const).filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0) {
    return refused(
      `"${file}" has no column ${missing.map((one) => `“${one}”`).join(', ')}.`,
      COLUMNS.join(', '),
      file,
      'Save the stock as a list first: it shows the columns. Nothing was changed.',
    );
  }
  const rows = data.slice(0, MOST_ROWS);
  const found = decimalsOf(rows.flatMap((row) => NUMBERS.map((column) => row[column] ?? '')));
  const decimals = sign ? { ...found, sign } : found;
  const things: StockList['things'][number][] = [];
  const leftOut: { line: number; why: string }[] = [];
  if (data.length > MOST_ROWS)
    leftOut.push({ line: MOST_ROWS + 2, why: `a list has at most ${MOST_ROWS} rows, and those after it are left out as well` });
  for (const [i, cells] of rows.entries()) {
    const row = { ...cells };
    for (const column of NUMBERS) {
      const n = numberBy(row[column] ?? '', decimals.sign ?? '.');
      if (n !== undefined) row[column] = String(n);
    }
    const line = i + 2;
    const what = (row['what'] ?? '').trim().toLowerCase();
    const name = (row['name'] ?? '').trim().slice(0, 200);
    try {
      if (!name) throw new Unfit('it has no name');
      if (!Object.hasOwn(READERS, what)) throw new Unfit(`“${what}” is not film, tape, paint or supply`);
      things.push(READERS[what as StockKindId](row as Row, name));
    } catch (error) {
      if (!(error instanceof Unfit)) throw error;
      leftOut.push({ line, why: error.message });
    }
  }
  return good({ things, decimals, leftOut });
}
