import { describe, expect, it } from '@jest/globals';
import Papa from 'papaparse';
import { demoWorkshop } from '../../test/sampleJobs';
import { writeLogList } from './logList';
import { readStockList, writeStockList } from './stockList';

const { shop } = demoWorkshop();
const written = writeStockList(
  {
    ...shop,
    films: [
      { ...shop.films[0]!, name: 'Blue, “striped”', colours: ['#0000ff', '#ffffff'], note: 'two, with "quotes"' },
      ...shop.films.slice(1),
    ],
  },
  () => 1234,
);
const read = (text: string) => {
  const result = readStockList(text, 'stock.csv');
  if (!result.ok) throw new Error(result.problem.found);
  return result.value;
};

describe('the stock as a list', () => {
  it('comes back as it went out: every film, tape, paint and supply', () => {
    const { things, leftOut } = read(written);
    expect(leftOut).toEqual([]);
    expect(things).toHaveLength(shop.films.length + shop.tapes.length + shop.paints.length + shop.supplies!.length);
    const { id: _, pieces: __, ...white } = shop.films[1]!;
    expect(things[1]).toEqual({ stock: 'film', thing: { ...white, length: 1234 } });
    expect(things[0]!.thing).toMatchObject({ name: 'Blue, “striped”', colours: ['#0000ff', '#ffffff'], note: 'two, with "quotes"' });
    const tape = things.find(({ stock }) => stock === 'tape')!;
    const { id: ___, ...first } = shop.tapes[0]!;
    expect(tape.thing).toEqual(first);
    const supplies = things.filter(({ stock }) => stock === 'supply').map(({ thing }) => thing);
    expect(supplies).toEqual(shop.supplies!.map(({ id: ____, ...supply }) => supply));
  });
  it('is a table that another reader opens too', () => {
    const { data, errors } = Papa.parse<string[]>(written);
    expect(errors).toEqual([]);
    expect(new Set(data.filter((row) => row.length > 1).map((row) => row.length)).size).toBe(1);
  });
  it('takes columns in any order, kinds by their names, decimal commas', () => {
    const { things } = read('Name;Kind;What;Left;Colour;Width mm;Price\nRed;glitter film;Film;900;#C4302B;305,5;14,50\n');
    expect(things[0]!.thing).toMatchObject({ name: 'Red', kind: 'glitter', colour: '#c4302b', width: 305.5, length: 900, price: 1450 });
  });
  it('its decimal sign is that of the list as a whole; where it could be either it is to be asked, and what is no number is none', () => {
    const list = (...lefts: string[]) =>
      `what;name;kind;left;colour;width mm\n${lefts.map((left, i) => `film;F${i};glitter;${left};#c4302b;300`).join('\n')}\n`;
    const lengths = (text: string, sign?: '.' | ',') => {
      const found = readStockList(text, 'x.csv', sign);
      return found.ok ? found.value.things.map(({ thing }) => (thing as { length: number }).length) : [];
    };
    // one that can only be read in one way tells of the others
    expect(lengths(list('1,200', '12,5'))).toEqual([1.2, 12.5]);
    expect(lengths(list('1,200', '12.5'))).toEqual([1200, 12.5]);
    expect(lengths(list('1.200', '12,5'))).toEqual([1200, 12.5]);
    expect(lengths(list('1,200', '1,234.5'))).toEqual([1200, 1234.5]);
    expect(read(list('1,200')).decimals).toEqual({ either: '1,200' });
    expect(lengths(list('1,200'), ',')).toEqual([1.2]);
    expect(lengths(list('1,200'), '.')).toEqual([1200]);
    expect(read(list('1200', '12')).decimals).toEqual({ sign: '.' });
    expect(read(list('0x10', '1e5', '-4', '12')).things).toHaveLength(1);
  });
  it('what a spreadsheet would run as a formula is made harmless, and comes back as it was', () => {
    const names = ['=1+1', '+49 abc', '-A', '@x', "'=1", '-4.5', '\tx', 'plain', "'plain"];
    const films = names.map((name, i) => ({ ...shop.films[0]!, id: `f${i}`, name, note: name }));
    const text = writeStockList({ ...shop, films, tapes: [], paints: [], supplies: [] }, () => 1);
    expect(text.startsWith('\uFEFF')).toBe(true);
    const cells = Papa.parse<string[]>(text.slice(1))
      .data.slice(1)
      .flatMap((row) => row.slice(0, 12));
    expect(cells.filter((cell) => /^[=@\t\r]/.test(cell) || (/^[-+]/.test(cell) && !Number.isFinite(Number(cell))))).toEqual([]);
    expect(cells).toContain('-4.5');
    expect(read(text).things.map(({ thing }) => thing.note)).toEqual(names);
    const log = writeLogList(demoWorkshop().events, () => '=cmd()');
    expect(log).toContain("'=cmd()");
    expect(log).not.toMatch(/(^|[,\n])"?=/);
  });
  it('leaves out what it cannot take, by line and with the reason, and takes the rest', () => {
    const { things, leftOut } = read(
      'what,name,kind,left,colour,width mm\nfilm,A,permanent,10,#ffffff,300\nfilm,B,velvet,10,#ffffff,300\nfilm,,permanent,10,#ffffff,300\ntoy,C,x,1,,\nfilm,D,permanent,many,#ffffff,300\nfilm,E,permanent,5,red,300\n',
    );
    expect(things.map(({ thing }) => thing.name)).toEqual(['A']);
    expect(leftOut.map(({ line }) => line)).toEqual([3, 4, 5, 6, 7]);
    for (const { why } of leftOut) expect(why).toMatch(/^[a-z“]/);
    const long = read(`what,name,kind,left\n${'supply,A,other,1\n'.repeat(5001)}`);
    expect(long.things).toHaveLength(5000);
    expect(long.leftOut).toEqual([{ line: 5002, why: expect.stringContaining('at most 5000 rows') }]);
  });
  it('a file of something else is refused with the way out', () => {
    const result = readStockList('a,b\n1,2\n', 'x.csv');
    expect(result.ok ? '' : result.problem.wayOut).toMatch(/Save the stock as a list first/);
  });
});
