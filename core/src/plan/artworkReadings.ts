import { columnsIn, drawingNamed } from '../artwork';
import { removeAt, type Job, type Mark, type Reading, type Shop } from '../job';
import { counted, listed } from '../units';
import type { FittingWork } from './planMark';

/** Drawings that a list names and that are not on the shelf: those pieces would stay bare. */
export function drawingsReading({ plan: { mark } }: FittingWork, job: Job, shop: Shop, about: Pick<Reading, 'mark' | 'of'>): Reading[] {
  const { artwork } = mark;
  if (artwork.kind !== 'drawing' || artwork.column === undefined) return [];
  const { list } = job;
  const [column] = columnsIn(artwork, list);
  const at = column === undefined ? -1 : list!.columns.indexOf(column);
  const base = { id: `drawings:${mark.id}` as const, station: 'draw' as const, title: 'Drawings from the list', ...about };
  const oneForAll = { label: 'One drawing for all', patch: removeAt(['marks', mark.id, 'artwork', 'column']) };
  if (at < 0)
    return [
      {
        ...base,
        verdict: 'watch',
        value: `no column “${artwork.column}”`,
        limit: list ? list.columns.join(', ') : 'no list yet',
        why: `${list ? 'The list has no such column' : 'There is no list'}, so every piece gets the same drawing.`,
        remedies: [oneForAll],
      },
    ];
  const cells = list!.rows.slice(0, job.count).map((row) => (row.cells[at] ?? '').trim());
  const missing = [...new Set(cells.filter((cell) => cell !== '' && !drawingNamed(cell, shop.shelf ?? [])))];
  const bare = cells.filter((cell) => cell === '').length;
  if (missing.length === 0 && bare === 0)
    return [
      {
        ...base,
        verdict: 'fine',
        value: counted(new Set(cells).size, 'drawing'),
        limit: 'all on the shelf',
        why: 'Every piece has its own.',
        remedies: [],
      },
    ];
  return [
    {
      ...base,
      verdict: missing.length > 0 ? 'stop' : 'watch',
      value: missing.length > 0 ? `${missing.length} not on the shelf` : `${counted(bare, 'piece')} without one`,
      limit: 'all on the shelf',
      why:
        missing.length > 0
          ? `No drawing on the shelf is called ${listed(missing.slice(0, 5).map((name) => `“${name}”`))}.`
          : `${counted(bare, 'row')} of the list ${bare === 1 ? 'names' : 'name'} no drawing, and ${bare === 1 ? 'that piece stays' : 'those pieces stay'} bare.`,
      remedies: [oneForAll],
      advice: missing.length > 0 ? 'Put it on the shelf under that name, or name one that is there.' : 'Or name one in the list.',
    },
  ];
}

/** What the list calls the drawings of a mark. */
function drawnFrom({ list }: Job, artwork: Extract<Mark['artwork'], { kind: 'drawing' }>): string[] {
  const [column] = columnsIn(artwork, list);
  return column === undefined ? [] : list!.rows.map((row) => row.cells[list!.columns.indexOf(column)] ?? '');
}

/** Whether artwork may be sold: a job for sale stops at a drawing or a face that is for private use. */
export function termsReading(work: FittingWork, job: Job, shop: Shop, about: Pick<Reading, 'mark' | 'of'>): Reading[] {
  const { artwork, id, edits } = work.plan.mark;
  if (!job.forSale) return [];
  const brought = edits.flatMap((edit) => ('shelf' in edit && edit.shelf !== undefined ? [edit.shelf] : []));
  const used =
    artwork.kind === 'drawing'
      ? (shop.shelf ?? []).filter((item) => item.id === artwork.shelf || drawnFrom(job, artwork).some((name) => drawingNamed(name, [item])))
      : (shop.faces ?? []).filter((face) => artwork.lines.some((line) => line.face === face.id));
  const all = [...used, ...(shop.shelf ?? []).filter((item) => brought.includes(item.id))];
  const bad = all.filter((thing) => thing.permitted !== 'sale');
  const worst = bad.find((thing) => thing.permitted === 'private') ?? bad[0];
  if (!worst) return [];
  const privately = worst.permitted === 'private';
  return [
    {
      id: `terms:${id}`,
      station: 'draw',
      verdict: privately ? 'stop' : 'watch',
      title: 'Terms of use',
      ...about,
      value: privately ? 'private use only' : 'not known',
      limit: 'may be sold',
      why: privately
        ? `“${worst.name}” may be used in private only, and this job is for sale.`
        : `Nobody has said whether “${worst.name}” may be sold.`,
      remedies: [{ label: 'This job is not for sale', patch: [{ op: 'set', path: ['forSale'], value: false }] }],
      advice: 'Ask where it came from for terms that allow a sale, or take another.',
    },
  ];
}
