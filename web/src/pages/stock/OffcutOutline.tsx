import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { MOST_CORNERS, pieceCorners, setAt, withCorners, type FilmPiece } from '@kolleta/core/job';
import type { Point } from '@kolleta/core/geometry';
import { formatLength, type LengthSystem, type Result } from '@kolleta/core/units';
import { InMm, Scaled, useScale } from '../../drawing/Scaled';
import { regionPath } from '../../drawing/regionPath';
import { editShop } from '../../storage/editShop';
import { LengthWord, Sentence } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import { OffcutPhoto } from './OffcutPhoto';

/** An arrow key moves a corner so far, mm; with Shift ten times that. */
const NUDGE = 1;

type Corners = readonly Point[];

interface HandleProps {
  at: Point;
  number: number;
  chosen: boolean;
  label: string;
  onChoose: () => void;
  /** While it is dragged, and when it is let go. */
  onDrag: (to: Point | undefined) => void;
  onMove: (to: Point) => void;
  onNudge: (dx: number, dy: number) => void;
  onRemove: () => void;
}

/** One corner: dragged, nudged by arrow keys, taken out with Delete. */
function Corner({ at, number, chosen, label, onChoose, onDrag, onMove, onNudge, onRemove }: HandleProps) {
  const { k, x, y } = useScale();
  const [from, setFrom] = useState<readonly [number, number]>();
  const to = (event: PointerEvent): Point =>
    from ? [Math.round(at[0] + (event.clientX - from[0]) / k), Math.round(at[1] - (event.clientY - from[1]) / k)] : at;
  const keys = (event: KeyboardEvent) => {
    const step = event.shiftKey ? NUDGE * 10 : NUDGE;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (by) onNudge(by[0]!, by[1]!);
    else if (event.key === 'Delete' || event.key === 'Backspace') onRemove();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={label}
      aria-pressed={chosen}
      className="cursor-grab touch-none active:cursor-grabbing"
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        onChoose();
        setFrom([event.clientX, event.clientY]);
      }}
      onPointerMove={(event) => from && onDrag(to(event))}
      onPointerUp={(event) => {
        if (!from) return;
        const end = to(event);
        setFrom(undefined);
        onDrag(undefined);
        if (end[0] !== at[0] || end[1] !== at[1]) onMove(end);
      }}
      onPointerCancel={() => {
        setFrom(undefined);
        onDrag(undefined);
      }}
      onKeyDown={keys}
      onFocus={onChoose}
    >
      <circle cx={x(at[0])} cy={y(at[1])} r={22} fill="transparent" />
      <circle
        cx={x(at[0])}
        cy={y(at[1])}
        r={9}
        fill={chosen ? 'var(--color-primary)' : 'var(--color-base-100)'}
        stroke="var(--color-primary)"
        strokeWidth={2}
      />
      <text
        x={x(at[0])}
        y={y(at[1])}
        dy="0.35em"
        textAnchor="middle"
        fontSize={11}
        fontWeight={700}
        fill={chosen ? 'var(--color-primary-content)' : 'var(--color-base-content)'}
        pointerEvents="none"
      >
        {number}
      </text>
    </g>
  );
}

/** How long each side is, beside its middle. */
function SideLengths({ corners, system }: { corners: Corners; system: LengthSystem }) {
  const { x, y } = useScale();
  return (
    <>
      {corners.map((a, i) => {
        const b = corners[(i + 1) % corners.length]!;
        const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
        // outward is to the right of a side that runs counter-clockwise
        const [nx, ny] = length > 0 ? [(b[1] - a[1]) / length, -(b[0] - a[0]) / length] : [0, 0];
        return (
          <text
            key={i}
            x={x((a[0] + b[0]) / 2) + 20 * nx}
            y={y((a[1] + b[1]) / 2) - 14 * ny}
            dy="0.35em"
            textAnchor={nx > 0.4 ? 'start' : nx < -0.4 ? 'end' : 'middle'}
            fontSize={12}
            className="measure"
            fill="var(--color-base-content)"
            pointerEvents="none"
          >
            {formatLength(length, system, { digits: 0 })}
          </text>
        );
      })}
    </>
  );
}

interface Props {
  /** The offcut as it was typed. */
  piece: FilmPiece;
  film: string;
  colour: string;
  system: LengthSystem;
}

