import { useMemo, useRef, useState, type PointerEvent } from 'react';
import { boxAround, boxHeight, boxOfPaths, boxWidth, type Path } from '@kolleta/core/geometry';
import type { DrawnPart } from '@kolleta/core/job';

const d = (path: Path): string => path.map(([kind, ...points]) => kind + points.map(([x, y]) => `${x} ${y}`).join(' ')).join('');

interface Props {
  parts: readonly DrawnPart[];
  dropped: ReadonlySet<string>;
  chosen: ReadonlySet<string>;
  choose: (ids: ReadonlySet<string>) => void;
}

/** The parts of a drawing, to be picked: a press picks one, with Shift more, a frame drawn around takes all within. */
export function PartsDrawing({ parts, dropped, chosen, choose }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [frame, setFrame] = useState<{ x0: number; y0: number; x1: number; y1: number }>();
  const boxes = useMemo(() => parts.map((part) => boxOfPaths([part.path])), [parts]);
  const paths = useMemo(() => parts.map((part) => d(part.path)), [parts]);
  const box = boxAround(boxes);
  const pad = Math.max(boxWidth(box), boxHeight(box)) * 0.04 || 1;
  const line = Math.max(boxWidth(box), boxHeight(box)) / 160;
  const place = (event: PointerEvent): [number, number] => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [p.x, -p.y];
  };
  const pick = (id: string, more: boolean) => {
    const next = new Set(more ? chosen : []);
    if (more && chosen.has(id)) next.delete(id);
    else next.add(id);
    choose(next);
  };
  const up = (event: PointerEvent) => {
    if (!frame) return;
    const [x0, x1] = [Math.min(frame.x0, frame.x1), Math.max(frame.x0, frame.x1)];
    const [y0, y1] = [Math.min(frame.y0, frame.y1), Math.max(frame.y0, frame.y1)];
    setFrame(undefined);
    if (x1 - x0 < line && y1 - y0 < line) {
      if (!event.shiftKey) choose(new Set());
      return;
    }
    const within = parts
      .filter((_, i) => boxes[i]!.minX >= x0 && boxes[i]!.maxX <= x1 && boxes[i]!.minY >= y0 && boxes[i]!.maxY <= y1)
      .map((part) => part.id);
    choose(new Set([...(event.shiftKey ? chosen : []), ...within]));
  };
  return (
    <svg
      ref={svg}
      viewBox={`${box.minX - pad} ${-box.maxY - pad} ${boxWidth(box) + 2 * pad} ${boxHeight(box) + 2 * pad}`}
      className="absolute inset-0 h-full w-full touch-none"
      role="group"
      aria-label="The parts of the drawing"
      onPointerDown={(event) => {
        const [x, y] = place(event);
        setFrame({ x0: x, y0: y, x1: x, y1: y });
      }}
      onPointerMove={(event) => {
        if (!frame) return;
        const [x1, y1] = place(event);
        setFrame({ ...frame, x1, y1 });
      }}
      onPointerUp={up}
    >
      <g transform="scale(1 -1)">
        {parts.map((part, i) => (
          <path
            key={part.id}
            d={paths[i]}
            fill={part.colour}
            fillRule={part.fill}
            fillOpacity={dropped.has(part.id) ? 0.12 : 1}
            stroke={chosen.has(part.id) ? '#ad3f27' : dropped.has(part.id) ? '#5c6663' : 'none'}
            strokeWidth={line * (chosen.has(part.id) ? 1.2 : 0.5)}
            strokeDasharray={dropped.has(part.id) && !chosen.has(part.id) ? `${line * 2} ${line * 2}` : undefined}
            tabIndex={0}
            role="button"
            aria-pressed={chosen.has(part.id)}
            aria-label={`Part ${i + 1}, ${part.colour}${dropped.has(part.id) ? ', left out' : ''}`}
            className="cursor-pointer outline-offset-2"
            onPointerDown={(event) => {
              event.stopPropagation();
              pick(part.id, event.shiftKey);
            }}
            onKeyDown={(event) => {
              if (event.key === ' ' || event.key === 'Enter') {
                event.preventDefault();
                pick(part.id, event.shiftKey);
              }
            }}
          />
        ))}
        {frame && (
          <rect
            x={Math.min(frame.x0, frame.x1)}
            y={Math.min(frame.y0, frame.y1)}
            width={Math.abs(frame.x1 - frame.x0)}
            height={Math.abs(frame.y1 - frame.y0)}
            fill="#0e5a61"
            fillOpacity={0.12}
            stroke="#0e5a61"
            strokeWidth={line * 0.6}
          />
        )}
      </g>
    </svg>
  );
}
