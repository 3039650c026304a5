import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Box, Point } from '@kolleta/core/geometry';
import type { Photo } from '@kolleta/core/job';

interface Handle {
  readonly label: string;
  readonly at: Point;
  readonly onMove: (to: Point) => void;
}

interface Props {
  photo: Pick<Photo, 'name' | 'data' | 'width' | 'height'>;
  handles: readonly Handle[];
  /** Only this part of it is looked at, pixels. */
  part?: Box;
  /** A line is drawn from press to release. */
  onLine?: (from: Point, to: Point) => void;
  /** A point is pressed. */
  onPoint?: (at: Point) => void;
  children?: ReactNode;
}

/** A photo with handles that can be dragged, or moved with the arrow keys; what is drawn over it is in pixels of the photo. */
export function PhotoView({ photo, handles, part, onLine, onPoint, children }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ index: number; at: Point }>();
  const [line, setLine] = useState<{ from: Point; to: Point }>();
  const size = Math.max(photo.width, photo.height);
  const place = (event: PointerEvent): Point => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [Math.max(0, Math.min(photo.width, p.x)), Math.max(0, Math.min(photo.height, p.y))];
  };
  const keys = (event: KeyboardEvent, handle: Handle) => {
    const step = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    if (!by) return;
    event.preventDefault();
    handle.onMove([handle.at[0] + by[0]!, handle.at[1] + by[1]!]);
  };
  return (
    <svg
      ref={svg}
      viewBox={part ? `${part.minX} ${part.minY} ${part.maxX - part.minX} ${part.maxY - part.minY}` : `0 0 ${photo.width} ${photo.height}`}
      className="absolute inset-0 h-full w-full touch-none"
      role="group"
      aria-label={`Photo ${photo.name}`}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        const at = place(event);
        if (onLine) {
          event.currentTarget.setPointerCapture(event.pointerId);
          setLine({ from: at, to: at });
        } else onPoint?.(at);
      }}
      onPointerMove={(event) => {
        if (line) setLine({ ...line, to: place(event) });
        if (held) setHeld({ ...held, at: place(event) });
      }}
      onPointerUp={() => {
        if (line && Math.hypot(line.to[0] - line.from[0], line.to[1] - line.from[1]) > size / 100) onLine?.(line.from, line.to);
        setLine(undefined);
        if (held) handles[held.index]?.onMove(held.at);
        setHeld(undefined);
      }}
    >
      <image href={photo.data} width={photo.width} height={photo.height} />
      {children}
      {line && <line x1={line.from[0]} y1={line.from[1]} x2={line.to[0]} y2={line.to[1]} stroke="#d98e16" strokeWidth={size / 250} />}
      {handles.map((handle, i) => {
        const [x, y] = held?.index === i ? held.at : handle.at;
        return (
          <g
            key={handle.label}
            tabIndex={0}
            role="button"
            aria-label={`${handle.label}. Drag it, or move it with the arrow keys.`}
            className="cursor-move"
            onPointerDown={(event) => {
              event.stopPropagation();
              svg.current?.setPointerCapture(event.pointerId);
              setHeld({ index: i, at: handle.at });
            }}
            onKeyDown={(event) => keys(event, handle)}
          >
            <circle cx={x} cy={y} r={size / 45} fill="#ffffff" fillOpacity={0.35} stroke="#ffffff" strokeWidth={size / 200} />
            <circle cx={x} cy={y} r={size / 45} fill="none" stroke="#ad3f27" strokeWidth={size / 420} />
            <path d={`M${x - size / 90} ${y}h${size / 45}M${x} ${y - size / 90}v${size / 45}`} stroke="#ad3f27" strokeWidth={size / 500} />
          </g>
        );
      })}
    </svg>
  );
}
