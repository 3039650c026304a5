import { copiesAsked, filmPrice, spreadWords, type FilmLayout, type Spread } from '@kolleta/core/cut';
import { boxHeight, boxOf, boxRegion, boxWidth } from '@kolleta/core/geometry';
import type { FilmPiece } from '@kolleta/core/job';
import { capital, formatLength, formatMoney, listed, type LengthSystem } from '@kolleta/core/units';
import { regionPath } from '../../drawing/regionPath';
import { PIECES_FIRST, type PieceOffer } from './cutFirst';

interface Props {
  roll: FilmLayout;
  /** mm of the roll that are left. */
  left: number;
  offers: readonly PieceOffer[];
  /** Pieces that do not go into the machine. */
  tooLarge: readonly FilmPiece[];
  /** The piece that is cut from, or all pieces first; the roll where there is none. */
  chosen: string | undefined;
  /** What is cut where all of them are used up first. */
  spread: Spread | undefined;
  currency: string;
  system: LengthSystem;
  onChange: (from: string) => void;
}

/** A piece to one scale with its sisters. */
function PieceShape({ piece, colour, most }: { piece: FilmPiece; colour: string; most: number }) {
  const region = piece.outline ?? boxRegion({ minX: 0, minY: 0, maxX: piece.width, maxY: piece.length });
  const box = boxOf(region);
  const k = 44 / most;
  return (
    <svg
      width={Math.max(6, boxWidth(box) * k)}
      height={Math.max(6, boxHeight(box) * k)}
      viewBox={`${box.minX} ${-box.maxY} ${boxWidth(box)} ${boxHeight(box)}`}
      aria-hidden="true"
    >
      <path
        d={regionPath(region)}
        transform="scale(1 -1)"
        fill={colour}
        fillRule="evenodd"
        stroke="currentColor"
        strokeWidth={1.2}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

/** What it is cut from: the roll, or sheets and offcuts of that film that lie beside it, with what finds room on each. */
export function FromCard({ roll, left, offers, tooLarge, chosen, spread, currency, system, onChange }: Props) {
  if (offers.length + tooLarge.length === 0) return null;
  const say = (mm: number) => formatLength(mm, system, { digits: 0 });
  const most = Math.max(...[...offers.map(({ piece }) => piece), ...tooLarge].flatMap(({ width, length }) => [width, length]));
  const first = chosen === PIECES_FIRST ? spread?.sheets[0] : undefined;
  const now =
    offers.find(({ piece }) => piece.id === chosen) ?? (first && { ...first, rest: copiesAsked(roll) - first.layout.parts.length });
  const all = copiesAsked(roll);
  const wide = listed(roll.tooWide.map(({ name }) => name));
  const priceOf = (mm: number) => filmPrice(roll.film, mm);
  const price = priceOf(roll.taken);
  const several = spread && (spread.sheets.length > 1 || spread.roll) ? spread : undefined;
  const onPieces = several?.sheets.reduce((sum, { layout }) => sum + layout.parts.length, 0);
  const less = roll.taken - (several?.roll?.taken ?? 0);
  return (
    <div className="sheet px-4 py-3 text-[0.92rem]" role="group" aria-label="Cut from">
      <p className="leading-snug">
        {first && several ? (
          <>
            {listed(spreadWords(several, say))}
            {less > 0 ? (
              <>
                : <strong className="measure">{say(less)}</strong> of roll{price > 0 ? ` and ${formatMoney(priceOf(less), currency)}` : ''}{' '}
                saved
              </>
            ) : null}
            .{wide ? ` The roll is too narrow for ${wide}.` : ''} This is the first of them; the others follow once it is cut.
          </>
        ) : !now && roll.parts.length === 0 ? (
          `Nothing comes from the roll: it is too narrow for ${wide}.`
        ) : !now ? (
          <>
            From the roll, <strong className="measure">{say(roll.taken)}</strong> of {say(left)}
            {price > 0 ? `, ${formatMoney(price, currency)}` : ''}.{wide ? ` ${capital(wide)} stays: the roll is too narrow for it.` : ''}
          </>
        ) : now.rest === 0 ? (
          <>
            From the {now.piece.kind}, all of it
            {roll.taken > 0 ? (
              <>
                : <strong className="measure">{say(roll.taken)}</strong> of roll{price > 0 ? ` and ${formatMoney(price, currency)}` : ''}{' '}
                saved
              </>
            ) : null}
            .{wide ? ` The roll is too narrow for ${wide}.` : ''}
          </>
        ) : (
          <>
            From the {now.piece.kind}: {all - now.rest} of {all} marks find room. The{' '}
            {now.rest === 1 ? 'other stays' : `other ${now.rest} stay`} in the layout, for {wide ? 'another piece' : 'the roll'}.
          </>
        )}
        {!now
          ? ''
          : now.layout.machine?.carriers?.length
            ? ' It goes through on a carrier sheet.'
            : ` It wants a carrier sheet to go through on: none is noted for ${now.layout.machine?.name ?? 'the cutter'} in Workshop.`}
      </p>
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        <button
          type="button"
          aria-pressed={!now}
          className={`btn btn-sm h-auto min-h-11 ${now ? 'btn-ghost border-base-300' : 'btn-neutral'}`}
          disabled={roll.parts.length === 0}
          onClick={() => onChange('roll')}
        >
          Roll
        </button>
        {several && (less > 0 || wide !== '') && (
          <button
            type="button"
            aria-pressed={chosen === PIECES_FIRST}
            className={`btn btn-sm h-auto min-h-11 py-1 text-left leading-tight ${chosen === PIECES_FIRST ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            onClick={() => onChange(PIECES_FIRST)}
          >
            <span>
              {several.sheets.length === 1 ? `The ${several.sheets[0]!.piece.kind} first` : 'All pieces first'}
              <br />
              <span className="font-normal opacity-80">
                {less > 0 ? `${say(less)} of roll less` : onPieces === all ? 'holds all of it' : `holds ${onPieces} of ${all}`}
              </span>
            </span>
          </button>
        )}
        {offers.map(({ piece, rest }) => (
          <button
            key={piece.id}
            type="button"
            aria-pressed={piece.id === chosen}
            disabled={rest === all}
            className={`btn btn-sm h-auto min-h-11 gap-2 py-1 text-left font-normal ${piece.id === chosen ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            onClick={() => onChange(piece.id)}
          >
            <PieceShape piece={piece} colour={roll.film.colour} most={most} />
            <span className="leading-tight">
              {piece.kind} {say(piece.width)} × {say(piece.length)}
              <br />
              <span className="opacity-80">
                {rest === 0 ? 'holds all of it' : rest === all ? 'holds none' : `holds ${all - rest} of ${all}`}
              </span>
            </span>
          </button>
        ))}
      </div>
      {tooLarge.length > 0 && (
        <p className="quiet mt-1.5">
          {listed(tooLarge.map(({ kind, width, length }) => `The ${kind} of ${say(width)} × ${say(length)}`))}{' '}
          {tooLarge.length === 1 ? 'goes' : 'go'} into no cutter or carrier as{' '}
          {tooLarge.length === 1 ? 'it is: cut it' : 'they are: cut them'} down first, and change the size in Stock.
        </p>
      )}
    </div>
  );
}
