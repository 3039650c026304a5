import { useMemo } from 'react';
import { ringsOf, type Region } from '@kolleta/core/geometry';
import type { Piece, Shop } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { layerColour } from './MarkShapes';
import { pieceFill } from './pieceLook';
import { InMm, Scaled, useScale } from './Scaled';

/** Marks in the order in which the viewer has them before the eye: the last is in front. */
export const inViewOrder = (marks: readonly MarkPlan[]): MarkPlan[] => {
  const behind = marks.filter((m) => m.mark.seenThrough).toReversed();
  return [...behind, ...marks.filter((m) => !m.mark.seenThrough)];
};

/** A region on a cylinder as it looks from the front; what turns out of sight is left out. */
function turned(region: Region, diameter: number): string {
  const r = diameter / 2;
  const quarter = (Math.PI / 2) * r;
  return ringsOf(region)
    .map(
      (ring) =>
        `M${ring.map(([x, y]) => `${(r * Math.sin(Math.max(-quarter, Math.min(quarter, x)) / r)).toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`,
    )
    .join('');
}

function Round({ piece, marks, shop }: { piece: Piece; marks: readonly MarkPlan[]; shop: Shop }) {
  const { k, x, y } = useScale();
  const shape = piece.shape as Extract<Piece['shape'], { kind: 'cylinder' }>;
  const [r, h] = [shape.diameter / 2, shape.height];
  const look = pieceFill(piece);
  const flat = 0.09 * shape.diameter * k;
  const ordered = inViewOrder(marks);
  const paths = useMemo(
    () => ordered.map((plan) => plan.fitted.layers.map((layer) => turned(layer.region, shape.diameter))),
    [ordered, shape.diameter],
  );
  const body = `M${x(-r)} ${y(h)} L${x(-r)} ${y(0)} A${k * r} ${flat} 0 0 0 ${x(r)} ${y(0)} L${x(r)} ${y(h)}`;
  return (
    <g>
      <path
        d={`${body} A${k * r} ${flat} 0 0 1 ${x(-r)} ${y(h)} Z`}
        fill={look.fill}
        fillOpacity={look.opacity}
        stroke="var(--color-base-content)"
        strokeWidth={1.2}
      />
      <ellipse
        cx={x(0)}
        cy={y(h)}
        rx={k * r}
        ry={flat}
        fill={look.opacity < 1 ? 'var(--color-base-100)' : look.fill}
        fillOpacity={look.opacity < 1 ? 0.6 : 1}
        stroke="var(--color-base-content)"
        strokeWidth={1.2}
      />
      {look.opacity < 1 && (
        <path
          d={`M${x(-r * 0.96)} ${y(h * 0.8)} L${x(-r * 0.96)} ${y(0)} A${k * r * 0.96} ${flat} 0 0 0 ${x(r * 0.96)} ${y(0)} L${x(r * 0.96)} ${y(h * 0.8)} Z`}
          fill={piece.behind}
          fillOpacity={0.75}
        />
      )}
      <InMm>
        {ordered.map((plan, i) =>
          plan.fitted.layers.map((layer, j) => (
            <path key={`${plan.mark.id}${layer.film}`} d={paths[i]![j]} fill={layerColour(plan, layer.film, shop)} fillRule="evenodd" />
          )),
        )}
      </InMm>
    </g>
  );
}

function Flat({ piece, marks, shop }: { piece: Piece; marks: readonly MarkPlan[]; shop: Shop }) {
  const { k, x, y } = useScale();
  const shape = piece.shape as Extract<Piece['shape'], { kind: 'flat' }>;
  const look = pieceFill(piece);
  const frame = { x: x(-shape.width / 2), y: y(shape.height), width: k * shape.width, height: k * shape.height, rx: 2 };
  return (
    <g>
      <rect {...frame} fill={look.opacity < 1 ? piece.behind : look.fill} stroke="var(--color-base-content)" strokeWidth={1.2} />
      {look.opacity < 1 && <rect {...frame} fill={look.fill} fillOpacity={0.35} />}
      <InMm>
        {inViewOrder(marks).map((plan) =>
          plan.fitted.layers.map((layer) => (
            <path
              key={`${plan.mark.id}${layer.film}`}
              d={ringsOf(layer.region)
                .map((ring) => `M${ring.map((p) => p.join(' ')).join('L')}Z`)
                .join('')}
              fill={layerColour(plan, layer.film, shop)}
              fillRule="evenodd"
            />
          )),
        )}
      </InMm>
    </g>
  );
}

/** The piece as it is seen from the front, with what stands behind it when it is clear. */
export function FrontView({
  piece,
  marks,
  shop,
  className,
  pad = [10, 6, 14, 6],
}: {
  piece: Piece;
  marks: readonly MarkPlan[];
  shop: Shop;
  className?: string;
  pad?: [number, number, number, number];
}) {
  const half = piece.shape.kind === 'flat' ? piece.shape.width / 2 : piece.shape.diameter / 2;
  const round = piece.shape.kind === 'cylinder' ? piece.shape.diameter * 0.09 : 0;
  return (
    <Scaled
      box={{ minX: -half, maxX: half, minY: -round, maxY: piece.shape.height + round }}
      pad={pad}
      className={className}
      label={`${piece.name} as it is seen`}
      most={6}
    >
      {piece.shape.kind === 'flat' ? <Flat piece={piece} marks={marks} shop={shop} /> : <Round piece={piece} marks={marks} shop={shop} />}
    </Scaled>
  );
}
