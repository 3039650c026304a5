import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { boxCentre, growBox } from '@kolleta/core/geometry';
import { setAt, type FieldPatch, type Job, type Patch, type Shape } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { formatLength } from '@kolleta/core/units';
import { Dimension } from '../../drawing/Dimension';
import { MarkShapes } from '../../drawing/MarkShapes';
import { useScale } from '../../drawing/Scaled';
import { WallBox } from '../../drawing/WallBox';
import type { StationProps } from '../../frame/station';

/** A mark dragged nearer than this to the middle of its zone jumps there, pixels. */
const SNAP_PX = 7;
const NUDGE = 0.5;

/** A mark that moves keeps its size. */
function moveBy(plan: MarkPlan, dx: number, dy: number, job: Job): Patch {
  const { fitted } = plan;
  const mark = job.marks.find((m) => m.id === plan.mark.id) ?? plan.mark;
  const hundredths = (mm: number) => Math.round(mm * 100) / 100;
  const keep: Patch =
    mark.size.mode === 'largest' ? setAt(['marks', mark.id, 'size'], { mode: 'width', width: hundredths(fitted.width) }) : [];
  return [
    ...keep,
    ...(dx === 0 ? [] : setAt(['marks', mark.id, 'offset', 'x'], hundredths(mark.offset.x + dx))),
    ...(dy === 0 ? [] : setAt(['marks', mark.id, 'offset', 'y'], hundredths(mark.offset.y + dy))),
  ];
}

/** The change that puts a mark back where its zone holds it. */
export const centred = (mark: string): FieldPatch => [
  ...setAt(['marks', mark, 'offset', 'x'], 0),
  ...setAt(['marks', mark, 'offset', 'y'], 0),
];

interface DragProps extends Pick<StationProps, 'edit' | 'shop' | 'chooseMark'> {
  plan: MarkPlan;
  shape: Shape;
  chosen: boolean;
}

/** A mark that hands can move: dragged, or nudged with the arrow keys. */
export function Movable({ plan, edit, shop, chosen, chooseMark, shape }: DragProps) {
  const { k, x, y, width, height } = useScale();
  const [drag, setDrag] = useState<{ fromX: number; fromY: number; dx: number; dy: number }>();
  const { mark, fitted, usable } = plan;
  const shift: [number, number] = drag ? [drag.dx, drag.dy] : [0, 0];
  const snapped = (value: number) => (Math.abs(value) * k < SNAP_PX ? 0 : value);
  const down = (event: PointerEvent<SVGGElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    chooseMark(mark.id);
    setDrag({ fromX: event.clientX, fromY: event.clientY, dx: 0, dy: 0 });
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    if (!drag) return;
    const [dx, dy] = [(event.clientX - drag.fromX) / k, -(event.clientY - drag.fromY) / k];
    setDrag({
      ...drag,
      dx: snapped(mark.offset.x + dx) - mark.offset.x,
      dy: snapped(mark.offset.y + dy) - mark.offset.y,
    });
  };
  const up = () => {
    if (drag && (Math.abs(drag.dx) > 0.05 || Math.abs(drag.dy) > 0.05))
      edit((job) => moveBy(plan, drag.dx, drag.dy, job), `Move ${mark.name}`);
    setDrag(undefined);
  };
  const keys = (event: KeyboardEvent<SVGGElement>) => {
    const step = event.shiftKey ? NUDGE * 10 : NUDGE;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (by) {
      event.preventDefault();
      edit((job) => moveBy(plan, by[0]!, by[1]!, job), `Nudge ${mark.name}`);
    }
    if (event.key === 'Home') edit(centred(mark.id), `Centre ${mark.name}`);
  };
  const middle = boxCentre(usable.inner ?? usable.clear);
  const { box } = fitted;
  const moved = {
    minX: box.minX + shift[0],
    maxX: box.maxX + shift[0],
    minY: box.minY + shift[1],
    maxY: box.maxY + shift[1],
  };
  return (
    <g>
      {drag && mark.offset.x + drag.dx === 0 && (
        <line x1={x(middle[0])} x2={x(middle[0])} y1={0} y2={height} stroke="var(--wait)" strokeDasharray="6 4" />
      )}
      {drag && mark.offset.y + drag.dy === 0 && (
        <line x1={0} x2={width} y1={y(middle[1])} y2={y(middle[1])} stroke="var(--wait)" strokeDasharray="6 4" />
      )}
      <g
        tabIndex={0}
        role="button"
        aria-label={`${mark.name}, ${formatLength(fitted.width, shop.lengths)} by ${formatLength(fitted.height, shop.lengths)}. Arrow keys move it, Home centres it.`}
        className="cursor-grab touch-none active:cursor-grabbing"
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => setDrag(undefined)}
        onKeyDown={keys}
        onFocus={() => chooseMark(mark.id)}
      >
        {chosen && <WallBox shape={shape} at={fitted.at[1] + shift[1]} box={growBox(moved, 1)} stroke="#ffffff" />}
        <WallBox
          shape={shape}
          at={fitted.at[1] + shift[1]}
          box={growBox(moved, 1)}
          fill="transparent"
          stroke={chosen ? '#0e5a61' : 'none'}
          dash="5 4"
        />
        <MarkShapes plan={plan} shop={shop} shift={shift} />
      </g>
      {chosen && !drag && (
        <>
          <Dimension from={[box.minX, box.minY]} to={[box.maxX, box.minY]} beside={12} system={shop.lengths} />
          <Dimension from={[box.maxX, box.minY]} to={[box.maxX, box.maxY]} beside={12} system={shop.lengths} />
        </>
      )}
    </g>
  );
}
