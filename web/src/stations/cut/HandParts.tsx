import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { copyKey, lyingOf, placeOf, type FilmLayout, type HandMove, type LaidPart, type Lying } from '@kolleta/core/cut';
import { InMm, useScale } from '../../drawing/Scaled';
import { regionPath } from '../../drawing/regionPath';

/** An arrow key moves a part so far, mm; with Shift ten times that. */
const NUDGE = 1;
/** R turns by a quarter, T by 15°; in quarters. */
const TURN_KEYS: Readonly<Record<string, number>> = { r: 1, R: 1, t: 1 / 6, T: 1 / 6 };
/** A press that moves less than this is no drag, px. */
const STILL = 3;

export const partKey = ({ outline, copy }: Pick<LaidPart, 'outline' | 'copy'>): string => copyKey({ part: outline, copy });

interface Props {
  layout: FilmLayout;
  /** Parts that stay where they lie, by `partKey`. */
  locked: ReadonlySet<string>;
  /** Film that has a direction is not turned. */
  turns: boolean;
  chosen: string | undefined;
  nameOf: (part: LaidPart) => string;
  onChoose: (key: string) => void;
  /** Lays a part otherwise; whether it was laid so. */
  onLay: (move: HandMove) => Promise<boolean>;
  onLock: (key: string) => void;
}

/** A part where a hand wants it, until the layout has it there. */
interface Wanted {
  readonly key: string;
  readonly move: HandMove;
}

/** What hands want of a layout, one thing after the other: of moves that come quicker than they can be laid only the last is. */
function useWanted(layout: FilmLayout, onLay: Props['onLay']) {
  const [ghost, setGhost] = useState<Wanted>();
  const wanted = useRef<Wanted>(undefined);
  const running = useRef(false);
  const changes = useRef(0);
  const lays = useRef(onLay);
  const clear = () => {
    wanted.current = undefined;
    setGhost(undefined);
  };
  useEffect(() => {
    lays.current = onLay;
  });
  useEffect(() => {
    changes.current += 1;
    if (!running.current) clear();
  }, [layout]);
  const run = async () => {
    if (running.current) return;
    running.current = true;
    let laid = true;
    let before = changes.current;
    for (let now = wanted.current, next = true; now && next;) {
      before = changes.current;
      laid = await lays.current(now.move);
      next = wanted.current !== now;
      now = wanted.current;
    }
    running.current = false;
    if (!laid || changes.current !== before) clear();
  };
  const want = (part: LaidPart, by: (now: Lying) => Lying) => {
    const key = partKey(part);
    const from = wanted.current?.key === key ? wanted.current.move : lyingOf(part.place, layout.outlines[part.outline]!);
    wanted.current = { key, move: { part: part.outline, copy: part.copy, ...by(from) } };
    setGhost(wanted.current);
    void run();
  };
  return { ghost, want };
}

/** Parts of a layout that hands can take: dragged, or moved, turned and locked by keys. */
export function HandParts({ layout, locked, turns, chosen, nameOf, onChoose, onLay, onLock }: Props) {
  const { k } = useScale();
  const paths = useMemo(() => layout.outlines.map((region) => regionPath(region)), [layout.outlines]);
  const { ghost, want } = useWanted(layout, onLay);
  const [drag, setDrag] = useState<{ key: string; fromX: number; fromY: number; dx: number; dy: number }>();
  const down = (key: string) => (event: PointerEvent<SVGPathElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    onChoose(key);
    setDrag({ key, fromX: event.clientX, fromY: event.clientY, dx: 0, dy: 0 });
  };
  const move = (event: PointerEvent<SVGPathElement>) => {
    if (drag) setDrag({ ...drag, dx: (event.clientX - drag.fromX) / k, dy: -(event.clientY - drag.fromY) / k });
  };
  const up = (part: LaidPart) => () => {
    if (!drag) return;
    const { dx, dy } = drag;
    setDrag(undefined);
    if (Math.hypot(dx, dy) * k >= STILL) want(part, ({ turn, x, y }) => ({ turn, x: x + dx, y: y + dy }));
  };
  const keys = (part: LaidPart, key: string) => (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const step = event.shiftKey ? NUDGE * 10 : NUDGE;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    const turn = TURN_KEYS[event.key];
    if (by) want(part, ({ turn: now, x, y }) => ({ turn: now, x: x + by[0]!, y: y + by[1]! }));
    else if (turn && turns) want(part, ({ turn: now, x, y }) => ({ turn: (now + turn) % 4, x, y }));
    else if (event.key === 'k' || event.key === 'K') onLock(key);
    else return;
    event.preventDefault();
    // the page's own keys are for what is beside the drawing
    event.stopPropagation();
  };
  return (
    <InMm>
      {layout.parts.map((part) => {
        const key = partKey(part);
        const region = layout.outlines[part.outline]!;
        const lying = ghost?.key === key ? ghost.move : lyingOf(part.place, region);
        const [dx, dy] = drag?.key === key ? [drag.dx, drag.dy] : [0, 0];
        const place = placeOf({ turn: lying.turn, x: lying.x + dx, y: lying.y + dy }, region);
        const marked = chosen === key;
        const stays = locked.has(key);
        return (
          <path
            key={key}
            d={paths[part.outline]}
            transform={`matrix(${place.join(' ')})`}
            tabIndex={0}
            role="button"
            aria-pressed={marked}
            aria-busy={ghost?.key === key}
            aria-label={`${nameOf(part)}${stays ? ', stays where it lies' : ''}. Arrow keys move it,${turns ? ' R turns it,' : ''} K ${stays ? 'lets it go' : 'keeps it here'}.`}
            className="cursor-grab touch-none active:cursor-grabbing"
            fill={marked ? 'var(--color-primary)' : stays ? 'var(--color-base-content)' : 'transparent'}
            fillOpacity={marked ? 0.45 : 0.16}
            fillRule="evenodd"
            pointerEvents="all"
            stroke={marked ? 'var(--color-primary)' : 'none'}
            strokeWidth={2.5}
            vectorEffect="non-scaling-stroke"
            style={{ outline: 'none' }}
            onPointerDown={down(key)}
            onPointerMove={move}
            onPointerUp={up(part)}
            onPointerCancel={() => setDrag(undefined)}
            onKeyDown={keys(part, key)}
            onFocus={() => onChoose(key)}
          />
        );
      })}
    </InMm>
  );
}
