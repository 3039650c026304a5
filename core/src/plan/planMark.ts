import { inSentence } from '../units';
import { columnsIn, fillIn, isPersonal, type DrawnMark, type Faces, type Layer } from '../artwork';
import { paintedAround, surfaceOf, type Surface, type Usable } from '../blanks';
import { boxCentre, boxOf, type Point } from '../geometry';
import { TECHNIQUES } from '../facts';
import type { Artwork, Id, Job, Mark, Piece, PieceList, Shop, Zone } from '../job';
import { contrastOf, scatteredCopies, type Behind, type FittedMark, type LayerInspection, type ScatteredCopies, type Sizing } from '../fit';
import { connectedStage } from './connected';
import type { Memo } from './memo';
import { fitOnce, type Copies, type Fitting } from './fitOnce';

/** A mark through draw and fit. */
export interface MarkPlan {
  readonly mark: Mark;
  readonly zone: Zone;
  readonly usable: Usable;
  /** What was drawn: the mark's artwork, with the words of its row where there is a list; and the radians that it was turned by. */
  readonly artwork: Artwork;
  readonly turn: number;
  /** Layers on the wall, mm. */
  readonly fitted: FittedMark;
  /** The layers as they lie on the film laid flat, mm: bent on a taper, else the same. */
  readonly flat: readonly Layer[];
  /** Further copies on the piece, on the wall and laid flat. */
  readonly copies: Copies;
  /** Of a scatter, or of a mark laid out apart, where its copies or parts go on the wall, in the order of their numbers on the placing map. */
  readonly places: readonly Point[];
  /** What one cut of the mark holds: its copies where some are mirrored, else the mark itself; and how often it goes on a piece. */
  readonly perPiece: number;
  readonly cutFlat: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  /** Characters that its faces lack. */
  readonly missing: readonly string[];
  /** What the mark is seen against. */
  readonly behind: Behind;
  /** Other marks that it lies on in part. */
  readonly liesOn?: readonly LiesOn[];
  /** What is on top of the piece where it goes. */
  readonly surface: Surface;
  /** Where the words differ from piece to piece: the mark of every row; the mark itself is the tightest of them. */
  readonly variants: readonly Variant[];
}

/** What a mark lies on of another mark of the job. */
export interface LiesOn {
  /** The other mark, and what it is made of there. */
  readonly mark: Pick<Mark, 'id' | 'name'>;
  readonly colour: string;
  readonly name: string;
  /** Of its own area, from 0 to 1. */
  readonly share: number;
}

/** A mark as it is on one of the pieces. */
interface Variant {
  readonly row: Id;
  readonly words: string;
  /** The zone on this piece: its own size where the piece is unlike the others. */
  readonly zone: Zone;
  readonly usable: Usable;
  readonly artwork: Artwork;
  readonly turn: number;
  readonly fitted: FittedMark;
  readonly flat: readonly Layer[];
  readonly copies: Copies;
  /** What one cut of it holds, as `MarkPlan.cutFlat`. */
  readonly cutFlat: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  readonly missing: readonly string[];
  /** Size of its letters, mm an em. */
  readonly em: number;
}

/** What fitting keeps for the readings, besides the plan. */
export interface FittingWork {
  readonly plan: MarkPlan;
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly shaped: readonly Layer[];
  readonly sizing: Sizing;
  readonly hold: Mark['hold'];
  /** Where the words differ: the same of every row; and which of them the mark itself is. */
  readonly rows: readonly RowWork[];
  readonly row?: RowWork;
}

/** What fitting keeps of one row of a list. */
export interface RowWork extends Pick<Fitting, 'usable' | 'drawn' | 'outline' | 'shaped' | 'sizing' | 'hold' | 'fitted' | 'inspections'> {
  readonly words: string;
  /** The mark with this row's words, at the size that it has. */
  readonly mark: Mark;
}

/** The size of a fitting's letters, mm an em. */
const emOf = ({ drawn, sizing }: Fitting): number => drawn.perUnit * sizing.scale;

/** The height of a fitting's drawing, mm: drawings that differ from piece to piece are of one size when they are as high. */
const heightOf = ({ drawn, sizing }: Fitting): number => drawn.height * sizing.scale;

/** Corrections of a width; a backing or a frame adds the same to every size, so the second is exact. */
const CORRECTIONS = 3;

