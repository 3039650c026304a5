import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { bendAt, featureBox } from '@kolleta/core/blanks';
import { FEATURES } from '@kolleta/core/facts';
import { boxHeight, boxWidth, growBox } from '@kolleta/core/geometry';
import { removeAt, setAt, type Feature, type Piece } from '@kolleta/core/job';
import { useScale } from '../../drawing/Scaled';
import type { StationProps } from '../../frame/station';

/** A feature jumps to the middle of the front when dragged nearer than this, pixels. */
const SNAP_PX = 6;
/** A handle that hands can hit, pixels. */
const LEAST_PX = 24;

/** A feature that hands can move: dragged, or by the arrow keys. */
export function MovableFeature({ piece, feature, edit }: { piece: Piece; feature: Feature; edit: StationProps['edit'] }) {
  const { k, x, y } = useScale();
  const [drag, setDrag] = useState<{ fromX: number; fromY: number; dx: number; dy: number }>();
  const { name, line } = FEATURES[feature.kind];
  const put = (dx: number, dy: number, label: string) =>
    edit((saved) => {
      // from where it is saved: keys come faster than the screen follows
      const at = saved.piece.features?.find((f) => f.id === feature.id) ?? feature;
      return [
        ...setAt(['piece', 'features', feature.id, 'x'], Math.round((at.x + dx) * 10) / 10),
        ...setAt(['piece', 'features', feature.id, 'y'], Math.round((at.y + (line ? 0 : dy)) * 10) / 10),
      ];
    }, label);
  const down = (event: PointerEvent<SVGRectElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setDrag({ fromX: event.clientX, fromY: event.clientY, dx: 0, dy: 0 });
  };
  const move = (event: PointerEvent<SVGRectElement>) => {
    if (!drag) return;
    let dx = (event.clientX - drag.fromX) / k;
    if (Math.abs(feature.x + dx) * k < SNAP_PX) dx = -feature.x;
    setDrag({ ...drag, dx, dy: line ? 0 : -(event.clientY - drag.fromY) / k });
  };
  const up = () => {
    if (drag && Math.hypot(drag.dx, drag.dy) > 0.05) put(drag.dx, drag.dy, `Move the ${name}`);
    setDrag(undefined);
  };
  const keys = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 5 : 0.5;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (by) {
      event.preventDefault();
      put(by[0]!, by[1]!, `Move the ${name}`);
    }
    if (event.key === 'Delete' || event.key === 'Backspace') edit(removeAt(['piece', 'features', feature.id]), `Take the ${name} away`);
  };
  const box = featureBox(feature);
  const [mx, my] = bendAt(piece.shape, piece.shape.height / 2)([feature.x, (box.minY + box.maxY) / 2]);
  const [w, h] = [Math.max(LEAST_PX, k * boxWidth(growBox(box, 1))), Math.max(LEAST_PX, k * boxHeight(growBox(box, 1)))];
  return (
    <rect
      tabIndex={0}
      role="button"
      aria-label={`${name}. Drag it, or move it with the arrow keys; Delete takes it away.`}
      className="cursor-grab touch-none active:cursor-grabbing"
      x={x(mx + (drag?.dx ?? 0)) - w / 2}
      y={y(my + (drag?.dy ?? 0)) - h / 2}
      width={w}
      height={h}
      fill="transparent"
      stroke={drag ? 'var(--color-primary)' : 'none'}
      strokeDasharray="4 3"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => setDrag(undefined)}
      onKeyDown={keys}
    />
  );
}