/** The outline of an offcut, drawn in by its corners: what is nested on it keeps to that. */
export function OffcutOutline({ piece, film, colour, system }: Props) {
  const tell = useTell();
  const [chosen, setChosen] = useState(0);
  const [dragged, setDragged] = useState<{ i: number; to: Point }>();
  const saved = pieceCorners(piece);
  if (saved.length > MOST_CORNERS) return null;
  const corners = dragged ? saved.map((at, i) => (i === dragged.i ? dragged.to : at)) : saved;
  /** Changes the corners as they are saved at that moment. */
  const change = async (what: (now: Corners) => Corners, label: string, anew = false) => {
    let found: Result<unknown> | undefined;
    await editShop((shop) => {
      const now = shop.films.find(({ id }) => id === film)?.pieces?.find(({ id }) => id === piece.id);
      if (!now) return [];
      // what is seen anew has no holes that were known before
      const { outline, ...bare } = now;
      const next = withCorners(anew || !outline ? bare : now, what(pieceCorners(now)));
      found = next;
      return next.ok ? setAt(['films', film, 'pieces', piece.id], { ...now, ...next.value }) : [];
    }, label);
    if (found && !found.ok) tell(`${found.problem.found} ${found.problem.wayOut}`, { tone: 'error' });
  };
  const move = (i: number, to: Point) => change((now) => now.map((at, k) => (k === i ? to : at)), 'Move a corner of an offcut');
  /** From where it is saved at that moment: keys come quicker than the screen. */
  const nudge = (i: number, dx: number, dy: number) =>
    change((now) => now.map(([x, y], k): Point => (k === i ? [x + dx, y + dy] : [x, y])), 'Move a corner of an offcut');
  const split = () => {
    const i = chosen % saved.length;
    setChosen(i + 1);
    void change((now) => {
      const [a, b] = [now[i]!, now[(i + 1) % now.length]!];
      return now.toSpliced(i + 1, 0, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
    }, 'Another corner of an offcut');
  };
  const remove = (i: number) => {
    if (saved.length <= 3) return tell('An offcut has at least three corners.');
    setChosen(0);
    return void change((now) => now.toSpliced(i, 1), 'Take out a corner of an offcut');
  };
  const at = saved[chosen] ?? saved[0]!;
  const own = saved[chosen] ? chosen : 0;
  return (
    <details className="text-[0.95rem]">
      <summary className="cursor-pointer py-1">{piece.outline ? 'Its outline' : 'It is no rectangle: draw its outline'}</summary>
      <Scaled
        box={{ minX: 0, minY: 0, maxX: piece.width, maxY: piece.length }}
        pad={[40, 70, 40, 70]}
        most={3}
        className="h-64 max-w-md"
        label={`The offcut, ${formatLength(piece.width, system)} by ${formatLength(piece.length, system)}`}
      >
        <InMm>
          <path
            d={regionPath([{ outer: corners, holes: piece.outline?.[0]?.holes ?? [] }])}
            fill={colour}
            fillRule="evenodd"
            stroke="var(--color-base-content)"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        </InMm>
        <SideLengths corners={corners} system={system} />
        {corners.map((corner, i) => (
          <Corner
            key={i}
            at={corner}
            number={i + 1}
            chosen={i === own}
            label={`Corner ${i + 1}. Arrow keys move it, Delete takes it out.`}
            onChoose={() => setChosen(i)}
            onDrag={(to) => setDragged(to && { i, to })}
            onMove={(to) => void move(i, to)}
            onNudge={(dx, dy) => void nudge(i, dx, dy)}
            onRemove={() => remove(i)}
          />
        ))}
      </Scaled>
      <Sentence>
        Corner {own + 1} lies{' '}
        <LengthWord label="Corner across" value={at[0]} system={system} onChange={(mm) => void move(own, [mm, at[1]])} /> from the left and{' '}
        <LengthWord label="Corner up" value={at[1]} system={system} onChange={(mm) => void move(own, [at[0], mm])} /> from the bottom.{' '}
        <button type="button" className="btn btn-xs btn-outline" onClick={split}>
          Another corner after it
        </button>{' '}
        {saved.length > 3 && (
          <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={() => remove(own)}>
            Take it out
          </button>
        )}
      </Sentence>
      <OffcutPhoto system={system} onTake={(seen) => change(() => seen, 'Take the outline of an offcut from a photo', true)} />
    </details>
  );
}