/** A mark with letters of a size, by the width that gives it. */
function lettersOf(
  em: number,
  mark: Mark,
  now: Fitting,
  fit: (mark: Mark) => Fitting,
  measure: (fitting: Fitting) => number,
): { mark: Mark; fitting: Fitting } {
  const tryAt = (width: number) => {
    const sized: Mark = { ...mark, size: { mode: 'width', width: Math.max(0.05, width) } };
    const fitting = fit(sized);
    return { mark: sized, width, fitting, em: measure(fitting) };
  };
  const first = (now.fitted.width * em) / measure(now);
  let before = { width: now.fitted.width, em: measure(now) };
  let best = tryAt(first);
  let last = best;
  for (let i = 1; i < CORRECTIONS && Math.abs(best.em / em - 1) > 1e-6; i++) {
    const width = last.width + ((em - last.em) * (last.width - before.width)) / (last.em - before.em);
    // where size does not follow width, the first is kept
    if (!(width > first / 4 && width < first * 4)) break;
    before = last;
    last = tryAt(width);
    if (Math.abs(last.em - em) < Math.abs(best.em - em)) best = last;
  }
  return { mark: best.mark, fitting: best.fitting };
}

/** A mark of text with one capital in the place of each line, upright; undefined for a drawing. */
const capitalsOf = (mark: Mark): Mark | undefined =>
  mark.artwork.kind === 'text'
    ? {
        ...mark,
        turn: 0,
        artwork: { ...mark.artwork, lines: mark.artwork.lines.map((line) => ({ ...line, text: line.text.trim() === '' ? '' : 'H' })) },
      }
    : undefined;

/** One row's mark: its words and, where the piece is not like the others, its zone. */
function variantOf(
  mark: Mark,
  zone: Zone,
  list: PieceList,
  row: PieceList['rows'][number],
  shelf: Shop['shelf'],
): { mark: Mark; zone: Zone } {
  const own = row.width !== undefined || row.height !== undefined;
  const width = row.width ?? zone.width;
  const height = row.height ?? zone.height;
  const share = Math.min(width / zone.width, height / zone.height, 1);
  return {
    mark: { ...mark, artwork: fillIn(mark.artwork, list, row, shelf) },
    zone: own ? { ...zone, width, height, breathing: zone.breathing * share } : zone,
  };
}

/**
 * Draws, sizes, shapes, inspects and places one mark; where its words differ from piece to piece, every one of them.
 *
 * @param memo keeps what a nudge does not change
 * @param quick a first look, without the checks of ADR 7
 */
export function fitOne(job: Job, mark: Mark, zone: Zone, shop: Shop, faces: Faces, memo: Memo, quick: boolean): FittingWork {
  const { list } = job;
  let main: Fitting;
  let variants: Variant[] = [];
  let works: RowWork[] = [];
  let row: RowWork | undefined;
  if (list && isPersonal(mark, list)) {
    const personal = columnsIn(mark.artwork, list).length > 0;
    const rows = list.rows.map((row) => ({ row, ...variantOf(mark, zone, list, row, shop.shelf) }));
    const fit = (one: (typeof rows)[number], as: Mark = one.mark) => fitOnce(job, as, one.zone, shop, faces, memo, quick);
    const as = rows.map((one) => one.mark);
    let fittings = rows.map((one) => fit(one));
    // an em is as large on every piece: the tightest sets it
    const em = personal && mark.artwork.kind === 'drawing' ? heightOf : emOf;
    const sizeAll = (wanted: number) => {
      fittings = fittings.map((f, i) => {
        if (f.drawn.layers.length === 0 || !(wanted > 0) || Math.abs(em(f) / wanted - 1) < 1e-6) return f;
        const { mark: sized, fitting } = lettersOf(wanted, rows[i]!.mark, f, (one) => fit(rows[i]!, one), em);
        as[i] = sized;
        return fitting;
      });
    };
    const drawn = fittings.filter((f) => f.drawn.layers.length > 0);
    if (mark.sizes !== 'each' && mark.size.mode === 'largest' && drawn.length > 0) {
      sizeAll(Math.min(...drawn.map(em)));
    }
    // a height is that of the capitals: a name with a descender is no smaller than its neighbours
    const capitals = personal && mark.size.mode === 'height' ? capitalsOf(mark) : undefined;
    if (capitals && drawn.length > 0) {
      sizeAll(em(fitOnce(job, capitals, zone, shop, faces, memo, quick)));
    }
    // the smallest letters decide, among equals the longest words
    const tighter = (a: Fitting, b: Fitting) =>
      a.drawn.layers.length === 0 ||
      (b.drawn.layers.length > 0 && (em(b) < em(a) * (1 - 1e-6) || (em(b) < em(a) * (1 + 1e-6) && b.fitted.width > a.fitted.width)));
    const tightest = fittings.reduce((a, b) => (tighter(a, b) ? b : a));
    main = tightest;
    variants = fittings.map((f, i) => ({
      row: rows[i]!.row.id,
      // where the words are the same on all, the piece tells which it is
      words: personal ? wordsOf(rows[i]!.mark.artwork) : rows[i]!.row.cells.join(' '),
      zone: rows[i]!.zone,
      usable: f.usable,
      artwork: f.artwork,
      turn: f.turn,
      fitted: f.fitted,
      flat: f.flat,
      copies: f.copies,
      cutFlat: f.cutFlat,
      inspections: f.inspections,
      missing: [...new Set(f.drawn.missing.map((m) => m.character))],
      em: em(f),
    }));
    works = fittings.map(({ usable, drawn: drawnMark, outline, shaped, sizing, hold, fitted, inspections }, i) => ({
      ...{ words: variants[i]!.words, mark: as[i]!, usable, drawn: drawnMark, outline, shaped, sizing, hold, fitted, inspections },
    }));
    row = works[fittings.indexOf(tightest)];
  } else main = fitOnce(job, mark, zone, shop, faces, memo, quick);
  // a mask is laid on the bare ground; what comes after it on the paint around it
  const others = job.marks.filter(({ id }) => id !== mark.id);
  const piece = TECHNIQUES[mark.technique].stays === 'ground' ? job.piece : paintedAround(job.piece, others, shop.paints);
  const behind = seenBehind(mark, zone, piece, shop);
  const surface = surfaceOf(piece, shop.paints);
  return {
    plan: {
      mark,
      zone,
      usable: main.usable,
      artwork: main.artwork,
      turn: main.turn,
      fitted: main.fitted,
      flat: main.flat,
      copies: main.copies,
      places: placesOf(main, mark, memo),
      perPiece: main.mirrored ? 1 : main.copies.length + 1,
      cutFlat: main.cutFlat,
      inspections: main.inspections,
      missing: [...new Set([...main.drawn.missing.map((m) => m.character), ...variants.flatMap((v) => v.missing)])],
      behind,
      surface,
      variants,
    },
    drawn: main.drawn,
    outline: main.outline,
    shaped: main.shaped,
    sizing: main.sizing,
    hold: main.hold,
    rows: works,
    row,
  };
}

