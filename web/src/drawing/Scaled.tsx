import { createContext, useContext, type KeyboardEvent, type ReactNode } from 'react';
import { boxHeight, boxWidth, type Box } from '@kolleta/core/geometry';
import { useSize } from '../ui/useSize';

/** How mm become pixels in a drawing: y runs up in mm and down in pixels. */
export interface Scale {
  /** Pixels a mm. */
  readonly k: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly width: number;
  readonly height: number;
}

const ScaleContext = createContext<Scale | undefined>(undefined);

/** The scale of the drawing around. */
export function useScale(): Scale {
  const scale = useContext(ScaleContext);
  if (!scale) throw new Error('useScale: used outside <Scaled>');
  return scale;
}

interface Props {
  /** What has to be seen, mm. */
  box: Box;
  /** Pixels kept free around it: top, right, bottom, left. */
  pad?: [number, number, number, number];
  className?: string;
  label: string;
  children: ReactNode;
  /** The greatest scale, pixels a mm: small things are not blown up. */
  most?: number;
  onKeyDown?: (event: KeyboardEvent) => void;
}

/** A drawing to scale that fills its place. */
export function Scaled({ box, pad = [24, 24, 24, 24], className, label, children, most = 12, onKeyDown }: Props) {
  const [ref, size] = useSize<HTMLDivElement>();
  const [top, right, bottom, left] = pad;
  let scale: Scale | undefined;
  if (size && size.width > 0 && size.height > 0) {
    const [w, h] = [Math.max(20, size.width - left - right), Math.max(20, size.height - top - bottom)];
    const k = Math.min(most, w / Math.max(1e-6, boxWidth(box)), h / Math.max(1e-6, boxHeight(box)));
    const ox = left + (w - k * boxWidth(box)) / 2 - k * box.minX;
    const oy = top + (h - k * boxHeight(box)) / 2 + k * box.maxY;
    scale = { k, x: (mm) => ox + k * mm, y: (mm) => oy - k * mm, width: size.width, height: size.height };
  }
  return (
    <div ref={ref} className={className}>
      {scale && (
        <svg width={scale.width} height={scale.height} role="group" aria-label={label} onKeyDown={onKeyDown} className="block max-w-full">
          <ScaleContext.Provider value={scale}>{children}</ScaleContext.Provider>
        </svg>
      )}
    </div>
  );
}

/** A group drawn in mm, y up. Lines inside keep their width with `vector-effect: non-scaling-stroke`. */
export function InMm({ children, at = [0, 0] }: { children: ReactNode; at?: readonly [number, number] }) {
  const { k, x, y } = useScale();
  return <g transform={`translate(${x(at[0])} ${y(at[1])}) scale(${k} ${-k})`}>{children}</g>;
}