const scatteredStage = ({ drawn, edits, scale }: { drawn: DrawnMark; edits: Mark['edits']; scale: number }): ScatteredCopies | undefined =>
  scatteredCopies(drawn, { edits }, scale);

/** Where the copies of a scatter go on the wall, or the parts of a mark that is laid out apart. */
function placesOf({ drawn, sizing, fitted }: Fitting, { edits, lift, technique }: Mark, memo: Memo): Point[] {
  if (lift === 'apart' && TECHNIQUES[technique].mayLieApart) {
    const middles = fitted.layers.flatMap(({ region }) =>
      memo.stage('apart', { region }, connectedStage).map((group) => boxCentre(boxOf(group))),
    );
    if (middles.length > fitted.layers.length) return middles;
  }

  const copies = edits.some((edit) => edit.kind === 'scatter')
    ? memo.stage('scattered', { drawn, edits, scale: sizing.scale }, scatteredStage)
    : undefined;
  return copies?.stay && fitted.layers.length > 0 ? copies.places.map(([x, y]): Point => [x + fitted.at[0], y + fitted.at[1]]) : [];
}

/** What a mark is seen against: what stands behind a clear piece, else its zone; of a patterned one the colour that it stands out from least. */
function seenBehind(mark: Mark, zone: Zone, piece: Piece, shop: Shop): Behind {
  const surface = surfaceOf(piece, shop.paints);
  if (surface.clear) return { colour: piece.behind, colours: [piece.behind], name: 'what stands behind it' };
  const patterned = zone.colours !== undefined && zone.colours.length > 0;
  const colours = patterned ? zone.colours! : [surface.colour];
  const label = TECHNIQUES[mark.technique].penned && shop.films.find(({ id }) => id === mark.film);
  if (label) return { colour: label.colour, colours: [label.colour], name: label.name };
  const seen = TECHNIQUES[mark.technique].painted
    ? shop.paints.find((p) => p.id === mark.paint)?.colour
    : shop.films.find((f) => f.id === mark.film)?.colour;
  const colour = seen ? colours.reduce((a, b) => (contrastOf(seen, b).ratio < contrastOf(seen, a).ratio ? b : a)) : colours[0]!;
  return { colour, colours, name: patterned ? `the ${inSentence(zone.name)} of the ${piece.name}` : `the ${piece.name}` };
}

const wordsOf = (artwork: Mark['artwork']): string =>
  artwork.kind === 'text'
    ? artwork.lines
        .map((line) => line.text.trim())
        .filter(Boolean)
        .join(' · ')
    : artwork.name;
